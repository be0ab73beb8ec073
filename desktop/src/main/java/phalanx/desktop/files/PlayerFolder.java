package phalanx.desktop.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** The folder where the program keeps what is the player's and in no song. */
public final class PlayerFolder {

  private final Path folder;

  public PlayerFolder(Path folder) {
    this.folder = folder;
  }

  /**
   * The usual folder: that of the system property {@code phalanx.home}, or the one the XDG base
   * directory specification names for state.
   */
  public static PlayerFolder usual() {
    String own = System.getProperty("phalanx.home");
    if (own != null) {
      return new PlayerFolder(Path.of(own));
    }
    String state = System.getenv("XDG_STATE_HOME");
    Path base =
        state == null || state.isBlank()
            ? Path.of(System.getProperty("user.home"), ".local", "state")
            : Path.of(state);
    return new PlayerFolder(base.resolve("phalanx"));
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
