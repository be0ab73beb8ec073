package phalanx.formats;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import phalanx.formats.disk.AtomicFile;
import phalanx.formats.disk.DiskTrouble;
import phalanx.formats.disk.RegularFile;

/**
 * A player's own texts, each begun by a line such as {@code name:}, any number in every file of a
 * folder with some ending. What is saved from the program goes to one of the files; the others are
 * the player's to write by hand.
 *
 * @param ending what the names of the files end in
 * @param begins what the line begins with that names a text
 */
public record NamedTexts(Path folder, String ending, String begins) {

  /** The largest file that is read, bytes: thousands of texts. */
  private static final long MOST_BYTES = 2_000_000;

  /** Texts that begin with their {@code name:}. */
  public NamedTexts(Path folder, String ending) {
    this(folder, ending, "name:");
  }

  /** The files, by name; none where the folder is not there. */
  public List<Path> files() {
    try (Stream<Path> all = Files.list(folder)) {
      return all.filter(f -> f.toString().endsWith(ending)).sorted().toList();
    } catch (IOException e) {
      return List.of();
    }
  }

  /**
   * The text of one of the files.
   *
   * @throws IOException if it cannot be read, is no file, or is larger than such texts ever are
   */
  public static String read(Path file) throws IOException {
    RegularFile.check(file);
    if (Files.size(file) > MOST_BYTES) {
      throw new DiskTrouble(Texts.of("namedTexts.cannotBeReadIt", MOST_BYTES / 1_000));
    }
    return Files.readString(file);
  }

  /** The file that the program writes. */
  public Path mine() {
    return folder.resolve("mine" + ending);
  }

  /**
   * Puts a text into the program's own file, in place of one of the same name. What else stands in
   * the file stays, remarks and faulty texts too.
   *
   * @throws IOException if the file cannot be written; it is then as it was
   */
  public void save(String name, String text) throws IOException {
    Files.createDirectories(folder);
    String before = Files.exists(mine()) ? read(mine()) : "";
    String others = without(before, name);
    String kept = others.isBlank() ? "" : others.stripTrailing() + "\n\n";
    AtomicFile.write(mine(), kept + text);
  }

  /** Takes a text out of the program's own file. */
  public void remove(String name) throws IOException {
    if (Files.exists(mine())) {
      AtomicFile.write(mine(), without(read(mine()), name));
    }
  }

  private String without(String text, String name) {
    List<String> kept = new ArrayList<>();
    boolean mine = false;
    for (String line : text.lines().toList()) {
      if (line.strip().startsWith(begins)) {
        mine = line.strip().substring(begins.length()).strip().equals(name);
      }
      if (!mine) {
        kept.add(line);
      }
    }
    return kept.stream().collect(Collectors.joining("\n", "", "\n"));
  }

  /** A fault and the file it is in. */
  public record Fault(Path file, FileProblem problem) {

    @Override
    public String toString() {
      return file.getFileName()
          + ":"
          + problem.line()
          + ":"
          + problem.column()
          + ": "
          + problem.message();
    }
  }
}
