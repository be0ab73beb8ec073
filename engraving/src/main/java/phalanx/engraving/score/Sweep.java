package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.List;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;

/** The upright arrow beside strings struck one after another: wavy for a roll. */
final class Sweep {

  private static final double WAVE = 0.28;

  private Sweep() {}

  static void draw(
      Drawing drawing, double x, double top, double bottom, boolean towardsTreble, boolean wavy) {
    if (wavy) {
      List<Mark.Point> points = new ArrayList<>();
      int side = 1;
      for (double y = bottom; y > top; y -= 0.45) {
        points.add(new Mark.Point(x + side * WAVE / 2, y));
        side = -side;
      }
      points.add(new Mark.Point(x, top));
      drawing.add(new Mark.Path(Role.CURVE, points, 0.16));
    } else {
      drawing.add(new Mark.Line(Role.CURVE, x, top, x, bottom, 0.16));
    }
    // On paper the high strings lie above: an arrow up goes from low to high.
    double tip = towardsTreble ? top - 0.1 : bottom + 0.1;
    double back = towardsTreble ? 0.75 : -0.75;
    drawing.add(
        new Mark.Path(
            Role.CURVE,
            List.of(
                new Mark.Point(x - 0.35, tip + back),
                new Mark.Point(x, tip),
                new Mark.Point(x + 0.35, tip + back)),
            0.16));
  }
}
