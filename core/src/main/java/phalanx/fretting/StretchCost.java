package phalanx.fretting;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import phalanx.instrument.Finger;

/**
 * What the fingers that may rest take off the cost of a shape's stretches, and what those cost that
 * are left, if they are wide enough to be found.
 */
public final class StretchCost {

  private StretchCost() {}

  /**
   * The terms, to be added to the cost of the whole shape.
   *
   * @param resting the fingers that may rest
   */
  public static List<Cost> terms(Shape shape, Set<Finger> resting, Reach reach) {
    List<Cost> terms = new ArrayList<>();
    double saved = resting.isEmpty() ? 0 : saved(shape, resting, reach);
    if (saved > 0) {
      terms.add(Cost.term("fingers that may rest do not stretch", -saved));
    }
    StretchRule.of(shape.lifting(resting), reach)
        .map(s -> s.beyond() ? CostTerm.CANNOT_BE_DONE : CostTerm.WILL_BE_HEARD)
        .ifPresent(t -> terms.add(Cost.term("a stretch: " + t.words(), t.weight())));
    return terms;
  }

  /** Their sum. */
  public static double of(Shape shape, Set<Finger> resting, Reach reach) {
    double sum = 0;
    for (Cost term : terms(shape, resting, reach)) {
      sum += term.value();
    }
    return sum;
  }

  /** What the fingers that rest save at most: the cost of all stretches of a shape. */
  public static double most(Shape shape, Reach reach) {
    return saved(shape, shape.grips().keySet(), reach);
  }

  private static double saved(Shape shape, Set<Finger> resting, Reach reach) {
    ShapeMeasure measure = new ShapeMeasure(reach);
    double saved = 0;
    Map<Finger, Grip> grips = shape.grips();
    List<Finger> fingers = List.copyOf(grips.keySet());
    for (Finger a : fingers) {
      for (Finger b : fingers) {
        boolean counts = resting.contains(a) || resting.contains(b);
        if (a != Finger.THUMB && a.compareTo(b) < 0 && counts) {
          double stretch = measure.stretch(a, grips.get(a), b, grips.get(b));
          saved += stretch == ShapeMeasure.OUT_OF_REACH ? 0 : stretch;
        }
      }
    }
    return saved * CostTerm.STRETCH.weight();
  }
}
