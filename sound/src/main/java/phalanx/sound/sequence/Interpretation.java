package phalanx.sound.sequence;

import java.util.Optional;
import phalanx.sound.strings.Plucker;

/**
 * How a player plays what is planned.
 *
 * @param freedom from 0, exactly as planned, to 1, as freely as a good player does
 * @param thumb what of the thumb leaves the string; a pick where the hand holds one
 * @param fingers what of the fingers does
 * @param rested whether fingers that play the tune come to rest on the next string
 * @param place how much nearer the bridge (less than 0) or the neck than usual they pluck, mm
 */
public record Interpretation(
    double freedom, Plucker thumb, Plucker fingers, boolean rested, double place) {

  /** Nearest to the bridge and to the neck, mm from the usual place. */
  public static final double BRIDGE = -90;

  public static final double NECK = 120;

  /** As planned, to the sample: for measurements. */
  public static final Interpretation EXACT =
      new Interpretation(0, Plucker.FLESH, Plucker.NAIL, false, 0);

  /** As players play. */
  public static final Interpretation USUAL = EXACT.free(0.5);

  public Interpretation {
    freedom = Math.max(0, Math.min(1, freedom));
    place = Math.max(BRIDGE, Math.min(NECK, place));
  }

  /** More or less freely. */
  public Interpretation free(double other) {
    return new Interpretation(other, thumb, fingers, rested, place);
  }

  /** With other fingertips. */
  public Interpretation with(Optional<Plucker> otherThumb, Optional<Plucker> otherFingers) {
    return new Interpretation(
        freedom, otherThumb.orElse(thumb), otherFingers.orElse(fingers), rested, place);
  }

  /** Nearer the bridge or the neck, mm. */
  public Interpretation at(double other) {
    return new Interpretation(freedom, thumb, fingers, rested, other);
  }

  /** With rest strokes for the tune, or free ones. */
  public Interpretation resting(boolean other) {
    return new Interpretation(freedom, thumb, fingers, other, place);
  }
}
