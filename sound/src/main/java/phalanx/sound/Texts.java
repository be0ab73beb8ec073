package phalanx.sound;

import phalanx.text.Language;
import phalanx.text.TextBundle;

/** What this part of the program says to the player, in the language spoken. */
public final class Texts {

  private static final TextBundle BUNDLE =
      new TextBundle("phalanx.sound.texts", Language.spoken(), Texts.class.getClassLoader());

  private Texts() {}

  /** The text of a key with values put in, as in {@link String#format}. */
  public static String of(String key, Object... values) {
    return BUNDLE.of(key, values);
  }
}
