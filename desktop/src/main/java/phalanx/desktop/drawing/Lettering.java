package phalanx.desktop.drawing;

import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;

/** Writes on a canvas, on a base line. */
public final class Lettering {

  private final GraphicsContext gc;
  private final Palette palette;

  public Lettering(GraphicsContext gc, Palette palette) {
    this.gc = gc;
    this.palette = palette;
  }

  /** Writes from a place on. */
  public void left(String text, double x, double y, Font font, String ink) {
    write(text, x, y, font, palette.get(ink), TextAlignment.LEFT);
  }

  /** Writes from a place on. */
  public void left(String text, double x, double y, Font font, Color ink) {
    write(text, x, y, font, ink, TextAlignment.LEFT);
  }

  /** Writes up to a place. */
  public void right(String text, double x, double y, Font font, String ink) {
    write(text, x, y, font, palette.get(ink), TextAlignment.RIGHT);
  }

  /** Writes about a place. */
  public void centre(String text, double x, double y, Font font, String ink) {
    centre(text, x, y, font, palette.get(ink));
  }

  /** Writes about a place. */
  public void centre(String text, double x, double y, Font font, Color ink) {
    write(text, x, y, font, ink, TextAlignment.CENTER);
  }

  private void write(
      String text, double x, double y, Font font, Color ink, TextAlignment alignment) {
    gc.setFont(font);
    gc.setFill(ink);
    gc.setTextAlign(alignment);
    gc.setTextBaseline(VPos.BASELINE);
    gc.fillText(text, x, y);
  }

  /** Width of a text, px. */
  public static double width(String text, Font font) {
    Text node = new Text(text);
    node.setFont(font);
    return node.getLayoutBounds().getWidth();
  }
}
