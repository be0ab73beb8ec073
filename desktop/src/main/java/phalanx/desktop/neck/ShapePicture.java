package phalanx.desktop.neck;

import java.util.Map;
import java.util.OptionalInt;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.TypeFace;
import phalanx.fretting.Grip;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;

/**
 * A shape drawn small, as the neck lies: string ① up, the nut on the left, the fingers' numbers.
 */
public final class ShapePicture extends Canvas {

  private static final double WIDTH = 72;
  private static final double HEIGHT = 52;
  private static final double LEFT = 13;
  private static final double TOP = 5;
  private static final double STRINGS = 7.4;
  private static final double DOT = 4.4;
  private static final int LEAST_FRETS = 4;

  private final Palette palette;
  private final Lettering ink;

  public ShapePicture(Palette palette) {
    super(WIDTH, HEIGHT);
    this.palette = palette;
    ink = new Lettering(getGraphicsContext2D(), palette);
    setMouseTransparent(true);
  }

  /** Draws a shape. */
  public void show(Shape shape, boolean leftHanded) {
    GraphicsContext gc = getGraphicsContext2D();
    gc.clearRect(0, 0, WIDTH, HEIGHT);
    int highest = shape.grips().values().stream().mapToInt(Grip::fret).max().orElse(0);
    int lowest = shape.grips().values().stream().mapToInt(Grip::fret).min().orElse(1);
    int first = highest <= LEAST_FRETS ? 1 : lowest;
    int frets = Math.max(LEAST_FRETS, highest - first + 1);
    double gap = (WIDTH - LEFT - 2) / frets;
    board(gc, first, frets, gap, leftHanded);
    for (int s = 0; s < Tuning.STRINGS; s++) {
      OptionalInt fret = shape.fret(s);
      double x = place(LEFT - 6, leftHanded);
      if (fret.isEmpty()) {
        ink.centre("×", x, y(s) + 3, TypeFace.plain(9), "muted");
      } else if (fret.getAsInt() == 0) {
        gc.setStroke(palette.get("text-2"));
        gc.setLineWidth(1);
        gc.strokeOval(x - 2.2, y(s) - 2.2, 4.4, 4.4);
      }
    }
    for (Map.Entry<Finger, Grip> held : shape.grips().entrySet()) {
      finger(
          gc,
          held.getKey(),
          held.getValue(),
          LEFT + (held.getValue().fret() - first + 0.5) * gap,
          leftHanded);
    }
  }

  private void board(GraphicsContext gc, int first, int frets, double gap, boolean leftHanded) {
    gc.setStroke(palette.get("edge"));
    gc.setLineWidth(1);
    for (int f = 0; f <= frets; f++) {
      double x = place(LEFT + f * gap, leftHanded);
      boolean nut = f == 0 && first == 1;
      gc.setStroke(palette.get(nut ? "text" : "edge"));
      gc.setLineWidth(nut ? 2.4 : 1);
      gc.strokeLine(x, y(Tuning.STRINGS - 1), x, y(0));
    }
    for (int s = 0; s < Tuning.STRINGS; s++) {
      gc.setStroke(palette.get("string"));
      gc.setLineWidth(0.7 + (Tuning.STRINGS - 1 - s) * 0.12);
      gc.strokeLine(place(LEFT, leftHanded), y(s), place(LEFT + frets * gap, leftHanded), y(s));
    }
    if (first > 1) {
      String number = String.valueOf(first);
      ink.centre(
          number, place(LEFT + gap / 2, leftHanded), HEIGHT - 0.5, TypeFace.plain(8.5), "text-2");
    }
  }

  private void finger(GraphicsContext gc, Finger finger, Grip grip, double at, boolean leftHanded) {
    double x = place(at, leftHanded);
    gc.setStroke(palette.get("text"));
    gc.setLineWidth(2 * DOT);
    gc.setLineCap(javafx.scene.shape.StrokeLineCap.ROUND);
    gc.strokeLine(x, y(grip.lowString()), x, y(grip.highString()) + 0.01);
    gc.setLineCap(javafx.scene.shape.StrokeLineCap.BUTT);
    double middle = (y(grip.lowString()) + y(grip.highString())) / 2;
    ink.centre(finger.sign(), x, middle + 2.8, TypeFace.bold(8), "paper");
  }

  private static double place(double x, boolean leftHanded) {
    return leftHanded ? WIDTH - x : x;
  }

  private static double y(int string) {
    return TOP + (Tuning.STRINGS - 1 - string) * STRINGS;
  }
}
