package phalanx.sound.sequence;

import java.util.function.UnaryOperator;

/**
 * How a player plays what is planned.
 *
 * @param freedom from 0, exactly as planned, to 1, as freely as a good player does
 * @param hand with what each finger plucks, and how
 * @param place how much nearer the bridge (less than 0) or the neck than usual they pluck, mm
 */
public record Interpretation(double freedom, PickingHand hand, double place) {

  /** Nearest to the bridge and to the neck, mm from the usual place. */
  public static final double BRIDGE = -90;

  public static final double NECK = 120;

  /** As planned, to the sample: for measurements. */
  public static final Interpretation EXACT = new Interpretation(0, PickingHand.USUAL, 0);

  /** As players play. */
  public static final Interpretation USUAL = EXACT.free(0.5);

  public Interpretation {
    freedom = Math.max(0, Math.min(1, freedom));
    place = Math.max(BRIDGE, Math.min(NECK, place));
  }

  /** More or less freely. */
  public Interpretation free(double other) {
    return new Interpretation(other, hand, place);
  }

  /** With a hand that is changed. */
  public Interpretation with(UnaryOperator<PickingHand> change) {
    return new Interpretation(freedom, change.apply(hand), place);
  }

  /** Nearer the bridge or the neck, mm. */
  public Interpretation at(double other) {
    return new Interpretation(freedom, hand, other);
  }
}
