package phalanx.formats.page;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.RoundRectangle2D;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.EnumMap;
import java.util.Map;
import phalanx.engraving.Mark;
import phalanx.engraving.Page;
import phalanx.engraving.Role;
import phalanx.engraving.font.Face;
import phalanx.engraving.font.MusicFont;
import phalanx.engraving.font.Outline;
import phalanx.engraving.font.Sign;

/** Paints the marks of a page with the graphics of the JDK, in black as it is printed. */
final class Graphics2DPainter {

  private static final Color INK = Color.BLACK;
  private static final Color LINES = new Color(70, 70, 70);
  private static final Color PAPER = Color.WHITE;
  private static final Map<Face, Font> FONTS = new EnumMap<>(Face.class);
  private static final Map<Sign, Path2D> SIGNS = new EnumMap<>(Sign.class);

  private final Graphics2D graphics;

  Graphics2DPainter(Graphics2D graphics) {
    this.graphics = graphics;
    graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    graphics.setRenderingHint(
        RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
    graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    graphics.setRenderingHint(
        RenderingHints.KEY_FRACTIONALMETRICS, RenderingHints.VALUE_FRACTIONALMETRICS_ON);
  }

  /** The font of a cut at a size of one point. */
  static synchronized Font font(Face face) {
    return FONTS.computeIfAbsent(face, Graphics2DPainter::read);
  }

  private static Font read(Face face) {
    try (InputStream in = face.file()) {
      return Font.createFont(Font.TRUETYPE_FONT, in);
    } catch (FontFormatException e) {
      throw new IllegalStateException("the font that ships is a font", e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  void paint(Page page) {
    page.marks().forEach(this::paint);
  }

  private void paint(Mark mark) {
    boolean onDot = mark instanceof Mark.Text && mark.role() == Role.FINGER && isSmall(mark);
    graphics.setPaint(onDot ? PAPER : isLine(mark.role()) ? LINES : INK);
    if (mark instanceof Mark.Line l) {
      stroke(l.width());
      graphics.draw(new Line2D.Double(l.x1(), l.y1(), l.x2(), l.y2()));
    } else if (mark instanceof Mark.Beam b) {
      graphics.fill(beam(b));
    } else if (mark instanceof Mark.Curve c) {
      graphics.fill(curve(c));
    } else if (mark instanceof Mark.Glyph g) {
      AffineTransform place = new AffineTransform(g.space(), 0, 0, g.space(), g.x(), g.y());
      graphics.fill(place.createTransformedShape(sign(g.sign())));
    } else if (mark instanceof Mark.Text t) {
      graphics.setFont(font(t.face()).deriveFont((float) t.size()));
      graphics.drawString(t.text(), (float) t.x(), (float) t.baseline());
    } else if (mark instanceof Mark.Bar b) {
      graphics.fill(
          new RoundRectangle2D.Double(
              b.x(), b.y(), b.width(), b.height(), 2 * b.round(), 2 * b.round()));
    } else if (mark instanceof Mark.Circle c) {
      circle(c);
    } else if (mark instanceof Mark.Path p) {
      stroke(p.width());
      graphics.draw(path(p));
    }
  }

  /** Fingers of a shape’s picture stand in black dots. */
  private static boolean isSmall(Mark mark) {
    return ((Mark.Text) mark).face() == Face.BOLD;
  }

  private static boolean isLine(Role role) {
    return role == Role.STAFF || role == Role.HOLD;
  }

  private void stroke(double width) {
    graphics.setStroke(
        new BasicStroke((float) width, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND));
  }

  private void circle(Mark.Circle c) {
    Ellipse2D circle =
        new Ellipse2D.Double(
            c.x() - c.radius(), c.y() - c.radius(), 2 * c.radius(), 2 * c.radius());
    if (c.width() > 0) {
      stroke(c.width());
      graphics.draw(circle);
    } else {
      graphics.fill(circle);
    }
  }

  private static Shape beam(Mark.Beam b) {
    Path2D path = new Path2D.Double();
    path.moveTo(b.x1(), b.y1());
    path.lineTo(b.x2(), b.y2());
    path.lineTo(b.x2(), b.y2() + b.thickness());
    path.lineTo(b.x1(), b.y1() + b.thickness());
    path.closePath();
    return path;
  }

  /** Two arcs, thicker in the middle. A cubic’s middle rises three quarters of its handles. */
  private static Shape curve(Mark.Curve c) {
    Path2D path = new Path2D.Double();
    double third = (c.x2() - c.x1()) / 4;
    double outer = c.rise() / 0.75;
    double inner = outer - Math.signum(c.rise()) * c.thickness() / 0.75;
    path.moveTo(c.x1(), c.y1());
    path.curveTo(c.x1() + third, c.y1() - outer, c.x2() - third, c.y2() - outer, c.x2(), c.y2());
    path.curveTo(c.x2() - third, c.y2() - inner, c.x1() + third, c.y1() - inner, c.x1(), c.y1());
    path.closePath();
    return path;
  }

  private static Shape path(Mark.Path p) {
    Path2D path = new Path2D.Double();
    for (int k = 0; k < p.points().size(); k++) {
      Mark.Point at = p.points().get(k);
      if (k == 0) {
        path.moveTo(at.x(), at.y());
      } else {
        path.lineTo(at.x(), at.y());
      }
    }
    return path;
  }

  private static synchronized Path2D sign(Sign sign) {
    return SIGNS.computeIfAbsent(sign, s -> shape(MusicFont.shipped().outline(s)));
  }

  private static Path2D shape(Outline outline) {
    Path2D path = new Path2D.Double(Path2D.WIND_NON_ZERO);
    for (Outline.Segment segment : outline.segments()) {
      if (segment instanceof Outline.Move m) {
        path.moveTo(m.x(), m.y());
      } else if (segment instanceof Outline.To t) {
        path.lineTo(t.x(), t.y());
      } else if (segment instanceof Outline.Cubic c) {
        path.curveTo(c.x1(), c.y1(), c.x2(), c.y2(), c.x(), c.y());
      } else {
        path.closePath();
      }
    }
    return path;
  }
}
