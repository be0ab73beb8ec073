package phalanx.desktop.device;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;

/** Whether the system is set to dark colours, asked of its own settings. */
public final class SystemTheme {

  /** A system that does not answer by then is light, ms. */
  private static final long PATIENCE = 400;

  private SystemTheme() {}

  /** Asks; false where the system does not say. Takes a moment: not for the interface’s thread. */
  public static boolean isDark() {
    return isDark(said(question(System.getProperty("os.name"))));
  }

  /** What each system is asked with (the tools that come with them; from memory). */
  static List<String> question(String system) {
    if (system.startsWith("Mac")) {
      return List.of("defaults", "read", "-g", "AppleInterfaceStyle");
    }
    if (system.startsWith("Windows")) {
      return List.of(
          "reg",
          "query",
          "HKCU\\Software\\Microsoft\\Windows\\CurrentVersion\\Themes\\Personalize",
          "/v",
          "AppsUseLightTheme");
    }
    return List.of("gsettings", "get", "org.gnome.desktop.interface", "color-scheme");
  }

  static boolean isDark(String said) {
    String words = said.toLowerCase(Locale.ROOT);
    return words.contains("dark")
        || words.contains("appsuselighttheme") && words.strip().endsWith("0x0");
  }

  private static String said(List<String> question) {
    try {
      Process asked = new ProcessBuilder(question).redirectErrorStream(true).start();
      if (!asked.waitFor(PATIENCE, TimeUnit.MILLISECONDS)) {
        asked.destroy();
        return "";
      }
      return asked.exitValue() == 0
          ? new String(asked.getInputStream().readAllBytes(), StandardCharsets.UTF_8)
          : "";
    } catch (IOException e) {
      // Not every system has the tool: it is one that does not say.
      return "";
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return "";
    }
  }
}
