package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static phalanx.desktop.OpenWindow.click;
import static phalanx.desktop.OpenWindow.press;
import static phalanx.desktop.OpenWindow.text;
import static phalanx.desktop.OpenWindow.until;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeoutException;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
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
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.strip.StripView;
import phalanx.picking.Density;
import phalanx.song.Song;

/** Drives the window as a player does and looks at what the player sees. */
@ExtendWith(ApplicationExtension.class)
class ArrangeScreenTest {

  private final OpenWindow window = new OpenWindow();

  @Start
  void start(Stage stage) {
    window.show(stage, java.util.Optional.of(Demo.FILE), Demo.folder());
  }

  @Stop
  void stop() {
    window.app().stop();
  }

  @BeforeEach
  void planned() throws TimeoutException {
    until(
        () ->
            workspace().arrangementProperty().get() != null
                && !workspace().arrangementProperty().get().slots().isEmpty());
  }

  private Workspace workspace() {
    return window.workspace();
  }

  /** A chord is held in two shapes from a beat on, the second is chosen, and one key goes back. */
  @Test
  void anotherShapeBeginsOnABeatOfTheChord(FxRobot robot) throws TimeoutException {
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT5);
    int chords = workspace().arrangementProperty().get().slots().size();
    Slot whole = workspace().chord().slot().orElseThrow();
    MenuButton parts = robot.lookup("#inspector #parts").queryAs(MenuButton.class);
    assertThat(parts.getText()).isEqualTo("In one shape");
    robot.interact(() -> item(parts, "part-3").fire());
    window.untilPlanned();
    assertThat(workspace().arrangementProperty().get().slots().size()).isGreaterThan(chords);
    assertThat(parts.getText()).isEqualTo("In 2 shapes");
    press(robot, KeyCode.RIGHT);
    Slot second = workspace().chord().slot().orElseThrow();
    assertThat(second.played().isPart()).isTrue();
    assertThat(text(robot, "#inspector-title")).contains("from 3");
    press(robot, KeyCode.DIGIT4);
    window.untilPlanned();
    Slot changed = workspace().chord().slot().orElseThrow();
    assertThat(changed.pinned()).isTrue();
    assertThat(changed.held()).isNotEqualTo(whole.held());
    robot.interact(() -> item(parts, "part-whole").fire());
    window.untilPlanned();
    assertThat(workspace().arrangementProperty().get().slots()).hasSize(chords);
    assertThat(workspace().chord().slot().orElseThrow().held()).isEqualTo(changed.held());
    for (int step = 0; step < 3; step++) {
      press(robot, KeyCode.CONTROL, KeyCode.Z);
      window.untilPlanned();
    }
    assertThat(workspace().chord().slot().orElseThrow().held()).isEqualTo(whole.held());
    assertThat(workspace().song().pins().shapes()).isEmpty();
  }

  private static MenuItem item(MenuButton menu, String id) {
    return menu.getItems().stream().filter(i -> id.equals(i.getId())).findFirst().orElseThrow();
  }

  /** D makes the selected bars sparser and fuller, and Ctrl Z takes it back. */
  @Test
  void oneKeyThinsTheSelectedBars(FxRobot robot) throws TimeoutException {
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT5);
    int bar = workspace().chord().slot().orElseThrow().played().ref().bar();
    press(robot, KeyCode.D);
    window.untilPlanned();
    assertThat(workspace().song().picking().densities().bars().get(bar)).isEqualTo(Density.TUNE);
    assertThat(
            workspace().arrangementProperty().get().notes().stream()
                .filter(n -> n.ref().bar() == bar))
        .isNotEmpty()
        .noneMatch(n -> n.part() == Note.Part.INNER);
    MenuButton menu = robot.lookup("#inspector #density").queryAs(MenuButton.class);
    assertThat(menu.getText()).isEqualTo("Plays: thumb and tune");
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(workspace().song().picking().densities().bars()).isEmpty();
  }

  /** A key makes the selected bars easier, says how, and Ctrl Z takes it back. */
  @Test
  void theSelectedBarsAreMadeEasierByAKey(FxRobot robot) throws TimeoutException {
    window.untilPlanned();
    Song before = window.workspace().song();
    robot.type(KeyCode.RIGHT, 4).type(KeyCode.OPEN_BRACKET);
    until(() -> !text(robot, "#step-words").isEmpty());
    assertThat(text(robot, "#step-words")).contains("level");
    assertThat(window.workspace().song()).isNotEqualTo(before);
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(window.workspace().song()).isEqualTo(before);
    assertThat(text(robot, "#step-words")).isEmpty();
  }

  /** Three arrangements: heard, one taken, undone at once; an edit drops them. */
  @Test
  void aSongIsArrangedThreeWaysAndOneIsTaken(FxRobot robot) throws TimeoutException {
    window.untilPlanned();
    Song before = window.workspace().song();
    click(robot, "#part-drafts");
    Button make = robot.lookup("#make-drafts").queryButton();
    robot.interact(make::fire);
    until(() -> robot.lookup("#draft-2").tryQuery().isPresent());
    Button take = robot.lookup("#take-draft").queryButton();
    assertThat(take.isDisabled()).isTrue();
    ToggleButton second = robot.lookup("#draft-1").query();
    robot.interact(second::fire);
    assertThat(window.workspace().song()).isEqualTo(before);
    robot.interact(take::fire);
    Song taken = window.workspace().song();
    assertThat(taken.pattern()).isNotEqualTo(before.pattern());
    assertThat(taken.pins()).isEqualTo(before.pins());
    assertThat(robot.lookup("#draft-2").tryQuery()).isEmpty();
    robot.interact(window.workspace()::undo);
    assertThat(window.workspace().song()).isEqualTo(before);
  }

  /** Each section from another draft: the others stay there until the song changes otherwise. */
  @Test
  void sectionsAreTakenFromDifferentDraftsAndTheMannerIsKept(FxRobot robot)
      throws TimeoutException {
    window.untilPlanned();
    Song before = workspace().song();
    press(robot, KeyCode.W);
    // The first is there before the best are known.
    until(() -> robot.lookup("#draft-0").tryQuery().isPresent());
    until(() -> robot.lookup("#draft-2").tryQuery().isPresent());
    ToggleButton first = robot.lookup("#draft-0").query();
    robot.interact(first::fire);
    Button section = robot.lookup("#take-draft-section").queryButton();
    robot.interact(section::fire);
    Song mixed = workspace().song();
    assertThat(mixed).isNotEqualTo(before);
    assertThat(mixed.pattern()).isEqualTo(before.pattern());
    assertThat(robot.lookup("#draft-2").tryQuery()).isPresent();
    ToggleButton second = robot.lookup("#draft-1").query();
    robot.interact(second::requestFocus);
    press(robot, KeyCode.ENTER);
    assertThat(workspace().song().pattern()).isNotEqualTo(before.pattern());
    robot.interact(workspace()::undo);
    assertThat(workspace().song()).isEqualTo(mixed);
    robot.interact(workspace()::undo);
    assertThat(workspace().song()).isEqualTo(before);
    click(robot, "#keep-manner");
    until(() -> !workspace().models().drafts().ownProperty().get().isEmpty());
    assertThat(workspace().models().drafts().ownProperty().get().get(0).name())
        .isEqualTo(before.title());
  }

  /** Four bars a line, then the lanes of the fretting fingers folded: more of the song is seen. */
  @Test
  void moreOfTheSongIsSeenAtOnce(FxRobot robot) throws TimeoutException {
    window.untilPlanned();
    StripView strip = robot.lookup("#strip").queryAs(StripView.class);
    Note later = workspace().arrangementProperty().get().notesFrom(3 * 20160 + 15120, 99999).get(0);
    double usual = strip.pointOf(later, 0).getY();
    robot.clickOn("#strip-view").clickOn("4 bars a line");
    double four = strip.pointOf(later, 0).getY();
    assertThat(four).isLessThan(usual);
    robot.interact(strip::requestFocus);
    press(robot, KeyCode.H);
    assertThat(strip.isFolded()).isTrue();
    assertThat(strip.pointOf(later, 0).getY()).isLessThan(four);
    press(robot, KeyCode.H);
    press(robot, KeyCode.DIGIT0);
    assertThat(strip.isFolded()).isFalse();
    assertThat(strip.pointOf(later, 0).getY()).isEqualTo(usual);
  }

  /** The gauge names the tempo the hands hold to and lists what level and tempo come from. */
  @Test
  void theGaugeLeadsToTheBarThatSetsTheTempo(FxRobot robot) throws TimeoutException {
    until(() -> workspace().reviewProperty().get().isPresent());
    int bar = workspace().reviewProperty().get().orElseThrow().ceiling().bar().orElseThrow();
    assertThat(robot.lookup("#tempo-gauge .gauge-words").queryAs(Label.class).getText())
        .startsWith("Level ")
        .contains("hands hold to ");
    click(robot, "#tempo-gauge");
    until(() -> robot.lookup("the tempo is set by bar " + bar).tryQuery().isPresent());
    assertThat(robot.lookup(n -> n instanceof Label l && l.getText().contains(" %  ")).queryAll())
        .isNotEmpty();
    robot.clickOn("the tempo is set by bar " + bar);
    until(() -> selected().played().bar() == bar);
  }

  /** A hard spot is found by key, its way out tried, taken with a click, and taken back. */
  @Test
  void aFindingIsLookedAtAndMended(FxRobot robot) throws TimeoutException {
    robot.interact(
        () ->
            workspace()
                .edit(
                    s ->
                        s.withTune(
                            phalanx.song.Tune.NONE.with(
                                1,
                                phalanx.melody.TuneReader.read("d4 . b7 .", s.meter()).tune()))));
    until(
        () ->
            workspace().models().findings().all().stream()
                .anyMatch(f -> f.finding().rule().equals("tune out of reach")));
    robot.type(KeyCode.F);
    until(() -> text(robot, "#finding-words").contains("out of reach"));
    assertThat(text(robot, "#finding-words")).contains("bars 1, 3").contains("B7");
    until(() -> robot.lookup("#remedy-1").tryQuery().isPresent());
    int before = workspace().models().findings().all().size();
    click(robot, "#remedy-1");
    until(() -> workspace().models().findings().all().size() < before);
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    until(() -> workspace().models().findings().all().size() == before);
  }

  private Slot selected() {
    return workspace().chord().slot().orElseThrow();
  }

  @Test
  void opensTheDemoWithBothHandsPlanned(FxRobot robot) {
    assertThat(text(robot, "#song-title")).isEqualTo("Harbour Lamp");
    assertThat(text(robot, "#inspector-title")).isEqualTo("G · bar 1");
    assertThat(text(robot, "#where")).startsWith("bar 1 of 28");
    assertThat(robot.lookup("#problems").query().isVisible()).isFalse();
    assertThat(robot.lookup(".card").queryAll().size()).isGreaterThanOrEqualTo(4);
  }

  @Test
  void arrowKeysWalkFromChordToChordAndTheViewFollows(FxRobot robot) {
    robot.type(KeyCode.RIGHT, 5);
    assertThat(text(robot, "#inspector-title")).isEqualTo("D/F♯ · bar 6");
    robot.type(KeyCode.LEFT);
    assertThat(text(robot, "#inspector-title")).isEqualTo("G · bar 5");
    robot.type(KeyCode.DOWN);
    assertThat(text(robot, "#inspector-title")).isEqualTo("Em7 · bar 7");
    robot.type(KeyCode.END);
    StripView strip = robot.lookup("#strip").queryAs(StripView.class);
    assertThat(text(robot, "#where")).startsWith("bar 28 of 28");
    assertThat(strip.scrolled()).isGreaterThan(500);
    robot.type(KeyCode.HOME);
    assertThat(strip.scrolled()).isZero();
  }

  @Test
  void aClickOnACardPinsItsShapeAndUndoTakesItBack(FxRobot robot) throws TimeoutException {
    robot.type(KeyCode.RIGHT, 5);
    Button card = robot.lookup("#card-3").queryAs(Button.class);
    String held = selected().shape().orElseThrow().fretText();
    String wanted = card.getAccessibleText().split(" ")[0];
    click(robot, card);
    until(() -> selected().pinned());
    assertThat(selected().shape().orElseThrow().fretText()).isEqualTo(wanted).isNotEqualTo(held);
    assertThat(text(robot, "#inspector-title")).endsWith("pinned");
    click(robot, "#undo");
    until(() -> !selected().pinned());
    assertThat(selected().shape().orElseThrow().fretText()).isEqualTo(held);
    robot.push(KeyCode.CONTROL, KeyCode.Y);
    until(() -> selected().pinned());
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    until(() -> !selected().pinned());
  }

  @Test
  void digitsAndPPinFromTheKeyboard(FxRobot robot) throws TimeoutException {
    robot.type(KeyCode.DIGIT2);
    until(() -> selected().pinned());
    assertThat(inspectorHead(robot)).endsWith("· pinned");
    robot.type(KeyCode.P);
    until(() -> !selected().pinned());
    assertThat(inspectorHead(robot)).doesNotContain("pinned");
  }

  private static String inspectorHead(FxRobot robot) {
    return robot
        .from(robot.lookup("#inspector").queryAll())
        .lookup(".label")
        .queryAllAs(Label.class)
        .stream()
        .map(Label::getText)
        .filter(t -> t.contains("· bar "))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aClickOnTheStripSelectsTheChordThere(FxRobot robot) {
    StripView strip = robot.lookup("#strip").queryAs(StripView.class);
    robot.clickOn(robot.offset(strip, 200, -100));
    assertThat(text(robot, "#inspector-title")).isEqualTo("Cadd9 · bar 2");
  }

  @Test
  void aNoteIsPinnedToAnotherStringAndLetGo(FxRobot robot) throws TimeoutException {
    robot.type(KeyCode.PERIOD).type(KeyCode.PERIOD);
    int before = workspace().notes().property().get().orElseThrow().string();
    assertThat(text(robot, "#inspector-details")).startsWith("Note on ③ fret 0, finger i");
    robot.type(KeyCode.PAGE_UP);
    until(
        () ->
            workspace().notes().property().get().filter(n -> n.string() == before + 1).isPresent());
    assertThat(workspace().song().pins().strings()).hasSize(1);
    assertThat(text(robot, "#inspector-details")).contains("pinned here");
    robot.type(KeyCode.DELETE);
    until(() -> workspace().notes().property().get().filter(n -> n.string() == before).isPresent());
    StripView strip = robot.lookup("#strip").queryAs(StripView.class);
    robot.clickOn(robot.offset(strip, -364, -105));
    robot.type(KeyCode.ESCAPE);
    assertThat(workspace().notes().property().get()).isEmpty();
  }

  /**
   * Wherever it is scrolled, pictures cover the view without a gap, and no more than are needed.
   */
  @Test
  void scrollingMovesPicturesThatCoverTheView(FxRobot robot) {
    StripView strip = robot.lookup("#strip").queryAs(StripView.class);
    for (int turn = 0; turn < 12; turn++) {
      robot.type(KeyCode.DOWN);
      List<Node> pictures =
          strip.getChildrenUnmodifiable().stream()
              .filter(n -> n instanceof Canvas && n.isVisible())
              .sorted(Comparator.comparingDouble(Node::getLayoutY))
              .toList();
      double y = pictures.get(0).getLayoutY();
      assertThat(y).isLessThanOrEqualTo(0.5);
      for (Node picture : pictures) {
        assertThat(picture.getLayoutY()).isCloseTo(y, within(1.01));
        assertThat(picture.getLayoutY()).isLessThan(strip.getHeight());
        y = picture.getLayoutY() + ((Canvas) picture).getHeight();
        assertThat(y).isPositive();
      }
      assertThat(y).isGreaterThanOrEqualTo(strip.getHeight() - 20);
    }
    assertThat(strip.scrolled()).isPositive();
  }

  /** Ctrl + from wherever the keyboard is on this screen. */
  @Test
  void zoomsFromEverywhereOnTheScreen(FxRobot robot) {
    StripView strip = robot.lookup("#strip").queryAs(StripView.class);
    robot.interact(() -> robot.lookup("#part-fills").query().requestFocus());
    OpenWindow.press(robot, KeyCode.CONTROL, KeyCode.PLUS);
    assertThat(strip.zoom()).isGreaterThan(1);
    OpenWindow.press(robot, KeyCode.CONTROL, KeyCode.DIGIT0);
    assertThat(strip.zoom()).isEqualTo(1);
    OpenWindow.press(robot, KeyCode.CONTROL, KeyCode.MINUS);
    assertThat(strip.zoom()).isLessThan(1);
  }

  @Test
  void zoomsWithTheKeyboard(FxRobot robot) {
    StripView strip = robot.lookup("#strip").queryAs(StripView.class);
    robot.type(KeyCode.MINUS, 2);
    assertThat(strip.zoom()).isLessThan(0.8);
    robot.type(KeyCode.DIGIT0);
    assertThat(strip.zoom()).isEqualTo(1);
  }

  @Test
  void choosingAnotherSchoolChangesTheFingersAtOnce(FxRobot robot) throws TimeoutException {
    click(robot, "#school");
    robot.clickOn("thumb and two");
    until(
        () ->
            workspace().arrangementProperty().get().notes().stream()
                .noneMatch(n -> n.letter().equals("a")));
    assertThat(workspace().song().school().words()).isEqualTo("thumb and two");
  }

  @Test
  void theKeySheetComesAndGoes(FxRobot robot) {
    robot.type(KeyCode.F1);
    assertThat(robot.lookup("#manual").query().isVisible()).isTrue();
    robot.type(KeyCode.ESCAPE);
    assertThat(robot.lookup("#manual").query().isVisible()).isFalse();
  }

  @Test
  void aFaultyChartShowsItsProblemsAndTheRest(FxRobot robot, @TempDir Path folder)
      throws IOException, TimeoutException {
    Path chart =
        Files.writeString(
            folder.resolve("torn.cho"), "{title: Torn}\n{sog}\n| C | Qx | G |\n{eog}\n");
    robot.interact(() -> window.app().documents().open(chart));
    until(() -> workspace().arrangementProperty().get().slots().size() == 3);
    assertThat(text(robot, "#problems")).startsWith("torn.cho:3:7: cannot read the chord “Qx”");
    assertThat(robot.lookup("#problems").query().isVisible()).isTrue();
    click(robot, "#strip").type(KeyCode.HOME).type(KeyCode.RIGHT);
    assertThat(text(robot, "#inspector-details")).contains("is not a chord");
  }

  @Test
  void withoutBarsItSaysHowToBegin(FxRobot robot, @TempDir Path folder)
      throws IOException, TimeoutException {
    assertThat(robot.lookup("#empty").query().isVisible()).isFalse();
    Path chart = Files.writeString(folder.resolve("blank.cho"), "{title: Blank}\n");
    robot.interact(() -> window.app().documents().open(chart));
    until(() -> workspace().arrangementProperty().get().slots().isEmpty());
    assertThat(robot.lookup("#empty").query().isVisible()).isTrue();
    assertThat(robot.lookup("#inspector").query().isVisible()).isFalse();
    assertThat(text(robot, "#problems")).startsWith("blank.cho:1:1: expected bars");
  }

  @Test
  void theRailJumpsToASection(FxRobot robot) {
    click(robot, "#section-3");
    assertThat(text(robot, "#inspector-title")).isEqualTo("C · bar 21");
    assertThat(robot.lookup("#section-3").query().getStyleClass()).contains("here");
    assertThat(robot.lookup("#section-1").query().getStyleClass()).doesNotContain("here");
  }

  @Test
  void aChipChangesTheCapoAndUndoBringsItBack(FxRobot robot) throws TimeoutException {
    int before = workspace().arrangementProperty().get().notes().get(0).midi();
    click(robot, "#capo");
    robot.clickOn("fret 4");
    until(() -> workspace().arrangementProperty().get().song().guitar().capo() == 4);
    assertThat(workspace().arrangementProperty().get().notes().get(0).midi()).isEqualTo(before + 2);
    assertThat(robot.lookup("#capo").queryAs(javafx.scene.control.MenuButton.class).getText())
        .isEqualTo("Capo 4");
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    until(() -> workspace().arrangementProperty().get().song().guitar().capo() == 2);
    assertThat(robot.lookup("#undo").query().isDisabled()).isTrue();
    assertThat(robot.lookup("#redo").query().isDisabled()).isFalse();
  }

  @Test
  void thePinButtonSaysWhatItDoes(FxRobot robot) throws TimeoutException {
    Button pin = robot.lookup("#pin").queryAs(Button.class);
    assertThat(pin.getText()).isEqualTo("Pin shape");
    click(robot, pin);
    until(() -> selected().pinned());
    assertThat(pin.getText()).isEqualTo("Unpin shape");
    assertThat(robot.lookup("#card-1").queryAs(Button.class).getAccessibleText())
        .contains("your pin");
  }

  @Test
  void everyControlIsReachedByTab(FxRobot robot) {
    java.util.Set<String> reached = new java.util.HashSet<>();
    for (int press = 0; press < 50; press++) {
      robot.type(KeyCode.TAB);
      String id = robot.lookup("#strip").query().getScene().getFocusOwner().getId();
      reached.add(String.valueOf(id));
    }
    assertThat(reached)
        .contains(
            "strip", "capo", "hand", "school", "pattern", "tempo", "pin", "card-1", "section-2");
  }
}
