package phalanx.theory;

/** Musical time is counted in whole ticks, so that no rhythm is ever rounded. */
public final class Ticks {

  /** Ticks in a quarter note; divides by 2 to 9 and by 16. */
  public static final int PER_QUARTER = 5040;

  /** Ticks in a whole note. */
  public static final int PER_WHOLE = 4 * PER_QUARTER;

  private Ticks() {}

  /** How long a span lasts, in milliseconds, at a tempo in quarter notes a minute. */
  public static double millis(long ticks, double quartersPerMinute) {
    return ticks * 60_000.0 / (PER_QUARTER * quartersPerMinute);
  }
}
