package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.click;
import static phalanx.desktop.OpenWindow.press;
import static phalanx.desktop.OpenWindow.text;
import static phalanx.desktop.OpenWindow.until;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeoutException;
import javafx.geometry.Bounds;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import org.testfx.robot.Motion;
import phalanx.desktop.chart.ChartView;
import phalanx.desktop.model.Screen;
import phalanx.form.Phrases;
import phalanx.song.Bar;
import phalanx.song.Ritard;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.Swing;
import phalanx.theory.NoteNaming;

/** Writes a song on the Chart screen, with the keyboard alone where a player would. */
@ExtendWith(ApplicationExtension.class)
class ChartScreenTest {

  private final OpenWindow window = new OpenWindow();

  @Start
  void start(Stage stage) {
    window.show(stage, Optional.empty(), Demo.folder());
  }

  @Stop
  void stop() {
    window.app().stop();
  }

  private void type(FxRobot robot, String line) {
    robot.write(line, 0);
    robot.type(KeyCode.ENTER);
  }

  private List<Bar> bars() {
    return window.workspace().song().chart().bars();
  }

  @Test
  void anEmptyWindowSaysHowToBeginAndASongIsTypedIntoIt(FxRobot robot) throws TimeoutException {
    assertThat(text(robot, "#chart-empty")).startsWith("Type your chords");
    type(robot, "G | D/F# . Em7 . | Cadd9 | . . . D7");
    assertThat(window.chart()).isEqualTo("G | D/F♯ Em7 | Cadd9 | D7 | /");
    assertThat(robot.lookup("#chart-empty").query().isVisible()).isFalse();
    window.untilPlanned();
    assertThat(window.arrangement().slots()).hasSize(6);
    assertThat(window.workspace().unsaved().get()).isTrue();
  }

  private static void chip(FxRobot robot, String row, String chord) {
    click(
        robot,
        robot.lookup(row + " .chord-chip").<Button>queryAllAs(Button.class).stream()
            .filter(b -> b.getText().equals(chord))
            .findFirst()
            .orElseThrow());
  }

  /** A song clicked together: one bar after the other, halves, another quality, undo between. */
  @Test
  void chordsAreClickedInsteadOfTyped(FxRobot robot) throws TimeoutException {
    assertThat(text(robot, "#chord-next")).endsWith("new bar at the end.");
    chip(robot, "#chord-triads", "C");
    chip(robot, "#chord-triads", "Am");
    chip(robot, "#chord-sevenths", "G7");
    assertThat(window.chart()).isEqualTo("C | Am | G7 | /");
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(window.chart()).isEqualTo("C | Am | /");
    click(robot, "#chord-halves");
    chip(robot, "#chord-triads", "F");
    assertThat(window.chart()).isEqualTo("C | Am | F | /");
    chip(robot, "#chord-like", "Fmaj7");
    chip(robot, "#chord-triads", "G");
    assertThat(window.chart()).isEqualTo("C | Am | Fmaj7 G | /");
    chip(robot, "#chord-like", "G/B");
    chip(robot, "#chord-triads", "C");
    assertThat(window.chart()).isEqualTo("C | Am | Fmaj7 G/B | C | /");
    assertThat(text(robot, "#chord-next")).contains("second half of bar 4");
    // A bar the player goes to is filled anew, and so is the one behind it.
    click(robot, "#chord-halves");
    robot.type(KeyCode.LEFT, KeyCode.LEFT, KeyCode.LEFT);
    assertThat(text(robot, "#chord-next")).contains("bar 1 ");
    chip(robot, "#chord-triads", "Dm");
    chip(robot, "#chord-borrowed", "A7");
    assertThat(window.chart()).isEqualTo("Dm | A7 | Fmaj7 G/B | C | /");
    window.untilPlanned();
    assertThat(window.arrangement().slots()).hasSize(5);
    assertThat(robot.lookup(".chord-chip").<Button>queryAllAs(Button.class))
        .anySatisfy(b -> assertThat(b.getTooltip().getText()).endsWith(" · D F A"));
  }

  /** What is being typed is kept before a chord is put. */
  @Test
  void aChordIsClickedWhileABarIsTyped(FxRobot robot) {
    type(robot, "C | F");
    robot.write("G", 0);
    chip(robot, "#chord-triads", "Am");
    assertThat(window.chart()).isEqualTo("C | G | Am | /");
  }

  /** A sign lets a phrase begin at the cursor, a drag of its arc moves it, Ctrl Z takes it back. */
  @Test
  void aPhraseIsBegunAndMoved(FxRobot robot) {
    type(robot, "G | C | Am | D | G | C | D | G");
    robot.type(KeyCode.HOME).type(KeyCode.RIGHT).type(KeyCode.RIGHT);
    int third = window.workspace().song().chart().bars().get(2).id();
    assertThat(Phrases.of(window.workspace().song()).begins(third)).isFalse();
    robot.write("(", 0);
    assertThat(Phrases.of(window.workspace().song()).begins(third)).isTrue();
    ChartView sheet = robot.lookup(n -> n instanceof ChartView).query();
    Bounds at = sheet.localToScreen(sheet.getBoundsInLocal());
    double bar = (at.getWidth() - 16) / 4;
    double arcs = at.getMinY() + 6 + 44 - 8;
    robot
        .moveTo(at.getMinX() + 2 * bar + 8, arcs)
        .press(MouseButton.PRIMARY)
        .moveTo(at.getMinX() + bar + 8, arcs)
        .release(MouseButton.PRIMARY);
    int second = window.workspace().song().chart().bars().get(1).id();
    assertThat(Phrases.of(window.workspace().song()).begins(second)).isTrue();
    assertThat(Phrases.of(window.workspace().song()).begins(third)).isFalse();
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(Phrases.of(window.workspace().song()).begins(third)).isTrue();
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(Phrases.of(window.workspace().song()).begins(third)).isFalse();
  }

  /** A click lets the ending be heard, another takes it, Ctrl Z takes it back. */
  @Test
  void anEndingIsHeardBeforeItIsTakenAndUndoneAtOnce(FxRobot robot) throws TimeoutException {
    type(robot, "G | C | D7 | G");
    window.untilPlanned();
    Song before = window.workspace().song();
    ToggleButton slower = robot.lookup("#frame-slower").query();
    Button take = robot.lookup("#take-frame").queryButton();
    assertThat(take.isDisabled()).isTrue();
    until(() -> !slower.isDisabled());
    robot.interact(slower::fire);
    until(() -> window.workspace().models().sound().isHeard());
    assertThat(window.workspace().song()).isEqualTo(before);
    robot.interact(take::fire);
    assertThat(window.workspace().song().feel().ritard()).contains(Ritard.USUAL);
    ToggleButton intro = robot.lookup("#frame-intro-of-two").query();
    until(() -> !intro.isDisabled());
    robot.interact(intro::fire);
    robot.interact(take::fire);
    assertThat(bars()).hasSize(6);
    robot.interact(window.workspace()::undo);
    robot.interact(window.workspace()::undo);
    assertThat(window.workspace().song()).isEqualTo(before);
  }

  /**
   * Three ways to play a repeat the second time: heard, taken, undone; an edit between drops them.
   */
  @Test
  void aSectionThatComesAgainIsVaried(FxRobot robot) throws TimeoutException {
    type(robot, "G | C");
    assertThat(robot.lookup("#variation-panel").query().isVisible()).isFalse();
    type(robot, "D7 | G :|");
    window.untilPlanned();
    Song before = window.workspace().song();
    Button search = robot.lookup("#vary").queryButton();
    robot.interact(search::fire);
    until(() -> robot.lookup("#variation-inner").tryQuery().isPresent());
    assertThat(robot.lookup("#variation-as-before").tryQuery()).isPresent();
    Button take = robot.lookup("#take-variation").queryButton();
    assertThat(take.isDisabled()).isTrue();
    ToggleButton inner = robot.lookup("#variation-inner").query();
    robot.interact(inner::fire);
    until(() -> window.workspace().models().sound().isHeard());
    assertThat(window.workspace().song()).isEqualTo(before);
    robot.interact(take::fire);
    assertThat(window.workspace().song().sections()).hasSize(2);
    robot.interact(window.workspace()::undo);
    assertThat(window.workspace().song()).isEqualTo(before);
    assertThat(robot.lookup("#variation-inner").tryQuery()).isEmpty();
  }

  @Test
  void aBarIsCorrectedInPlaceAndUndoBringsItBack(FxRobot robot) {
    type(robot, "G | C | D");
    robot.type(KeyCode.HOME).type(KeyCode.RIGHT).type(KeyCode.ENTER);
    TextField field = robot.lookup("#bar-text").query();
    assertThat(field.getText()).isEqualTo("C");
    type(robot, "maj7");
    assertThat(window.chart()).isEqualTo("G | Cmaj7 | D | /");
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(window.chart()).isEqualTo("G | C | D | /");
    press(robot, KeyCode.CONTROL, KeyCode.Y);
    assertThat(window.chart()).isEqualTo("G | Cmaj7 | D | /");
  }

  @Test
  void escapeLeavesTheBarAsItWas(FxRobot robot) {
    type(robot, "G | C");
    robot.write("Am", 0).type(KeyCode.ESCAPE);
    assertThat(window.chart()).isEqualTo("G | C | /");
  }

  @Test
  void tabTakesTheChordThatIsOffered(FxRobot robot) {
    type(robot, "F#m7b5 | C");
    robot.type(KeyCode.HOME).write("F", 0);
    assertThat(robot.lookup(".offer").queryAllAs(Label.class))
        .extracting(Label::getText)
        .first()
        .isEqualTo("F♯m7♭5");
    robot.type(KeyCode.TAB).type(KeyCode.ENTER);
    assertThat(window.chart()).isEqualTo("F♯m7♭5 | C | /");
  }

  @Test
  void aMistakeIsSaidWhileItIsTypedAndNothingIsLost(FxRobot robot) {
    robot.write("G Qx", 0);
    assertThat(text(robot, "#bar-problem")).startsWith("cannot read the chord “Qx”");
    robot.type(KeyCode.ENTER);
    assertThat(window.chart()).isEqualTo("G Qx | /");
    assertThat(text(robot, "#bar-about")).contains("“Qx” is not a chord");
  }

  @Test
  void repeatsEndingsAndMetresAreSetFromTheKeyboard(FxRobot robot) throws TimeoutException {
    type(robot, "G | C | D | 3/4 Am");
    robot.type(KeyCode.HOME).write("[", 0).type(KeyCode.RIGHT).write("1", 0).write("]", 0);
    robot.type(KeyCode.RIGHT).write("2", 0);
    assertThat(bars().get(0).repeatStart()).isTrue();
    assertThat(bars().get(1).passes()).containsExactly(1);
    assertThat(bars().get(1).plays()).isEqualTo(2);
    assertThat(bars().get(2).passes()).containsExactly(2);
    window.untilPlanned();
    assertThat(window.arrangement().timeline().slots())
        .extracting(s -> s.harmony().label())
        .containsExactly("G", "C", "G", "D", "Am");
    assertThat(window.arrangement().timeline().bars().get(4).meter()).hasToString("3/4");
  }

  @Test
  void barsAreSelectedCopiedMovedAndDeleted(FxRobot robot) {
    type(robot, "G | C | D | E");
    robot.type(KeyCode.HOME);
    press(robot, KeyCode.SHIFT, KeyCode.RIGHT);
    press(robot, KeyCode.CONTROL, KeyCode.C);
    robot.type(KeyCode.END);
    press(robot, KeyCode.CONTROL, KeyCode.V);
    assertThat(window.chart()).isEqualTo("G | C | D | E | G | C | /");
    press(robot, KeyCode.ALT, KeyCode.LEFT);
    assertThat(window.chart()).isEqualTo("G | C | D | G | C | E | /");
    robot.type(KeyCode.DELETE);
    assertThat(window.chart()).isEqualTo("G | C | D | E | /");
    press(robot, KeyCode.CONTROL, KeyCode.A);
    press(robot, KeyCode.CONTROL, KeyCode.X);
    assertThat(bars()).isEmpty();
  }

  @Test
  void sectionsAreNamedAndOneIsLikeAnotherExceptOneChord(FxRobot robot) {
    type(robot, "G | C | D | Em");
    robot.type(KeyCode.HOME);
    press(robot, KeyCode.CONTROL, KeyCode.ENTER);
    type(robot, "Verse");
    robot.type(KeyCode.RIGHT, 2);
    press(robot, KeyCode.CONTROL, KeyCode.ENTER);
    type(robot, "Bridge");
    assertThat(window.workspace().song().sections())
        .extracting(Section::label)
        .containsExactly("Verse", "Bridge");
    press(robot, KeyCode.CONTROL, KeyCode.D);
    assertThat(window.chart()).isEqualTo("G | C | / D | Em | / D | Em | /");
    robot.type(KeyCode.END).write("=4 . . A7 .", 0).type(KeyCode.ENTER);
    assertThat(window.chart()).isEqualTo("G | C | / D | Em | / D | Em A7 | /");
    robot.type(KeyCode.LEFT, 2).write("Bm", 0).type(KeyCode.ENTER);
    assertThat(window.chart()).isEqualTo("G | C | / D | Bm | / D | Bm A7 | /");
    assertThat(robot.lookup("#section-3").queryButton().getText()).isEqualTo("Bridge again");
  }

  @Test
  void namesAreSwitchedAndTypedAsThePlayerCallsThem(FxRobot robot) {
    robot.interact(() -> window.workspace().viewing().namingProperty().set(NoteNaming.GERMAN));
    click(robot, "#chart");
    type(robot, "H7 | B | G/H");
    assertThat(window.chart()).isEqualTo("B7 | B♭ | G/B | /");
    robot.type(KeyCode.HOME);
    assertThat(text(robot, "#bar-about")).startsWith("Bar 1 · H7");
    click(robot, "#song-menu");
    robot.clickOn("Note names");
    robot.clickOn("solfège", Motion.HORIZONTAL_FIRST);
    assertThat(text(robot, "#bar-about")).startsWith("Bar 1 · Si7");
    assertThat(text(robot, "#tuning-chip")).isEqualTo("Mi La Re Sol Si Mi");
  }

  @Test
  void aBorrowedChordSaysWhereItComesFromAndTheSongMovesToAnotherKey(FxRobot robot) {
    type(robot, "D | C");
    click(robot, "#tonic").write("D", 0).type(KeyCode.ENTER);
    click(robot, "#chart").type(KeyCode.END);
    assertThat(text(robot, "#bar-about"))
        .contains("C is ♭VII, from Mixolydian or the parallel minor");
    robot.interact(
        () -> robot.lookup("#move-to").queryAs(ComboBox.class).getSelectionModel().select(1));
    assertThat(window.chart()).isEqualTo("E | D | /");
    assertThat(text(robot, "#key-chip")).isEqualTo("E");
  }

  @Test
  void theSoundingViewCountsTheCapoAndTypingThereMeansShapes(FxRobot robot) {
    robot.interact(() -> window.workspace().edit(s -> s.withGuitar(s.guitar().withCapo(2))));
    click(robot, "#sounding");
    click(robot, "#chart");
    type(robot, "A | E");
    assertThat(window.chart()).isEqualTo("G | D | /");
    assertThat(text(robot, "#chart-shown")).contains("chords as they sound");
    robot.type(KeyCode.HOME);
    assertThat(text(robot, "#bar-about")).startsWith("Bar 1 · A");
    click(robot, "#sounding");
    assertThat(text(robot, "#chart-shown")).contains("shapes counted from the capo on 2");
  }

  @Test
  void theSettingsOfTheSongAreFields(FxRobot robot) {
    fill(robot, "#title", "Ebb");
    fill(robot, "#meter", "6/8");
    fill(robot, "#tempo-field", "72");
    assertThat(window.workspace().song().title()).isEqualTo("Ebb");
    assertThat(window.workspace().song().meter()).hasToString("6/8");
    assertThat(window.workspace().song().tempo()).isEqualTo(72);
    fill(robot, "#meter", "6/7");
    assertThat(window.workspace().song().meter()).hasToString("6/8");
    assertThat(robot.lookup(".form-fault").queryAllAs(Label.class))
        .anyMatch(l -> l.isVisible() && l.getText().contains("a metre such as 4/4"));
    ComboBox<Swing> swing = robot.lookup("#swing").query();
    robot.interact(() -> swing.setValue(Swing.TRIPLET));
    assertThat(window.workspace().song().feel().swing()).isEqualTo(Swing.TRIPLET);
  }

  private static void fill(FxRobot robot, String id, String text) {
    robot.interact(() -> robot.lookup(id).queryAs(TextField.class).clear());
    click(robot, id).write(text, 0).type(KeyCode.ENTER);
  }

  @Test
  void aClickSelectsABarAndTheRailOpensTheOtherScreens(FxRobot robot) throws TimeoutException {
    type(robot, "G | C | D");
    window.untilPlanned();
    ChartView sheet = robot.lookup(n -> n instanceof ChartView).query();
    Bounds at = sheet.localToScreen(sheet.getBoundsInLocal());
    robot.clickOn(at.getMinX() + 1.5 * (at.getWidth() - 16) / 4, at.getMinY() + 6 + 44 + 40);
    click(robot, "#screen-arrange");
    assertThat(window.workspace().screenProperty().get()).isEqualTo(Screen.ARRANGE);
    until(() -> text(robot, "#inspector-title").startsWith("C · bar 2"));
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT1);
    assertThat(window.workspace().screenProperty().get()).isEqualTo(Screen.CHART);
  }

  /** Absurd charts stay usable. */
  @Test
  void twoThousandBarsAndSixtyFourChordsInABarStayUsable(FxRobot robot) throws TimeoutException {
    String many = "G | D/F# | Em7 | C | ".repeat(500);
    robot.interact(
        () ->
            javafx.scene.input.Clipboard.getSystemClipboard()
                .setContent(java.util.Map.of(javafx.scene.input.DataFormat.PLAIN_TEXT, many)));
    press(robot, KeyCode.CONTROL, KeyCode.V);
    assertThat(bars()).hasSize(2000);
    robot.type(KeyCode.END);
    type(robot, "C G ".repeat(32).strip());
    assertThat(bars().get(1999).changes()).hasSize(64);
    until(() -> window.arrangement() != null && window.arrangement().slots().size() == 1999 + 64);
    assertThat(text(robot, "#bar-about")).startsWith("Bar 2000");
  }

  /** In a cell that is typed in, undo takes back the typing and nothing of the song. */
  @Test
  void undoInACellIsOfItsTextAlone(FxRobot robot) throws Exception {
    robot.interact(() -> window.workspace().edit(s -> s.withTitle("Before")));
    robot.interact(() -> robot.lookup("#chart").query().requestFocus());
    robot.type(KeyCode.HOME).type(KeyCode.F2).write("xyz");
    String typed =
        robot.lookup("#bar-text").queryAs(javafx.scene.control.TextField.class).getText();
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(robot.lookup("#bar-text").queryAs(javafx.scene.control.TextField.class).getText())
        .isNotEqualTo(typed);
    assertThat(window.workspace().song().title()).isEqualTo("Before");
    robot.type(KeyCode.ESCAPE);
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(window.workspace().song().title()).isNotEqualTo("Before");
  }

  /** The key that the chords speak for is offered and taken with one click. */
  @Test
  void theKeyOfANewChartIsProposed(FxRobot robot) throws Exception {
    robot.interact(
        () -> window.workspace().edit(s -> Demo.song().withKey(java.util.Optional.empty())));
    assertThat(robot.lookup("#propose-key").query().isVisible()).isTrue();
    click(robot, "#propose-key");
    assertThat(window.workspace().song().key().orElseThrow()).hasToString("G");
    assertThat(robot.lookup("#propose-key").query().isVisible()).isFalse();
  }

  /** A song comes up while a field of the one before is typed in, and the field is left then. */
  @Test
  void whatIsTypedInAFieldIsNotForTheNextSong(FxRobot robot) throws TimeoutException {
    TextField title = robot.lookup("#title").queryAs(TextField.class);
    robot.interact(title::requestFocus);
    robot.interact(() -> title.setText("Half a na"));
    robot.interact(() -> window.workspace().open(Demo.song().withTitle("The next one"), List.of()));
    assertThat(title.getText()).isEqualTo("The next one");
    robot.interact(() -> robot.lookup("#tempo-field").query().requestFocus());
    window.untilPlanned();
    assertThat(window.workspace().song().title()).isEqualTo("The next one");
  }

  /** Something else of the song changes while a field is typed in: what is typed stays. */
  @Test
  void whatIsTypedInAFieldStaysWhileTheSongChanges(FxRobot robot) {
    TextField title = robot.lookup("#title").queryAs(TextField.class);
    robot.interact(title::requestFocus);
    robot.interact(() -> title.setText("Half a na"));
    robot.interact(() -> window.workspace().edit(song -> song.withTempo(77)));
    assertThat(title.getText()).isEqualTo("Half a na");
    robot.interact(() -> title.setText("Half a name"));
    robot.interact(() -> robot.lookup("#tempo-field").query().requestFocus());
    assertThat(window.workspace().song().title()).isEqualTo("Half a name");
    assertThat(window.workspace().song().tempo()).isEqualTo(77);
  }
}
