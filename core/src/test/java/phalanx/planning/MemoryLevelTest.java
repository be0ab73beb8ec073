package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.lang.management.ManagementFactory;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import phalanx.findings.Review;
import phalanx.melody.BarTune;
import phalanx.melody.TuneReader;
import phalanx.performance.Performance;
import phalanx.song.Bar;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Meter;

/**
 * A song that is edited on and on keeps the heap at a level. {@code -Dphalanx.edits=10000} makes it
 * a long one.
 */
class MemoryLevelTest {

  private static final int EDITS = Integer.getInteger("phalanx.edits", 240);

  /** The heap may be larger by so much than after a third of the edits, MB. */
  private static final double MOST = 12;

  private static final List<String> NOTES =
      List.of("g4", "a4", "b4", "c5", "d5", "e5", "f#5", "g5");

  @Test
  void editsOfATuneHoldTheHeapLevel() {
    Random random = new Random(20);
    Arranger arranger = new Arranger();
    Song song = TestSongs.of("G | D/F# | Em7 | Cadd9 | Am7 . D7 . | Bm7 | C . G/B . | D");
    List<Integer> bars = song.chart().bars().stream().map(Bar::id).toList();
    double early = 0;
    for (int edit = 1; edit <= EDITS; edit++) {
      StringBuilder typed = new StringBuilder();
      for (int n = 0; n < 4; n++) {
        typed.append(NOTES.get(random.nextInt(NOTES.size()))).append(' ');
      }
      BarTune tune = TuneReader.read(typed.toString(), Meter.FOUR_FOUR).tune();
      song = song.withTune(song.tune().with(bars.get(random.nextInt(bars.size())), tune));
      song = song.withTempo(60 + random.nextInt(100));
      assertThat(Review.of(Performance.of(arranger.arrange(song))).findings()).isNotNull();
      if (edit == EDITS / 3) {
        early = heap();
      }
    }
    double late = heap();
    System.out.printf(
        "heap after %d edits %.1f MB, after %d %.1f MB%n", EDITS / 3, early, EDITS, late);
    assertThat(late - early).isLessThan(MOST);
    assertThat(arranger.arrange(song).song()).isEqualTo(song);
  }

  /** What is in use after everything unused is gone, MB. */
  private static double heap() {
    for (int i = 0; i < 3; i++) {
      System.gc();
    }
    return ManagementFactory.getMemoryMXBean().getHeapMemoryUsage().getUsed() / 1e6;
  }

  /** A plan that nobody waits for any more is given up in the middle. */
  @Test
  void anOutdatedPlanIsGivenUp() {
    Song song =
        TestSongs.of("G | D/F# | Em7 | Cadd9 | Am7 . D7 . | Bm7 | C . G/B . | D |".repeat(8));
    int[] asked = {0};
    Arranger arranger = new Arranger();
    assertThatThrownBy(() -> arranger.arrange(song, () -> ++asked[0] > 3))
        .isInstanceOf(CancellationException.class);
    assertThat(asked[0]).isLessThan(40);
    assertThat(arranger.arrange(song).notes()).isEqualTo(new Arranger().arrange(song).notes());
  }
}
