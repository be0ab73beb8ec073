package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.click;
import static phalanx.desktop.OpenWindow.text;
import static phalanx.desktop.OpenWindow.until;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeoutException;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import phalanx.arrangement.Note;
import phalanx.arrangement.board.OtherString;
import phalanx.desktop.model.FindingsViewModel;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.strip.StripView;
import phalanx.findings.Found;

/** Goes through what is hard in a song, and through notes, bars and fingers of the strip. */
@ExtendWith(ApplicationExtension.class)
class FindingsScreenTest {

  private final OpenWindow window = new OpenWindow();

  @Start
  void start(Stage stage) {
    Path reel = Demo.FILE.resolveSibling("low-tide-reel.phalanx.json");
    window.show(stage, Optional.of(reel), Demo.folder());
  }

  @Stop
  void stop() {
    window.app().stop();
  }

  @BeforeEach
  void reviewed() throws TimeoutException {
    until(() -> workspace().reviewProperty().get().isPresent());
  }

  private Workspace workspace() {
    return window.workspace();
  }

  private FindingsViewModel model() {
    return workspace().models().findings();
  }

  /** Each finding has its ways out below it, or words that there is none; never nothing. */
  @Test
  void everyFindingSaysWhetherThereIsAWayOut(FxRobot robot) throws TimeoutException {
    for (int f = 0; f < 3; f++) {
      robot.type(KeyCode.F);
      until(() -> model().remediesProperty().get().isPresent());
      int ways = model().remediesProperty().get().orElseThrow().size();
      assertThat(robot.lookup("#remedy-1").tryQuery().isPresent()).isEqualTo(ways > 0);
      assertThat(robot.lookup("#remedies-none").tryQuery().isPresent()).isEqualTo(ways == 0);
    }
  }

  @Test
  void theListLeadsToEachSpotAndAKindIsPicked(FxRobot robot) throws TimeoutException {
    int all = model().tally().hard();
    robot.type(KeyCode.L);
    ListView<?> list = robot.lookup("#findings").queryListView();
    assertThat(list.isVisible()).isTrue();
    assertThat(list.getItems()).hasSize(all);
    robot.type(KeyCode.DOWN, KeyCode.DOWN);
    until(() -> model().currentProperty().get().isPresent());
    Found found = model().currentProperty().get().orElseThrow();
    assertThat(text(robot, "#finding-words")).contains(found.finding().message());
    assertThat(workspace().chord().slot().orElseThrow().played().bar()).isEqualTo(found.bar());
    MenuButton kinds = robot.lookup("#finding-kinds").queryAs(MenuButton.class);
    click(robot, kinds);
    List<String> offered = kinds.getItems().stream().map(MenuItem::getText).toList();
    assertThat(offered.get(0)).isEqualTo("all hard spots (%d)".formatted(all));
    assertThat(offered).anyMatch(t -> t.startsWith("stretch ("));
    robot.interact(
        () ->
            kinds.getItems().stream()
                .filter(i -> i.getText().startsWith("stretch"))
                .findFirst()
                .orElseThrow()
                .fire());
    assertThat(kinds.getText()).isEqualTo("stretch");
    assertThat(model().all()).isNotEmpty().allMatch(f -> f.finding().rule().equals("stretch"));
    assertThat(list.getItems()).hasSize(model().all().size());
  }

  @Test
  void aSpotIsLeftAsItIsWithANoteAndTakenUpAgain(FxRobot robot) throws TimeoutException {
    int all = model().open().size();
    robot.type(KeyCode.F);
    Found found = model().currentProperty().get().orElseThrow();
    click(robot, "#finding-leave").write("fine by ear").type(KeyCode.ENTER);
    until(() -> model().accepted().contains(found));
    assertThat(model().open().size()).isLessThan(all);
    assertThat(workspace().song().pins().accepted(found.ref())).contains("fine by ear");
    assertThat(model().currentProperty().get()).isPresent().get().isNotEqualTo(found);
    robot.interact(() -> model().filter(new FindingsViewModel.Filter.Accepted()));
    click(robot, "#finding-next");
    until(() -> text(robot, "#finding-words").endsWith("(left: fine by ear)"));
    click(robot, "#finding-leave");
    until(() -> model().open().size() == all);
    assertThat(model().accepted()).isEmpty();
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    until(() -> model().open().size() < all);
  }

  @Test
  void aWholeKindIsLeftAtOnce(FxRobot robot) throws TimeoutException {
    // The second hard spot is one of two of its kind.
    robot.type(KeyCode.F, KeyCode.F);
    String rule = model().currentProperty().get().orElseThrow().finding().rule();
    assertThat(rule).isEqualTo("stretch");
    click(robot, "#finding-leave");
    click(robot, "#finding-accept-all");
    until(() -> model().open().stream().noneMatch(f -> f.finding().rule().equals(rule)));
    assertThat(model().filterProperty().get()).isEqualTo(new FindingsViewModel.Filter.Open());
    assertThat(text(robot, "#finding-words")).contains("left as they are");
  }

  @Test
  void aNoteIsDraggedToAnotherStringAndThePlanAnswers(FxRobot robot) throws TimeoutException {
    StripView strip = robot.lookup("#strip").queryAs(StripView.class);
    robot.type(KeyCode.PERIOD, KeyCode.PERIOD);
    Note note = workspace().notes().property().get().orElseThrow();
    int to =
        OtherString.of(workspace().arrangementProperty().get(), note).keySet().stream()
            .filter(s -> s > note.string())
            .findFirst()
            .orElseThrow();
    var from = strip.pointOf(note, note.string());
    var there = strip.pointOf(note, to);
    robot.moveTo(strip.localToScreen(from)).press(MouseButton.PRIMARY);
    robot.moveTo(strip.localToScreen(there)).release(MouseButton.PRIMARY);
    until(() -> workspace().notes().property().get().filter(n -> n.string() == to).isPresent());
    assertThat(text(robot, "#inspector-details")).contains("pinned here");
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    until(
        () ->
            workspace()
                .notes()
                .property()
                .get()
                .filter(n -> n.string() == note.string())
                .isPresent());
  }

  @Test
  void severalChordsAreSelectedAndPinnedTogether(FxRobot robot) throws TimeoutException {
    robot.press(KeyCode.SHIFT).type(KeyCode.RIGHT, 2).release(KeyCode.SHIFT);
    assertThat(workspace().range().slots()).hasSize(3);
    assertThat(text(robot, "#where")).startsWith("bars 1 to 3");
    robot.type(KeyCode.P);
    until(() -> workspace().range().slots().stream().allMatch(s -> s.pinned()));
    robot.type(KeyCode.P);
    until(() -> workspace().range().slots().stream().noneMatch(s -> s.pinned()));
    robot.type(KeyCode.RIGHT);
    assertThat(workspace().range().slots()).hasSize(1);
  }

  @Test
  void aFingerIsLookedAtFromItsLane(FxRobot robot) {
    StripView strip = robot.lookup("#strip").queryAs(StripView.class);
    robot.clickOn(strip.localToScreen(strip.pointOfLane(phalanx.instrument.Finger.RING)));
    assertThat(text(robot, "#inspector-details")).startsWith("Finger 3 comes down");
    robot.type(KeyCode.ESCAPE);
    assertThat(text(robot, "#inspector-details")).doesNotContain("comes down");
  }

  /**
   * What the plan stops by itself is pressed in; pressing lets it ring, pressing again does not.
   */
  @Test
  void aStringThatThePlanStopsIsLeftToRing(FxRobot robot) throws TimeoutException {
    int high =
        workspace().arrangementProperty().get().slots().stream()
            .filter(s -> s.held().fretText().startsWith("x 15"))
            .mapToInt(s -> workspace().arrangementProperty().get().slots().indexOf(s))
            .findFirst()
            .orElseThrow();
    robot.interact(() -> workspace().chord().select(high));
    ToggleButton sixth = robot.lookup("#damp-6").queryAs(ToggleButton.class);
    assertThat(sixth.isSelected()).isTrue();
    assertThat(text(robot, "#inspector-details")).contains("⑥ stopped, not being in the chord");
    click(robot, "#damp-6");
    until(() -> workspace().damps().ringing().contains(0) && !sixth.isSelected());
    until(() -> !text(robot, "#inspector-details").contains("⑥ stopped"));
    assertThat(model().open()).noneMatch(f -> f.finding().rule().startsWith("rings"));
    click(robot, "#damp-6");
    until(() -> workspace().damps().ringing().isEmpty() && sixth.isSelected());
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    until(() -> workspace().damps().ringing().contains(0));
  }
}
