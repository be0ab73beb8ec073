package phalanx.notation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.planning.Arranger;
import phalanx.song.TestSongs;
import phalanx.theory.Ticks;

/** The two voices of a bar on paper. Common practice in guitar scores, no source. */
class BarVoicesTest {

  private static List<WrittenNote> upper(Arrangement a, int bar) {
    return BarVoices.of(a, a.timeline().bars().get(bar)).upper();
  }

  /** A short note takes no time on paper, whether it comes before its note's beat or on it. */
  @Test
  void aNoteStandsOnItsBeatWhateverShortNotesLeadToIt() {
    Arrangement a =
        new Arranger()
            .arrange(TestSongs.singing(TestSongs.of("C | G"), "{d}e4 . {f}g4 .", "{a}b4 . g ."));
    for (int bar = 0; bar < 2; bar++) {
      int start = a.timeline().bars().get(bar).startTick();
      assertThat(upper(a, bar))
          .extracting(WrittenNote::tick)
          .containsExactly(start, start + 2 * Ticks.PER_QUARTER);
      assertThat(upper(a, bar).get(0).graces()).hasSize(1);
      assertThat(upper(a, bar))
          .extracting(n -> n.piece().ticks())
          .containsOnly(2 * Ticks.PER_QUARTER);
    }
    assertThat(a.notesFrom(0, 1)).filteredOn(a::isGrace).hasSize(1);
  }
}
