package phalanx.fuzz;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Runs jobs in turn, each input under a watch, and keeps what broke a promise. */
final class Fuzzing implements AutoCloseable {

  /** Every reader answers any input within this, as a long run of odd input asks of it. */
  static final Duration PROMISED = Duration.ofSeconds(2);

  /** Only what never ends takes longer, also on a busy machine: all the build asks. */
  static final Duration GUARD = Duration.ofSeconds(60);

  /** A job that fails over and over is stopped. */
  private static final int MOST_FAILURES = 12;

  /**
   * A broken promise.
   *
   * @param job the reader
   * @param seed makes the input again
   * @param input the input
   * @param trace what went wrong, with its place in the code
   */
  record Failure(String job, long seed, byte[] input, String trace) {}

  private final Watch watch = new Watch();
  private final Duration read;
  private final Map<String, Long> counts = new LinkedHashMap<>();
  private final List<Failure> failures = new ArrayList<>();

  /**
   * Nothing was tried yet.
   *
   * @param read how long an input may be read
   */
  Fuzzing(Duration read) {
    this.read = read;
  }

  /** Reads one input. */
  Optional<Throwable> read(Job job, byte[] input) {
    try {
      Runnable use = watch.within(read, "reading", () -> job.reader().read(input));
      watch.within(
          GUARD,
          "using what was read",
          () -> {
            use.run();
            return true;
          });
      return Optional.empty();
    } catch (RuntimeException | Error e) {
      return Optional.of(e);
    }
  }

  /** Some inputs of a job. */
  void run(Job job, long seed, int tries) {
    for (int t = 0; t < tries && failuresOf(job) < MOST_FAILURES; t++) {
      long own = seed + t;
      byte[] input = new Mutation(job, own).next();
      read(job, input).ifPresent(e -> failures.add(new Failure(job.name(), own, input, trace(e))));
      counts.merge(job.name(), 1L, Long::sum);
    }
  }

  private long failuresOf(Job job) {
    return failures.stream().filter(f -> f.job().equals(job.name())).count();
  }

  private static String trace(Throwable e) {
    StringWriter words = new StringWriter();
    e.printStackTrace(new PrintWriter(words, true));
    return words.toString().lines().limit(14).reduce((a, b) -> a + "\n" + b).orElse("");
  }

  /** How many inputs each job has read. */
  Map<String, Long> counts() {
    return counts;
  }

  /** Every broken promise. */
  List<Failure> failures() {
    return List.copyOf(failures);
  }

  /** Keeps the inputs of the failures in a folder, for the tests to hold. */
  void keep(Path folder) throws IOException {
    for (Failure failure : failures) {
      Path place = folder.resolve(failure.job());
      Files.createDirectories(place);
      Files.write(place.resolve(failure.seed() + ".bin"), failure.input());
      Files.write(
          place.resolve(failure.seed() + ".txt"), failure.trace().getBytes(StandardCharsets.UTF_8));
    }
  }

  @Override
  public void close() {
    watch.close();
  }
}
