package phalanx.desktop.neck;

import java.util.Optional;
import javafx.scene.canvas.Canvas;
import phalanx.desktop.Palette;
import phalanx.fretting.Shape;
import phalanx.song.Song;

/** A picture of the neck with one shape. */
public final class NeckView extends Canvas {

  private final NeckPainter painter;

  public NeckView(double width, double height, Palette palette) {
    super(width, height);
    painter = new NeckPainter(getGraphicsContext2D(), palette);
    setId("neck");
  }

  /** Shows a shape, and dashed where the fingers go for the next. */
  public void show(Song song, Shape shape, Optional<Shape> next) {
    painter.paint(song.guitar(), song.hand(), shape, next, getWidth(), getHeight());
    setAccessibleText("neck with " + shape);
  }
}
