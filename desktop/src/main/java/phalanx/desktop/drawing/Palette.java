package phalanx.desktop.drawing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URL;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import javafx.css.CssParser;
import javafx.css.Declaration;
import javafx.css.Stylesheet;
import javafx.scene.paint.Color;
import phalanx.picking.PickFinger;

/**
 * The theme's colours for painters, read from the same tokens the stylesheets use, so that a colour
 * has one place.
 */
public final class Palette {

  private final Map<String, Color> tokens = new HashMap<>();

  private Palette() {}

  private void read(Stylesheet sheet) {
    sheet
        .getRules()
        .forEach(
            rule -> {
              for (Declaration d : rule.getDeclarations()) {
                if (d.getParsedValue().getValue() instanceof Color color) {
                  tokens.put(d.getProperty(), color);
                }
              }
            });
  }

  /** Reads the tokens of a theme's stylesheet. */
  public static Palette of(URL tokens) {
    Palette palette = new Palette();
    palette.become(tokens);
    return palette;
  }

  /** Takes another theme's colours; what is painted from now on has them. */
  public void become(URL theme) {
    try {
      read(new CssParser().parse(theme));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * A colour by the name of its token without the leading {@code -px-}.
   *
   * @throws IllegalArgumentException if the theme has no such token
   */
  public Color get(String token) {
    Color color = tokens.get("-px-" + token);
    if (color == null) {
      throw new IllegalArgumentException("no colour " + token);
    }
    return color;
  }

  /** The colour of a stroke: that of its finger, or a quiet one where none plucks. */
  public Color stroke(Optional<PickFinger> finger) {
    return finger.map(this::pick).orElseGet(() -> get("text-2"));
  }

  /** The colour of a picking finger. */
  public Color pick(PickFinger finger) {
    return get("pick-" + finger.letter());
  }
}
