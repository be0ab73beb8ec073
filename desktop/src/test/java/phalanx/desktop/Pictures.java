package phalanx.desktop;

import static phalanx.desktop.OpenWindow.until;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.TimeoutException;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import phalanx.desktop.model.Appearance;
import phalanx.desktop.model.Screen;
import phalanx.text.Language;

/**
 * Takes the pictures of docs/screenshots anew from the demo, or, where German is spoken, those of
 * the German manual: tools/pictures runs it. Not a test: the ordinary build leaves it out.
 */
@ExtendWith(ApplicationExtension.class)
class Pictures {

  private static final Path DOCS = Path.of("..", "docs");
  private static final Path SONG = Path.of("..", "demo", "harbour-lamp.phalanx.json");
  private static final double WIDTH = 1280;
  private static final double HEIGHT = 800;

  private final OpenWindow window = new OpenWindow();
  private Stage stage;

  @Start
  void start(Stage shown) {
    stage = shown;
    System.setProperty("phalanx.demo", SONG.getParent().toAbsolutePath().toString());
    window.show(shown, Optional.of(SONG), Demo.folder());
    window.app().documents().remembered().knowsSteps();
    shown.setWidth(WIDTH);
    shown.setHeight(HEIGHT);
  }

  @Stop
  void stop() {
    window.app().stop();
  }

  @Test
  void ofEveryScreenAndOfWhatIsNew(FxRobot robot) throws Exception {
    window.untilPlanned();
    theme(robot, Appearance.Theme.LIGHT);
    robot.interact(() -> window.workspace().chord().select(9));
    for (Screen screen : Screen.values()) {
      show(robot, screen);
      if (screen == Screen.SHARE) {
        OpenWindow.click(robot, "#part-files");
      }
      take(robot, screen.name().toLowerCase(Locale.ROOT));
    }
    show(robot, Screen.ARRANGE);
    OpenWindow.click(robot, "#part-drafts");
    OpenWindow.press(robot, KeyCode.W);
    until(() -> robot.lookup("#draft-2").tryQuery().isPresent());
    take(robot, "drafts");
    if (Language.spoken() == Language.ENGLISH) {
      more(robot);
    }
  }

  /** Folds of panels, themes and pages, for the README. */
  private void more(FxRobot robot) throws Exception {
    OpenWindow.click(robot, "#part-fills");
    settle(robot);
    take(robot, "fills");
    OpenWindow.click(robot, "#part-chord");
    OpenWindow.click(robot, "#sound-panel-button");
    take(robot, "playing");
    OpenWindow.click(robot, "#sound-panel-button");
    theme(robot, Appearance.Theme.DARK);
    take(robot, "dark");
    theme(robot, Appearance.Theme.LIGHT);
    OpenWindow.press(robot, KeyCode.F1);
    robot.write("capo");
    take(robot, "manual");
    OpenWindow.press(robot, KeyCode.ESCAPE);
    show(robot, Screen.SHARE);
    OpenWindow.click(robot, "#part-page");
    page(robot, "kind-tab", "page-tab");
    page(robot, "kind-learn", "page-learn");
  }

  private static Path folder() throws IOException {
    return Files.createDirectories(
        Language.spoken() == Language.ENGLISH
            ? DOCS.resolve("screenshots")
            : DOCS.resolve("manual").resolve(Language.spoken().code()).resolve("pictures"));
  }

  private void page(FxRobot robot, String kind, String name) throws Exception {
    ToggleButton button = robot.lookup("#" + kind).queryAs(ToggleButton.class);
    robot.interact(button::fire);
    settle(robot);
    take(robot, name);
  }

  private void theme(FxRobot robot, Appearance.Theme theme) {
    robot.interact(
        () -> window.workspace().viewing().appearanceProperty().set(Appearance.USUAL.with(theme)));
  }

  private void show(FxRobot robot, Screen screen) throws TimeoutException {
    robot.interact(() -> window.workspace().screenProperty().set(screen));
    settle(robot);
  }

  /** What is worked out away from the interface comes in its own time. */
  private void settle(FxRobot robot) throws TimeoutException {
    robot.sleep(2500);
    window.untilPlanned();
  }

  private void take(FxRobot robot, String name) throws IOException {
    robot.moveTo(stage.getScene().getRoot(), new javafx.geometry.Point2D(-600, 390));
    robot.sleep(400);
    WritableImage[] shot = new WritableImage[1];
    robot.interact(() -> shot[0] = stage.getScene().snapshot(null));
    int wide = (int) shot[0].getWidth();
    int high = (int) shot[0].getHeight();
    BufferedImage picture = new BufferedImage(wide, high, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < high; y++) {
      for (int x = 0; x < wide; x++) {
        picture.setRGB(x, y, shot[0].getPixelReader().getArgb(x, y));
      }
    }
    ImageIO.write(picture, "png", folder().resolve(name + ".png").toFile());
  }
}
