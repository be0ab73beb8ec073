package phalanx.fretting;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.instrument.Finger;
import phalanx.text.Texts;

/**
 * The stretches between the fingers of a shape: what those that may rest take off its cost, and
 * what the others cost more if they are wide enough to be found. Every candidate has one, so the
 * pairs of fingers, the thumb left out, are kept as numbers.
 */
public final class ShapeStretches {

  /** The two fingers of each pair, as bits by their place among all fingers. */
  private final byte[] fingers;

  /** 0 up to comfortable, 1 at the limit. */
  private final double[] stretch;

  /** Which pairs are worth a word, and which are beyond the limit, as bits. */
  private int notable;

  private int beyond;

  /** Whether the shape lies within the first frets, where no span is found. */
  private final boolean firstPosition;

  ShapeStretches(Shape shape, Reach reach) {
    long at = shape.fingerPlaces();
    fingers = new byte[pairs(at)];
    stretch = new double[fingers.length];
    int count = 0;
    for (int b = FingerCode.INDEX + 1; b <= FingerCode.LITTLE; b++) {
      for (int a = FingerCode.INDEX; a < b; a++) {
        if (FingerPlaces.fret(at, a) > 0 && FingerPlaces.fret(at, b) > 0) {
          double way =
              reach.distance(
                  FingerPlaces.fret(at, a),
                  FingerPlaces.low(at, a),
                  FingerPlaces.high(at, a),
                  FingerPlaces.fret(at, b),
                  FingerPlaces.low(at, b),
                  FingerPlaces.high(at, b));
          fingers[count] = (byte) (1 << a | 1 << b);
          set(count++, way, reach.comfortable(a, b), reach.limit(a, b), reach);
        }
      }
    }
    firstPosition = StretchRule.isFirstPosition(shape);
  }

  /** How many pairs the fingers that press something make. */
  private static int pairs(long at) {
    int down = 0;
    for (int f = FingerCode.INDEX; f <= FingerCode.LITTLE; f++) {
      down += FingerPlaces.fret(at, f) > 0 ? 1 : 0;
    }
    return down * (down - 1) / 2;
  }

  private void set(int pair, double way, double comfortable, double limit, Reach reach) {
    double over = ShapeMeasure.stretch(way, comfortable, limit, reach.hand().stretches());
    stretch[pair] = over == ShapeMeasure.OUT_OF_REACH ? 0 : over;
    notable |= StretchRule.isNotable(way, comfortable, limit) ? 1 << pair : 0;
    beyond |= way > limit ? 1 << pair : 0;
  }

  /** Those of a shape. */
  public static ShapeStretches of(Shape shape, Reach reach) {
    return reach.stretches(shape);
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
    Optional<CostTerm> found = found(resting);
    return found.isPresent() ? found.get().weight() : 0;
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
    for (int pair = 0; pair < fingers.length; pair++) {
      sum += stretch[pair];
    }
    return sum * CostTerm.STRETCH.weight();
  }

  private double saved(Set<Finger> resting) {
    int rest = FingerSet.of(resting).bits();
    double sum = 0;
    for (int pair = 0; pair < fingers.length; pair++) {
      sum += (fingers[pair] & rest) != 0 ? stretch[pair] : 0;
    }
    return sum * CostTerm.STRETCH.weight();
  }

  /** What stretches of the fingers that are asked for are found as; see {@link StretchRule}. */
  private Optional<CostTerm> found(Set<Finger> resting) {
    int rest = FingerSet.of(resting).bits();
    boolean heard = false;
    for (int pair = 0; pair < fingers.length; pair++) {
      if ((fingers[pair] & rest) == 0 && (notable >> pair & 1) > 0) {
        if ((beyond >> pair & 1) > 0) {
          return Optional.of(CostTerm.CANNOT_BE_DONE);
        }
        heard |= !firstPosition;
      }
    }
    return heard ? Optional.of(CostTerm.WILL_BE_HEARD) : Optional.empty();
  }
}
