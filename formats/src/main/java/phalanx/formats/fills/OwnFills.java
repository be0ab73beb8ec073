package phalanx.formats.fills;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import phalanx.embellishment.Fill;
import phalanx.embellishment.FillReader;
import phalanx.embellishment.FillWriter;
import phalanx.formats.FileProblem;
import phalanx.formats.NamedTexts;
import phalanx.formats.disk.DiskTrouble;

/**
 * A player's own fills: every {@code *.fills} file of a folder.
 *
 * @param fills those without a fault, file by file
 * @param problems what is wrong with the others, each with its file
 */
public record OwnFills(List<Fill> fills, List<NamedTexts.Fault> problems) {

  /** No fill of one's own. */
  public static final OwnFills NONE = new OwnFills(List.of(), List.of());

  private static final String ENDING = ".fills";

  public OwnFills {
    fills = List.copyOf(fills);
    problems = List.copyOf(problems);
  }

  /** Reads a folder; one that is not there is empty. */
  public static OwnFills read(Path folder) {
    List<Fill> fills = new ArrayList<>();
    List<NamedTexts.Fault> faults = new ArrayList<>();
    for (Path file : in(folder).files()) {
      try {
        FillReader.Result result = FillReader.read(NamedTexts.read(file));
        fills.addAll(result.fills());
        for (FillReader.Problem p : result.problems()) {
          faults.add(new NamedTexts.Fault(file, new FileProblem(p.line(), 1, p.message())));
        }
      } catch (IOException e) {
        faults.add(new NamedTexts.Fault(file, new FileProblem(1, 1, DiskTrouble.reading(e))));
      }
    }
    return new OwnFills(fills, faults);
  }

  private static NamedTexts in(Path folder) {
    return new NamedTexts(folder, ENDING);
  }

  /**
   * Puts a fill into the program's own file of a folder, in place of one of the same name.
   *
   * @throws IOException if the file cannot be written; it is then as it was
   */
  public static void save(Path folder, Fill fill) throws IOException {
    in(folder).save(fill.name(), FillWriter.write(fill));
  }

  /** Takes a fill out of the program's own file of a folder. */
  public static void remove(Path folder, String name) throws IOException {
    in(folder).remove(name);
  }
}
