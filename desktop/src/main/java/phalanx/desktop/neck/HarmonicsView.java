package phalanx.desktop.neck;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import phalanx.desktop.drawing.CanvasWidth;
import phalanx.desktop.drawing.Palette;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.HarmonicNode;

/** The whole neck with the places of its natural harmonics, larger where they speak more easily. */
public final class HarmonicsView extends Canvas {

  /** Half the width of the octave's sign, px. */
  private static final double LARGEST = 8;

  private static final double SMALLEST = 2.6;

  private final Palette palette;
  private final NeckPainter painter;
  private final ReadOnlyBooleanProperty leftHanded;
  private Optional<Guitar> guitar = Optional.empty();

  /**
   * A neck without a guitar yet.
   *
   * @param leftHanded whether it is turned round, nut to the right
   */
  public HarmonicsView(
      double width, double height, Palette palette, ReadOnlyBooleanProperty leftHanded) {
    super(width, height);
    this.palette = palette;
    this.leftHanded = leftHanded;
    painter = new NeckPainter(getGraphicsContext2D(), palette, NeckSize.LONG);
    setId("harmonics");
    setAccessibleText("neck with the places of the natural harmonics");
    leftHanded.addListener(o -> repaint());
  }

  /** Takes the width there is. */
  public void fill(Region room, double beside) {
    CanvasWidth.follow(this, room, beside, this::repaint);
  }

  /** Shows a guitar. */
  public void show(Guitar shown) {
    guitar = Optional.of(shown);
    repaint();
  }

  private void repaint() {
    guitar.ifPresent(this::paint);
  }

  private void paint(Guitar shown) {
    NeckLayout layout =
        new NeckLayout(
            shown,
            shown.frets(),
            NeckSize.LONG.margin(),
            getWidth(),
            getHeight(),
            leftHanded.get());
    NeckPicture open =
        new NeckPicture(
            shown,
            Hand.MEDIUM,
            Shape.OPEN,
            Optional.empty(),
            List.of(),
            List.of(),
            OptionalInt.empty());
    painter.paint(open, layout, getWidth(), getHeight());
    GraphicsContext gc = getGraphicsContext2D();
    gc.setStroke(palette.get("neck"));
    gc.setLineWidth(1);
    for (HarmonicNode node : HarmonicNode.all(shown)) {
      if (node.fret() <= layout.lastFret() + 0.5) {
        double x = layout.touchX(node.fret());
        double y = layout.stringY(node.string(), x);
        double half = Math.max(SMALLEST, LARGEST * node.ease());
        gc.setFill(palette.get(node.harmonic() <= 4 ? "harmonic" : "harmonic-far"));
        double[] across = {x - half, x, x + half, x};
        double[] down = {y, y - half, y, y + half};
        gc.fillPolygon(across, down, 4);
        gc.strokePolygon(across, down, 4);
      }
    }
  }
}
