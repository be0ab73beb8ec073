package phalanx.desktop.drawing;

import java.util.Locale;
import phalanx.picking.PickingStyle;
import phalanx.text.ShelfTexts;

/** What patterns are called on the screen; those of the shelf in the language spoken. */
public final class PatternWords {

  private PatternWords() {}

  /** A pattern's name, as a heading. */
  public static String title(PickingStyle style) {
    String name = name(style);
    return name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1);
  }

  /** Its name within a line. */
  public static String name(PickingStyle style) {
    return ShelfTexts.of(style.title());
  }

  /** What the hand does; empty where nothing is said. */
  public static String about(PickingStyle style) {
    return ShelfTexts.of(style.words());
  }
}
