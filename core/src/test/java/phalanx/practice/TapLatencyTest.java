package phalanx.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What a device adds to a tap. */
class TapLatencyTest {

  private static List<Double> taps(double late, double jitter, int count, double period) {
    Random chance = new Random(4);
    List<Double> taps = new ArrayList<>();
    for (int k = 0; k < count; k++) {
      taps.add(k * period + late + jitter * chance.nextGaussian());
    }
    return taps;
  }

  @Test
  void itIsTheMiddleOfTheTaps() {
    for (double late : new double[] {-0.03, 0, 0.04, 0.18, 0.35}) {
      assertThat(TapLatency.of(taps(late, 0.012, 12, 0.75), 0.75).orElseThrow())
          .isEqualTo(late, within(0.01));
    }
  }

  @Test
  void aTapGoneWrongSaysNothing() {
    List<Double> taps = taps(0.05, 0.008, 12, 0.75);
    taps.set(3, taps.get(3) + 0.3);
    taps.add(5.1);
    assertThat(TapLatency.of(taps, 0.75).orElseThrow()).isEqualTo(0.05, within(0.01));
  }

  @Test
  void fewOrUnevenTapsAreNone() {
    assertThat(TapLatency.of(taps(0.05, 0.01, 7, 0.75), 0.75)).isEmpty();
    assertThat(TapLatency.of(taps(0.05, 0.15, 12, 0.75), 0.75)).isEmpty();
    assertThat(TapLatency.of(List.of(), 0.75)).isEmpty();
  }
}
