package phalanx.desktop.neck;

import java.util.OptionalInt;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.scene.canvas.Canvas;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import phalanx.desktop.drawing.CanvasWidth;
import phalanx.desktop.drawing.Palette;
import phalanx.fretting.Shape;
import phalanx.instrument.Tuning;

/**
 * A picture of the neck with one shape. Where a player may touch it, a click or the keyboard says
 * string and fret.
 */
public final class NeckView extends Canvas {

  private final NeckPainter painter;
  private final NeckSize size;
  private final ReadOnlyBooleanProperty leftHanded;
  private NeckPicture picture;
  private NeckLayout layout;
  private Touch touch = (string, fret, together) -> {};
  private int string = Tuning.STRINGS - 2;
  private int fret = 1;

  /** Takes a place on the neck that the player touched. */
  public interface Touch {
    /**
     * String 0 for ⑥ to 5 for ①, fret from the capo, 0 beside the nut; together with what was
     * touched before where Shift is held.
     */
    void at(int string, int fret, boolean together);
  }

  /**
   * A neck.
   *
   * @param leftHanded whether it is turned round, nut to the right
   */
  public NeckView(
      double width,
      double height,
      Palette palette,
      NeckSize size,
      ReadOnlyBooleanProperty leftHanded) {
    super(width, height);
    this.leftHanded = leftHanded;
    leftHanded.addListener(o -> repaint());
    this.size = size;
    painter = new NeckPainter(getGraphicsContext2D(), palette, size);
    setId(size == NeckSize.SMALL ? "neck" : "large-neck");
  }

  /**
   * Takes the width there is.
   *
   * @param room what the neck lies in
   * @param beside what of its width is not for the neck, px
   */
  public void fill(Region room, double beside) {
    CanvasWidth.follow(this, room, beside, this::repaint);
  }

  /** Lets the player touch the neck. */
  public void onTouch(Touch taker) {
    touch = taker;
    setFocusTraversable(true);
    setOnMousePressed(this::press);
    setOnKeyPressed(this::key);
    focusedProperty().addListener(o -> repaint());
  }

  /** Shows a picture. */
  public void show(NeckPicture shown) {
    picture = shown;
    repaint();
    setAccessibleText(NeckWords.of(shown.shape()));
  }

  private void repaint() {
    if (picture == null) {
      return;
    }
    OptionalInt cursor =
        isFocused() ? OptionalInt.of(NeckPicture.place(string, fret)) : OptionalInt.empty();
    Shape next = picture.next().orElse(Shape.NOTHING);
    layout =
        new NeckLayout(
            picture.guitar(),
            size.lastFret(picture.shape(), next),
            size.margin(),
            getWidth(),
            getHeight(),
            leftHanded.get());
    if (cursor.isPresent()) {
      setAccessibleText(NeckWords.at(picture.guitar(), picture.shape(), string, fret));
    }
    NeckPicture painted = picture.with(cursor);
    painter.paint(painted, layout, getWidth(), getHeight());
  }

  private void press(MouseEvent event) {
    requestFocus();
    if (layout == null) {
      return;
    }
    layout
        .stringAt(event.getX(), event.getY())
        .ifPresent(
            s -> {
              string = s;
              fret = layout.fretAt(event.getX());
              touch.at(string, fret, event.isShiftDown());
            });
  }

  private void key(KeyEvent event) {
    if (layout == null) {
      return;
    }
    int along = layout.isTurned() ? -1 : 1;
    switch (event.getCode()) {
      case UP -> string = Math.min(Tuning.STRINGS - 1, string + 1);
      case DOWN -> string = Math.max(0, string - 1);
      case RIGHT -> fret = Math.max(0, Math.min(layout.lastFret(), fret + along));
      case LEFT -> fret = Math.max(0, Math.min(layout.lastFret(), fret - along));
      case ENTER -> touch.at(string, fret, event.isShiftDown());
      default -> {
        return;
      }
    }
    event.consume();
    repaint();
  }
}
