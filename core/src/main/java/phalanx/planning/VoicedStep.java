package phalanx.planning;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.Damp;
import phalanx.fretting.Shape;
import phalanx.picking.Fingered;
import phalanx.picking.Stroke;
import phalanx.planning.TimedSteps.TimedStep;

/**
 * A step on strings.
 *
 * @param brushed the strings that the brush sounds, in its order; one that is among the plucks is
 *     the tune's, which the brush strikes on its way
 */
record VoicedStep(
    TimedStep placed,
    List<VoicedStroke> plucks,
    Optional<Stroke.Brush> brush,
    List<Integer> brushed,
    Optional<VoicedHit> hit,
    List<Damp> damps) {

  /**
   * Without some of its plucks. A finger that would have slid together with others lifts when they
   * move on: where it was it was not tried with them.
   */
  VoicedStep without(List<VoicedStroke> gone, Shape shape) {
    Set<Integer> left = new HashSet<>();
    for (VoicedStroke p : gone) {
      p.step().ifPresent(s -> left.addAll(s.leaves(shape)));
    }
    List<VoicedStroke> kept =
        plucks.stream().filter(p -> !gone.contains(p)).map(p -> p.leaving(left)).toList();
    return new VoicedStep(placed, kept, brush, brushed, hit, damps);
  }

  /** Whether a string is among the plucks. */
  boolean isPlucked(int string) {
    return plucks.stream().anyMatch(p -> p.string() == string);
  }

  /** Whether the brush strikes a string on its way, so that no finger plucks it. */
  boolean sweeps(VoicedStroke stroke) {
    return brushed.contains(stroke.string());
  }

  /** Whether a stroke is made with these fingers. */
  boolean isMade(VoicedStroke stroke, Fingered fingers) {
    return sweeps(stroke) ? fingers.gesture() : stroke.isMade(fingers);
  }

  /** With all strokes plucked, none of them on the way of the brush. */
  VoicedStep plucked() {
    List<Integer> rest = brushed.stream().filter(s -> !isPlucked(s)).toList();
    return new VoicedStep(placed, plucks, brush, rest, hit, damps);
  }
}
