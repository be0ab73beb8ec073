package phalanx.arrangement.laying;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.Damp;
import phalanx.arrangement.laying.PlacedSteps.Placed;
import phalanx.fretting.Shape;
import phalanx.picking.Stroke;

/** A step on strings. */
record Laid(
    Placed placed,
    List<Plucked> plucks,
    Optional<Stroke.Brush> brush,
    List<Integer> brushed,
    Optional<Stroke.Knock> hit,
    List<Damp> damps) {

  /**
   * Without some of its plucks. A finger that would have slid together with others lifts when they
   * move on: where it was it was not tried with them.
   */
  Laid without(List<Plucked> gone, Shape shape) {
    Set<Integer> left = new HashSet<>();
    for (Plucked p : gone) {
      p.step().ifPresent(s -> left.addAll(s.leaves(shape)));
    }
    List<Plucked> kept =
        plucks.stream().filter(p -> !gone.contains(p)).map(p -> p.leaving(left)).toList();
    return new Laid(placed, kept, brush, brushed, hit, damps);
  }
}
