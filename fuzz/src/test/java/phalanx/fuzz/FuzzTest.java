package phalanx.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every reader answers whatever it is given, and what it accepts can be kept. In the build a fixed
 * number of inputs with fixed seeds; {@code ./check --fuzz MINUTES} goes on with others.
 */
class FuzzTest {

  private static final Path ROOT = Path.of(System.getProperty("phalanx.root", ".."));
  private static final long MINUTES = Long.getLong("phalanx.fuzz.minutes", 0);
  private static final long SEED =
      Long.getLong(
          "phalanx.fuzz.seed", MINUTES > 0 ? System.currentTimeMillis() << 20 : 20_261_124L);

  /** The readers to be tried, all of them if empty. */
  private static final Set<String> ONLY =
      Set.of(System.getProperty("phalanx.fuzz.only", "").split(","));

  /** Inputs of each reader in the build. */
  private static final int EACH = Integer.getInteger("phalanx.fuzz.each", 250);

  /** Inputs of a reader before the next has its turn. */
  private static final int TURN = 200;

  @Test
  void everyReaderAnswersWhateverItIsGiven() throws IOException {
    List<Job> jobs =
        new Jobs(ROOT)
            .all().stream().filter(j -> ONLY.contains("") || ONLY.contains(j.name())).toList();
    assertThat(jobs).as("readers called " + ONLY).isNotEmpty();
    long end = System.nanoTime() + MINUTES * 60_000_000_000L;
    try (Fuzzing fuzzing = new Fuzzing(MINUTES > 0 ? Fuzzing.PROMISED : Fuzzing.GUARD)) {
      long seed = SEED;
      for (int done = 0; done < EACH || System.nanoTime() < end; done += TURN) {
        for (Job job : jobs) {
          fuzzing.run(job, seed, TURN);
        }
        seed += TURN;
      }
      System.out.println("fuzz seed " + SEED + ", inputs read: " + fuzzing.counts());
      fuzzing.keep(Path.of("target", "fuzz"));
      for (Fuzzing.Failure f : fuzzing.failures()) {
        System.out.printf("fuzz failure: %s, seed %d%n%s%n", f.job(), f.seed(), f.trace());
      }
      assertThat(fuzzing.failures()).extracting(f -> f.job() + " " + f.seed()).isEmpty();
    }
  }

  /** What was found before is answered now: one small file each. */
  @ParameterizedTest
  @MethodSource("found")
  void whatWasFoundBeforeIsAnsweredNow(Path input) throws IOException {
    String name = input.getParent().getFileName().toString();
    Job job =
        new Jobs(ROOT).all().stream().filter(j -> j.name().equals(name)).findFirst().orElseThrow();
    try (Fuzzing fuzzing = new Fuzzing(Fuzzing.GUARD)) {
      Optional<Throwable> fault = fuzzing.read(job, Files.readAllBytes(input));
      assertThat(fault).isEmpty();
    }
  }

  static Stream<Path> found() throws IOException {
    try (Stream<Path> all =
        Files.walk(ROOT.resolve("fuzz/src/test/resources/phalanx/fuzz/found"))) {
      return all.filter(f -> f.toString().endsWith(".bin")).sorted().toList().stream();
    }
  }
}
