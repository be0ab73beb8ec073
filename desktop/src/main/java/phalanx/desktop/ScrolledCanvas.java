package phalanx.desktop;

import javafx.geometry.Orientation;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.ScrollBar;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Region;

/**
 * A sheet higher than its view, drawn on a canvas of the view's size: only what can be seen is ever
 * drawn, so a long song scrolls as a short one does.
 */
public abstract class ScrolledCanvas extends Region {

  private static final double SCROLL_BAR = 14;

  private final Canvas canvas = new Canvas();
  private final ScrollBar bar = new ScrollBar();

  /** An empty sheet that takes the keyboard. */
  protected ScrolledCanvas(String id) {
    setId(id);
    getStyleClass().add(id);
    setFocusTraversable(true);
    setAccessibleRole(AccessibleRole.NODE);
    bar.setOrientation(Orientation.VERTICAL);
    bar.setFocusTraversable(false);
    bar.setVisible(false);
    getChildren().addAll(canvas, bar);
    bar.valueProperty().addListener(o -> repaint());
    setOnScroll(this::scroll);
  }

  /** Lays the sheet out for a width, px; says how high it is, negative if there is none yet. */
  protected abstract double layOut(double width);

  /** Draws what lies between two heights of the sheet. */
  protected abstract void paint(double top, double width, double height);

  /** What is drawn on. */
  protected final GraphicsContext graphics() {
    return canvas.getGraphicsContext2D();
  }

  @Override
  protected void layoutChildren() {
    double width = Math.max(1, getWidth() - SCROLL_BAR - 2);
    if (width != canvas.getWidth() || getHeight() != canvas.getHeight()) {
      canvas.setWidth(width);
      canvas.setHeight(getHeight());
      rebuild();
    }
    bar.resizeRelocate(getWidth() - SCROLL_BAR, 0, SCROLL_BAR, getHeight());
  }

  /** Lays out and draws anew, after what is shown has changed. */
  protected final void rebuild() {
    double height = canvas.getWidth() <= 1 ? -1 : layOut(canvas.getWidth());
    if (height < 0) {
      return;
    }
    double hidden = Math.max(0, height - canvas.getHeight());
    bar.setMax(hidden);
    bar.setVisible(hidden > 0);
    bar.setVisibleAmount(hidden * canvas.getHeight() / Math.max(1, height));
    bar.setValue(Math.min(bar.getValue(), hidden));
    repaint();
  }

  /** Draws anew what can be seen. */
  protected final void repaint() {
    if (canvas.getWidth() > 1) {
      paint(bar.getValue(), canvas.getWidth(), canvas.getHeight());
    }
  }

  /** Scrolls so that what lies between two heights can be seen. */
  protected final void reveal(double top, double bottom) {
    if (top < bar.getValue()) {
      bar.setValue(Math.max(0, top));
    } else if (bottom > bar.getValue() + canvas.getHeight()) {
      bar.setValue(Math.min(bar.getMax(), bottom - canvas.getHeight()));
    }
    repaint();
  }

  /** Scrolls with the wheel; a sheet that zooms takes some turns of it first. */
  protected void scroll(ScrollEvent event) {
    double to = bar.getValue() - event.getDeltaY();
    bar.setValue(Math.max(0, Math.min(bar.getMax(), to)));
    event.consume();
  }

  /** How far the sheet is scrolled down, px. */
  public final double scrolled() {
    return bar.getValue();
  }
}
