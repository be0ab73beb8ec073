package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.until;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeoutException;
import java.util.stream.Stream;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import javafx.stage.WindowEvent;
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
import phalanx.song.Song;

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

  /** A menu in a menu opens where there is a real screen only. */
  private static void chooseSize(FxRobot robot, int percent) {
    MenuButton song = robot.lookup("#song-menu").queryAs(MenuButton.class);
    Menu sizes =
        (Menu)
            song.getItems().stream()
                .filter(i -> "sizes".equals(i.getId()))
                .findFirst()
                .orElseThrow();
    robot.interact(
        () ->
            sizes.getItems().stream()
                .filter(i -> i.getId().equals("size-" + percent))
                .forEach(MenuItem::fire));
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

  /** What holds from the next start on can have it at once. */
  @Test
  void anotherSizeStartsTheProgramAgainIfThePlayerLikes(FxRobot robot) throws TimeoutException {
    int[] started = new int[1];
    robot.interact(() -> window.app().songs().restart().by(() -> started[0]++));
    window.untilPlanned();
    chooseSize(robot, 150);
    robot.clickOn("#restart-later");
    assertThat(stage.isShowing()).isTrue();
    chooseSize(robot, 125);
    robot.clickOn("#restart-now");
    until(() -> !stage.isShowing());
    assertThat(started).as("not before it has ended").containsExactly(0);
    robot.interact(() -> window.app().songs().restart().ended());
    assertThat(started).containsExactly(1);
    until(() -> Preferences.read(folder).appearance().percent() == 125);
  }

  /** It shows again what was shown, also where that was only read and never saved. */
  @Test
  void itWouldBeginWithTheSongThatIsOpen(FxRobot robot) throws TimeoutException {
    window.untilPlanned();
    assertThat(window.app().documents().origin()).contains(Demo.FILE);
    robot.interact(() -> window.app().documents().startNew());
    until(() -> window.workspace().song().title().equals(Song.untitled().title()));
    assertThat(window.app().documents().origin()).isEmpty();
  }

  /** Who goes on editing instead and closes the window later wants no other one. */
  @Test
  void aStartThatWasThoughtBetterOfIsForgotten(FxRobot robot) throws TimeoutException {
    int[] started = new int[1];
    robot.interact(() -> window.app().songs().restart().by(() -> started[0]++));
    window.untilPlanned();
    robot.interact(() -> window.workspace().edit(song -> song.withTitle("Changed")));
    chooseSize(robot, 150);
    robot.clickOn("#restart-now");
    robot.clickOn("#unsaved-keep");
    assertThat(stage.isShowing()).isTrue();
    robot.interact(() -> stage.fireEvent(new WindowEvent(stage, WindowEvent.WINDOW_CLOSE_REQUEST)));
    robot.clickOn("#unsaved-drop");
    until(() -> !stage.isShowing());
    robot.interact(() -> window.app().songs().restart().ended());
    assertThat(started).containsExactly(0);
  }

  /** The words it was started with, without what was given to it, with the song that is open. */
  @Test
  void itIsStartedAsItWasWithTheSongThatIsOpen() {
    List<String> words = List.of("/bin/java", "-Xa", "Main", "old.json");
    assertThat(Relaunch.command(words, 1, Optional.of(Path.of("new.json"))))
        .containsExactly("/bin/java", "-Xa", "Main", "new.json");
    assertThat(Relaunch.command(words, 1, Optional.empty()))
        .containsExactly("/bin/java", "-Xa", "Main");
    assertThat(Relaunch.words(ProcessHandle.current().info()).orElseThrow().get(0))
        .contains("java");
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
