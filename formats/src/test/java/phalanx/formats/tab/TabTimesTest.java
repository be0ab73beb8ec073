package phalanx.formats.tab;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import phalanx.theory.Meter;

/**
 * Bars spaced as people type them: so many signs a step, some behind the bar line, some or none
 * before the next (common practice, no source).
 */
class TabTimesTest {

  @Test
  void evenSpacingIsReadAsItWasTyped() {
    Random random = new Random(20_261_129);
    int right = 0;
    int all = 0;
    StringBuilder wrong = new StringBuilder();
    for (int width = 1; width <= 4; width++) {
      for (int lead = 1; lead <= 3; lead++) {
        for (int tail : new TreeSet<>(java.util.List.of(0, 1, width - 1))) {
          for (int steps : new int[] {8, 12, 16}) {
            for (int t = 0; t < 20; t++) {
              TreeSet<Integer> columns = new TreeSet<>();
              TreeMap<Integer, Integer> ticks = new TreeMap<>();
              for (int s = 0; s < steps; s++) {
                if (random.nextDouble() < 0.6) {
                  columns.add(lead + s * width);
                  ticks.put(lead + s * width, s * Meter.FOUR_FOUR.barTicks() / steps);
                }
              }
              if (columns.size() < 3) {
                continue;
              }
              int end = lead + (steps - 1) * width + 1 + tail;
              TabTimes times = TabTimes.of(columns, new TreeMap<>(), 0, end, lead, Meter.FOUR_FOUR);
              all++;
              boolean good = columns.stream().allMatch(c -> times.at(c) == ticks.get(c));
              right += good ? 1 : 0;
              if (!good) {
                wrong.append(width + "," + lead + "," + tail + "," + steps + " ");
              }
            }
          }
        }
      }
    }
    assertThat(right).as("of %d; not: %s", all, wrong).isGreaterThan(all * 98 / 100);
  }
}
