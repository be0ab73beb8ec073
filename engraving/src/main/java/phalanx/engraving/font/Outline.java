package phalanx.engraving.font;

import java.util.List;

/**
 * The outline of a sign: filled by the nonzero rule. Coordinates are staff spaces, y downwards,
 * from the sign’s origin.
 *
 * @param segments moves, lines, curves and closings in order
 */
public record Outline(List<Segment> segments) {

  public Outline {
    segments = List.copyOf(segments);
  }

  /** One step along an outline. */
  public sealed interface Segment {}

  /** Begins a part. */
  public record Move(double x, double y) implements Segment {}

  /** A straight line. */
  public record To(double x, double y) implements Segment {}

  /** A cubic Bézier curve. */
  public record Cubic(double x1, double y1, double x2, double y2, double x, double y)
      implements Segment {}

  /** Back to where the part began. */
  public record Close() implements Segment {}
}
