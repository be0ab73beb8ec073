package phalanx.fretting;

import java.util.Optional;
import java.util.stream.IntStream;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;

/** A finger that takes one more note while the others stay where they are. */
public final class AddedFinger {

  private AddedFinger() {}

  /**
   * The finger that can press a string at a fret beside a held shape; the one on that string may
   * move there, every other stays.
   *
   * @param fret from the capo, 1 or more
   * @return the finger that does it with least effort; empty if none reaches
   */
  public static Optional<Finger> on(Shape held, int string, int fret, Reach reach) {
    int[] wanted =
        IntStream.range(0, Tuning.STRINGS)
            .map(s -> s == string ? fret : held.fret(s).orElse(Shape.SILENT))
            .toArray();
    long packed = PackedShapes.frets(wanted);
    Shape[] best = new Shape[1];
    double[] least = {Double.POSITIVE_INFINITY};
    new FingerSearch(new ShapeMeasure(reach), reach.hand().thumbOver())
        .search(
            wanted,
            (grips, cost) -> {
              Shape shape = PackedShapes.unpack(PackedShapes.pack(packed, wanted, grips));
              if (cost < Math.min(least[0], ShapeMeasure.OUT_OF_REACH)
                  && stay(held, shape, string)) {
                least[0] = cost;
                best[0] = shape;
              }
            });
    return Optional.ofNullable(best[0]).flatMap(s -> s.finger(string));
  }

  /**
   * What a string's own finger does while another presses it at a fret: it stays below, where both
   * reach.
   *
   * @return whether it can stay; also where the string has no finger, or that very one
   */
  public static boolean ownStays(Shape held, int string, int fret, Finger finger, Reach reach) {
    Optional<Finger> own = held.finger(string).filter(f -> f != finger);
    return own.isEmpty()
        || held.fret(string).orElse(0) < fret
            && reach.spans(
                own.get(), held.grips().get(own.get()), finger, new Grip(fret, string, string));
  }

  /** Whether one hand can hold all that a shape presses, within its limits. */
  public static boolean together(Shape held, Reach reach) {
    int[] wanted =
        IntStream.range(0, Tuning.STRINGS).map(s -> held.fret(s).orElse(Shape.SILENT)).toArray();
    long packed = PackedShapes.frets(wanted);
    boolean[] found = {false};
    new FingerSearch(new ShapeMeasure(reach), reach.hand().thumbOver())
        .search(
            wanted,
            (grips, cost) -> {
              Shape shape = PackedShapes.unpack(PackedShapes.pack(packed, wanted, grips));
              found[0] |=
                  cost < ShapeMeasure.OUT_OF_REACH
                      && IntStream.range(0, Tuning.STRINGS)
                          .allMatch(s -> held.finger(s).equals(shape.finger(s)));
            });
    return found[0];
  }

  private static boolean stay(Shape held, Shape with, int string) {
    return IntStream.range(0, Tuning.STRINGS)
        .allMatch(s -> s == string || held.finger(s).equals(with.finger(s)));
  }
}
