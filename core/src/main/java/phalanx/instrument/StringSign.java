package phalanx.instrument;

/** How players write a string: its number in a circle, ① the highest. */
public final class StringSign {

  private StringSign() {}

  /** The number players give a string (0 for ⑥ to 5 for ①): 6 to 1. */
  public static int number(int string) {
    return Tuning.STRINGS - string;
  }

  /** The circled number of a string (0 for ⑥ to 5 for ①). */
  public static String of(int string) {
    return String.valueOf((char) ('①' + number(string) - 1));
  }
}
