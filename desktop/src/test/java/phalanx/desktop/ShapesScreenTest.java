package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.click;
import static phalanx.desktop.OpenWindow.press;
import static phalanx.desktop.OpenWindow.text;
import static phalanx.desktop.OpenWindow.until;

import java.util.Optional;
import java.util.concurrent.TimeoutException;
import javafx.scene.Node;
import javafx.scene.control.Button;
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
import phalanx.arrangement.Slot;
import phalanx.arrangement.board.ShapeChoice;
import phalanx.arrangement.board.SlotBoard;
import phalanx.chart.ChartReader;
import phalanx.chart.Notation;
import phalanx.fretting.Shape;
import phalanx.instrument.Tuning;
import phalanx.song.Bar;
import phalanx.song.ChartEdits;
import phalanx.theory.Meter;

/** Looks for shapes, tries own ones and pins them on the Shapes screen. */
@ExtendWith(ApplicationExtension.class)
class ShapesScreenTest {

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
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT2);
    until(() -> board().isPresent());
  }

  private Optional<SlotBoard> board() {
    return window.workspace().boardProperty().get();
  }

  private Slot selected() {
    return window.workspace().chord().slot().orElseThrow();
  }

  @Test
  void showsTheShapeItsReasonsAndTheOthers(FxRobot robot) throws TimeoutException {
    robot.type(KeyCode.RIGHT, 5);
    until(() -> board().filter(b -> b.slot() == 5).isPresent());
    assertThat(text(robot, "#shapes-title")).isEqualTo("D/F♯");
    assertThat(text(robot, "#shapes-place")).startsWith("bar 6 of 28");
    assertThat(text(robot, "#shapes-hand")).contains("span", "dashed: to Em7");
    assertThat(robot.lookup(".why-part").queryAll()).hasSize(3);
    assertThat(text(robot, "#other-names")).contains("D/F♯");
    assertThat(robot.lookup(".card-flow .card").queryAll().size()).isGreaterThan(20);
    click(robot, "#chord-before");
    assertThat(text(robot, "#shapes-title")).isEqualTo("G");
  }

  @Test
  void filtersLeaveWhatThePlayerWants(FxRobot robot) throws TimeoutException {
    click(robot, "#filter-barre");
    assertThat(text(robot, "#filter-barre")).isEqualTo("with barre");
    until(
        () ->
            board().map(SlotBoard::choices).orElseThrow().stream()
                .filter(c -> !c.chosen())
                .allMatch(ShapesScreenTest::hasBarre));
    click(robot, "#filter-barre");
    assertThat(text(robot, "#filter-barre")).isEqualTo("without barre");
    until(
        () ->
            board().map(SlotBoard::choices).orElseThrow().stream()
                .noneMatch(ShapesScreenTest::hasBarre));
  }

  private static boolean hasBarre(ShapeChoice choice) {
    return choice.shape().grips().values().stream().anyMatch(g -> g.isBarre());
  }

  @Test
  void anOwnShapeIsTypedNamedFingeredAndPinned(FxRobot robot) throws TimeoutException {
    robot.interact(() -> robot.lookup("#own-frets").queryAs(TextField.class).clear());
    click(robot, "#own-frets").write("x 10 9 11 10 x", 0).type(KeyCode.ENTER);
    until(() -> text(robot, "#trial-verdict").startsWith("Gmaj9"));
    assertThat(text(robot, "#trial-verdict")).contains("fingers ·2143·");
    click(robot, "#pin-trial");
    until(() -> selected().pinned());
    assertThat(selected().shape().orElseThrow().fretText()).isEqualTo("x 10 9 11 10 x");
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    until(() -> !selected().pinned());
  }

  @Test
  void aWideShapeIsJudgedAndNonsenseIsExplained(FxRobot robot) throws TimeoutException {
    robot.interact(() -> robot.lookup("#own-frets").queryAs(TextField.class).clear());
    click(robot, "#own-frets").write("x462x0", 0).type(KeyCode.ENTER);
    until(() -> text(robot, "#trial-verdict").contains("mm apart"));
    assertThat(text(robot, "#trial-verdict"))
        .contains("more than this hand’s comfortable", "warm up");
    robot.interact(() -> robot.lookup("#own-frets").queryAs(TextField.class).setText("12"));
    click(robot, "#own-frets").type(KeyCode.ENTER);
    assertThat(text(robot, "#trial-verdict")).startsWith("expected six frets");
    click(robot, "#stop-trial");
    until(() -> text(robot, "#trial-verdict").startsWith("click strings"));
  }

  @Test
  void theNeckIsTouchedWithMouseAndKeyboard(FxRobot robot) throws TimeoutException {
    Node neck = robot.lookup("#large-neck").query();
    robot.clickOn(robot.offset(neck, -200, 0));
    until(() -> robot.lookup("#stop-trial").queryButton().isVisible());
    String first = robot.lookup("#own-frets").queryAs(TextField.class).getText();
    robot.type(KeyCode.UP).type(KeyCode.ENTER);
    until(() -> !robot.lookup("#own-frets").queryAs(TextField.class).getText().equals(first));
    assertThat(robot.lookup("#own-frets").queryAs(TextField.class).getText()).isNotBlank();
  }

  @Test
  void aShapeIsPinnedWhereverItsChordComes(FxRobot robot) throws TimeoutException {
    robot.type(KeyCode.DIGIT3);
    until(() -> selected().pinned());
    Shape shape = selected().shape().orElseThrow();
    click(robot, "#pin-everywhere");
    until(
        () ->
            window.arrangement().slots().stream()
                .filter(s -> s.played().harmony().label().equals("G"))
                .allMatch(s -> s.pinned() && s.shape().filter(shape::equals).isPresent()));
    assertThat(robot.lookup("#pin-everywhere").queryButton().isVisible()).isTrue();
    robot.type(KeyCode.P);
    until(() -> !selected().pinned());
    assertThat(window.arrangement().slots().stream().filter(s -> s.pinned()).count())
        .as("the other places keep theirs")
        .isPositive();
  }

  @Test
  void aNextBestPlanIsTakenByPinningWhatItDoesOtherwise(FxRobot robot) throws TimeoutException {
    SlotBoard.OtherPlan plan = board().orElseThrow().others().get(0);
    assertThat(plan.extraCost()).isPositive();
    click(robot, "#other-plan-1");
    until(() -> window.workspace().song().pins().shapes().size() >= 1);
    window.untilPlanned();
    SlotBoard.Difference first = plan.differences().get(0);
    assertThat(window.arrangement().slots().get(first.slot()).shape()).contains(first.shape());
  }

  @Test
  void aLeftHandedNeckIsTurnedRound(FxRobot robot) {
    Node neck = robot.lookup("#large-neck").query();
    var right = robot.interact(() -> {}).capture(neck).getImage();
    robot.interact(() -> window.workspace().viewing().leftHandedProperty().set(true));
    org.testfx.util.WaitForAsyncUtils.sleep(500, java.util.concurrent.TimeUnit.MILLISECONDS);
    var left = robot.capture(neck).getImage();
    int y = (int) right.getHeight() / 2;
    int width = (int) right.getWidth();
    assertThat(left.getPixelReader().getArgb(60, y))
        .isEqualTo(right.getPixelReader().getArgb(width - 61, y));
    assertThat(left.getPixelReader().getArgb(width - 61, y))
        .isEqualTo(right.getPixelReader().getArgb(60, y));
  }

  @Test
  void whereNothingCanBeHeldWaysOutAreOfferedAndTaken(FxRobot robot) throws TimeoutException {
    Tuning tight = Tuning.parse("E3 E3 E3 E3 E3 E3").orElseThrow();
    Bar hard =
        ChartReader.read("Bm7b5", Notation.in(Meter.FOUR_FOUR), Notation.Numbers.NONE)
            .bars()
            .get(0);
    robot.interact(
        () ->
            window
                .workspace()
                .edit(
                    s ->
                        s.withGuitar(s.guitar().withTuning(tight))
                            .editChart(
                                c -> ChartEdits.replace(c, hard.withId(c.bars().get(0).id())))));
    until(
        () ->
            window.arrangement().song().guitar().tuning().equals(tight)
                && selected().shape().isEmpty());
    assertThat(robot.lookup("#why .where").queryAllAs(javafx.scene.control.Label.class))
        .anyMatch(l -> l.getText().startsWith("no shape is within reach"));
    Button way = robot.lookup("#way-out-1").queryButton();
    assertThat(way.getText()).isNotBlank();
    click(robot, way);
    until(() -> selected().shape().isPresent());
    assertThat(robot.lookup("#way-out-1").tryQuery()).isEmpty();
  }

  @Test
  void aHarpRunOverTheShapeIsHeardAndPutIntoTheBar(FxRobot robot) throws TimeoutException {
    String notes = text(robot, "#harp-notes");
    assertThat(notes).contains("°").contains(" · ");
    click(robot, "#hear-harp");
    until(() -> window.workspace().models().sound().isHeard());
    robot.interact(() -> window.workspace().models().sound().stop());
    click(robot, "#put-harp");
    window.untilPlanned();
    int bar = window.arrangement().slots().get(0).played().ref().bar();
    assertThat(window.workspace().song().tune().bars().get(bar).notes())
        .anyMatch(n -> !n.techniques().isEmpty());
    assertThat(window.arrangement().notes()).anyMatch(n -> n.harmonic().isPresent());
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(window.workspace().song().tune().bars()).doesNotContainKey(bar);
  }
}
