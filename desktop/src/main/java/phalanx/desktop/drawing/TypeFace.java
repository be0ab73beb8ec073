package phalanx.desktop.drawing;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import javafx.scene.text.Font;

/** The shipped type face, in the cuts that painters need. Stylesheets use its family name. */
public final class TypeFace {

  private static final Map<String, Font> FONTS = new ConcurrentHashMap<>();

  private TypeFace() {}

  /** Makes the family known to stylesheets; to be called before the first window. */
  public static void load() {
    plain(13);
    bold(13);
    boldItalic(13);
  }

  /** The upright cut at a size in px. */
  public static Font plain(double size) {
    return font("Regular", size);
  }

  /** The heavier cut at a size in px. */
  public static Font bold(double size) {
    return font("Bold", size);
  }

  /** The heavier slanted cut at a size in px. */
  public static Font boldItalic(double size) {
    return font("BoldItalic", size);
  }

  private static Font font(String cut, double size) {
    return FONTS.computeIfAbsent(cut + size, key -> read(cut, size));
  }

  private static Font read(String cut, double size) {
    String file = "fonts/PhalanxSans-" + cut + ".ttf";
    try (InputStream in = TypeFace.class.getResourceAsStream(file)) {
      return Font.loadFont(in, size);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
