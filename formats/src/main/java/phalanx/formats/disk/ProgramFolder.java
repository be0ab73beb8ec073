package phalanx.formats.disk;

import java.nio.file.Path;
import java.util.Map;

/** Where each system keeps what is a program's own: its log, its settings. */
public final class ProgramFolder {

  /** The system property that names another folder; the log’s settings read it, too. */
  public static final String PROPERTY = "phalanx.home";

  private ProgramFolder() {}

  /**
   * The usual folder: that of the system property {@code phalanx.home}, or the one that the system
   * has for programs: the XDG base directory specification’s for state, {@code Library/Application
   * Support} on macOS, {@code %LOCALAPPDATA%} on Windows.
   */
  public static Path usual() {
    String own = System.getProperty(PROPERTY);
    return own != null
        ? Path.of(own)
        : of(
            System.getProperty("os.name"),
            Path.of(System.getProperty("user.home")),
            System.getenv());
  }

  /** Tells the log’s settings where it is; to be called before anything is logged. */
  public static void settle() {
    System.setProperty(PROPERTY, usual().toString());
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
}
