package phalanx.fretting;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import phalanx.instrument.Finger;
import phalanx.text.Texts;

/**
 * The stretches between the fingers of a shape: what those that may rest take off its cost, and
 * what the others cost more if they are wide enough to be found.
 *
 * @param pairs every two fingers, the thumb left out
 * @param firstPosition whether it lies within the first frets, where no span is found
 */
public record ShapeStretches(List<Pair> pairs, boolean firstPosition) {

  /**
   * Two fingers.
   *
   * @param stretch 0 up to comfortable, 1 at the limit
   * @param span how far they are apart
   */
  private record Pair(Finger low, Finger high, double stretch, Reach.Span span) {

    boolean isAmong(Set<Finger> fingers) {
      return fingers.contains(low) || fingers.contains(high);
    }
  }

  /** Those of a shape. */
  public static ShapeStretches of(Shape shape, Reach reach) {
    List<Pair> pairs = new ArrayList<>();
    Map<Finger, Grip> grips = shape.grips();
    List<Finger> fingers = List.copyOf(grips.keySet());
    for (int b = 1; b < fingers.size(); b++) {
      for (int a = 0; a < b; a++) {
        if (fingers.get(a) != Finger.THUMB) {
          Finger low = fingers.get(a);
          Finger high = fingers.get(b);
          Reach.Span span = reach.span(low, grips.get(low), high, grips.get(high));
          double stretch = ShapeMeasure.stretch(span, reach.hand().stretches());
          pairs.add(new Pair(low, high, stretch == ShapeMeasure.OUT_OF_REACH ? 0 : stretch, span));
        }
      }
    }
    return new ShapeStretches(pairs, StretchRule.isFirstPosition(shape));
  }

  /**
   * What is to be added to the cost of the whole shape.
   *
   * @param resting the fingers that may rest
   */
  public double cost(Set<Finger> resting) {
    return foundWeight(resting) - saved(resting);
  }

  /** What of it is for a stretch that is found. */
  public double foundWeight(Set<Finger> resting) {
    return found(resting).map(CostTerm::weight).orElse(0.0);
  }

  /** The same term by term. */
  public List<Cost> terms(Set<Finger> resting) {
    List<Cost> terms = new ArrayList<>();
    double saved = saved(resting);
    if (saved > 0) {
      terms.add(Cost.term(Texts.of("shapeStretches.fingersAtRest"), -saved));
    }
    found(resting)
        .ifPresent(
            t -> terms.add(Cost.term(Texts.of("shapeStretches.aStretch", t.words()), t.weight())));
    return terms;
  }

  /** What the fingers save at most if all of them may rest. */
  public double most() {
    double sum = 0;
    for (Pair pair : pairs) {
      sum += pair.stretch;
    }
    return sum * CostTerm.STRETCH.weight();
  }

  private double saved(Set<Finger> resting) {
    double sum = 0;
    for (Pair pair : pairs) {
      sum += pair.isAmong(resting) ? pair.stretch : 0;
    }
    return sum * CostTerm.STRETCH.weight();
  }

  /**
   * What the widest stretch of the fingers that are asked for is found as; see {@link StretchRule}.
   */
  private Optional<CostTerm> found(Set<Finger> resting) {
    Pair widest = null;
    for (Pair pair : pairs) {
      if (!pair.isAmong(resting)
          && (widest == null || pair.span.shareOfLimit() > widest.span.shareOfLimit())) {
        widest = pair;
      }
    }
    if (widest == null || !StretchRule.isNotable(widest.span)) {
      return Optional.empty();
    }
    boolean beyond = widest.span.millimetres() > widest.span.limit();
    if (firstPosition && !beyond) {
      return Optional.empty();
    }
    return Optional.of(beyond ? CostTerm.CANNOT_BE_DONE : CostTerm.WILL_BE_HEARD);
  }
}
