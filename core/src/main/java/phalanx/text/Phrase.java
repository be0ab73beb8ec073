package phalanx.text;

import java.util.Locale;

/** Sentences with figures in them, the same wherever a player lives. */
public final class Phrase {

  private Phrase() {}

  /** Words with values put in, as in {@link String#format}. */
  public static String of(String words, Object... values) {
    return String.format(Locale.ROOT, words, values);
  }

  /** The same for the player's eye alone: numbers as the language spoken writes them. */
  public static String shown(String words, Object... values) {
    return String.format(Language.spoken().locale(), words, values);
  }
}
