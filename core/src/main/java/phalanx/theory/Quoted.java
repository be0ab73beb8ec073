package phalanx.theory;

/** What was typed, as messages quote it: short enough to be read. */
public final class Quoted {

  /** Signs of a text that are quoted. */
  private static final int MOST = 40;

  private Quoted() {}

  /** The first signs of a text, none of them cut in two. */
  public static String start(String text, int most) {
    if (text.length() <= most) {
      return text;
    }
    return text.substring(0, Character.isHighSurrogate(text.charAt(most - 1)) ? most - 1 : most);
  }

  /** A text in quotation marks, cut off where it is long. */
  public static String of(String text) {
    int end = text.offsetByCodePoints(0, Math.min(MOST, text.codePointCount(0, text.length())));
    String shown = text.substring(0, end).replaceAll("\\p{Cntrl}", " ");
    return "“" + shown + (end < text.length() ? "…”" : "”");
  }
}
