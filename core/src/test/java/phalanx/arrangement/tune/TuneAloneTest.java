package phalanx.arrangement.tune;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Note;
import phalanx.findings.Review;
import phalanx.planning.Arranger;
import phalanx.planning.OldTunesTest;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Timeline;

/** A tune without chords is planned all the same. */
class TuneAloneTest {

  private static Arrangement arranged(String... bars) {
    Song song = TestSongs.of("N.C." + " | N.C.".repeat(bars.length - 1)).withTempo(90);
    return new Arranger().arrange(TestSongs.singing(song, bars));
  }

  private static String places(Arrangement a) {
    return a.notes().stream()
        .map(
            n ->
                (6 - n.string())
                    + ":"
                    + n.fret()
                    + n.fretFinger().map(f -> "(" + f.sign() + ")").orElse(""))
        .collect(Collectors.joining(" "));
  }

  /** The scale of C in first position, one finger a fret, open strings (common practice). */
  @Test
  void theScaleOfCLiesInFirstPosition() {
    assertThat(places(arranged("c3 d e f", "g3 a b c4", "d4 e f g")))
        .isEqualTo("5:3(3) 4:0 4:2(2) 4:3(3) 3:0 3:2(2) 2:0 2:1(1) 2:3(3) 1:0 1:1(1) 1:3(3)");
  }

  /** Thirds in C: each pair on two strings, under two fingers or one beside an open string. */
  @Test
  void notesAtOnceAreHeldTogether() {
    Arrangement a = arranged("g3+b3 a3+c4 b3+d4 c4+e4");
    assertThat(a.notes()).hasSize(8);
    for (int tick = 0; tick < 20160; tick += 5040) {
      List<Note> pair = a.notesFrom(tick, tick + 1);
      assertThat(pair).extracting(Note::string).doesNotHaveDuplicates();
      assertThat(pair.stream().flatMap(n -> n.fretFinger().stream())).doesNotHaveDuplicates();
    }
  }

  @Test
  void slursAreMadeByFingersOfOneString() {
    Arrangement a = arranged("a4 ^b . /c5");
    assertThat(a.notes())
        .extracting(Note::attack)
        .containsExactly(Attack.PLUCKED, Attack.HAMMERED, Attack.SLID);
  }

  static List<OldTunesTest.Old> tunes() {
    return OldTunesTest.tunes();
  }

  /** Every note of the old tunes is there and no finger has to be in two places. */
  @ParameterizedTest
  @MethodSource("tunes")
  void oldTunesArePlannedWithoutTheirChords(OldTunesTest.Old old) {
    Song song = OldTunesTest.song(old);
    Song bare = song.withChart(song.chart().mapBars(b -> b.withChanges(List.of())));
    assertThat(bare.isTuneAlone()).isTrue();
    Arrangement a = new Arranger().arrange(bare);
    assertThat(a.notes()).hasSameSizeAs(TuneLine.of(bare, Timeline.of(bare)));
    assertThat(a.notes()).allMatch(n -> n.part() == Note.Part.TUNE);
    assertThat(Review.of(a).ceiling().song()).isPresent();
  }

  /** A bar of silence in a chart has its tune as well. */
  @Test
  void aTuneGoesOnWhereTheChordsRest() {
    Song song =
        TestSongs.singing(TestSongs.of("C | N.C. | G"), "c5 . . .", "d5 . e5 .", "d5 . . .");
    Arrangement a = new Arranger().arrange(song);
    assertThat(a.notesFrom(20160, 40320)).extracting(Note::midi).containsExactly(74, 76);
  }
}
