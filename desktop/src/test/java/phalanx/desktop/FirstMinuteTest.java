package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.click;
import static phalanx.desktop.OpenWindow.press;
import static phalanx.desktop.OpenWindow.text;
import static phalanx.desktop.OpenWindow.until;

import java.util.Optional;
import java.util.concurrent.TimeoutException;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import phalanx.desktop.model.Screen;

/** What a player meets who has never been here. */
@ExtendWith(ApplicationExtension.class)
class FirstMinuteTest {

  private final OpenWindow window = new OpenWindow();

  @Start
  void start(Stage stage) {
    window.show(stage, Optional.empty(), Demo.folder());
  }

  @Stop
  void stop() {
    window.app().stop();
  }

  private Screen screen() {
    return window.workspace().screenProperty().get();
  }

  @Test
  void threeStepsAreTickedOffAndGoAway(FxRobot robot) throws TimeoutException {
    until(() -> robot.lookup("#first-steps").query().isVisible());
    robot.write("G | C | Em | D", 0).type(KeyCode.ENTER);
    until(() -> text(robot, "#first-step-1").startsWith("✓"));
    click(robot, "#first-step-2");
    assertThat(screen()).isEqualTo(Screen.PICKING);
    until(() -> text(robot, "#first-step-2").startsWith("✓"));
    click(robot, "#first-step-3");
    assertThat(screen()).isEqualTo(Screen.ARRANGE);
    robot.interact(
        () ->
            window
                .workspace()
                .edit(
                    s ->
                        s.withTune(
                            phalanx.song.Tune.NONE.with(
                                1, phalanx.melody.TuneReader.read("b7", s.meter()).tune()))));
    until(() -> !window.workspace().models().findings().all().isEmpty());
    robot.type(KeyCode.F);
    until(() -> !robot.lookup("#first-steps").query().isVisible());
    assertThat(window.app().documents().remembered().property().get().knowsSteps()).isTrue();
  }

  @Test
  void aBarLineAtTheEndAddsNoBar(FxRobot robot) {
    robot.write("G | C |", 0).type(KeyCode.ENTER);
    assertThat(window.chart()).isEqualTo("G | C | /");
    robot.type(KeyCode.ENTER).write("m", 0).type(KeyCode.ENTER);
    assertThat(window.chart()).isEqualTo("G | Cm | /");
  }

  @Test
  void chordsAreTypedOnTheEmptyArrangeScreen(FxRobot robot) throws TimeoutException {
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT5);
    robot.write("G | D/F# . Em7 . |", 0).type(KeyCode.ENTER);
    assertThat(window.chart()).isEqualTo("G | D/F♯ Em7 | /");
    window.untilPlanned();
    assertThat(screen()).isEqualTo(Screen.ARRANGE);
    robot.type(KeyCode.RIGHT);
    until(() -> text(robot, "#inspector-title").startsWith("D/F♯"));
  }

  @Test
  void whatIsNoChordIsSaidThereAndNothingIsLost(FxRobot robot) {
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT5);
    robot.write("G | Qx", 0).type(KeyCode.ENTER);
    assertThat(text(robot, "#first-chords-fault")).contains("Qx");
    assertThat(window.chart()).isEmpty();
  }

  @Test
  void aNewSongBeginsOnTheChart(FxRobot robot) {
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT3);
    press(robot, KeyCode.CONTROL, KeyCode.N);
    assertThat(screen()).isEqualTo(Screen.CHART);
    robot.write("Am | E7", 0).type(KeyCode.ENTER);
    assertThat(window.chart()).isEqualTo("Am | E7 | /");
  }

  /** A tempo of its own is typed before the chords of a bar. */
  @Test
  void aBarHasATempoOfItsOwn(FxRobot robot) {
    robot.write("G | q=60 C", 0).type(KeyCode.ENTER);
    assertThat(window.workspace().song().chart().bars().get(1).tempo()).contains(60.0);
  }
}
