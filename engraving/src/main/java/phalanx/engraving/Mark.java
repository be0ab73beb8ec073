package phalanx.engraving;

import java.util.List;
import phalanx.engraving.font.Face;
import phalanx.engraving.font.MusicFont;
import phalanx.engraving.font.Sign;

/** One mark on a page. Coordinates are points (1/72 inch) from the top left, y downwards. */
public sealed interface Mark {

  /** What it is. */
  Role role();

  /** The same elsewhere, and larger or smaller. */
  Mark placed(double dx, double dy, double scale);

  /** The rectangle around its ink. */
  Box box();

  /** A rectangle by its edges. */
  record Box(double left, double top, double right, double bottom) {

    /** Whether two have more than a hair in common. */
    public boolean overlaps(Box other, double hair) {
      return left + hair < other.right
          && other.left + hair < right
          && top + hair < other.bottom
          && other.top + hair < bottom;
    }

    /** The rectangle around two. */
    public Box and(Box other) {
      return new Box(
          Math.min(left, other.left),
          Math.min(top, other.top),
          Math.max(right, other.right),
          Math.max(bottom, other.bottom));
    }
  }

  /** A straight line. */
  record Line(Role role, double x1, double y1, double x2, double y2, double width) implements Mark {
    @Override
    public Mark placed(double dx, double dy, double k) {
      return new Line(role, dx + k * x1, dy + k * y1, dx + k * x2, dy + k * y2, k * width);
    }

    @Override
    public Box box() {
      double half = width / 2;
      return new Box(
          Math.min(x1, x2) - (x1 == x2 ? half : 0),
          Math.min(y1, y2) - (x1 == x2 ? 0 : half),
          Math.max(x1, x2) + (x1 == x2 ? half : 0),
          Math.max(y1, y2) + (x1 == x2 ? 0 : half));
    }
  }

  /** A filled slanted bar: a beam. Its left and right edges are upright. */
  record Beam(Role role, double x1, double y1, double x2, double y2, double thickness)
      implements Mark {
    @Override
    public Mark placed(double dx, double dy, double k) {
      return new Beam(role, dx + k * x1, dy + k * y1, dx + k * x2, dy + k * y2, k * thickness);
    }

    @Override
    public Box box() {
      return new Box(x1, Math.min(y1, y2), x2, Math.max(y1, y2) + thickness);
    }
  }

  /**
   * A tie or a slur: thin at its ends.
   *
   * @param rise how far its middle lies above its ends; less than 0 for one that hangs
   * @param thickness in the middle
   */
  record Curve(Role role, double x1, double y1, double x2, double y2, double rise, double thickness)
      implements Mark {
    @Override
    public Mark placed(double dx, double dy, double k) {
      return new Curve(
          role, dx + k * x1, dy + k * y1, dx + k * x2, dy + k * y2, k * rise, k * thickness);
    }

    @Override
    public Box box() {
      double low = Math.max(y1, y2);
      double high = Math.min(y1, y2);
      return rise > 0 ? new Box(x1, high - rise, x2, low) : new Box(x1, high, x2, low - rise);
    }
  }

  /**
   * A music sign.
   *
   * @param space the staff space it is drawn for
   */
  record Glyph(Role role, Sign sign, double x, double y, double space) implements Mark {
    @Override
    public Mark placed(double dx, double dy, double k) {
      return new Glyph(role, sign, dx + k * x, dy + k * y, k * space);
    }

    @Override
    public Box box() {
      MusicFont.Box box = MusicFont.shipped().box(sign);
      return new Box(
          x + box.left() * space,
          y + box.top() * space,
          x + box.right() * space,
          y + box.bottom() * space);
    }
  }

  /**
   * Words.
   *
   * @param x their left edge
   * @param baseline the line they stand on
   * @param size the size of the type
   */
  record Text(Role role, String text, double x, double baseline, Face face, double size)
      implements Mark {

    /** Capitals are this high, in the size of the type. */
    public static final double CAPITAL = 0.73;

    private static final double DESCENT = 0.2;

    /** Numbers in circles are higher and hang lower than anything else. */
    public static final double CIRCLE_TOP = 1.05;

    public static final double CIRCLE_BOTTOM = 0.32;

    @Override
    public Mark placed(double dx, double dy, double k) {
      return new Text(role, text, dx + k * x, dy + k * baseline, face, k * size);
    }

    @Override
    public Box box() {
      boolean hangs = text.chars().anyMatch(c -> "gjpqy,;()[]Q".indexOf(c) >= 0);
      boolean circled = text.chars().anyMatch(c -> c >= '①' && c <= '⑨');
      double top = circled ? CIRCLE_TOP : CAPITAL;
      double bottom = circled ? CIRCLE_BOTTOM : hangs ? DESCENT : 0;
      return new Box(
          x, baseline - top * size, x + face.width(text, size), baseline + bottom * size);
    }
  }

  /** A filled rectangle with rounded corners. */
  record Bar(Role role, double x, double y, double width, double height, double round)
      implements Mark {
    @Override
    public Mark placed(double dx, double dy, double k) {
      return new Bar(role, dx + k * x, dy + k * y, k * width, k * height, k * round);
    }

    @Override
    public Box box() {
      return new Box(x, y, x + width, y + height);
    }
  }

  /**
   * A circle.
   *
   * @param width of its line; 0 for a filled one
   */
  record Circle(Role role, double x, double y, double radius, double width) implements Mark {
    @Override
    public Mark placed(double dx, double dy, double k) {
      return new Circle(role, dx + k * x, dy + k * y, k * radius, k * width);
    }

    @Override
    public Box box() {
      return new Box(x - radius, y - radius, x + radius, y + radius);
    }
  }

  /** A line through points. */
  record Path(Role role, List<Point> points, double width) implements Mark {
    public Path {
      points = List.copyOf(points);
    }

    @Override
    public Mark placed(double dx, double dy, double k) {
      return new Path(
          role,
          points.stream().map(p -> new Point(dx + k * p.x(), dy + k * p.y())).toList(),
          k * width);
    }

    @Override
    public Box box() {
      Box box = null;
      for (Point p : points) {
        Box at = new Box(p.x(), p.y(), p.x(), p.y());
        box = box == null ? at : box.and(at);
      }
      return box;
    }
  }

  /** A point. */
  record Point(double x, double y) {}
}
