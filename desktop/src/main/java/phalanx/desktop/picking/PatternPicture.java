package phalanx.desktop.picking;

import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import phalanx.desktop.Palette;
import phalanx.picking.Pattern;
import phalanx.picking.Role;
import phalanx.theory.Meter;

/** A pattern in a small picture: time across, the tune on top, the thumb below. */
final class PatternPicture extends Canvas {

  private static final double DOT = 2.8;

  PatternPicture(Pattern pattern, Meter meter, double width, double height, Palette palette) {
    super(width, height);
    GraphicsContext gc = getGraphicsContext2D();
    gc.setStroke(palette.get("rule"));
    for (int beat = 0; beat * meter.beatTicks() < pattern.lengthTicks(); beat++) {
      double x = x(beat * meter.beatTicks(), pattern);
      gc.strokeLine(x, 1, x, height - 1);
    }
    for (Pattern.Step step : pattern.steps()) {
      for (Role role : step.roles()) {
        gc.setFill(palette.get(ink(role)));
        gc.fillOval(x(step.tick(), pattern) - DOT, y(role) - DOT, 2 * DOT, 2 * DOT);
      }
    }
  }

  private double x(int tick, Pattern pattern) {
    return 5 + (getWidth() - 10) * tick / pattern.lengthTicks();
  }

  private double y(Role role) {
    int rows = GridLayout.ROWS.size() - 1;
    int row = GridLayout.ROWS.indexOf(role.isThumb() ? Role.ROOT : role);
    return 5 + (getHeight() - 10) * row / rows;
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
