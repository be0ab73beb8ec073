package phalanx.instrument;

/**
 * How far the fingers of a fretting hand reach from each other.
 *
 * <p>The spans of a medium hand are calibrated on the fingered positions of the open data set {@code
 * @tombatossals/chords-db} (npm, MIT licence) at a scale length of 650 mm: comfortable is about
 * their 80th to 85th percentile, the limit just above the 99.5th.
 *
 * @param size what the player calls it
 * @param scale factor on the spans of a medium hand, 0.7 to 1.4
 */
public record Hand(Size size, double scale) {

  /** The three hands to choose from before measuring one's own. */
  public enum Size {
    SMALL,
    MEDIUM,
    LARGE
  }

  public static final Hand SMALL = new Hand(Size.SMALL, 0.90);
  public static final Hand MEDIUM = new Hand(Size.MEDIUM, 1);
  public static final Hand LARGE = new Hand(Size.LARGE, 1.10);

  /** Comfortable spans of a medium hand, mm, by finger numbers less one. */
  private static final double[][] COMFORTABLE = {
    {0, 38, 60, 75}, {38, 0, 34, 48}, {60, 34, 0, 34}, {75, 48, 34, 0}
  };

  /** Widest spans of a medium hand, mm, by finger numbers less one. */
  private static final double[][] LIMIT = {
    {0, 69, 95, 112}, {69, 0, 62, 78}, {95, 62, 0, 60}, {112, 78, 60, 0}
  };

  public Hand {
    if (scale < 0.7 || scale > 1.4) {
      throw new IllegalArgumentException("hand scale out of range: " + scale);
    }
  }

  /** The hand of a size. */
  public static Hand of(Size size) {
    return switch (size) {
      case SMALL -> SMALL;
      case MEDIUM -> MEDIUM;
      case LARGE -> LARGE;
    };
  }

  /** Span between two fingers that costs nothing, mm. The thumb has no measured span. */
  public double comfortable(Finger a, Finger b) {
    return scale * COMFORTABLE[a.ordinal() - 1][b.ordinal() - 1];
  }

  /** Widest allowed span between two fingers, mm. The thumb has no measured span. */
  public double limit(Finger a, Finger b) {
    return scale * LIMIT[a.ordinal() - 1][b.ordinal() - 1];
  }
}
