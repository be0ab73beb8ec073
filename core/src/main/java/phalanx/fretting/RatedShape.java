package phalanx.fretting;

/**
 * A shape and what it costs to hold.
 *
 * @param shape the fingered shape
 * @param cost its cost, without unit; 1 is about a stretch at the limit of the hand
 * @param entry how the hand stands when it comes
 * @param exit how it stands when it goes on
 */
public record RatedShape(Shape shape, double cost, Stance entry, Stance exit) {

  /** A shape with nothing beside it. */
  public RatedShape(Shape shape, double cost) {
    this(shape, cost, Stance.of(shape), Stance.of(shape));
  }
}
