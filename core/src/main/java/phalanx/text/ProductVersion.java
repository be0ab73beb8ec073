package phalanx.text;

import java.util.Locale;
import java.util.ResourceBundle;

/** Which version of the program this is; the build writes it from the one place it is said. */
public final class ProductVersion {

  private static final String FILE = "phalanx.text.version";

  private ProductVersion() {}

  /** Such as {@code 0.1.0}. */
  public static String words() {
    return ResourceBundle.getBundle(FILE, Locale.ROOT)
        .getString("version")
        .replace("-SNAPSHOT", "");
  }
}
