package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxToolkit;

/**
 * Walks through the window at random. {@code -Dphalanx.wander.minutes=60} draws new seeds for an
 * hour and goes on after a walk that failed; {@code -Dphalanx.wander.seed=7} walks one of them
 * again.
 */
class WanderTest {

  private static final int STEPS = 150;

  /** Walks of every build; about a minute here. */
  private static final int WALKS = 6;

  /** An answer of the interface later than this is a fault, ms. */
  private static final long PATIENCE = 2_000;

  private final Map<String, Integer> counts = new TreeMap<>();
  private long slowest;

  @BeforeAll
  static void start() throws TimeoutException {
    FxToolkit.registerPrimaryStage();
  }

  @Test
  void whateverIsDoneInWhateverOrderTheWindowHolds() {
    Long one = Long.getLong("phalanx.wander.seed");
    int minutes = Integer.getInteger("phalanx.wander.minutes", 0);
    StringBuilder failed = new StringBuilder();
    int walks = 0;
    if (one != null) {
      walk(one);
      walks = 1;
    } else if (minutes > 0) {
      long end = System.nanoTime() + TimeUnit.MINUTES.toNanos(minutes);
      Random seeds = new Random();
      while (System.nanoTime() < end) {
        walks++;
        try {
          walk(seeds.nextInt(1_000_000_000));
        } catch (AssertionError e) {
          System.out.println("WALK FAILED " + e.getMessage());
          failed.append(e.getMessage()).append('\n');
        }
        if (walks % 10 == 0) {
          System.out.println("wandering: " + walks + " walks, " + counts + ", slowest " + slowest);
        }
      }
    } else {
      for (long seed = 1; seed <= WALKS; seed++) {
        walk(seed);
        walks++;
      }
    }
    System.out.println(
        "wandered " + walks + " times: " + counts + "; slowest answer " + slowest + " ms");
    assertThat(failed.toString()).isEmpty();
    assertThat(counts.values().stream().mapToInt(n -> n).sum()).isGreaterThan(STEPS / 2);
  }

  private void walk(long seed) {
    Wanderer.Report report = new Wanderer(seed, PATIENCE).walk(STEPS);
    report.counts().forEach((kind, n) -> counts.merge(kind, n, Integer::sum));
    slowest = Math.max(slowest, report.slowestMs());
  }
}
