package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.click;
import static phalanx.desktop.OpenWindow.press;
import static phalanx.desktop.OpenWindow.text;
import static phalanx.desktop.OpenWindow.until;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.TimeoutException;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Labeled;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import phalanx.desktop.model.ShareViewModel;
import phalanx.engraving.SheetOptions;
import phalanx.engraving.SheetOptions.Kind;
import phalanx.engraving.SheetOptions.Show;
import phalanx.formats.FileFormat;

/** Looks at the page, takes the song away and brings another in. */
@ExtendWith(ApplicationExtension.class)
class ShareScreenTest {

  @TempDir private static Path folder;

  private static String chosen = "words.cho";

  private final OpenWindow window = new OpenWindow();

  /** Answers with a file of the folder wherever the system would ask for one. */
  private static final class InFolder extends OpenWindow.NobodyChooses {
    @Override
    public Optional<Path> toExport(String title, FileFormat format) {
      return Optional.of(folder.resolve("taken" + format.endings().get(0)));
    }

    @Override
    public Optional<Path> toOpen() {
      return Optional.of(folder.resolve(chosen));
    }
  }

  @Start
  void start(Stage stage) {
    window.app().show(stage, Optional.of(Demo.FILE), Demo.folder(), new InFolder());
  }

  @Stop
  void stop() {
    window.app().stop();
  }

  @BeforeEach
  void opened(FxRobot robot) throws Exception {
    Files.writeString(
        folder.resolve("words.cho"),
        "{title: Quay}\n{key: G}\n[G]Down to the [C]quay\n[D7]where the boats [G]lie\n");
    chosen = "words.cho";
    window.untilPlanned();
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT8);
    until(() -> model().sheetProperty().get().isPresent());
  }

  private ShareViewModel model() {
    return window.workspace().models().share();
  }

  private static boolean says(FxRobot robot, String within, String words) {
    return robot.lookup(within + " .label").queryAllAs(Labeled.class).stream()
        .anyMatch(l -> l.getText().contains(words));
  }

  /** The pages over the whole screen: a foot switch turns them, back and not beyond the end. */
  @Test
  void aSongIsPlayedFromTheWholeScreen(FxRobot robot) throws TimeoutException {
    press(robot, KeyCode.F);
    until(() -> robot.listWindows().size() > 1);
    Node stand = robot.listWindows().get(1).getScene().lookup("#stand");
    until(() -> stand.getAccessibleText() != null);
    String first = stand.getAccessibleText();
    assertThat(first).startsWith("page 1 of ");
    robot.interact(() -> stand.getScene().getWindow().setWidth(400));
    robot.interact(() -> turn(stand, KeyCode.PAGE_DOWN));
    assertThat(stand.getAccessibleText()).startsWith("page 2 of ");
    robot.interact(() -> turn(stand, KeyCode.END));
    robot.interact(() -> turn(stand, KeyCode.SPACE));
    int pages = model().sheetProperty().get().orElseThrow().pages().size();
    assertThat(stand.getAccessibleText()).isEqualTo("page " + pages + " of " + pages);
    robot.interact(() -> turn(stand, KeyCode.HOME));
    robot.interact(() -> turn(stand, KeyCode.PAGE_DOWN));
    robot.interact(() -> turn(stand, KeyCode.LEFT));
    robot.interact(() -> turn(stand, KeyCode.LEFT));
    assertThat(stand.getAccessibleText()).isEqualTo(first);
    robot.interact(() -> turn(stand, KeyCode.ESCAPE));
    until(() -> robot.listWindows().size() == 1);
  }

  private static void turn(Node stand, KeyCode code) {
    Event.fireEvent(
        stand, new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, false, false, false, false));
  }

  @Test
  void thePageFollowsTheSongAndWhatIsAskedOfIt(FxRobot robot) throws TimeoutException {
    int before = model().sheetProperty().get().orElseThrow().pages().get(0).marks().size();
    assertThat(text(robot, "#page-count")).endsWith("pages");
    click(robot, "#show-count");
    until(() -> model().sheetProperty().get().orElseThrow().pages().get(0).marks().size() > before);
    press(robot, KeyCode.DIGIT3);
    until(() -> model().optionsProperty().get().kind() == Kind.LEARN);
    until(() -> text(robot, "#page-count").equals("1 page"));
    robot.interact(() -> window.workspace().edit(s -> s.withTitle("Another lamp")));
    until(() -> model().sheetProperty().get().orElseThrow().title().equals("Another lamp"));
  }

  @Test
  void oneOfTheTwoStavesAlwaysStands(FxRobot robot) throws TimeoutException {
    click(robot, "#show-notation");
    click(robot, "#show-tablature");
    until(() -> model().optionsProperty().get().has(Show.NOTATION));
    assertThat(model().optionsProperty().get().has(Show.TABLATURE)).isFalse();
    assertThat(robot.lookup("#show-notation").queryAs(CheckBox.class).isSelected()).isTrue();
  }

  @Test
  void aFormatIsTakenAwayWithOneClick(FxRobot robot) throws Exception {
    click(robot, "#part-files");
    until(() -> says(robot, "#formats", "Leaves out"));
    click(robot, "#save-pdf");
    Path pdf = folder.resolve("taken.pdf");
    until(() -> Files.exists(pdf));
    assertThat(new String(Files.readAllBytes(pdf), 0, 5, StandardCharsets.ISO_8859_1))
        .isEqualTo("%PDF-");
    assertThat(Files.readAllBytes(pdf))
        .isEqualTo(FileFormat.PDF.write(window.arrangement(), SheetOptions.USUAL));
  }

  @Test
  void theTablatureIsCopiedAsText(FxRobot robot) throws TimeoutException {
    press(robot, KeyCode.Y);
    String[] copied = {""};
    until(
        () -> {
          robot.interact(() -> copied[0] = Clipboard.getSystemClipboard().getString());
          return copied[0] != null && copied[0].startsWith("Harbour Lamp");
        });
    assertThat(copied[0]).contains("e |-");
  }

  @Test
  void whatComesInIsLookedAtBeforeItIsTaken(FxRobot robot) throws TimeoutException {
    press(robot, KeyCode.I);
    until(() -> model().incomingProperty().get().isPresent());
    assertThat(says(robot, "#incoming", "“Quay”: ")).isTrue();
    assertThat(says(robot, "#incoming", "they are proposed")).isTrue();
    assertThat(window.workspace().song().title()).isEqualTo("Harbour Lamp");
    click(robot, "#incoming-open");
    until(() -> window.workspace().song().title().equals("Quay"));
    assertThat(window.workspace().song().words().bars()).isNotEmpty();
  }

  @Test
  void theTuneIsTakenFromThePartThatIsChosen(FxRobot robot) throws Exception {
    chosen = "song.mid";
    Files.write(folder.resolve(chosen), FileFormat.MIDI.write(window.arrangement()));
    press(robot, KeyCode.I);
    until(() -> says(robot, "#incoming", "the tune is taken from “Tune”"));
    robot.interact(() -> robot.lookup("#incoming-part").<String>queryComboBox().setValue("Bass"));
    until(() -> says(robot, "#incoming", "the tune is taken from “Bass”"));
    click(robot, "#incoming-open");
    until(() -> window.workspace().song().tune().bars().size() > 20);
  }

  @Test
  void aLeftHandedPlayersPagesHaveTheirShapesMirrored(FxRobot robot) {
    robot.interact(() -> window.workspace().viewing().leftHandedProperty().set(true));
    CheckBox mirrored = robot.lookup("#show-left_handed").queryAs(CheckBox.class);
    assertThat(mirrored.isSelected()).isTrue();
    robot.interact(() -> window.workspace().viewing().leftHandedProperty().set(false));
    assertThat(mirrored.isSelected()).isFalse();
  }
}
