package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.List;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.engraving.font.Face;
import phalanx.technique.Technique;

/**
 * A bend in a tablature: an arrow from the figure to above the strings with how far it goes, and
 * one down again where it is let back; straight up where it is bent before the pluck.
 */
final class BendArrow {

  private static final double WIDE = 0.9;
  private static final double HEAD = 0.3;
  private static final double THICK = 0.14;
  private static final int STEPS = 8;

  private BendArrow() {}

  /** How far to the right of its figure it reaches. */
  static double width(Technique.Bend bend) {
    return bend.release() ? 2 * WIDE + HEAD + 0.1 : WIDE + HEAD + 0.1;
  }

  /**
   * Draws one.
   *
   * @param x the right edge of the figure
   * @param y its string
   * @param words how far, as it stands over the arrow
   */
  static void draw(Drawing drawing, double x, double y, Technique.Bend bend, String words) {
    double end = x + WIDE;
    double text = Face.PLAIN.width(words, Measures.SMALL_SIZE);
    double left = end - text / 2;
    double top =
        Math.min(
            -0.9, drawing.top(Math.min(x, left) - 0.2, end + text / 2 + WIDE + 0.2, -0.5) - 0.3);
    if (bend.before()) {
      drawing.add(new Mark.Line(Role.CURVE, end, y - 0.1, end, top, THICK));
    } else {
      drawing.add(curve(x + 0.1, y, end, top));
    }
    tip(drawing, end, top, true);
    if (bend.release()) {
      double back = end + WIDE;
      drawing.add(curve(end, top, back, y - HEAD));
      tip(drawing, back, y - HEAD, false);
    }
    drawing.add(new Mark.Text(Role.SIGN, words, left, top - 0.3, Face.PLAIN, Measures.SMALL_SIZE));
  }

  /** A quarter of an ellipse that begins level and ends upright. */
  private static Mark curve(double x1, double y1, double x2, double y2) {
    List<Mark.Point> points = new ArrayList<>();
    for (int s = 0; s <= STEPS; s++) {
      double angle = Math.PI / 2 * s / STEPS;
      points.add(
          new Mark.Point(x1 + (x2 - x1) * Math.sin(angle), y1 + (y2 - y1) * (1 - Math.cos(angle))));
    }
    return new Mark.Path(Role.CURVE, points, THICK);
  }

  private static void tip(Drawing drawing, double x, double y, boolean up) {
    double back = up ? 0.55 : -0.55;
    drawing.add(
        new Mark.Path(
            Role.CURVE,
            List.of(
                new Mark.Point(x - HEAD, y + back),
                new Mark.Point(x, y),
                new Mark.Point(x + HEAD, y + back)),
            THICK));
  }
}
