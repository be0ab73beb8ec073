package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Note;
import phalanx.arrangement.Remark;
import phalanx.fretting.Stance;
import phalanx.fretting.Stance.Legato;
import phalanx.instrument.Finger;
import phalanx.picking.AlternatingThumb;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** Slurs on several strings at once and over a change of chord (common practice, no source). */
class TuneSlurTest {

  private static final int BAR = 20160;

  private static Arrangement arranged(String chords, String... bars) {
    Song song = TestSongs.of(chords).withPattern(AlternatingThumb.FINGERS_BETWEEN).withTempo(70);
    return new Arranger().arrange(TestSongs.singing(song, bars));
  }

  private static List<Note> tune(Arrangement a, int tick) {
    return a.notesFrom(tick, tick + 1).stream().filter(n -> n.part() == Note.Part.TUNE).toList();
  }

  private static List<String> slurRemarks(Arrangement a) {
    return a.slots().stream()
        .flatMap(s -> s.found().stream())
        .filter(r -> r.kind() == Remark.Kind.SLUR)
        .map(Remark::words)
        .toList();
  }

  /** Two notes slide to two others on their strings under the fingers that held them. */
  @ParameterizedTest
  @CsvSource({
    "A, 2:5+3:6 . /2:7+3:7 .",
    "C, 2:1+4:2 . /2:3+4:3 .",
    "G, 1:3+2:3 . /1:5+2:5 .",
    "D, 2:3+3:2 . /2:5+3:4 .",
    "Am, 1:5+3:5 . /1:7+3:7 ."
  })
  void twoStringsSlideUnderTheirFingers(String chord, String bar) {
    Arrangement a = arranged(chord, bar);
    List<Note> from = tune(a, 0);
    List<Note> to = tune(a, BAR / 2);
    assertThat(slurRemarks(a)).isEmpty();
    assertThat(to).hasSize(2).allMatch(n -> n.attack() == Attack.SLID && n.pick().isEmpty());
    for (int n = 0; n < 2; n++) {
      assertThat(to.get(n).string()).isEqualTo(from.get(n).string());
      assertThat(to.get(n).fretFinger()).isPresent().isEqualTo(from.get(n).fretFinger());
      assertThat(from.get(n).tick() + from.get(n).lengthTicks()).isEqualTo(BAR / 2);
    }
  }

  /** Over no chord both fingers are down already, and the upper one is pulled off. */
  @ParameterizedTest
  @CsvSource({
    "2:7 _2:5 . ., 7, 5",
    "3:4 _3:2 . ., 4, 2",
    "1:8 _1:5 . ., 8, 5",
    "2:3 _2:1 . ., 3, 1",
    "1:3 _1:0 . ., 3, 0",
    "3:2 ^3:4 _3:2 ., 4, 2"
  })
  void overNoChordFrettedNotesArePulledOff(String bar, int from, int to) {
    Arrangement a = arranged("N.C.", bar);
    Note pulled =
        a.notes().stream().filter(n -> n.attack() == Attack.PULLED).findFirst().orElseThrow();
    Note before =
        a.notes().stream().filter(n -> n.tick() < pulled.tick()).reduce((x, y) -> y).orElseThrow();
    assertThat(slurRemarks(a)).isEmpty();
    assertThat(before.fret()).isEqualTo(from);
    assertThat(pulled.fret()).isEqualTo(to);
    assertThat(pulled.pick()).isEmpty();
    assertThat(pulled.string()).isEqualTo(before.string());
    assertThat(pulled.fretFinger()).isNotEqualTo(before.fretFinger());
  }

  /** A finger of the shape slides along its string and out of the shape. */
  @Test
  void aFingerSlidesOutOfItsShape() {
    Arrangement a = arranged("C", "2:1 /2:3 . .");
    assertThat(tune(a, BAR / 4)).singleElement().satisfies(n -> assertThat(n.pick()).isEmpty());
    assertThat(tune(a, 0).get(0).fretFinger()).isEqualTo(tune(a, BAR / 4).get(0).fretFinger());
  }

  @ParameterizedTest
  @CsvSource({
    "C | G, . . . 1:0, ^1:3 . . ., HAMMERED",
    "G | C, . . . 1:3, _1:0 . . ., PULLED",
    "D | G, . . . 2:3, _2:0 . . ., PULLED",
    "Am | G, . . . 2:0, ^2:3 . . ., HAMMERED",
    "G | A, . . . 1:3, /1:5 . . ., SLID",
    "C | D, . . . 2:5, /2:7 . . ., SLID"
  })
  void aSlurLeadsOverAChangeOfChord(String chords, String first, String second, Attack attack) {
    Arrangement a = arranged(chords, first, second);
    assertThat(slurRemarks(a)).isEmpty();
    assertThat(tune(a, BAR))
        .singleElement()
        .satisfies(n -> assertThat(n.attack()).isEqualTo(attack));
  }

  /** A rest before a slide takes it away; what was found for one bar is not taken for the other. */
  @Test
  void aRestBeforeASlideIsAnotherTune() {
    Arranger arranger = new Arranger();
    Song song = TestSongs.of("C").withPattern(AlternatingThumb.FINGERS_BETWEEN).withTempo(70);
    Song slid = TestSongs.singing(song, "2:1 . /2:3 .");
    Song rested = TestSongs.singing(song, "2:1 - /2:3 .");
    for (Song first : List.of(slid, rested)) {
      Song second = first.equals(slid) ? rested : slid;
      arranger.arrange(first);
      Arrangement after = arranger.arrange(second);
      Arrangement alone = new Arranger().arrange(second);
      assertThat(after.notes()).isEqualTo(alone.notes());
      assertThat(tune(after, BAR / 2)).hasSize(1);
      arranger = new Arranger();
    }
  }

  /** The finger a pull-off leads to would have to come down with the change: it is plucked. */
  @Test
  void aPullOffToAFingerThatComesWithTheChangeIsSaid() {
    Arrangement a = arranged("Em | C", ". . . 2:3", "_2:1 . . .");
    assertThat(slurRemarks(a)).singleElement().asString().contains("pull-off");
    assertThat(tune(a, BAR)).singleElement().satisfies(n -> assertThat(n.pick()).isPresent());
  }

  @ParameterizedTest
  @CsvSource({
    "0, , 3, RING, HAMMERED, true",
    "1, INDEX, 3, RING, HAMMERED, true",
    "3, RING, 5, RING, HAMMERED, false",
    "3, RING, 1, INDEX, PULLED, false",
    "3, RING, 0, , PULLED, true",
    "3, RING, 5, RING, SLID, true",
    "3, RING, 5, LITTLE, SLID, false",
    "3, RING, 3, LITTLE, PLUCKED, true"
  })
  void whatTheFrettingHandCanMakeWhileItChanges(
      int from, Finger before, int to, Finger after, Legato legato, boolean can) {
    Stance.Voice voice = new Stance.Voice(4, from, Optional.ofNullable(before));
    Stance.Voice next = new Stance.Voice(4, to, Optional.ofNullable(after));
    assertThat(voice.leadsTo(next, legato)).isEqualTo(can);
    Stance.Voice elsewhere = new Stance.Voice(5, to, Optional.ofNullable(after));
    assertThat(voice.leadsTo(elsewhere, Legato.HAMMERED)).isFalse();
  }
}
