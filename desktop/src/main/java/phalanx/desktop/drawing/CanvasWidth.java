package phalanx.desktop.drawing;

import javafx.scene.canvas.Canvas;
import javafx.scene.layout.Region;

/** Lets a canvas take the width there is. */
public final class CanvasWidth {

  /** Narrower than this nothing is drawn that could be read, px. */
  private static final double LEAST = 200;

  private CanvasWidth() {}

  /**
   * Follows the width of what a canvas lies in.
   *
   * @param beside what of that width is not for the canvas, px
   * @param repaint draws it anew
   */
  public static void follow(Canvas canvas, Region room, double beside, Runnable repaint) {
    room.widthProperty()
        .addListener(
            o -> {
              canvas.setWidth(Math.max(LEAST, room.getWidth() - beside));
              repaint.run();
            });
  }
}
