package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.until;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeoutException;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import org.testfx.util.WaitForAsyncUtils;
import phalanx.desktop.frame.Workbench;
import phalanx.desktop.model.Screen;
import phalanx.picking.AlternatingThumb;

/**
 * At the smallest size no control is cut off at the sides and no word ends in dots, on any screen.
 */
@ExtendWith(ApplicationExtension.class)
class SmallWindowTest {

  private final OpenWindow window = new OpenWindow();
  private Stage stage;
  private int looked;

  @Start
  void start(Stage shown) {
    stage = shown;
    window.show(shown, Optional.of(Demo.FILE), Demo.folder());
  }

  @Stop
  void stop() {
    // The next test finds the window as large as ever.
    stage.setWidth(1280);
    stage.setHeight(800);
    window.app().stop();
  }

  @ParameterizedTest
  @EnumSource
  void everyControlIsWhole(Screen screen, FxRobot robot) throws TimeoutException {
    window.untilPlanned();
    until(() -> window.workspace().chord().slot().isPresent());
    robot.interact(
        () -> {
          stage.setWidth(Workbench.LEAST_WIDTH);
          stage.setHeight(Workbench.LEAST_HEIGHT);
          window.workspace().edit(s -> s.withPattern(AlternatingThumb.FINGERS_BETWEEN));
          window.workspace().screenProperty().set(screen);
        });
    if (screen == Screen.CHART) {
      robot.interact(() -> stage.getScene().lookup("#chart").requestFocus());
      robot.type(KeyCode.F2);
    }
    WaitForAsyncUtils.waitForFxEvents();
    robot.interact(() -> stage.getScene().getRoot().layout());
    List<String> cut = new ArrayList<>();
    robot.interact(() -> collect(stage.getScene().getRoot(), cut));
    assertThat(cut).isEmpty();
    assertThat(looked).isGreaterThan(15);
  }

  private void collect(Node node, List<String> cut) {
    if (!node.isVisible()) {
      return;
    }
    if (node instanceof ButtonBase button && !button.getText().isEmpty()) {
      looked++;
      Bounds at = button.localToScene(button.getLayoutBounds());
      boolean outside = at.getMinX() < -1 || at.getMaxX() > stage.getScene().getWidth() + 1;
      boolean shortened =
          !button.isWrapText()
              && button.getGraphic() == null
              && button.getWidth() < button.prefWidth(-1) - 1;
      if (outside || shortened) {
        cut.add(
            button.getText()
                + " at "
                + Math.round(at.getMinX())
                + " to "
                + Math.round(at.getMaxX()));
      }
    }
    if (node instanceof Labeled label
        && label.lookup(".text") instanceof Text shown
        && !label.getText().isEmpty()
        && shown.getText().endsWith(label.getEllipsisString())
        && !label.getText().endsWith(label.getEllipsisString())) {
      cut.add("“" + label.getText() + "” is read as “" + shown.getText() + "”");
    }
    if (node instanceof Parent parent) {
      parent.getChildrenUnmodifiable().forEach(n -> collect(n, cut));
    }
  }
}
