package phalanx.desktop.model;

import java.util.List;
import phalanx.desktop.texts.Texts;

/**
 * How the window looks.
 *
 * @param theme light or dark
 * @param percent how large everything is drawn, of the usual size, 80 to 200
 */
public record Appearance(Theme theme, int percent) {

  public static final Appearance USUAL = new Appearance(Theme.SYSTEM, 100);

  /** The sizes to choose from, per cent. */
  public static final List<Integer> SIZES = List.of(80, 90, 100, 110, 125, 150, 175, 200);

  /** Light or dark. */
  public enum Theme {
    /** As the system has it; light where it does not say. */
    SYSTEM(Texts.of("appearance.asTheSystem")),
    LIGHT(Texts.of("appearance.light")),
    DARK(Texts.of("appearance.dark"));

    private final String words;

    Theme(String words) {
      this.words = words;
    }

    /** In the player's words. */
    public String words() {
      return words;
    }
  }

  public Appearance {
    percent = Math.max(80, Math.min(200, percent));
  }

  /** In another theme. */
  public Appearance with(Theme other) {
    return new Appearance(other, percent);
  }

  /** In another size. */
  public Appearance sized(int other) {
    return new Appearance(theme, other);
  }
}
