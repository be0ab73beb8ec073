package phalanx.formats.disk;

import java.nio.file.Files;
import java.nio.file.Path;
import phalanx.formats.Texts;

/** Tells files from what only looks like one: a pipe would be waited for without end. */
public final class RegularFile {

  private RegularFile() {}

  /**
   * Refuses what is there and neither a file nor a folder; of folders and of what is not there the
   * system tells when it is opened.
   *
   * @throws DiskTrouble if it is a pipe, a device or the like
   */
  public static void check(Path file) throws DiskTrouble {
    if (Files.exists(file) && !Files.isRegularFile(file) && !Files.isDirectory(file)) {
      throw new DiskTrouble(Texts.of("regularFile.cannotBeReadIt"));
    }
  }
}
