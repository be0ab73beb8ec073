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
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
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
import phalanx.arrangement.Group;
import phalanx.arrangement.Note;
import phalanx.desktop.model.FillViewModel;
import phalanx.formats.SongFiles;
import phalanx.formats.musicxml.MusicXmlWriter;
import phalanx.melody.BarTune;
import phalanx.melody.TuneReader;
import phalanx.planning.Arranger;
import phalanx.song.Tune;
import phalanx.technique.Technique;
import phalanx.theory.Meter;

/** Types a tune on the Melody screen and hears of it on the others. */
@ExtendWith(ApplicationExtension.class)
class MelodyScreenTest {

  private final OpenWindow window = new OpenWindow();

  private Stage stage;

  @Start
  void start(Stage shown) {
    stage = shown;
    window.show(shown, Optional.of(Demo.FILE), Demo.folder());
  }

  @Stop
  void stop() {
    window.app().stop();
  }

  @BeforeEach
  void opened(FxRobot robot) throws TimeoutException {
    until(() -> window.arrangement() != null && !window.arrangement().slots().isEmpty());
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT4);
  }

  private static String typed(FxRobot robot) {
    return robot.lookup("#tune-text").queryAs(TextField.class).getText();
  }

  private BarTune tune(int bar) {
    return window.workspace().song().tune().bars().getOrDefault(bar, BarTune.SILENT);
  }

  /** A box lets the section ring, or the whole song; each is one step to undo. */
  @Test
  void aSectionOrTheSongIsLetRing(FxRobot robot) {
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT4);
    CheckBox section = robot.lookup("#tune-rings").queryAs(CheckBox.class);
    CheckBox all = robot.lookup("#tune-rings-all").queryAs(CheckBox.class);
    robot.interact(section::fire);
    assertThat(window.workspace().song().tune().ringing()).hasSize(1);
    robot.interact(all::fire);
    assertThat(window.workspace().song().tune().ringing())
        .hasSize(window.workspace().song().sections().size());
    assertThat(section.isSelected()).isTrue();
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(window.workspace().song().tune().ringing()).isEmpty();
    assertThat(section.isSelected()).isFalse();
  }

  @Test
  void aBarIsTypedKeptAndPlayedOnTop(FxRobot robot) throws TimeoutException {
    robot.write("g4 . b d");
    assertThat(window.workspace().models().melody().previewProperty().get().notes()).hasSize(3);
    assertThat(tune(1).isSilent()).isTrue();
    robot.type(KeyCode.ENTER);
    assertThat(tune(1).notes()).hasSize(3);
    window.untilPlanned();
    assertThat(window.arrangement().notesFrom(0, 20160))
        .filteredOn(n -> n.part() == Note.Part.TUNE)
        .extracting(Note::tick)
        .containsExactly(0, 10080, 15120);
    assertThat(typed(robot)).isEmpty();
    robot.type(KeyCode.UP);
    until(() -> typed(robot).equals("g4 . b d"));
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(tune(1).isSilent()).isTrue();
  }

  @Test
  void otherNotesMayLieAboveTheTuneIfThePlayerLetsThem(FxRobot robot) throws TimeoutException {
    click(robot, "#tune-on-top");
    assertThat(window.workspace().song().tune().onTop()).isFalse();
    window.untilPlanned();
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(window.workspace().song().tune().onTop()).isTrue();
    assertThat(robot.lookup("#tune-on-top").queryAs(CheckBox.class).isSelected()).isTrue();
  }

  @Test
  void aLineIsProposedWhereThereIsNoTune(FxRobot robot) throws TimeoutException {
    click(robot, "#propose-tune");
    window.untilPlanned();
    assertThat(tune(1).notes()).hasSize(1);
    assertThat(robot.lookup("#propose-tune").query().isVisible()).isFalse();
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(window.workspace().song().tune().isEmpty()).isTrue();
    assertThat(robot.lookup("#propose-tune").query().isVisible()).isTrue();
  }

  @Test
  void whatCannotBeReadIsSaidWithItsPlaceAndTheRestStays(FxRobot robot) {
    robot.write("g4 . x d");
    assertThat(text(robot, "#tune-trouble")).startsWith("at sign 6: expected a note such as");
    assertThat(window.workspace().models().melody().previewProperty().get().notes()).hasSize(2);
    robot.type(KeyCode.ESCAPE);
    assertThat(typed(robot)).isEmpty();
  }

  /** H shows the harmonics; the arrows go from node to node, Enter puts one in. */
  @Test
  void aHarmonicIsPutInFromTheNeck(FxRobot robot) throws TimeoutException {
    click(robot, "#entry-harmonics");
    click(robot, "#tune-nodes");
    robot.type(KeyCode.BACK_SPACE);
    assertThat(tune(1).isSilent()).isTrue();
    robot.type(KeyCode.UP, KeyCode.UP, KeyCode.UP, KeyCode.UP, KeyCode.UP);
    robot.type(KeyCode.LEFT);
    robot.type(KeyCode.ENTER);
    assertThat(tune(1).notes())
        .singleElement()
        .satisfies(
            n ->
                assertThat(n.techniques())
                    .singleElement()
                    .isInstanceOf(Technique.NaturalHarmonic.class));
    window.untilPlanned();
    assertThat(window.arrangement().notesFrom(0, 20160))
        .filteredOn(n -> n.part() == Note.Part.TUNE)
        .singleElement()
        .satisfies(n -> assertThat(n.string()).isEqualTo(5));
    robot.type(KeyCode.H);
    assertThat(robot.lookup("#tune-neck").query().isVisible()).isTrue();
    assertThat(robot.lookup("#tune-neck").query().isFocused()).isTrue();
  }

  /** The neck is touched by mouse and by keys; the bar reads as if it had been typed. */
  @Test
  void aTuneIsPutInOnTheNeck(FxRobot robot) throws TimeoutException {
    click(robot, "#length-2");
    click(robot, "#tune-neck");
    until(() -> tune(1).notes().size() == 1);
    assertThat(tune(1).notes().get(0).lengthTicks()).isEqualTo(10080);
    robot.type(KeyCode.UP, KeyCode.DIGIT4, KeyCode.ENTER);
    until(() -> tune(1).notes().size() == 2);
    assertThat(tune(1).notes().get(1).lengthTicks()).isEqualTo(2520);
    assertThat(text(robot, "#entry-where")).startsWith("next at beat 3.50");
    robot.type(KeyCode.BACK_SPACE);
    until(() -> tune(1).notes().size() == 1);
    assertThat(typed(robot)).endsWith(" - .");
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    until(() -> tune(1).notes().size() == 2);
  }

  /** A click on a note of the staff goes to it; the numbers show the same tune on the strings. */
  @Test
  void theStaffIsClickedAndShownAsNumbers(FxRobot robot) throws TimeoutException {
    click(robot, "#section-2");
    int bar = window.workspace().models().melody().bar();
    click(robot, "#tune-numbers");
    click(robot, "#staves");
    until(() -> window.workspace().models().melody().bar() != 0);
    assertThat(
            robot
                .lookup("#tune-numbers")
                .queryAs(javafx.scene.control.ToggleButton.class)
                .isSelected())
        .isTrue();
    assertThat(window.workspace().models().melody().entry().caretProperty().get()).isNotNegative();
    assertThat(bar).isPositive();
  }

  @Test
  void everyNoteSaysWhatItIsAndWhereItLies(FxRobot robot) throws TimeoutException {
    click(robot, "#section-2");
    click(robot, "#tune-text");
    robot.write("d4 . . e g . d .").type(KeyCode.ENTER);
    window.untilPlanned();
    robot.type(KeyCode.UP);
    until(() -> robot.lookup("#tune-note-4").tryQuery().isPresent());
    assertThat(text(robot, "#tune-note-1")).contains("D4").contains("②").contains("fret 3");
    press(robot, KeyCode.CONTROL, KeyCode.A);
    robot.write("b6").type(KeyCode.ENTER);
    window.untilPlanned();
    robot.type(KeyCode.UP);
    until(
        () ->
            robot.lookup("#tune-note-1").tryQuery().isPresent()
                && text(robot, "#tune-note-1").contains("out of reach"));
  }

  /** A score dropped on the screen gives its tune to the bars from here on, in the song's key. */
  @Test
  void theTuneOfAScoreIsPutInAndTakenOutAgain(FxRobot robot, @TempDir Path folder)
      throws Exception {
    Path score = folder.resolve("ode.musicxml");
    Files.writeString(
        score,
        MusicXmlWriter.write(
            new Arranger()
                .arrange(
                    SongFiles.open(Demo.FILE)
                        .song()
                        .orElseThrow()
                        .withTune(
                            Tune.NONE.with(
                                1, TuneReader.read("g4 a b d", Meter.FOUR_FOUR).tune())))));
    click(robot, "#section-2");
    int bar = window.workspace().models().melody().bar();
    OpenWindow.drop(robot, stage, score);
    until(() -> robot.lookup("#imported-undo").tryQuery().isPresent());
    assertThat(robot.lookup("#imported .label").queryLabeled().getText())
        .contains("bars of tune are put in");
    assertThat(tune(bar).notes()).isNotEmpty();
    click(robot, "#imported-undo");
    until(() -> window.workspace().song().tune().isEmpty());
    Path nothing = Files.writeString(folder.resolve("x.musicxml"), "<score-partwise>");
    OpenWindow.drop(robot, stage, nothing);
    until(() -> !window.workspace().problems().isEmpty());
    assertThat(window.workspace().problems().get(0))
        .startsWith("x.musicxml:1:")
        .contains("not XML");
    assertThat(window.workspace().song().tune().isEmpty()).isTrue();
  }

  /** A tune typed as it is sung lies high: said at once, and moved with one click. */
  @Test
  void aTuneTypedHighComesDownWithOneClick(FxRobot robot) throws TimeoutException {
    assertThat(OpenWindow.shows(robot, "#tune-offers")).isFalse();
    click(robot, "#tune-text").write("d5 e g a").type(KeyCode.ENTER);
    until(() -> OpenWindow.shows(robot, "#tune-offers"));
    assertThat(text(robot, "#tune-setting-0")).isEqualTo("The whole tune an octave lower");
    click(robot, "#tune-setting-0");
    click(robot, "#tune-text").type(KeyCode.UP);
    assertThat(typed(robot)).isEqualTo("d4 e g a");
    until(() -> !OpenWindow.shows(robot, "#tune-offers"));
  }

  @Test
  void aFillIsChosenHeardAndPutIntoTheBar(FxRobot robot) throws TimeoutException {
    window.untilPlanned();
    click(robot, "#part-fills");
    click(robot, "#fill-beats-2");
    assertThat(OpenWindow.shows(robot, "#fill-half-a-walk")).isFalse();
    click(robot, "#fill-home-in-four");
    until(() -> window.workspace().models().fills().looked().isPresent());
    assertThat(text(robot, "#fill-says")).contains("nothing is hard");
    click(robot, "#hear-fill");
    until(() -> window.workspace().models().sound().isHeard());
    robot.interact(() -> window.workspace().models().sound().stop());
    click(robot, "#fill-bluesy");
    until(() -> window.workspace().models().fills().looked().isPresent());
    click(robot, "#put-fill");
    window.untilPlanned();
    int bar = window.arrangement().slots().get(0).played().ref().bar();
    assertThat(window.workspace().song().tune().bars().get(bar).notes()).hasSize(4);
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(window.workspace().song().tune().isEmpty()).isTrue();
  }

  /** Beside Arrange too: searched by where it lies, ended with a roll, a bar saved as one's own. */
  @Test
  void fillsAreSearchedAndABarIsSavedAsOne(FxRobot robot) throws TimeoutException {
    robot.write("g4 b d' b");
    robot.type(KeyCode.ENTER, KeyCode.UP);
    window.untilPlanned();
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT5);
    click(robot, "#part-fills");
    FillViewModel model = window.workspace().models().fills();
    until(() -> model.shown().stream().allMatch(f -> model.tried(f).isPresent()));
    click(robot, "#fill-position-2");
    assertThat(model.shown()).isNotEmpty();
    assertThat(model.shown())
        .allSatisfy(
            f ->
                assertThat(model.tried(f).orElseThrow().fitted().orElseThrow().position())
                    .isBetween(5, 8));
    click(robot, "#fill-position-0");
    click(robot, "#fill-name");
    robot.write("Up and back");
    robot.type(KeyCode.ENTER);
    until(() -> robot.lookup("#fill-up-and-back").tryQuery().isPresent());
    click(robot, "#fill-up-and-back");
    click(robot, "#fill-ending-2");
    until(() -> model.looked().isPresent());
    click(robot, "#put-fill");
    window.untilPlanned();
    assertThat(window.arrangement().notesFrom(15120, 20160))
        .filteredOn(n -> n.group() == Group.ROLL)
        .hasSizeGreaterThan(1);
    until(() -> model.looked().isPresent());
    click(robot, "#remove-fill");
    until(() -> robot.lookup("#fill-up-and-back").tryQuery().isEmpty());
  }

  /** Two strings climb to the next chord; put in with one click and taken back with one key. */
  @Test
  void aWalkToTheNextChordIsPutIn(FxRobot robot) throws TimeoutException {
    window.untilPlanned();
    click(robot, "#part-fills");
    click(robot, "#walk-sixths");
    until(() -> !text(robot, "#walk-says").startsWith("trying"));
    assertThat(text(robot, "#walk-says")).contains("·");
    click(robot, "#put-walk");
    window.untilPlanned();
    int bar = window.arrangement().slots().get(0).played().ref().bar();
    assertThat(window.workspace().song().tune().bars().get(bar).notes())
        .hasSizeBetween(2, 4)
        .allMatch(n -> n.wants().size() == 2);
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(window.workspace().song().tune().isEmpty()).isTrue();
  }

  /** Fills are tried only while a shelf is on the screen, whichever of the two it is. */
  @Test
  void theShelfTriesOnlyWhileItIsLookedAt(FxRobot robot) throws TimeoutException {
    window.untilPlanned();
    FillViewModel model = window.workspace().models().fills();
    assertThat(model.lookedProperty().get()).isFalse();
    click(robot, "#part-fills");
    assertThat(model.lookedProperty().get()).isTrue();
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT5);
    assertThat(model.lookedProperty().get()).isFalse();
    click(robot, "#part-fills");
    assertThat(model.lookedProperty().get()).isTrue();
    click(robot, "#walk-thirds");
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT4);
    assertThat(model.lookedProperty().get()).isTrue();
    assertThat(window.workspace().models().walks().kindProperty().get()).isEmpty();
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT1);
    assertThat(model.lookedProperty().get()).isFalse();
  }

  /** What stands in the field belongs to the song that is saved, put away or kept for recovery. */
  @Test
  void aTuneThatIsStillTypedIsNotLost(FxRobot robot) throws Exception {
    robot.write("g4 . b d");
    assertThat(tune(1).isSilent()).isTrue();
    assertThat(window.workspace().typed().tune().isEmpty()).isFalse();
    java.nio.file.Path file =
        java.nio.file.Files.createTempDirectory("tune").resolve("typed.phalanx.json");
    robot.interact(() -> window.app().documents().saveInto(file));
    until(() -> java.nio.file.Files.exists(file));
    assertThat(phalanx.formats.SongFiles.open(file).song().orElseThrow().tune().isEmpty())
        .isFalse();
    until(() -> !window.workspace().unsaved().get());
    robot.interact(() -> robot.lookup("#tune-text").query().requestFocus());
    robot.write(" e5");
    robot.interact(() -> window.app().documents().startNew());
    assertThat(window.workspace().song().title()).isNotEqualTo("Untitled");
  }
}
