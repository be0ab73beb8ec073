package phalanx.formats.patterns;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import phalanx.formats.FileProblem;
import phalanx.formats.NamedTexts;
import phalanx.formats.disk.DiskTrouble;
import phalanx.picking.PatternReader;
import phalanx.picking.PatternWriter;
import phalanx.picking.WrittenPattern;

/**
 * A player's own patterns: every {@code *.pattern} file of a folder. What is saved from the program
 * goes to one of them; the others are the player's to write by hand.
 *
 * @param patterns those without a fault, file by file
 * @param problems what is wrong with the others, each with its file
 */
public record OwnPatterns(List<WrittenPattern> patterns, List<NamedTexts.Fault> problems) {

  /** The file that the program writes. */
  public static final String MINE = "mine" + PatternShelf.ENDING;

  /** No pattern of one's own. */
  public static final OwnPatterns NONE = new OwnPatterns(List.of(), List.of());

  public OwnPatterns {
    patterns = List.copyOf(patterns);
    problems = List.copyOf(problems);
  }

  /** Reads a folder; one that is not there is empty. */
  public static OwnPatterns read(Path folder) {
    List<WrittenPattern> patterns = new ArrayList<>();
    List<NamedTexts.Fault> faults = new ArrayList<>();
    for (Path file : in(folder).files()) {
      try {
        PatternReader.Result result = PatternReader.read(NamedTexts.read(file));
        patterns.addAll(result.patterns());
        for (PatternReader.Problem p : result.problems()) {
          faults.add(
              new NamedTexts.Fault(file, new FileProblem(p.line(), p.column(), p.message())));
        }
      } catch (IOException e) {
        faults.add(new NamedTexts.Fault(file, new FileProblem(1, 1, DiskTrouble.reading(e))));
      }
    }
    return new OwnPatterns(patterns, faults);
  }

  private static NamedTexts in(Path folder) {
    return new NamedTexts(folder, PatternShelf.ENDING);
  }

  /**
   * Puts a pattern into the program's own file of a folder, in place of one of the same name.
   *
   * @throws IOException if the file cannot be written; it is then as it was
   */
  public static void save(Path folder, WrittenPattern pattern) throws IOException {
    in(folder).save(pattern.title(), PatternWriter.write(pattern));
  }

  /** Takes a pattern out of the program's own file of a folder. */
  public static void remove(Path folder, String title) throws IOException {
    in(folder).remove(title);
  }
}
