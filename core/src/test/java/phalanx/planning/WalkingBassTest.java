package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Note;
import phalanx.instrument.Finger;
import phalanx.instrument.StringSign;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.ThumbRoute;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Key;

class WalkingBassTest {

  private static final Arranger ARRANGER = new Arranger();

  private static Arrangement walking(String chords, String key) {
    Song song = TestSongs.of(chords).withKey(Key.parse(key)).withThumb(ThumbRoute.WALKING_ALWAYS);
    return ARRANGER.arrange(song.withPattern(AlternatingThumb.THUMB_ALONE));
  }

  /** The bass steps into the next root, in the key where it can (common practice, no source). */
  @ParameterizedTest
  @CsvSource({
    "G | C, G, ⑤2",
    "C | G, C, ⑥1",
    "C | G, G, ⑥2",
    "Am | E, Am, ⑥1",
    "C | Am, C, ⑤2",
    "G | Am, G, ⑥3"
  })
  void theLastBassNoteIsAStepFromTheNextRoot(String chords, String key, String place) {
    Arrangement a = walking(chords, key);
    Note last = a.notesFrom(15120, 15121).get(0);
    Note root = a.notesFrom(20160, 20161).get(0);
    assertThat(StringSign.of(last.string()) + last.fret()).isEqualTo(place);
    assertThat(Math.abs(root.midi() - last.midi())).isBetween(1, 2);
    assertThat(last.fretFinger().isEmpty()).isEqualTo(last.fret() == 0);
  }

  @Test
  void theFingerThatWalksStandsInTheHoldChart() {
    Arrangement a = walking("C | G", "C");
    Note last = a.notesFrom(15120, 15121).get(0);
    Finger finger = last.fretFinger().orElseThrow();
    List<Hold> holds = a.holds().stream().filter(h -> h.finger() == finger).toList();
    assertThat(holds)
        .anyMatch(
            h ->
                h.fromTick() <= 15120
                    && h.toTick() >= 20160
                    && h.fret() == last.fret()
                    && h.lowString() == last.string());
    for (int i = 1; i < holds.size(); i++) {
      assertThat(holds.get(i).fromTick()).isGreaterThanOrEqualTo(holds.get(i - 1).toTick());
    }
  }

  @Test
  void theSameRootNeedsNoStep() {
    Arrangement a = walking("C | C", "C");
    assertThat(a.notesFrom(15120, 15121).get(0).string()).isEqualTo(2);
    assertThat(a.slots().get(0).remarks()).isEmpty();
    assertThat(StringSign.of(a.notesFrom(0, 1).get(0).string())).isEqualTo("⑤");
  }

  /** Into a phrase the bass walks, over the chords within it the thumb alternates. */
  @Test
  void aWalkLeadsIntoAPhraseNotIntoEveryChord() {
    Song song =
        TestSongs.of("G | C | D | C | G | C | D | G")
            .withKey(Key.parse("G"))
            .withPattern(AlternatingThumb.THUMB_ALONE);
    Arrangement plain = ARRANGER.arrange(song);
    Arrangement into = ARRANGER.arrange(song.withThumb(ThumbRoute.WALKING));
    List<Integer> other =
        into.notes().stream()
            .filter(n -> !plain.notesFrom(n.tick(), n.tick() + 1).get(0).equals(n))
            .map(n -> into.timeline().barAt(n.tick()).number())
            .distinct()
            .toList();
    assertThat(other).containsExactly(4);
    Arrangement always = ARRANGER.arrange(song.withThumb(ThumbRoute.WALKING_ALWAYS));
    assertThat(always.notes()).isNotEqualTo(into.notes());
  }

  /**
   * Two notes lead from C up to F, by the steps of the key: D and E (common practice, no source).
   */
  @Test
  void aWalkOfTwoNotesGoesByTheScale() {
    Arrangement a = walking("C | F", "C");
    List<Integer> basses =
        a.notesFrom(0, 20161).stream()
            .filter(n -> n.part() == Note.Part.BASS)
            .map(n -> n.midi() % 12)
            .toList();
    assertThat(basses.get(0)).isZero();
    assertThat(basses.subList(basses.size() - 3, basses.size())).containsExactly(9, 7, 5);
  }

  /**
   * The second time the bass goes round F, by E and G (a turn; common practice, no source): what is
   * repeated differs in one thing.
   */
  @Test
  void aRepeatedWalkGoesRoundTheRoot() {
    Arrangement a = walking("C | F :|", "C");
    List<Integer> first = lastTwo(a, 0);
    List<Integer> again = lastTwo(a, 2 * 20160);
    assertThat(first).containsExactly(2, 4);
    assertThat(again).containsExactly(4, 7);
  }

  private static List<Integer> lastTwo(Arrangement a, int bar) {
    return a.notesFrom(bar + 2 * 5040, bar + 4 * 5040).stream()
        .filter(n -> n.part() == Note.Part.BASS)
        .map(n -> n.midi() % 12)
        .toList();
  }
}
