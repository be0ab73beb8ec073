package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.until;

import java.util.Optional;
import java.util.concurrent.TimeoutException;
import java.util.stream.Stream;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import phalanx.desktop.files.PlayerFolder;
import phalanx.desktop.files.Preferences;
import phalanx.desktop.model.Appearance;

/** Light and dark, as they are seen and remembered. */
@ExtendWith(ApplicationExtension.class)
class AppearanceTest {

  private final OpenWindow window = new OpenWindow();
  private final PlayerFolder folder = Demo.folder();
  private Stage stage;

  @Start
  void start(Stage shown) {
    stage = shown;
    window.show(shown, Optional.of(Demo.FILE), folder);
  }

  @Stop
  void stop() {
    window.app().stop();
  }

  /** How bright the middle of the window is, on average, 0 to 1. */
  private double brightness(FxRobot robot) {
    WritableImage[] picture = new WritableImage[1];
    robot.interact(() -> picture[0] = stage.getScene().snapshot(null));
    double sum = 0;
    int count = 0;
    for (int x = 120; x < 900; x += 7) {
      for (int y = 120; y < 700; y += 7) {
        Color color = picture[0].getPixelReader().getColor(x, y);
        sum += color.getBrightness();
        count++;
      }
    }
    return sum / count;
  }

  private void choose(FxRobot robot, Appearance.Theme theme) {
    robot.interact(
        () -> window.workspace().viewing().appearanceProperty().set(Appearance.USUAL.with(theme)));
  }

  /** Pictures and controls change together, at once, and back. */
  @Test
  void theWindowIsDarkAndLightAgain(FxRobot robot) throws TimeoutException {
    window.untilPlanned();
    choose(robot, Appearance.Theme.LIGHT);
    assertThat(brightness(robot)).isGreaterThan(0.8);
    choose(robot, Appearance.Theme.DARK);
    assertThat(brightness(robot)).isLessThan(0.35);
    until(() -> Preferences.read(folder).appearance().theme() == Appearance.Theme.DARK);
    choose(robot, Appearance.Theme.LIGHT);
    assertThat(brightness(robot)).isGreaterThan(0.8);
  }

  @Test
  void aboutSaysTheVersionAndTheLicences(FxRobot robot) throws TimeoutException {
    robot.clickOn("#song-menu").clickOn("About Phalanx");
    until(() -> robot.lookup("#about-notice").tryQuery().isPresent());
    String notice = robot.lookup("#about-notice").queryTextInputControl().getText();
    assertThat(notice).contains("Apache License", "org.openjfx:javafx-graphics", "Bravura");
    robot.clickOn("Close");
  }

  /** The toolkit is told before it starts; nothing where the usual size is chosen. */
  @ParameterizedTest
  @CsvSource({"100, ", "150, 150%", "80, 80%"})
  void theSizeIsToldToTheToolkit(int percent, String told) {
    Stream.of("glass.gtk.uiScale", "glass.win.uiScale").forEach(System::clearProperty);
    try {
      Main.scale(percent);
      assertThat(System.getProperty("glass.gtk.uiScale")).isEqualTo(told);
    } finally {
      Stream.of("glass.gtk.uiScale", "glass.win.uiScale").forEach(System::clearProperty);
    }
  }
}
