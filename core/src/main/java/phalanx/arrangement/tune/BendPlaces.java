package phalanx.arrangement.tune;

import phalanx.fretting.CostTerm;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;

/**
 * What it costs to bend a string at a place: a finger with helpers behind it pushes more easily,
 * and a string gives way less near the nut (common practice, no source). Weights are by judgement.
 */
final class BendPlaces {

  /** Cost of each finger that is missing behind the one that pushes. */
  private static final double ALONE = CostTerm.BENT_ALONE.weight();

  /** Below this fret a string is stiff. */
  private static final int STIFF = 5;

  /** Cost of each fret nearer to the nut. */
  private static final double STIFFER = CostTerm.BENT_STIFF.weight();

  private BendPlaces() {}

  /** The place with what the bend costs besides. */
  static TunePlace bent(Shape shape, TunePlace place) {
    int helpers = helpers(shape, place);
    double cost =
        place.cost()
            + ALONE * Math.max(0, 2 - helpers)
            + STIFFER * Math.max(0, STIFF - place.fret());
    return new TunePlace(
        place.string(),
        place.fret(),
        place.finger(),
        place.inShape(),
        place.left(),
        cost,
        place.node());
  }

  /**
   * The string that a bent one is pushed towards: the upper three up the neck's width, the lower
   * three down (common practice, no source).
   */
  static int towards(int string) {
    return string >= Tuning.STRINGS / 2 ? string - 1 : string + 1;
  }

  /** Whether two strings that are bent together are pushed against each other. */
  static boolean meet(int a, int b) {
    return towards(a) == b && towards(b) == a;
  }

  /** Fingers behind the one that pushes which hold nothing else. */
  static int helpers(Shape shape, TunePlace place) {
    int helpers = 0;
    for (Finger f : Finger.values()) {
      boolean behind =
          f != Finger.THUMB && place.finger().filter(p -> f.compareTo(p) < 0).isPresent();
      helpers += behind && !shape.grips().containsKey(f) ? 1 : 0;
    }
    return helpers;
  }
}
