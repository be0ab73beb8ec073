package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.until;

import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Control;
import javafx.scene.control.Slider;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import phalanx.desktop.model.Screen;
import phalanx.desktop.texts.Tips;

/** Every control says what it does, with its key where it has one, when the pointer rests on it. */
@ExtendWith(ApplicationExtension.class)
class TipsTest {

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

  private static void controls(Node node, List<Control> all) {
    if (!node.isVisible()) {
      return;
    }
    if (node instanceof ButtonBase
        || node instanceof ComboBoxBase
        || node instanceof TextInputControl
        || node instanceof Spinner
        || node instanceof Slider) {
      all.add((Control) node);
    } else if (node instanceof Parent parent) {
      parent.getChildrenUnmodifiable().forEach(c -> controls(c, all));
    }
  }

  private void look(FxRobot robot, Screen screen, Set<String> silent) {
    robot.interact(
        () -> {
          List<Control> all = new ArrayList<>();
          controls(stage.getScene().getRoot(), all);
          all.stream()
              .filter(c -> c.getTooltip() == null && Tips.of(c).isEmpty())
              .forEach(c -> silent.add(screen + " " + c.getId() + " " + c));
        });
  }

  @Test
  void everyControlOfEveryScreenHasOne(FxRobot robot) throws Exception {
    window.untilPlanned();
    Set<String> silent = new LinkedHashSet<>();
    for (Screen screen : Screen.values()) {
      robot.interact(() -> window.workspace().screenProperty().set(screen));
      look(robot, screen, silent);
      Set<Node> tabs =
          robot.lookup((Node n) -> n.getId() != null && n.getId().startsWith("part-")).queryAll();
      for (Node tab : tabs) {
        robot.interact(() -> ((ToggleButton) tab).fire());
        look(robot, screen, silent);
      }
    }
    assertThat(silent).isEmpty();
  }

  @Test
  void itComesWithTheKeyboardAndIsReadAsHelp(FxRobot robot) throws Exception {
    window.untilPlanned();
    Button pin = robot.lookup("#pin").queryAs(Button.class);
    robot.interact(pin::requestFocus);
    until(() -> pin.getTooltip() != null);
    assertThat(pin.getTooltip().getText()).contains("keep the shapes selected").endsWith("· P");
    assertThat(pin.getAccessibleHelp()).isEqualTo(pin.getTooltip().getText());
  }

  private static Properties tips(String language) throws IOException {
    Properties tips = new Properties();
    Path file =
        Path.of("src", "main", "resources", "phalanx", "desktop", "texts", "tips" + language);
    try (Reader reader = Files.newBufferedReader(file)) {
      tips.load(reader);
    }
    return tips;
  }

  @Test
  void germanIsCompleteAndDiffers() throws IOException {
    Properties english = tips(".properties");
    Properties german = tips("_de.properties");
    assertThat(german.stringPropertyNames()).isEqualTo(english.stringPropertyNames());
    assertThat(german.values()).doesNotContainAnyElementsOf(english.values());
  }

  /** A tip is for a control whose id stands in the window's source. */
  @Test
  void noneIsThereForNothing() throws IOException {
    StringBuilder source = new StringBuilder();
    try (var files = Files.walk(Path.of("src", "main", "java"))) {
      for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
        source.append(Files.readString(file));
      }
    }
    Set<String> unused = new TreeSet<>();
    for (String key : tips(".properties").stringPropertyNames()) {
      boolean kind = key.endsWith("-*");
      String start = kind ? "\"" + key.substring(0, key.length() - 1) : "\"" + key + "\"";
      String family = "\"" + key.replaceFirst("-.*+", "-") + "\"";
      if (source.indexOf(start) < 0 && source.indexOf(family) < 0) {
        unused.add(key);
      }
    }
    assertThat(unused).isEmpty();
  }
}
