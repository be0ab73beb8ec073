package phalanx.desktop.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;

/** The folder where the program keeps what is the player's and in no song. */
public final class PlayerFolder {

  /** The system property that names another folder; the log’s settings read it, too. */
  public static final String PROPERTY = "phalanx.home";

  private final Path folder;

  public PlayerFolder(Path folder) {
    this.folder = folder;
  }

  /**
   * The usual folder: that of the system property {@code phalanx.home}, or the one that the system
   * has for programs: the XDG base directory specification’s for state, {@code Library/Application
   * Support} on macOS, {@code %LOCALAPPDATA%} on Windows.
   */
  public static PlayerFolder usual() {
    String own = System.getProperty(PROPERTY);
    return own != null
        ? new PlayerFolder(Path.of(own))
        : new PlayerFolder(
            of(
                System.getProperty("os.name"),
                Path.of(System.getProperty("user.home")),
                System.getenv()));
  }

  static Path of(String system, Path home, Map<String, String> environment) {
    if (system.startsWith("Mac")) {
      return home.resolve(Path.of("Library", "Application Support", "Phalanx"));
    }
    if (system.startsWith("Windows")) {
      return in(environment, "LOCALAPPDATA", home.resolve(Path.of("AppData", "Local")))
          .resolve("Phalanx");
    }
    return in(environment, "XDG_STATE_HOME", home.resolve(Path.of(".local", "state")))
        .resolve("phalanx");
  }

  private static Path in(Map<String, String> environment, String name, Path usual) {
    String said = environment.getOrDefault(name, "");
    return said.isBlank() ? usual : Path.of(said);
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
