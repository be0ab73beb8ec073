package phalanx.desktop.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import phalanx.formats.disk.ProgramFolder;

/** The folder where the program keeps what is the player's and in no song. */
public final class PlayerFolder {

  private final Path folder;

  public PlayerFolder(Path folder) {
    this.folder = folder;
  }

  /** The usual folder of this system. */
  public static PlayerFolder usual() {
    return new PlayerFolder(ProgramFolder.usual());
  }

  /** The folder itself; it may not be there yet. */
  public Path path() {
    return folder;
  }

  /** Where the program notes what went wrong; named in logback.xml as well. */
  public Path log() {
    return folder.resolve("phalanx.log");
  }

  /** A file in it; its folder is made if need be. */
  Path file(String... names) throws IOException {
    Path file = folder;
    for (String name : names) {
      file = file.resolve(name);
    }
    Files.createDirectories(file.getParent());
    return file;
  }
}
