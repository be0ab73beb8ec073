package phalanx.desktop.share;

import java.util.List;
import javafx.scene.Scene;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import javafx.stage.Window;
import phalanx.desktop.drawing.MarkPainter;
import phalanx.desktop.texts.Texts;
import phalanx.engraving.Page;

/**
 * The pages over the whole screen, to play from: as many beside each other as fit. What foot
 * switches send (Page Down, arrows, Space, Enter) turns them, as a click does; Esc ends it.
 */
final class StandView extends Pane {

  private static final double EDGE = 10;

  private final List<Page> pages;
  private final Canvas canvas = new Canvas();
  private int first;

  StandView(List<Page> pages) {
    this.pages = List.copyOf(pages);
    setId("stand");
    setStyle("-fx-background-color: white");
    setFocusTraversable(true);
    getChildren().add(canvas);
    canvas.widthProperty().bind(widthProperty());
    canvas.heightProperty().bind(heightProperty());
    widthProperty().addListener(o -> paint());
    heightProperty().addListener(o -> paint());
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
    setOnMouseClicked(e -> turn(e.getButton() == MouseButton.SECONDARY ? -1 : 1));
  }

  /** Opens a window of its own over the whole screen. */
  static Stage open(Window owner, String title, List<Page> pages) {
    Stage stage = new Stage();
    stage.initOwner(owner);
    stage.setTitle(title);
    StandView stand = new StandView(pages);
    stage.setScene(new Scene(stand, owner.getWidth(), owner.getHeight()));
    stage.setFullScreenExitHint("");
    stage.setFullScreen(true);
    stage.fullScreenProperty().addListener((o, before, full) -> stage.close());
    stage.show();
    stand.requestFocus();
    return stage;
  }

  private void key(KeyEvent event) {
    switch (event.getCode()) {
      case PAGE_DOWN, RIGHT, DOWN, SPACE, ENTER -> turn(1);
      case PAGE_UP, LEFT, UP, BACK_SPACE -> turn(-1);
      case HOME -> show(0);
      case END -> show(pages.size() - 1);
      case ESCAPE -> ((Stage) getScene().getWindow()).close();
      default -> {
        return;
      }
    }
    event.consume();
  }

  /** As many pages stand beside each other as are readable at the screen’s height. */
  private int beside() {
    Page page = pages.get(0);
    double wide = page.width() * getHeight() / page.height();
    return Math.max(1, Math.min(pages.size(), (int) (getWidth() / Math.max(1, wide))));
  }

  private void turn(int by) {
    show(first + by * beside());
  }

  private void show(int page) {
    if (page >= 0 && page < pages.size()) {
      first = page;
      paint();
    }
  }

  /** The number of the first page that is shown, from 0. */
  int first() {
    return first;
  }

  private void paint() {
    GraphicsContext gc = canvas.getGraphicsContext2D();
    gc.setFill(Color.WHITE);
    gc.fillRect(0, 0, getWidth(), getHeight());
    if (pages.isEmpty() || getWidth() < 1 || getHeight() < 1) {
      return;
    }
    int beside = beside();
    double room = getWidth() / beside;
    MarkPainter painter = new MarkPainter(gc, Color.BLACK, Color.rgb(70, 70, 70), Color.WHITE);
    for (int p = first; p < Math.min(pages.size(), first + beside); p++) {
      Page page = pages.get(p);
      double scale =
          Math.min((room - 2 * EDGE) / page.width(), (getHeight() - 2 * EDGE) / page.height());
      double x = (p - first) * room + (room - page.width() * scale) / 2;
      double y = (getHeight() - page.height() * scale) / 2;
      painter.paint(page.marks(), x, y, scale);
    }
    setAccessibleText(Texts.of("standView.pageOf", first + 1, pages.size()));
  }
}
