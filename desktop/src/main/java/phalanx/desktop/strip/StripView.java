package phalanx.desktop.strip;

import java.util.Optional;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import phalanx.arrangement.Arrangement;
import phalanx.desktop.Palette;
import phalanx.desktop.ScrolledCanvas;
import phalanx.desktop.model.Workspace;

/**
 * The two-hand strip on the screen: scrolls, zooms and selects. Only what can be seen is drawn, on
 * a canvas of the size of the view.
 */
public final class StripView extends ScrolledCanvas {

  private static final double SMALLEST = 0.4;
  private static final double LARGEST = 2.2;
  private static final double ZOOM_STEP = 1.15;

  private final Workspace workspace;
  private final StripPainter painter;
  private StripLayout layout;
  private double zoom = 1;

  public StripView(Workspace workspace, Palette palette) {
    super("strip");
    this.workspace = workspace;
    painter = new StripPainter(graphics(), palette);
    workspace.arrangementProperty().addListener(o -> rebuild());
    workspace.selectedProperty().addListener(o -> showSelected());
    workspace.namingProperty().addListener(o -> repaint());
    workspace.notes().property().addListener(o -> repaint());
    setOnMousePressed(this::press);
    setOnKeyPressed(this::key);
  }

  @Override
  protected double layOut(double width) {
    Arrangement arrangement = workspace.arrangementProperty().get();
    if (arrangement == null) {
      return -1;
    }
    layout = new StripLayout(arrangement, width, zoom);
    return layout.height();
  }

  @Override
  protected void paint(double top, double width, double height) {
    if (layout != null) {
      painter.paint(
          workspace.arrangementProperty().get(),
          layout,
          workspace.selectedProperty().get(),
          workspace.notes().property().get(),
          workspace.namingProperty().get(),
          top,
          width,
          height);
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
    reveal(system.y() - StripLayout.HEADING, system.y() + layout.systemHeight());
  }

  private void press(MouseEvent event) {
    requestFocus();
    if (layout != null) {
      double y = event.getY() + scrolled();
      layout.slotAt(event.getX(), y).ifPresent(workspace::select);
      workspace.notes().choose(layout.noteAt(event.getX(), y));
    }
  }

  @Override
  protected void scroll(ScrollEvent event) {
    if (event.isControlDown()) {
      zoomBy(event.getDeltaY() > 0 ? ZOOM_STEP : 1 / ZOOM_STEP);
      event.consume();
    } else {
      super.scroll(event);
    }
  }

  private void key(KeyEvent event) {
    int selected = workspace.selectedProperty().get();
    switch (event.getCode()) {
      case PERIOD -> workspace.notes().step(1);
      case COMMA -> workspace.notes().step(-1);
      case PAGE_UP -> workspace.notes().move(1);
      case PAGE_DOWN -> workspace.notes().move(-1);
      case DELETE -> workspace.notes().unpin();
      case ESCAPE -> workspace.notes().choose(Optional.empty());
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
}
