package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeoutException;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Slider;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.Toggle;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import phalanx.desktop.model.Screen;

/** Every control of every screen is reached by Tab alone, and says what it is. */
@ExtendWith(ApplicationExtension.class)
class KeyboardWalkTest {

  private final OpenWindow window = new OpenWindow();
  private Stage stage;

  @Start
  void start(Stage shown) {
    stage = shown;
    window.show(shown, Optional.of(Demo.FILE), Demo.folder());
  }

  @Stop
  void stop() {
    window.app().stop();
  }

  @ParameterizedTest
  @EnumSource(Screen.class)
  void everyControlIsReachedByTab(Screen screen, FxRobot robot) throws TimeoutException {
    window.untilPlanned();
    robot.interact(() -> window.workspace().screenProperty().set(screen));
    robot.interact(() -> stage.getScene().getRoot().layout());
    List<Node> all = new ArrayList<>();
    robot.interact(() -> controls(stage.getScene().getRoot(), all));
    assertThat(all).isNotEmpty();
    Set<Object> reached = new HashSet<>();
    robot.interact(() -> walk(2 * all.size(), reached));
    List<Node> missed =
        all.stream().filter(c -> !reached.contains(c) && !reached.contains(group(c))).toList();
    assertThat(missed).isEmpty();
    robot.interact(
        () -> assertThat(all).allSatisfy(c -> assertThat(words(c)).as(c.toString()).isNotBlank()));
  }

  private void walk(int steps, Set<Object> reached) {
    for (int n = 0; n < steps; n++) {
      Node owner = stage.getScene().getFocusOwner();
      reached.add(owner);
      reached.add(group(owner));
      Event.fireEvent(
          owner,
          new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.TAB, false, false, false, false));
    }
  }

  /** Of a group Tab reaches one, and arrows the others. */
  private static Object group(Node node) {
    return node instanceof Toggle toggle && toggle.getToggleGroup() != null
        ? toggle.getToggleGroup()
        : node;
  }

  private static void controls(Node node, List<Node> all) {
    boolean control =
        node instanceof ButtonBase
            || node instanceof ComboBoxBase
            || node instanceof TextInputControl
            || node instanceof Spinner
            || node instanceof Slider;
    if (!node.isVisible() || node.isDisabled()) {
      return;
    }
    if (control) {
      if (node.isFocusTraversable()) {
        all.add(node);
      }
    } else if (node instanceof Parent parent) {
      parent.getChildrenUnmodifiable().forEach(c -> controls(c, all));
    }
  }

  /** What assistive technology reads of a control. */
  private static String words(Node control) {
    if (control.getAccessibleText() != null) {
      return control.getAccessibleText();
    }
    if (control instanceof ButtonBase button) {
      return button.getText() == null || button.getText().isBlank()
          ? button.getTooltip() == null ? "" : button.getTooltip().getText()
          : button.getText();
    }
    return control instanceof TextInputControl field && field.getPromptText() != null
        ? field.getPromptText() + field.getText()
        : control.getId();
  }
}
