package phalanx.fretting;

import java.util.Set;
import phalanx.instrument.Finger;

/**
 * A shape and what it costs to hold.
 *
 * @param shape the fingered shape
 * @param cost its cost, without unit; 1 is about a stretch at the limit of the hand
 * @param resting the fingers that may rest
 * @param found what of the cost is for findings: a wide stretch, what was found when it was played
 * @param entry how the hand stands when it comes
 * @param exit how it stands when it goes on
 */
public record RatedShape(
    Shape shape, double cost, Set<Finger> resting, double found, Stance entry, Stance exit) {

  public RatedShape {
    resting = FingerSet.of(resting);
  }

  /** A shape with nothing beside it, of which some fingers may rest. */
  public RatedShape(Shape shape, double cost, Set<Finger> resting) {
    this(shape, cost, resting, 0, Stance.of(shape, resting), Stance.of(shape, resting));
  }

  /** A shape with nothing beside it. */
  public RatedShape(Shape shape, double cost) {
    this(shape, cost, Set.of());
  }

  /** The same where something was found that weighs so much. */
  public RatedShape finding(double weight) {
    return new RatedShape(shape, cost + weight, resting, found + weight, entry, exit);
  }

  /**
   * The same where other fingers may rest than was thought.
   *
   * @param more what it then costs more
   * @param moreFound what of that is for findings
   */
  public RatedShape resting(Set<Finger> other, double more, double moreFound) {
    return new RatedShape(
        shape,
        cost + more,
        other,
        found + moreFound,
        entry.correcting(other),
        exit.correcting(other));
  }
}
