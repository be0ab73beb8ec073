package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.click;
import static phalanx.desktop.OpenWindow.press;
import static phalanx.desktop.OpenWindow.text;
import static phalanx.desktop.OpenWindow.until;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.TimeoutException;
import javafx.scene.Node;
import javafx.scene.control.Spinner;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import phalanx.desktop.files.PlayerFolder;
import phalanx.desktop.model.LoopBars;
import phalanx.desktop.model.PracticeViewModel;
import phalanx.desktop.model.ShownDrill;
import phalanx.formats.FileFormat;
import phalanx.practice.Outcome;
import phalanx.practice.PracticeEntry;
import phalanx.practice.TempoLadder;
import phalanx.practicelog.PracticeLog;

/** Practises a drill with the keyboard alone: hands are on the guitar. */
@ExtendWith(ApplicationExtension.class)
class PracticeScreenTest {

  @TempDir private static Path folder;

  private final OpenWindow window = new OpenWindow();

  @Start
  void start(Stage stage) {
    window
        .app()
        .show(
            stage,
            Optional.of(Demo.FILE),
            new PlayerFolder(folder),
            new OpenWindow.NobodyChooses() {
              @Override
              public Optional<Path> toExport(String title, FileFormat format) {
                return Optional.of(folder.resolve("log.csv"));
              }
            });
  }

  @Stop
  void stop() {
    window.app().stop();
  }

  private PracticeViewModel model() {
    return window.workspace().models().practice();
  }

  @BeforeEach
  void opened(FxRobot robot) throws Exception {
    window.untilPlanned();
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT6);
    until(() -> model().shownProperty().get().isPresent());
  }

  /** The drill at hand, once it is drawn. */
  private ShownDrill shown() throws TimeoutException {
    until(
        () ->
            model()
                .shownProperty()
                .get()
                .map(ShownDrill::drill)
                .equals(model().drillProperty().get()));
    return model().shownProperty().get().orElseThrow();
  }

  private TempoLadder ladder() {
    return model().ladderProperty().get().orElseThrow();
  }

  private static void again(FxRobot robot, KeyCode key, int times) {
    for (int k = 0; k < times; k++) {
      press(robot, key);
    }
  }

  @Test
  void threeCleanAttemptsRaiseTheTempoAndAreKept(FxRobot robot) throws Exception {
    press(robot, KeyCode.DOWN);
    double first = ladder().tempo();
    String drill = model().drillProperty().get().orElseThrow().id();
    again(robot, KeyCode.C, 3);
    assertThat(ladder().tempo()).isGreaterThan(first);
    assertThat(text(robot, "#attempt")).startsWith("attempt 4 at");
    again(robot, KeyCode.A, 2);
    assertThat(ladder().tempo()).isEqualTo(first);
    press(robot, KeyCode.R);
    assertThat(ladder().attempts()).hasSize(6);
    until(() -> kept(drill) == 6);
    try (PracticeLog log = PracticeLog.open(folder.resolve("practice.sqlite")).log()) {
      assertThat(log.entries().stream().filter(e -> e.drill().equals(drill)))
          .extracting(PracticeEntry::outcome)
          .containsExactly(
              Outcome.CLEAN,
              Outcome.CLEAN,
              Outcome.CLEAN,
              Outcome.MISSED,
              Outcome.MISSED,
              Outcome.RESTED);
    }
  }

  private static long kept(String drill) {
    try (PracticeLog log = PracticeLog.open(folder.resolve("practice.sqlite")).log()) {
      return log.entries().stream().filter(e -> e.drill().equals(drill)).count();
    } catch (java.io.IOException e) {
      return -1;
    }
  }

  @Test
  void theLogIsSavedAsATable(FxRobot robot) throws Exception {
    press(robot, KeyCode.C);
    click(robot, "#part-log");
    assertThat(robot.lookup("#tempo-weeks").queryAs(Node.class).getAccessibleText())
        .contains("from");
    click(robot, "#export-log");
    Path table = folder.resolve("log.csv");
    until(() -> Files.exists(table) && robot.lookup("#exported-good").tryQuery().isPresent());
    assertThat(Files.readString(table)).startsWith("time,song,drill").contains(",clean,");
  }

  /** A foot switch that turns pages sends Page Down. */
  @Test
  void aFootSwitchSaysClean(FxRobot robot) throws TimeoutException {
    press(robot, KeyCode.PAGE_DOWN);
    assertThat(ladder().attempts())
        .containsExactly(new TempoLadder.Attempt(ladder().goal().start(), Outcome.CLEAN));
  }

  @Test
  void theNextDrillIsOneKeyAway(FxRobot robot) throws TimeoutException {
    String first = text(robot, "#drill-title");
    press(robot, KeyCode.DOWN);
    assertThat(text(robot, "#drill-title")).isNotEqualTo(first);
    press(robot, KeyCode.UP);
    assertThat(text(robot, "#drill-title")).isEqualTo(first);
    click(robot, "#drill-3");
    assertThat(model().placeProperty().get()).isEqualTo(2);
  }

  /** What is not in the layer is drawn pale, and not heard. */
  @Test
  void aLayerLeavesTheLaterNotesOut(FxRobot robot) throws TimeoutException {
    for (int k = 0; k < 8 && shown().later().isEmpty(); k++) {
      press(robot, KeyCode.DOWN);
    }
    ShownDrill shown = shown();
    assertThat(shown.later()).isNotEmpty();
    assertThat(shown.heard().notes().stream().map(n -> n.note()))
        .isNotEmpty()
        .doesNotContainAnyElementsOf(shown.later());
  }

  @Test
  void theDrillPlaysRoundAndRoundAndTapsAreMatched(FxRobot robot) throws Exception {
    press(robot, KeyCode.P);
    until(() -> model().playback().playingProperty().get());
    until(() -> window.workspace().models().sound().isHeard());
    for (int k = 0; k < 40 && model().playback().reportProperty().get().isEmpty(); k++) {
      press(robot, KeyCode.F);
      Thread.sleep(150);
    }
    assertThat(model().playback().reportProperty().get()).isPresent();
    press(robot, KeyCode.P);
    assertThat(model().playback().playingProperty().get()).isFalse();
  }

  @Test
  void theSimulatedPlayerIsMeasured(FxRobot robot) throws TimeoutException {
    press(robot, KeyCode.S);
    until(() -> text(robot, "#steadiness").contains("spread"));
    assertThat(text(robot, "#steadiness")).contains("drift");
  }

  /** Where there is no microphone a simulated one is heard, by its name. */
  @Test
  void listeningNamesWhatItHears(FxRobot robot) throws TimeoutException {
    press(robot, KeyCode.DOWN);
    assertThat(shown().heard().notes()).isNotEmpty();
    press(robot, KeyCode.M);
    until(() -> text(robot, "#heard-by").contains("microphone"));
    until(
        () ->
            model()
                .playback()
                .reportProperty()
                .get()
                .filter(r -> r.matched().size() > 4)
                .isPresent());
    press(robot, KeyCode.M);
    assertThat(model().playback().heardByProperty().get()).isEmpty();
    assertThat(text(robot, "#steadiness")).contains("spread");
  }

  @Test
  void lessTimeIsAShorterDay(FxRobot robot) throws TimeoutException {
    int before = model().dayProperty().get().today().minutes();
    Spinner<Integer> minutes = robot.lookup("#practice-minutes").query();
    robot.interact(() -> minutes.getValueFactory().setValue(10));
    until(() -> model().dayProperty().get().today().minutes() <= 10);
    assertThat(before).isGreaterThan(10);
    click(robot, "#practice-order");
    until(() -> !model().dayProperty().get().today().items().isEmpty());
  }

  /** The player’s own words stand beside the attempt in the log. */
  @Test
  void aNoteIsKeptWithItsAttempt(FxRobot robot) throws Exception {
    String drill = model().drillProperty().get().orElseThrow().id();
    press(robot, KeyCode.N);
    robot.write("fret buzz on ③, a");
    press(robot, KeyCode.ENTER);
    press(robot, KeyCode.A);
    press(robot, KeyCode.C);
    until(() -> kept(drill) == 2);
    try (PracticeLog log = PracticeLog.open(folder.resolve("practice.sqlite")).log()) {
      assertThat(log.entries().stream().filter(e -> e.drill().equals(drill)))
          .extracting(PracticeEntry::note)
          .containsExactly("fret buzz on ③, a", "");
    }
  }

  /** One clean attempt raises the tempo where the player wants that, the next time too. */
  @Test
  void theRulesOfTheLadderAreThePlayers(FxRobot robot) throws Exception {
    press(robot, KeyCode.DOWN);
    double first = ladder().tempo();
    click(robot, "#change-rules");
    Spinner<Integer> clean = robot.lookup("#rule-clean").query();
    Spinner<Integer> step = robot.lookup("#rule-step").query();
    robot.interact(() -> clean.getValueFactory().setValue(1));
    robot.interact(() -> step.getValueFactory().setValue(10));
    click(robot, "#change-rules");
    assertThat(text(robot, "#ladder-rules")).startsWith("one clean: up");
    press(robot, KeyCode.C);
    assertThat(ladder().tempo()).isEqualTo(first + Math.round(first / 10));
    Path kept = folder.resolve("preferences.json");
    until(() -> holds(kept, "\"cleanToRise\" : 1") && holds(kept, "\"stepPercent\" : 10.0"));
  }

  private static boolean holds(Path file, String words) {
    try {
      return Files.readString(file).contains(words);
    } catch (java.io.IOException e) {
      return false;
    }
  }

  /** The line runs along with a player who is heard. */
  @Test
  void thePageFollowsThePlayer(FxRobot robot) throws TimeoutException {
    while (shown().drill().toBar() - shown().drill().fromBar() < 3) {
      press(robot, KeyCode.DOWN);
    }
    press(robot, KeyCode.M);
    Node line = robot.lookup("#strip-preview-playhead").query();
    until(line::isVisible);
    int from = shown().drill().fromTick();
    until(() -> model().playback().heardAtProperty().get().orElse(0) > from + 1920);
    press(robot, KeyCode.M);
    until(() -> !line.isVisible());
  }

  @Test
  void latencyIsMeasuredByTappingToClicks(FxRobot robot) throws Exception {
    press(robot, KeyCode.DOWN);
    assertThat(shown().heard().notes()).isNotEmpty();
    press(robot, KeyCode.T);
    until(() -> window.workspace().models().sound().isHeard());
    assertThat(text(robot, "#latency")).contains("Tap F");
    long next = System.nanoTime();
    for (int k = 0; k < 12; k++, next += 750_000_000L) {
      while (System.nanoTime() < next) {
        Thread.sleep(1);
      }
      press(robot, KeyCode.F);
    }
    until(
        () -> text(robot, "#latency").matches("taps on keyboard with .* are taken -?\\d+ ms back"));
    assertThat(model().settingsProperty().get().latencies()).hasSize(1);
    until(() -> holds(folder.resolve("preferences.json"), "keyboard with"));
  }

  @Test
  void onlyTheBarsThatAreLoopedCanBePractised(FxRobot robot) throws TimeoutException {
    robot.interact(
        () ->
            window
                .workspace()
                .models()
                .sound()
                .loop()
                .property()
                .set(Optional.of(new LoopBars(5, 8))));
    assertThat(text(robot, "#practice-loop")).isEqualTo("Only 5–8");
    click(robot, "#practice-loop");
    until(
        () ->
            model().dayProperty().get().drills().stream()
                .allMatch(d -> d.fromBar() >= 5 && d.toBar() <= 8));
    assertThat(model().dayProperty().get().drills()).isNotEmpty();
    click(robot, "#practice-loop");
    until(() -> model().dayProperty().get().drills().stream().anyMatch(d -> d.toBar() > 8));
  }
}
