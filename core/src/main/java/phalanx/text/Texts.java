package phalanx.text;

/** What the core says to the player, in the language spoken. */
public final class Texts {

  private static final TextBundle BUNDLE =
      new TextBundle("phalanx.text.texts", Language.spoken(), Texts.class.getClassLoader());

  private Texts() {}

  /** The text of a key with values put in, as in {@link String#format}. */
  public static String of(String key, Object... values) {
    return BUNDLE.of(key, values);
  }
}
