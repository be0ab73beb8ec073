package phalanx.desktop.picking;

import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import phalanx.desktop.drawing.HitSigns;
import phalanx.desktop.drawing.Palette;
import phalanx.picking.Pattern;
import phalanx.picking.Role;
import phalanx.picking.Stroke;
import phalanx.theory.Meter;

/** A pattern in a small picture: time across, the tune on top, the thumb below, hits lowest. */
final class PatternPicture extends Canvas {

  private static final double DOT = 2.6;

  /** Rows of the picture: four fingers, the thumb, hits. */
  private static final int ROWS = 6;

  private final Palette palette;
  private final int length;

  PatternPicture(Pattern pattern, Meter meter, double width, double height, Palette palette) {
    super(width, height);
    this.palette = palette;
    // Of a long pattern the first two bars show enough.
    length = Math.min(pattern.lengthTicks(), 2 * meter.barTicks());
    GraphicsContext gc = getGraphicsContext2D();
    gc.setStroke(palette.get("rule"));
    for (int beat = 0; beat * meter.beatTicks() < length; beat++) {
      double x = x(beat * meter.beatTicks());
      gc.strokeLine(x, 1, x, height - 1);
    }
    for (Pattern.Step step : pattern.plain(meter.beatTicks()).between(0, length)) {
      int place = 0;
      for (Stroke stroke : step.strokes()) {
        boolean rolls = step.roll().isPresent() && stroke instanceof Stroke.Pluck;
        paint(gc, stroke, x(step.tick()) + (rolls ? 3 * place++ : 0));
      }
    }
  }

  private void paint(GraphicsContext gc, Stroke stroke, double x) {
    if (stroke instanceof Stroke.Pluck pluck) {
      gc.setFill(palette.get(ink(pluck.role())));
      double y = y(row(pluck.role()));
      gc.fillOval(x - DOT, y - DOT, 2 * DOT, 2 * DOT);
    } else if (stroke instanceof Stroke.Knock knock) {
      new HitSigns(gc, palette).paint(knock.hit(), x, y(ROWS - 1), 3.4);
    } else if (stroke instanceof Stroke.Brush brush) {
      double from = y(stringRow(brush.from()));
      double to = y(stringRow(brush.to()));
      double back = to < from ? 6 : -6;
      gc.setStroke(palette.pick(brush.touch().letter()));
      gc.setFill(palette.pick(brush.touch().letter()));
      gc.setLineWidth(2);
      gc.strokeLine(x, from, x, to + back);
      gc.fillPolygon(
          new double[] {x - 3.5, x + 3.5, x}, new double[] {to + back, to + back, to}, 3);
    }
  }

  private double x(int tick) {
    return 5 + (getWidth() - 10) * tick / length;
  }

  private double y(int row) {
    return 4 + (getHeight() - 8) * row / (ROWS - 1);
  }

  private static int row(Role role) {
    return switch (role) {
      case TUNE -> 0;
      case UPPER -> 1;
      case MIDDLE -> 2;
      case INNER -> 3;
      default -> 4;
    };
  }

  private static int stringRow(int string) {
    return Math.min(4, 5 - string);
  }

  /** The usual finger's colour; the letters stand in the large grid. */
  private static String ink(Role role) {
    return switch (role) {
      case TUNE -> "pick-a";
      case UPPER -> "pick-m";
      case MIDDLE, INNER -> "pick-i";
      default -> "pick-p";
    };
  }
}
