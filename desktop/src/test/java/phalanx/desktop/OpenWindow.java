package phalanx.desktop;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.BooleanSupplier;
import javafx.event.Event;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.input.DragEvent;
import javafx.scene.input.Dragboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.PickResult;
import javafx.scene.input.TransferMode;
import javafx.stage.Stage;
import org.mockito.Mockito;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;
import phalanx.arrangement.Arrangement;
import phalanx.desktop.files.PlayerFolder;
import phalanx.desktop.frame.SongController;
import phalanx.desktop.model.Workspace;

/** The window as tests drive it. */
final class OpenWindow {

  private final PhalanxApp app = new PhalanxApp();

  void show(Stage stage, Optional<Path> song, PlayerFolder folder) {
    app.show(stage, song, folder, new NobodyChooses());
  }

  /** There are no windows of the system's to choose files in. */
  static class NobodyChooses implements SongController.FileAsker {
    @Override
    public Optional<Path> toOpen() {
      return Optional.empty();
    }

    @Override
    public Optional<Path> toImport() {
      return Optional.empty();
    }

    @Override
    public Optional<Path> toExport(String title) {
      return Optional.empty();
    }

    @Override
    public Optional<Path> toSave(String title) {
      return Optional.empty();
    }
  }

  PhalanxApp app() {
    return app;
  }

  Workspace workspace() {
    return app.workspace();
  }

  Arrangement arrangement() {
    return workspace().arrangementProperty().get();
  }

  static void until(BooleanSupplier reached) throws TimeoutException {
    WaitForAsyncUtils.waitFor(30, TimeUnit.SECONDS, reached::getAsBoolean);
    WaitForAsyncUtils.waitForFxEvents();
  }

  /** Until a plan of the song that is open now is there. */
  void untilPlanned() throws TimeoutException {
    until(() -> arrangement() != null && arrangement().song().equals(workspace().song()));
  }

  static String text(FxRobot robot, String id) {
    return robot.lookup(id).queryAs(Labeled.class).getText();
  }

  static boolean shows(FxRobot robot, String id) {
    return robot.lookup(id).tryQuery().filter(OpenWindow::isShown).isPresent();
  }

  private static boolean isShown(Node node) {
    return node.isVisible() && (node.getParent() == null || isShown(node.getParent()));
  }

  /** The open song as a line of chart, section by section. */
  String chart() {
    StringBuilder line = new StringBuilder();
    workspace()
        .song()
        .sections()
        .forEach(
            s -> {
              s.bars()
                  .forEach(
                      b -> {
                        workspace().song().chart().changes(b).stream()
                            .map(c -> c.harmony().label())
                            .forEach(l -> line.append(l).append(' '));
                        line.append("| ");
                      });
              line.append("/ ");
            });
    return line.toString().strip();
  }

  static void press(FxRobot robot, KeyCode... keys) {
    robot.push(keys);
    WaitForAsyncUtils.waitForFxEvents();
  }

  /** Clicks on something where it lies when all is laid out. */
  static FxRobot click(FxRobot robot, String id) {
    return click(robot, robot.lookup(id).query());
  }

  static FxRobot click(FxRobot robot, Node node) {
    Bounds at = bounds(robot, node);
    robot.clickOn(new Point2D(at.getCenterX(), at.getCenterY()));
    return robot;
  }

  static Bounds bounds(FxRobot robot, String id) {
    return bounds(robot, robot.lookup(id).query());
  }

  /**
   * Where something is on the screen, with the next layout made. Asked on the interface's thread:
   * asked elsewhere, as the robot does for a click on a node, it can be where things were before,
   * and it can break the bounds of what moves just then, such as the line that runs along with what
   * is heard.
   */
  private static Bounds bounds(FxRobot robot, Node node) {
    Bounds[] found = new Bounds[1];
    robot.interact(
        () -> {
          node.getScene().getRoot().applyCss();
          node.getScene().getRoot().layout();
          found[0] = node.localToScreen(node.getBoundsInLocal());
        });
    return found[0];
  }

  /** Drops a file onto the middle of the window. */
  static void drop(FxRobot robot, Stage stage, Path file) {
    Dragboard board = Mockito.mock(Dragboard.class);
    Mockito.when(board.hasFiles()).thenReturn(true);
    Mockito.when(board.getFiles()).thenReturn(List.of(file.toFile()));
    Node bench = stage.getScene().getRoot();
    robot.interact(
        () -> {
          Point2D at = new Point2D(400, 400);
          PickResult pick = new PickResult(bench, at.getX(), at.getY());
          Event.fireEvent(
              bench,
              new DragEvent(
                  DragEvent.DRAG_DROPPED,
                  board,
                  400,
                  400,
                  400,
                  400,
                  TransferMode.COPY,
                  bench,
                  bench,
                  pick));
        });
    WaitForAsyncUtils.waitForFxEvents();
  }
}
