package phalanx.picking;

import phalanx.theory.Meter;

/**
 * A pattern written out for one metre. Bars of another metre are played with the thumb alternating
 * and the fingers between.
 *
 * @param title what the player calls it
 * @param words what the hand does, in a few words
 * @param meter the metre it is written in
 * @param pattern the strokes; a whole number of bars long
 */
public record WrittenPattern(String title, String words, Meter meter, Pattern pattern)
    implements PickingStyle {

  /** A pattern may span this many bars. */
  public static final int MOST_BARS = 16;

  public WrittenPattern {
    int bars = pattern.lengthTicks() / meter.barTicks();
    if (pattern.lengthTicks() % meter.barTicks() != 0 || bars < 1 || bars > MOST_BARS) {
      throw new IllegalArgumentException("a pattern is 1 to 16 whole bars long");
    }
  }

  @Override
  public Pattern in(Meter other) {
    return other.equals(meter) ? pattern : AlternatingThumb.FINGERS_BETWEEN.in(other);
  }

  /** Bars it spans. */
  public int bars() {
    return pattern.lengthTicks() / meter.barTicks();
  }
}
