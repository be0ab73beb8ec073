package phalanx.desktop.drawing;

import javafx.scene.canvas.GraphicsContext;

/** The sign of a roll, the same wherever it is drawn. */
public final class RollSign {

  private final GraphicsContext gc;
  private final Palette palette;

  public RollSign(GraphicsContext gc, Palette palette) {
    this.gc = gc;
    this.palette = palette;
  }

  /**
   * A wave beside what is rolled, with an arrow at the string that comes last.
   *
   * @param up whether the highest string comes last
   * @param wave length of a wave, px; the arrow grows with it
   */
  public void paint(double x, double top, double bottom, boolean up, double wave) {
    gc.setStroke(palette.get("text"));
    gc.setLineWidth(1.4);
    gc.beginPath();
    gc.moveTo(x, top);
    for (double y = top; y < bottom; y += wave) {
      gc.quadraticCurveTo(x + 3, y + wave / 4, x, y + wave / 2);
      gc.quadraticCurveTo(x - 3, y + 3 * wave / 4, x, y + wave);
    }
    gc.stroke();
    double half = wave / 4 + 2;
    double tip = up ? top - 5 : bottom + 7;
    double back = up ? 6 : -6;
    gc.setFill(palette.get("text"));
    gc.fillPolygon(
        new double[] {x - half, x + half, x}, new double[] {tip + back, tip + back, tip}, 3);
  }
}
