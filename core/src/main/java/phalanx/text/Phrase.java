package phalanx.text;

import java.util.Locale;

/** Sentences with figures in them, the same wherever a player lives. */
public final class Phrase {

  private Phrase() {}

  /** Words with values put in, as in {@link String#format}. */
  public static String of(String words, Object... values) {
    return String.format(Locale.ROOT, words, values);
  }
}
