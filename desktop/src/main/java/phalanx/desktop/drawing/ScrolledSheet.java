package phalanx.desktop.drawing;

import javafx.geometry.Orientation;
import javafx.scene.AccessibleRole;
import javafx.scene.control.ScrollBar;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Region;

/**
 * A sheet higher than its view: only what can be seen is ever drawn, so a long song scrolls as a
 * short one does.
 */
public abstract class ScrolledSheet extends Region {

  private static final double SCROLL_BAR = 14;

  /** How wide the line is that runs along with what is heard, px. */
  private static final double HEAD = 2;

  private final ScrollBar bar = new ScrollBar();
  private final Region playhead = new Region();
  private double headTop;
  private double headBottom;
  private double paper;
  private double view;

  /** An empty sheet that takes the keyboard. */
  protected ScrolledSheet(String id) {
    setId(id);
    getStyleClass().add(id);
    setFocusTraversable(true);
    setAccessibleRole(AccessibleRole.NODE);
    bar.setOrientation(Orientation.VERTICAL);
    bar.setFocusTraversable(false);
    bar.setVisible(false);
    playhead.getStyleClass().add("playhead");
    playhead.setId(id + "-playhead");
    playhead.setManaged(false);
    playhead.setMouseTransparent(true);
    playhead.setVisible(false);
    getChildren().addAll(playhead, bar);
    bar.valueProperty().addListener(o -> show(false));
    bar.valueProperty().addListener(o -> placePlayhead());
    setOnScroll(this::scroll);
  }

  /** Lays the sheet out for a width, px; says how high it is, negative if there is none yet. */
  protected abstract double layOut(double width);

  /**
   * Shows what lies below a height of the sheet.
   *
   * @param anew whether what is shown has changed, and not only the height
   */
  protected abstract void show(double top, double width, double height, boolean anew);

  @Override
  protected void layoutChildren() {
    double width = Math.max(1, getWidth() - SCROLL_BAR - 2);
    if (width != paper || getHeight() != view) {
      paper = width;
      view = getHeight();
      rebuild();
    }
    bar.resizeRelocate(getWidth() - SCROLL_BAR, 0, SCROLL_BAR, getHeight());
  }

  /** Lays out and draws anew, after what is shown has changed. */
  protected final void rebuild() {
    double height = paper <= 1 ? -1 : layOut(paper);
    if (height < 0) {
      return;
    }
    double hidden = Math.max(0, height - view);
    bar.setMax(hidden);
    bar.setVisible(hidden > 0);
    bar.setVisibleAmount(hidden * view / Math.max(1, height));
    bar.setValue(Math.min(bar.getValue(), hidden));
    repaint();
  }

  /** Draws anew what can be seen. */
  protected final void repaint() {
    show(true);
  }

  private void show(boolean anew) {
    if (paper > 1) {
      show(bar.getValue(), paper, view, anew);
    }
  }

  /** Scrolls so that what lies between two heights can be seen. */
  protected final void reveal(double top, double bottom) {
    if (top < bar.getValue()) {
      bar.setValue(Math.max(0, top));
    } else if (bottom > bar.getValue() + view) {
      bar.setValue(Math.min(bar.getMax(), bottom - view));
    }
    repaint();
  }

  /**
   * Draws the line that runs along with what is heard; the sheet follows where it leaves the view.
   *
   * @param x where across
   * @param top from which height of the sheet
   * @param bottom to which
   */
  protected final void runAlong(double x, double top, double bottom) {
    boolean moved = !playhead.isVisible() || top != headTop;
    headTop = top;
    headBottom = bottom;
    boolean outside = top < bar.getValue() || bottom > bar.getValue() + view;
    if (moved && outside) {
      reveal(top, bottom);
    }
    playhead.setVisible(true);
    playhead.setLayoutX(Math.round(x - HEAD / 2));
    placePlayhead();
  }

  /** Nothing is heard any more. */
  protected final void standStill() {
    playhead.setVisible(false);
  }

  private void placePlayhead() {
    double from = Math.max(0, headTop - bar.getValue());
    double to = Math.min(view, headBottom - bar.getValue());
    playhead.resize(HEAD, Math.max(0, to - from));
    playhead.setLayoutY(from);
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
