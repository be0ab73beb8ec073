package phalanx.fretting;

/**
 * A shape and what it costs to hold.
 *
 * @param shape the fingered shape
 * @param cost its cost, without unit; 1 is about a stretch at the limit of the hand
 */
public record RatedShape(Shape shape, double cost) {}
