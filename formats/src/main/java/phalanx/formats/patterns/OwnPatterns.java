package phalanx.formats.patterns;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import phalanx.formats.DiskTrouble;
import phalanx.formats.FileProblem;
import phalanx.formats.WholeFile;
import phalanx.picking.PatternReader;
import phalanx.picking.PatternWriter;
import phalanx.picking.WrittenPattern;
import phalanx.theory.Phrase;

/**
 * A player's own patterns: every {@code *.pattern} file of a folder. What is saved from the program
 * goes to one of them; the others are the player's to write by hand.
 *
 * @param patterns those without a fault, file by file
 * @param problems what is wrong with the others, each with its file
 */
public record OwnPatterns(List<WrittenPattern> patterns, List<Fault> problems) {

  /** The file that the program writes. */
  public static final String MINE = "mine" + PatternShelf.ENDING;

  /** No pattern of one's own. */
  public static final OwnPatterns NONE = new OwnPatterns(List.of(), List.of());

  public OwnPatterns {
    patterns = List.copyOf(patterns);
    problems = List.copyOf(problems);
  }

  /** A fault and the file it is in. */
  public record Fault(Path file, FileProblem problem) {

    @Override
    public String toString() {
      return Phrase.of(
          "%s:%d:%d: %s", file.getFileName(), problem.line(), problem.column(), problem.message());
    }
  }

  /** Reads a folder; one that is not there is empty. */
  public static OwnPatterns read(Path folder) {
    List<WrittenPattern> patterns = new ArrayList<>();
    List<Fault> faults = new ArrayList<>();
    for (Path file : files(folder)) {
      try {
        PatternReader.Result result = PatternReader.read(Files.readString(file));
        patterns.addAll(result.patterns());
        for (PatternReader.Problem p : result.problems()) {
          faults.add(new Fault(file, new FileProblem(p.line(), p.column(), p.message())));
        }
      } catch (IOException e) {
        faults.add(new Fault(file, new FileProblem(1, 1, DiskTrouble.reading(e))));
      }
    }
    return new OwnPatterns(patterns, faults);
  }

  private static List<Path> files(Path folder) {
    try (Stream<Path> all = Files.list(folder)) {
      return all.filter(f -> f.toString().endsWith(PatternShelf.ENDING)).sorted().toList();
    } catch (IOException e) {
      return List.of();
    }
  }

  /**
   * Puts a pattern into the program's own file of a folder, in place of one of the same name. What
   * else stands in the file stays, remarks and faulty patterns too.
   *
   * @throws IOException if the file cannot be written; it is then as it was
   */
  public static void save(Path folder, WrittenPattern pattern) throws IOException {
    Files.createDirectories(folder);
    Path file = folder.resolve(MINE);
    String before = Files.exists(file) ? Files.readString(file) : "";
    String others = without(before, pattern.title());
    String text = others.isBlank() ? "" : others.stripTrailing() + "\n\n";
    WholeFile.write(file, text + PatternWriter.write(pattern));
  }

  /** Takes a pattern out of the program's own file of a folder. */
  public static void remove(Path folder, String title) throws IOException {
    Path file = folder.resolve(MINE);
    if (Files.exists(file)) {
      WholeFile.write(file, without(Files.readString(file), title));
    }
  }

  private static String without(String text, String title) {
    List<String> kept = new ArrayList<>();
    boolean mine = false;
    for (String line : text.lines().toList()) {
      if (line.strip().startsWith("name:")) {
        mine = line.strip().substring("name:".length()).strip().equals(title);
      }
      if (!mine) {
        kept.add(line);
      }
    }
    return kept.stream().collect(Collectors.joining("\n", "", "\n"));
  }
}
