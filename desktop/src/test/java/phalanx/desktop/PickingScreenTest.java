package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.press;
import static phalanx.desktop.OpenWindow.text;
import static phalanx.desktop.OpenWindow.until;

import java.util.Optional;
import java.util.concurrent.TimeoutException;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import phalanx.arrangement.PatternFall;
import phalanx.picking.HandSchool;
import phalanx.picking.Pattern;
import phalanx.picking.PatternEdits;
import phalanx.picking.Role;
import phalanx.picking.ThumbRoute;
import phalanx.picking.WrittenPattern;
import phalanx.theory.Meter;

/** Chooses and changes the picking pattern on the Picking screen. */
@ExtendWith(ApplicationExtension.class)
class PickingScreenTest {

  private final OpenWindow window = new OpenWindow();

  @Start
  void start(Stage stage) {
    window.show(stage, Optional.of(Demo.FILE), Demo.folder());
  }

  @Stop
  void stop() {
    window.app().stop();
  }

  @BeforeEach
  void opened(FxRobot robot) throws TimeoutException {
    until(() -> window.arrangement() != null && !window.arrangement().slots().isEmpty());
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT3);
    until(() -> !window.workspace().fallsProperty().get().isEmpty());
  }

  private Pattern pattern() {
    return PatternEdits.written(window.workspace().song().pattern(), Meter.FOUR_FOUR).pattern();
  }

  private PatternFall fall() {
    return window.workspace().fallsProperty().get().get(0);
  }

  @Test
  void showsHowThePatternFallsAndWhatTheHandSays(FxRobot robot) {
    assertThat(text(robot, "#pattern-title")).isEqualTo("Fingers between");
    assertThat(window.workspace().fallsProperty().get())
        .extracting(f -> f.harmony().label())
        .containsExactly("G", "Cadd9", "D/F♯", "Em7");
    assertThat(text(robot, "#hand-says"))
        .contains("strokes: p 4 · i 2 · m 1 · a 1")
        .contains("quickest repeat: p after 652 ms at ♩ = 92");
  }

  @Test
  void aPatternFromTheShelfIsPlayedAtOnce(FxRobot robot) throws TimeoutException {
    robot.clickOn("#pattern-5");
    until(() -> window.workspace().song().pattern() instanceof WrittenPattern);
    String title = window.workspace().song().pattern().title();
    assertThat(text(robot, "#pattern-title")).isEqualTo(title);
    window.untilPlanned();
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(text(robot, "#pattern-title")).isEqualTo("Fingers between");
  }

  @Test
  void strokesArePutInAndTakenOutFromTheKeyboard(FxRobot robot) throws TimeoutException {
    assertThat(PatternEdits.struck(pattern(), Role.TUNE, 0)).isFalse();
    robot.clickOn("#screen-picking").clickOn("#screen-arrange");
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT3);
    robot.type(KeyCode.ENTER);
    assertThat(PatternEdits.struck(pattern(), Role.TUNE, 0)).isTrue();
    assertThat(text(robot, "#pattern-title")).isEqualTo("Fingers between (mine)");
    until(() -> fall().finger(Role.TUNE, 0).isPresent());
    robot.type(KeyCode.DOWN, 4).type(KeyCode.RIGHT, 2).type(KeyCode.SPACE);
    assertThat(PatternEdits.struck(pattern(), Role.ROOT, 5040)).isFalse();
    robot.type(KeyCode.ADD).type(KeyCode.HOME).type(KeyCode.RIGHT).type(KeyCode.ENTER);
    assertThat(PatternEdits.struck(pattern(), Role.ROOT, 1680)).isTrue();
  }

  @Test
  void aClickOnTheGridPutsAStrokeIn(FxRobot robot) {
    Node grid = robot.lookup("#pattern-grid").query();
    int before = pattern().steps().stream().mapToInt(s -> s.roles().size()).sum();
    // The row of the inner voice, on beat one.
    robot.clickOn(robot.offset(grid, 118 - 413, 44 + 3 * 46 - 158));
    assertThat(pattern().steps().stream().mapToInt(s -> s.roles().size()).sum())
        .isEqualTo(before + 1);
    assertThat(PatternEdits.struck(pattern(), Role.INNER, 0)).isTrue();
  }

  @Test
  void schoolAndThumbRouteChangeHowItFalls(FxRobot robot) throws TimeoutException {
    robot.clickOn("#hand-school").clickOn("thumb and four");
    assertThat(window.workspace().song().school()).isEqualTo(HandSchool.THUMB_AND_FOUR);
    robot.clickOn("#thumb-route").clickOn("three voices");
    assertThat(window.workspace().song().thumb()).isEqualTo(ThumbRoute.THREE_VOICES);
    until(
        () ->
            fall().notes().stream()
                    .filter(n -> n.pick().letter().equals("p"))
                    .map(n -> n.string())
                    .distinct()
                    .count()
                == 3);
  }
}
