package phalanx.desktop.model;

import java.util.List;
import java.util.Optional;
import phalanx.desktop.texts.Texts;
import phalanx.text.Language;

/**
 * How the window looks.
 *
 * @param theme light or dark
 * @param percent how large everything is drawn, of the usual size, 80 to 200
 * @param calm whether the line that runs along with what is heard steps from beat to beat instead
 * @param language the language it speaks from the next start on; that of the system where empty
 */
public record Appearance(Theme theme, int percent, boolean calm, Optional<Language> language) {

  public static final Appearance USUAL = new Appearance(Theme.SYSTEM, 100, false, Optional.empty());

  /** The sizes to choose from, per cent. */
  public static final List<Integer> SIZES = List.of(80, 90, 100, 110, 125, 150, 175, 200);

  /** Light or dark. */
  public enum Theme {
    /** As the system has it; light where it does not say. */
    SYSTEM,
    LIGHT,
    DARK;

    /** In the player's words. */
    public String words() {
      // Not kept: what the window looks like is read before its language is chosen.
      return switch (this) {
        case SYSTEM -> Texts.of("appearance.asTheSystem");
        case LIGHT -> Texts.of("appearance.light");
        case DARK -> Texts.of("appearance.dark");
      };
    }
  }

  public Appearance {
    percent = Math.max(80, Math.min(200, percent));
  }

  /** In another theme. */
  public Appearance with(Theme other) {
    return new Appearance(other, percent, calm, language);
  }

  /** In another size. */
  public Appearance sized(int other) {
    return new Appearance(theme, other, calm, language);
  }

  /** With less that moves, or as usual. */
  public Appearance calm(boolean other) {
    return new Appearance(theme, percent, other, language);
  }

  /** In another language, from the next start on; that of the system where empty. */
  public Appearance speaking(Optional<Language> other) {
    return new Appearance(theme, percent, calm, other);
  }
}
