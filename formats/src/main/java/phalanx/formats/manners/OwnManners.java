package phalanx.formats.manners;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import phalanx.draft.Manner;
import phalanx.draft.MannerWriter;
import phalanx.draft.Manners;
import phalanx.formats.FileProblem;
import phalanx.formats.NamedTexts;
import phalanx.formats.disk.DiskTrouble;

/**
 * A player's own manners: every {@code *.manners} file of a folder.
 *
 * @param manners those without a fault, file by file
 * @param problems what is wrong with the others, each with its file
 */
public record OwnManners(List<Manner> manners, List<NamedTexts.Fault> problems) {

  /** No manner of one's own. */
  public static final OwnManners NONE = new OwnManners(List.of(), List.of());

  private static final String ENDING = ".manners";

  public OwnManners {
    manners = List.copyOf(manners);
    problems = List.copyOf(problems);
  }

  /** Reads a folder; one that is not there is empty. */
  public static OwnManners read(Path folder) {
    List<Manner> manners = new ArrayList<>();
    List<NamedTexts.Fault> faults = new ArrayList<>();
    for (Path file : in(folder).files()) {
      try {
        Manners.Result result = Manners.read(NamedTexts.read(file));
        manners.addAll(result.manners());
        for (Manners.Problem p : result.problems()) {
          faults.add(new NamedTexts.Fault(file, new FileProblem(p.line(), 1, p.message())));
        }
      } catch (IOException e) {
        faults.add(new NamedTexts.Fault(file, new FileProblem(1, 1, DiskTrouble.reading(e))));
      }
    }
    return new OwnManners(manners, faults);
  }

  private static NamedTexts in(Path folder) {
    return new NamedTexts(folder, ENDING, "manner:");
  }

  /**
   * Puts a manner into the program's own file of a folder, in place of one of the same name.
   *
   * @throws IOException if the file cannot be written; it is then as it was
   */
  public static void save(Path folder, Manner manner) throws IOException {
    in(folder).save(manner.name(), MannerWriter.write(manner));
  }

  /** Takes a manner out of the program's own file of a folder. */
  public static void remove(Path folder, String name) throws IOException {
    in(folder).remove(name);
  }
}
