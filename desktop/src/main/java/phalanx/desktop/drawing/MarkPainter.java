package phalanx.desktop.drawing;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.FillRule;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.shape.StrokeLineJoin;
import javafx.scene.text.TextAlignment;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.engraving.font.Face;
import phalanx.engraving.font.MusicFont;
import phalanx.engraving.font.Outline;

/** Paints the marks of an engraved page. */
public final class MarkPainter {

  private final GraphicsContext gc;
  private final Color ink;
  private final Color lines;
  private final Color paper;

  /**
   * A painter.
   *
   * @param ink what signs and words are drawn with
   * @param lines what staff lines are drawn with
   * @param paper what stands in dark dots
   */
  public MarkPainter(GraphicsContext gc, Color ink, Color lines, Color paper) {
    this.gc = gc;
    this.ink = ink;
    this.lines = lines;
    this.paper = paper;
  }

  /**
   * Paints marks.
   *
   * @param x where their left edge goes, px
   * @param y where their top goes, px
   * @param scale px a point
   */
  public void paint(List<Mark> marks, double x, double y, double scale) {
    gc.save();
    gc.setLineCap(StrokeLineCap.BUTT);
    gc.setLineJoin(StrokeLineJoin.ROUND);
    gc.setFillRule(FillRule.NON_ZERO);
    gc.setTextAlign(TextAlignment.LEFT);
    gc.setTextBaseline(VPos.BASELINE);
    for (Mark mark : marks) {
      paint(mark.placed(x, y, scale));
    }
    gc.restore();
  }

  private void paint(Mark mark) {
    boolean inDot = mark instanceof Mark.Text t && t.role() == Role.FINGER && t.face() == Face.BOLD;
    Color shade =
        inDot ? paper : mark.role() == Role.STAFF || mark.role() == Role.HOLD ? lines : ink;
    gc.setFill(shade);
    gc.setStroke(shade);
    if (mark instanceof Mark.Line l) {
      gc.setLineWidth(Math.max(0.7, l.width()));
      gc.strokeLine(l.x1(), l.y1(), l.x2(), l.y2());
    } else if (mark instanceof Mark.Beam b) {
      gc.fillPolygon(
          new double[] {b.x1(), b.x2(), b.x2(), b.x1()},
          new double[] {b.y1(), b.y2(), b.y2() + b.thickness(), b.y1() + b.thickness()},
          4);
    } else if (mark instanceof Mark.Curve c) {
      curve(c);
    } else if (mark instanceof Mark.Glyph g) {
      glyph(g);
    } else if (mark instanceof Mark.Text t) {
      gc.setFont(TypeFace.font(t.face(), t.size()));
      gc.fillText(t.text(), t.x(), t.baseline());
    } else if (mark instanceof Mark.Bar b) {
      gc.fillRoundRect(b.x(), b.y(), b.width(), b.height(), 2 * b.round(), 2 * b.round());
    } else if (mark instanceof Mark.Circle c) {
      circle(c);
    } else if (mark instanceof Mark.Path p) {
      gc.setLineWidth(Math.max(0.7, p.width()));
      gc.strokePolyline(
          p.points().stream().mapToDouble(Mark.Point::x).toArray(),
          p.points().stream().mapToDouble(Mark.Point::y).toArray(),
          p.points().size());
    }
  }

  private void circle(Mark.Circle c) {
    double size = 2 * c.radius();
    if (c.width() > 0) {
      gc.setLineWidth(Math.max(0.7, c.width()));
      gc.strokeOval(c.x() - c.radius(), c.y() - c.radius(), size, size);
    } else {
      gc.fillOval(c.x() - c.radius(), c.y() - c.radius(), size, size);
    }
  }

  /** Two arcs, thicker in the middle. A cubic’s middle rises three quarters of its handles. */
  private void curve(Mark.Curve c) {
    double quarter = (c.x2() - c.x1()) / 4;
    double outer = c.rise() / 0.75;
    double inner = outer - Math.signum(c.rise()) * c.thickness() / 0.75;
    gc.beginPath();
    gc.moveTo(c.x1(), c.y1());
    gc.bezierCurveTo(
        c.x1() + quarter, c.y1() - outer, c.x2() - quarter, c.y2() - outer, c.x2(), c.y2());
    gc.bezierCurveTo(
        c.x2() - quarter, c.y2() - inner, c.x1() + quarter, c.y1() - inner, c.x1(), c.y1());
    gc.closePath();
    gc.fill();
  }

  private void glyph(Mark.Glyph g) {
    double k = g.space();
    gc.beginPath();
    for (Outline.Segment segment : MusicFont.shipped().outline(g.sign()).segments()) {
      if (segment instanceof Outline.Move m) {
        gc.moveTo(g.x() + k * m.x(), g.y() + k * m.y());
      } else if (segment instanceof Outline.To t) {
        gc.lineTo(g.x() + k * t.x(), g.y() + k * t.y());
      } else if (segment instanceof Outline.Cubic c) {
        gc.bezierCurveTo(
            g.x() + k * c.x1(),
            g.y() + k * c.y1(),
            g.x() + k * c.x2(),
            g.y() + k * c.y2(),
            g.x() + k * c.x(),
            g.y() + k * c.y());
      } else {
        gc.closePath();
      }
    }
    gc.fill();
  }
}
