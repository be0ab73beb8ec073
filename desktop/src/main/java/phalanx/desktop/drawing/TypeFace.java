package phalanx.desktop.drawing;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import javafx.scene.text.Font;
import phalanx.engraving.font.Face;

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
    return font(Face.PLAIN, size);
  }

  /** The heavier cut at a size in px. */
  public static Font bold(double size) {
    return font(Face.BOLD, size);
  }

  /** The heavier slanted cut at a size in px. */
  public static Font boldItalic(double size) {
    return font(Face.BOLD_ITALIC, size);
  }

  /** A cut at a size in px. */
  public static Font font(Face cut, double size) {
    return FONTS.computeIfAbsent(cut.name() + size, key -> read(cut, size));
  }

  private static Font read(Face cut, double size) {
    try (InputStream in = cut.file()) {
      return Font.loadFont(in, size);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
