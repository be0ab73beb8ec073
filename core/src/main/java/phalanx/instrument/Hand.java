package phalanx.instrument;

import java.util.Set;
import phalanx.text.Texts;

/**
 * How far the fingers of a fretting hand reach from each other.
 *
 * <p>The spans of a medium hand are calibrated on the fingered positions of the open data set {@code
 * @tombatossals/chords-db} (npm, MIT licence) at a scale length of 650 mm: comfortable is about
 * their 80th to 85th percentile, the limit just above the 99.5th.
 *
 * @param size what the player calls it
 * @param scale factor on the widest spans of a medium hand, 0.7 to 1.4
 * @param comfort factor on the comfortable spans of a medium hand, 0.6 to 1.5 and no more than
 *     {@link #MOST_COMFORT} times the scale; the same as the scale unless it was measured
 * @param thumbOver whether the thumb may come over the neck to hold string ⑥
 * @param stretches whether spans beyond the limit, up to {@link #STRETCH} times, are allowed
 * @param pace how quickly the fingers change place
 * @param missing fingers, never the thumb, that press nothing: hurt or not there; one at least is
 * @throws IllegalArgumentException if a measure is out of range
 */
public record Hand(
    Size size,
    double scale,
    double comfort,
    boolean thumbOver,
    boolean stretches,
    Pace pace,
    Set<Finger> missing) {

  /** The three hands to choose from before measuring one's own. */
  public enum Size {
    SMALL,
    MEDIUM,
    LARGE,
    MEASURED;

    /** What the player calls it: {@code small}. */
    public String words() {
      return switch (this) {
        case SMALL -> Texts.of("hand.small");
        case MEDIUM -> Texts.of("hand.medium");
        case LARGE -> Texts.of("hand.large");
        case MEASURED -> Texts.of("hand.measured");
      };
    }
  }

  /**
   * The time a finger needs for its way, in the form of Fitts's law: reaction + doubling · log2(1 +
   * way / 10 mm).
   *
   * @param reactionMs time to start, ms, 0 to 500
   * @param doublingMs time for each doubling of the way, ms, 10 to 500
   */
  public record Pace(double reactionMs, double doublingMs) {

    /** The width of what a finger aims at, mm: about a fingertip. */
    private static final double TARGET_MM = 10;

    /** A practised player's; from memory. */
    public static final Pace USUAL = new Pace(60, 90);

    public Pace {
      if (!(reactionMs >= 0 && reactionMs <= 500 && doublingMs >= 10 && doublingMs <= 500)) {
        throw new IllegalArgumentException(
            "pace out of range: " + reactionMs + " ms, " + doublingMs + " ms");
      }
    }

    /**
     * The time a finger needs for a way, ms: Fitts's law in the form of Shannon (MacKenzie,
     * Human-Computer Interaction 7, 1992), with a fingertip as the target.
     *
     * @param millimetres the way
     */
    public double millis(double millimetres) {
      return reactionMs + doublingMs * Math.log(1 + millimetres / TARGET_MM) / Math.log(2);
    }
  }

  public static final Hand SMALL = of(Size.SMALL, 0.90);
  public static final Hand MEDIUM = of(Size.MEDIUM, 1);
  public static final Hand LARGE = of(Size.LARGE, 1.10);

  /** Comfortable spans stay below the widest ones up to this ratio of their factors. */
  public static final double MOST_COMFORT = 1.4;

  /** Least factor on the comfortable spans. */
  public static final double LEAST_COMFORT_FACTOR = 0.6;

  /** Largest factor on the comfortable spans. */
  public static final double MOST_COMFORT_FACTOR = 1.5;

  /** How far beyond its limit a span may go where stretches are allowed. */
  public static final double STRETCH = 1.15;

  /** From index tip to little finger tip of a medium hand spread on a table, mm; from memory. */
  public static final double MEDIUM_SPREAD = 140;

  /** Smallest spread that can be entered, mm. */
  public static final double LEAST_SPREAD = 0.7 * MEDIUM_SPREAD;

  /** Largest spread that can be entered, mm. */
  public static final double MOST_SPREAD = 1.4 * MEDIUM_SPREAD;

  /** So many fingers may be missing. */
  public static final int MOST_MISSING = 3;

  /** Comfortable spans of a medium hand, mm, by finger numbers less one. */
  private static final double[][] COMFORTABLE = {
    {0, 38, 60, 75}, {38, 0, 34, 48}, {60, 34, 0, 34}, {75, 48, 34, 0}
  };

  /** Widest spans of a medium hand, mm, by finger numbers less one. */
  private static final double[][] LIMIT = {
    {0, 69, 95, 112}, {69, 0, 62, 78}, {95, 62, 0, 60}, {112, 78, 60, 0}
  };

  public Hand {
    if (!(scale >= 0.7 && scale <= 1.4)) {
      throw new IllegalArgumentException("hand scale out of range: " + scale);
    }
    double most = Math.min(MOST_COMFORT_FACTOR, MOST_COMFORT * scale);
    if (!(comfort >= LEAST_COMFORT_FACTOR && comfort <= most)) {
      throw new IllegalArgumentException("comfort of the hand out of range: " + comfort);
    }
    missing = Set.copyOf(missing);
    if (missing.contains(Finger.THUMB) || missing.size() > MOST_MISSING) {
      throw new IllegalArgumentException("a hand has one finger at least beside its thumb");
    }
  }

  /** The hand of a size. */
  public static Hand of(Size size) {
    return switch (size) {
      case SMALL -> SMALL;
      case MEDIUM -> MEDIUM;
      case LARGE -> LARGE;
      case MEASURED -> measured(MEDIUM_SPREAD);
    };
  }

  private static Hand of(Size size, double scale) {
    return new Hand(size, scale, scale, true, false, Pace.USUAL, Set.of());
  }

  /**
   * A hand measured by its spread.
   *
   * @param spread from index tip to little finger tip, spread on a table, mm, {@link #LEAST_SPREAD}
   *     to {@link #MOST_SPREAD}
   */
  public static Hand measured(double spread) {
    return of(Size.MEASURED, spread / MEDIUM_SPREAD);
  }

  /**
   * A hand measured by its spread and by what lies easily on a neck; what is easier than any hand
   * or harder is taken as the nearest there is.
   *
   * @param spread as for {@link #measured(double)}, mm
   * @param easy from index to little finger where both lie easily, mm
   */
  public static Hand measured(double spread, double easy) {
    double scale = spread / MEDIUM_SPREAD;
    double most = Math.min(MOST_COMFORT_FACTOR, MOST_COMFORT * scale);
    double factor = easy / COMFORTABLE[0][Finger.LITTLE.ordinal() - 1];
    double comfort = Math.max(LEAST_COMFORT_FACTOR, Math.min(most, factor));
    return new Hand(Size.MEASURED, scale, comfort, true, false, Pace.USUAL, Set.of());
  }

  /** What the player calls it: {@code small}. */
  public String words() {
    return size.words();
  }

  /** From index tip to little finger tip, spread on a table, mm. */
  public double spread() {
    return scale * MEDIUM_SPREAD;
  }

  /** The same player with a hand of another size. */
  public Hand sizedAs(Hand other) {
    return new Hand(other.size, other.scale, other.comfort, thumbOver, stretches, pace, missing);
  }

  /** With or without the thumb over the neck. */
  public Hand withThumbOver(boolean over) {
    return new Hand(size, scale, comfort, over, stretches, pace, missing);
  }

  /** With or without spans beyond the limit. */
  public Hand withStretches(boolean allowed) {
    return new Hand(size, scale, comfort, thumbOver, allowed, pace, missing);
  }

  /** With quicker or slower fingers. */
  public Hand withPace(Pace other) {
    return new Hand(size, scale, comfort, thumbOver, stretches, other, missing);
  }

  /** Without some fingers; the thumb is another matter, {@link #withThumbOver}. */
  public Hand without(Set<Finger> fingers) {
    return new Hand(size, scale, comfort, thumbOver, stretches, pace, fingers);
  }

  /** Whether a finger presses strings. */
  public boolean has(Finger finger) {
    return !missing.contains(finger);
  }

  /** Span between two fingers that costs nothing, mm. The thumb has no measured span. */
  public double comfortable(Finger a, Finger b) {
    return comfort * COMFORTABLE[a.ordinal() - 1][b.ordinal() - 1];
  }

  /** Widest span between two fingers without the stretch, mm. The thumb has no measured span. */
  public double limit(Finger a, Finger b) {
    return scale * LIMIT[a.ordinal() - 1][b.ordinal() - 1];
  }
}
