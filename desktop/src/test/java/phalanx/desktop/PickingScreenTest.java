package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.click;
import static phalanx.desktop.OpenWindow.press;
import static phalanx.desktop.OpenWindow.text;
import static phalanx.desktop.OpenWindow.until;

import java.util.Optional;
import java.util.concurrent.TimeoutException;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import phalanx.arrangement.board.PatternFall;
import phalanx.picking.Force;
import phalanx.picking.HandSchool;
import phalanx.picking.HitKind;
import phalanx.picking.Pattern;
import phalanx.picking.PatternEdits;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.picking.Roll;
import phalanx.picking.Stroke;
import phalanx.picking.ThumbRoute;
import phalanx.picking.Touch;
import phalanx.picking.WrittenPattern;
import phalanx.song.Song;
import phalanx.technique.Technique;
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
    until(() -> !window.workspace().models().patterns().fallsProperty().get().isEmpty());
  }

  private Song song() {
    return window.workspace().song();
  }

  private Pattern pattern() {
    return PatternEdits.written(song().pattern(), Meter.FOUR_FOUR).pattern();
  }

  private Pattern.Step step(int tick) {
    return PatternEdits.step(pattern(), tick);
  }

  private PatternFall fall() {
    return window.workspace().models().patterns().fallsProperty().get().get(0);
  }

  private static String title(FxRobot robot) {
    return robot.lookup("#pattern-title").queryAs(TextField.class).getText();
  }

  @Test
  void showsHowThePatternFallsAndWhatTheHandSays(FxRobot robot) {
    assertThat(title(robot)).isEqualTo("Fingers between");
    assertThat(window.workspace().models().patterns().fallsProperty().get())
        .extracting(f -> f.harmony().label())
        .containsExactly("G", "Cadd9", "D/F♯", "Em7");
    assertThat(text(robot, "#hand-says"))
        .contains("Busiest: p, 4 strokes a bar")
        .contains("fastest repeat p 652 ms at ♩ = 92")
        .contains("no crossings");
    assertThat(text(robot, "#motion")).startsWith("1 thumb   & index   2 thumb   & middle");
  }

  @Test
  void aPatternFromTheShelfIsPlayedAtOnce(FxRobot robot) throws TimeoutException {
    click(robot, "#pattern-5");
    until(() -> song().pattern() instanceof WrittenPattern);
    assertThat(title(robot)).isEqualTo(song().pattern().title());
    window.untilPlanned();
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(title(robot)).isEqualTo("Fingers between");
  }

  @Test
  void strokesArePutInAndTakenOutFromTheKeyboard(FxRobot robot) throws TimeoutException {
    click(robot, "#screen-picking");
    click(robot, "#screen-arrange");
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT3);
    robot.type(KeyCode.ENTER);
    assertThat(step(0).roles()).contains(Role.TUNE);
    assertThat(title(robot)).isEqualTo("Fingers between (mine)");
    until(() -> fall().finger(Role.TUNE, 0).isPresent());
    robot.type(KeyCode.DOWN, 4).type(KeyCode.RIGHT, 2).type(KeyCode.ENTER);
    assertThat(step(5040).roles()).isEmpty();
    click(robot, "#grid-finer");
    click(robot, "#grid-finer");
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT3);
    window.workspace().screenProperty();
    robot.interact(() -> robot.lookup("#pattern-grid").query().requestFocus());
    robot.type(KeyCode.HOME).type(KeyCode.RIGHT).type(KeyCode.ENTER);
    assertThat(step(1260).roles()).containsExactly(Role.THUMB);
  }

  /** The letters and signs of the written form, typed where the cursor is. */
  @Test
  void fingersHitsBrushesAndForceAreTyped(FxRobot robot) throws TimeoutException {
    robot.write("m");
    assertThat(step(0).plucks().filter(p -> p.role() == Role.TUNE).findFirst().orElseThrow())
        .isEqualTo(new Stroke.Pluck(Role.TUNE, Force.PLAIN, Optional.of(PickFinger.M)));
    until(() -> fall().finger(Role.TUNE, 0).equals(Optional.of(PickFinger.M)));
    click(robot, "#stroke-accent");
    assertThat(step(0).strokes().get(0).force()).isEqualTo(Force.ACCENTED);
    click(robot, "#stroke-roll");
    assertThat(step(0).roll()).contains(new Roll(true, 1));
    robot.type(KeyCode.RIGHT).type(KeyCode.RIGHT).type(KeyCode.RIGHT).write("x");
    assertThat(step(7560).strokes()).contains(new Stroke.Knock(HitKind.CLICK, Force.PLAIN));
    robot.write("x");
    assertThat(text(robot, "#refusal")).isNotBlank();
    robot.type(KeyCode.RIGHT).type(KeyCode.RIGHT).type(KeyCode.RIGHT);
    press(robot, KeyCode.SHIFT, KeyCode.UP);
    assertThat(text(robot, "#refusal")).isEqualTo("the thumb cannot do two things at once");
    robot.write("x");
    robot.type(KeyCode.RIGHT);
    click(robot, "#stroke-brush");
    assertThat(step(17640).strokes()).contains(new Stroke.Brush(0, 5, Touch.FLESH, Force.PLAIN));
    robot.write("n");
    assertThat(step(17640).strokes()).contains(new Stroke.Brush(0, 5, Touch.NAILS, Force.PLAIN));
    click(robot, "#stroke-next-chord");
    assertThat(step(17640).early()).isTrue();
  }

  @Test
  void sixStrokesForFiveFingersAreRefusedAsTheyAreTyped(FxRobot robot) {
    for (int row = 0; row < 4; row++) {
      robot.write("o").type(KeyCode.DOWN);
    }
    assertThat(step(0).strokes()).hasSize(5);
    click(robot, "#stroke-hit");
    assertThat(text(robot, "#refusal")).contains("strokes at once for five fingers");
    assertThat(step(0).strokes()).hasSize(5);
    robot.type(KeyCode.RIGHT).write("o");
    assertThat(robot.lookup("#refusal").query().isVisible()).isFalse();
  }

  @Test
  void aClickOnTheGridPutsAStrokeIn(FxRobot robot) {
    Node grid = robot.lookup("#pattern-grid").query();
    double width = grid.getBoundsInLocal().getWidth();
    double height = grid.getBoundsInLocal().getHeight();
    int before = pattern().steps().stream().mapToInt(s -> s.roles().size()).sum();
    // The row of the inner voice, on beat one.
    robot.clickOn(robot.offset(grid, 122 - width / 2, 46 + 3 * 33 - height / 2));
    assertThat(pattern().steps().stream().mapToInt(s -> s.roles().size()).sum())
        .isEqualTo(before + 1);
    assertThat(step(0).roles()).contains(Role.INNER);
  }

  @Test
  void aSectionABarAndAChordHavePatternsOfTheirOwn(FxRobot robot) throws TimeoutException {
    click(robot, "#reach-section");
    click(robot, "#pattern-1");
    window.untilPlanned();
    assertThat(song().patterns().sections()).hasSize(1);
    assertThat(song().pattern().title()).isEqualTo("fingers between");
    click(robot, "#reach-bar");
    assertThat(title(robot)).isEqualTo("Thumb alone");
    robot.interact(() -> robot.lookup("#pattern-grid").query().requestFocus());
    robot.type(KeyCode.HOME).write("o");
    window.untilPlanned();
    assertThat(song().patterns().changed()).hasSize(1);
    assertThat(song().patterns().bars()).isEmpty();
    assertThat(window.arrangement().notesFrom(0, 1)).hasSize(2);
    click(robot, "#reach-follow");
    assertThat(song().patterns().changed()).isEmpty();
    click(robot, "#reach-chord");
    click(robot, "#pattern-3");
    assertThat(song().patterns().slots()).hasSize(1);
    click(robot, "#soft-ending");
    assertThat(song().patterns().endingSoftly(false)).isNotEqualTo(song().patterns());
  }

  @Test
  void aPatternIsNamedAndKeptOnMyShelf(FxRobot robot) throws TimeoutException {
    robot.write("o");
    click(robot, "#pattern-double");
    assertThat(text(robot, "#pattern-bars")).isEqualTo("2 bars");
    robot.doubleClickOn("#pattern-title");
    press(robot, KeyCode.CONTROL, KeyCode.A);
    robot.write("Evening").type(KeyCode.ENTER);
    click(robot, "#save-mine");
    until(() -> robot.lookup("#mine-1").tryQuery().isPresent());
    assertThat(song().pattern().title()).isEqualTo("Evening");
    assertThat(window.app().documents().shelf().property().get().patterns())
        .extracting(WrittenPattern::title)
        .containsExactly("Evening");
    click(robot, "#mine-1-remove");
    until(() -> robot.lookup("#mine-1").tryQuery().isEmpty());
  }

  @Test
  void schoolAndThumbRouteChangeHowItFalls(FxRobot robot) throws TimeoutException {
    click(robot, "#hand-school");
    robot.clickOn("thumb and four");
    assertThat(song().school()).isEqualTo(HandSchool.THUMB_AND_FOUR);
    click(robot, "#thumb-route");
    robot.clickOn("three voices");
    assertThat(song().thumb()).isEqualTo(ThumbRoute.THREE_VOICES);
    until(
        () ->
            fall().notes().stream()
                    .filter(n -> n.letter().equals("p"))
                    .map(n -> n.string())
                    .distinct()
                    .count()
                == 3);
  }

  /** The heel lies on the bridge for the whole pattern with one key, and is lifted with it. */
  @Test
  void theWholeThumbIsMutedWithOneKey(FxRobot robot) throws TimeoutException {
    robot.interact(() -> robot.lookup("#pattern-grid").query().requestFocus());
    robot.write("U");
    until(() -> song().patterns().song() instanceof WrittenPattern);
    WrittenPattern muted = (WrittenPattern) song().patterns().song();
    assertThat(PatternEdits.isThumbMuted(muted.pattern())).isTrue();
    window.untilPlanned();
    assertThat(window.arrangement().notes())
        .filteredOn(n -> n.isPickedBy(PickFinger.P))
        .isNotEmpty()
        .allMatch(n -> n.techniques().contains(Technique.Plain.PALM_MUTE));
    robot.write("U");
    window.untilPlanned();
    assertThat(window.arrangement().notes()).allMatch(n -> n.techniques().isEmpty());
  }
}
