package phalanx.desktop.strip;

import javafx.geometry.Orientation;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.ScrollBar;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Region;
import phalanx.arrangement.Arrangement;
import phalanx.desktop.Palette;
import phalanx.desktop.model.Workspace;

/**
 * The two-hand strip on the screen: scrolls, zooms and selects. Only what can be seen is drawn, on
 * a canvas of the size of the view.
 */
public final class StripView extends Region {

  private static final double SMALLEST = 0.4;
  private static final double LARGEST = 2.2;
  private static final double ZOOM_STEP = 1.15;
  private static final double SCROLL_BAR = 14;

  private final Workspace workspace;
  private final Canvas canvas = new Canvas();
  private final ScrollBar bar = new ScrollBar();
  private final StripPainter painter;
  private StripLayout layout;
  private double zoom = 1;

  public StripView(Workspace workspace, Palette palette) {
    this.workspace = workspace;
    painter = new StripPainter(canvas.getGraphicsContext2D(), palette);
    setId("strip");
    getStyleClass().add("strip");
    setFocusTraversable(true);
    setAccessibleRole(AccessibleRole.NODE);
    bar.setOrientation(Orientation.VERTICAL);
    bar.setFocusTraversable(false);
    bar.setVisible(false);
    getChildren().addAll(canvas, bar);
    bar.valueProperty().addListener(o -> paint());
    workspace.arrangementProperty().addListener(o -> rebuild());
    workspace.selectedProperty().addListener(o -> showSelected());
    setOnMousePressed(this::press);
    setOnScroll(this::scroll);
    setOnKeyPressed(this::key);
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

  private void rebuild() {
    Arrangement arrangement = workspace.arrangementProperty().get();
    if (arrangement == null || canvas.getWidth() <= 1) {
      return;
    }
    layout = new StripLayout(arrangement, canvas.getWidth(), zoom);
    double hidden = Math.max(0, layout.height() - canvas.getHeight());
    bar.setMax(hidden);
    bar.setVisible(hidden > 0);
    bar.setVisibleAmount(hidden * canvas.getHeight() / Math.max(1, layout.height()));
    bar.setValue(Math.min(bar.getValue(), hidden));
    paint();
  }

  private void paint() {
    if (layout != null) {
      painter.paint(
          workspace.arrangementProperty().get(),
          layout,
          workspace.selectedProperty().get(),
          bar.getValue(),
          canvas.getWidth(),
          canvas.getHeight());
      describe();
    }
  }

  /** For those who hear the screen instead of seeing it. */
  private void describe() {
    workspace
        .selectedSlot()
        .ifPresent(
            s ->
                setAccessibleText(
                    "bar %d, %s, %s"
                        .formatted(
                            s.played().bar(),
                            s.played().harmony().label(),
                            s.shape().map(Object::toString).orElse("nothing held"))));
  }

  private void showSelected() {
    if (layout == null || workspace.selectedSlot().isEmpty()) {
      return;
    }
    StripLayout.StripSystem system = layout.systemOf(workspace.selectedProperty().get());
    double top = system.y() - StripLayout.HEADING;
    double bottom = system.y() + layout.systemHeight();
    if (top < bar.getValue()) {
      bar.setValue(Math.max(0, top));
    } else if (bottom > bar.getValue() + canvas.getHeight()) {
      bar.setValue(Math.min(bar.getMax(), bottom - canvas.getHeight()));
    }
    paint();
  }

  private void press(MouseEvent event) {
    requestFocus();
    if (layout != null) {
      layout.slotAt(event.getX(), event.getY() + bar.getValue()).ifPresent(workspace::select);
    }
  }

  private void scroll(ScrollEvent event) {
    if (event.isControlDown()) {
      zoomBy(event.getDeltaY() > 0 ? ZOOM_STEP : 1 / ZOOM_STEP);
    } else {
      double to = bar.getValue() - event.getDeltaY();
      bar.setValue(Math.max(0, Math.min(bar.getMax(), to)));
    }
    event.consume();
  }

  private void key(KeyEvent event) {
    int selected = workspace.selectedProperty().get();
    switch (event.getCode()) {
      case LEFT -> workspace.select(selected - 1);
      case RIGHT -> workspace.select(selected + 1);
      case UP -> across(selected, -1);
      case DOWN -> across(selected, 1);
      case HOME -> workspace.select(0);
      case END -> workspace.select(Integer.MAX_VALUE);
      case PLUS, ADD, EQUALS -> zoomBy(ZOOM_STEP);
      case MINUS, SUBTRACT -> zoomBy(1 / ZOOM_STEP);
      case DIGIT0, NUMPAD0 -> zoomBy(1 / zoom);
      default -> {
        return;
      }
    }
    event.consume();
  }

  private void across(int selected, int direction) {
    if (layout != null) {
      workspace.select(layout.slotAcross(selected, direction));
    }
  }

  private void zoomBy(double factor) {
    zoom = Math.max(SMALLEST, Math.min(LARGEST, zoom * factor));
    rebuild();
    showSelected();
  }

  /** How large bars are drawn; 1 is the usual size. */
  public double zoom() {
    return zoom;
  }

  /** How far the strip is scrolled down, px. */
  public double scrolled() {
    return bar.getValue();
  }
}
