package phalanx.text;

import java.util.Locale;

/**
 * What patterns, fills and manners of the shelf are called in the language spoken. Files, songs and
 * the command line know them by their English names; a player's own keep the names they were given.
 */
public final class ShelfTexts {

  private static final TextBundle BUNDLE =
      new TextBundle("phalanx.text.shelf", Language.spoken(), ShelfTexts.class.getClassLoader());

  private ShelfTexts() {}

  /** A name or a description; itself where it is not of the shelf, or English is spoken. */
  public static String of(String english) {
    String key = key(english);
    return BUNDLE.has(key) ? BUNDLE.of(key) : english;
  }

  /** What stands for a text among the others: its words, small, with hyphens between. */
  static String key(String english) {
    String words = english.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]++", " ");
    return words.strip().replace(' ', '-');
  }
}
