package phalanx.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** No reader’s work grows faster than its input, whatever the input is made of. */
class GrowthTest {

  /**
   * Eight times as much may take so many times as long: 8 is linear, 64 quadratic; the rest is for
   * the machine, whose memory and collector count in.
   */
  private static final double MOST = 24;

  /** What at a glance grows by more is looked at closely. */
  private static final double SUSPICIOUS = 12;

  static Stream<Job> jobs() {
    return new Jobs(Path.of(System.getProperty("phalanx.root", "..")))
        .all().stream().map(GrowthTest::packing);
  }

  /** The reader of packed scores gets them packed. */
  private static Job packing(Job job) {
    return job.name().equals("packed")
        ? new Job(
            job.name(), job.starts(), job.words(), input -> job.reader().read(Jobs.packed(input)))
        : job;
  }

  @ParameterizedTest
  @MethodSource("jobs")
  void readingGrowsLinearly(Job job) {
    List<Growth.Measured> tooMuch =
        Growth.families(job).stream()
            .map(f -> Growth.glance(job, f))
            .peek(GrowthTest::tell)
            .filter(m -> !m.isNothing() && m.growth() > SUSPICIOUS)
            .map(m -> Growth.measure(job, m.family()))
            .filter(m -> !m.isNothing() && m.growth() > MOST)
            // What looks so once may be the machine.
            .map(m -> Growth.measure(job, m.family()))
            .filter(m -> !m.isNothing() && m.growth() > MOST)
            .toList();
    assertThat(tooMuch).isEmpty();
  }

  /** With {@code -Dphalanx.growth=true} every figure is printed. */
  private static void tell(Growth.Measured measured) {
    if (Boolean.getBoolean("phalanx.growth")) {
      System.out.println(measured);
    }
  }
}
