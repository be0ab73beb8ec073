package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.song.TestSongs;
import phalanx.theory.Ticks;

/** A rest in the tune is heard: the string does not ring through it. */
class TuneRestTest {

  @Test
  void anOpenStringStopsAtARest() {
    Arrangement a =
        new Arranger()
            .arrange(TestSongs.singing(TestSongs.of("| C | C |"), "e4@1 - g -", "e4@1 . . ."));
    Performance performance = Performance.of(a);
    for (int tick : new int[] {0, 2 * Ticks.PER_QUARTER}) {
      Note note =
          a.notesFrom(tick, tick + 1).stream()
              .filter(n -> n.part() == Note.Part.TUNE)
              .findFirst()
              .orElseThrow();
      assertThat(note.lengthTicks()).isEqualTo(Ticks.PER_QUARTER);
      Sounded heard =
          performance.notes().stream().filter(n -> n.note().equals(note)).findFirst().orElseThrow();
      double beat = 60 / a.song().tempo();
      assertThat(heard.end() - heard.onset()).isLessThan(1.1 * beat);
    }
  }

  @Test
  void whatIsTiedOrFollowedRingsAsItIsWritten() {
    Arrangement a =
        new Arranger()
            .arrange(TestSongs.singing(TestSongs.of("| C | C |"), "e4@1 . g@2 .", ". . e4@1 ."));
    Note first =
        a.notesFrom(0, 1).stream()
            .filter(n -> n.part() == Note.Part.TUNE)
            .findFirst()
            .orElseThrow();
    assertThat(first.lengthTicks()).isGreaterThanOrEqualTo(2 * Ticks.PER_QUARTER);
  }
}
