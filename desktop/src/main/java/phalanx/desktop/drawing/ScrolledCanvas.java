package phalanx.desktop.drawing;

import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;

/** A sheet drawn on one canvas of the view's size, anew whenever it is scrolled. */
public abstract class ScrolledCanvas extends ScrolledSheet {

  private final Canvas canvas = new Canvas();

  /** An empty sheet that takes the keyboard. */
  protected ScrolledCanvas(String id) {
    super(id);
    getChildren().add(0, canvas);
  }

  /** Draws what lies between two heights of the sheet. */
  protected abstract void paint(double top, double width, double height);

  /** What is drawn on. */
  protected final GraphicsContext graphics() {
    return canvas.getGraphicsContext2D();
  }

  @Override
  protected final void show(double top, double width, double height, boolean anew) {
    canvas.setWidth(width);
    canvas.setHeight(height);
    paint(top, width, height);
  }
}
