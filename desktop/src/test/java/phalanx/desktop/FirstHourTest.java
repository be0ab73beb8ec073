package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.until;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeoutException;
import java.util.function.BooleanSupplier;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import phalanx.formats.FileFormat;
import phalanx.formats.SongFiles;
import phalanx.planning.Arranger;
import phalanx.song.Bar;
import phalanx.song.Song;

/**
 * A new player's first hour, as far as hands go: from the empty window to an arrangement that is
 * heard and a page on the disk. Keys, clicks and seconds of waiting are counted and printed
 * (docs/first-hour.md); that the way has no dead end is asserted.
 */
@ExtendWith(ApplicationExtension.class)
class FirstHourTest {

  private static final String CHORDS =
      "G | D/F# | Em7 | C | G | D/F# | Am7 | D7 | Em | C | G | D | C | G | Am7 D7 | G";

  private static final List<String> TUNE =
      List.of(
          "b4 . a g",
          "a4 . f# .",
          "g4 . b4 .",
          "c5 . b4 a",
          "b4 . d5 .",
          "a4 . d5 .",
          "c5 b4 a g",
          "a4 . . .",
          "g4 . b4 .",
          "c5 . e4 .",
          "d5 . b4 .",
          "a4 . . .",
          "c5 . b4 a",
          "b4 . g4 .",
          "a4 . f# .",
          "g4 . . .");

  @TempDir static Path folder;

  private final OpenWindow window = new OpenWindow();
  private int keys;
  private int clicks;
  private double waited;

  private static final class InFolder extends OpenWindow.NobodyChooses {
    @Override
    public Optional<Path> toExport(String title) {
      return Optional.of(folder.resolve("page.pdf"));
    }
  }

  @Start
  void start(Stage stage) {
    window.app().show(stage, Optional.empty(), Demo.folder(), new InFolder());
  }

  @Stop
  void stop() {
    window.app().stop();
  }

  private void write(FxRobot robot, String text) {
    keys += text.length();
    robot.write(text, 0);
  }

  private void type(FxRobot robot, KeyCode... codes) {
    keys += codes.length;
    OpenWindow.press(robot, codes);
  }

  private void click(FxRobot robot, String id) {
    clicks++;
    OpenWindow.click(robot, id);
  }

  private void await(BooleanSupplier there) throws TimeoutException {
    long from = System.nanoTime();
    until(there);
    waited += (System.nanoTime() - from) / 1e9;
  }

  private Song song() {
    return window.workspace().song();
  }

  /** By keyboard: the chords, the tune, a draft, heard, a page. */
  @Test
  void byKeyboardAlone(FxRobot robot) throws Exception {
    write(robot, CHORDS);
    type(robot, KeyCode.ENTER);
    assertThat(song().chart().bars()).hasSize(16);
    type(robot, KeyCode.CONTROL, KeyCode.DIGIT4);
    for (String bar : TUNE) {
      write(robot, bar);
      type(robot, KeyCode.ENTER);
    }
    assertThat(song().tune().bars()).hasSize(16);
    type(robot, KeyCode.CONTROL, KeyCode.DIGIT5);
    assertThat(OpenWindow.text(robot, "#part-drafts")).isEqualTo("Ways to begin");
    type(robot, KeyCode.W);
    await(() -> robot.lookup("#draft-2").tryQuery().isPresent());
    Node card = robot.lookup("#draft-0").query();
    await(card::isFocused);
    type(robot, KeyCode.DOWN);
    await(() -> robot.lookup("#draft-1").query().isFocused());
    type(robot, KeyCode.UP);
    await(card::isFocused);
    Song before = song();
    type(robot, KeyCode.ENTER);
    assertThat(song()).isNotEqualTo(before);
    assertThat(OpenWindow.text(robot, "#part-drafts")).isEqualTo("Drafts");
    ends(robot, true);
    tell("keyboard alone, chords and tune typed");
  }

  /** By mouse alone: chords from the panel beside the chart, a tune on the neck. */
  @Test
  void byMouseAlone(FxRobot robot) throws Exception {
    for (String bar : CHORDS.split(" \\| ")) {
      if (bar.contains(" ")) {
        click(robot, "#chord-halves");
      }
      for (String chord : bar.split(" ")) {
        chord(robot, chord.replace("#", "♯"));
      }
    }
    assertThat(window.chart())
        .isEqualTo(
            "G | D/F♯ | Em7 | C | G | D/F♯ | Am7 | D7 | Em | C | G | D | C | G | Am7 D7 | G | /");
    click(robot, "#screen-melody");
    click(robot, "#length-2");
    List<Integer> bars = song().chart().bars().stream().map(Bar::id).toList();
    for (int bar : bars) {
      await(() -> window.workspace().models().melody().bar() == bar);
      for (double along : new double[] {0.12, 0.2}) {
        neck(robot, along);
      }
      assertThat(song().tune().bars().get(bar).notes()).hasSize(2);
    }
    click(robot, "#screen-arrange");
    click(robot, "#part-drafts");
    click(robot, "#make-drafts");
    await(() -> robot.lookup("#draft-2").tryQuery().isPresent());
    click(robot, "#draft-0");
    click(robot, "#take-draft");
    ends(robot, false);
    assertThat(keys).isZero();
    tell("mouse alone, chords and tune clicked");
  }

  /** The key’s own chord of that name, or one that is there instead of the last. */
  private void chord(FxRobot robot, String name) {
    Optional<Button> chip = chip(robot, name);
    if (chip.isEmpty()) {
      chord(robot, name.substring(0, name.indexOf('/')));
    }
    clicks++;
    OpenWindow.click(robot, chip.or(() -> chip(robot, name)).orElseThrow());
  }

  private static Optional<Button> chip(FxRobot robot, String name) {
    return robot.lookup(".chord-chip").<Button>queryAllAs(Button.class).stream()
        .filter(b -> b.getText().equals(name))
        .findFirst();
  }

  private void neck(FxRobot robot, double along) {
    clicks++;
    Bounds neck = OpenWindow.bounds(robot, "#tune-neck");
    robot.clickOn(
        new Point2D(
            neck.getMinX() + along * neck.getWidth(), neck.getMinY() + 0.2 * neck.getHeight()));
  }

  /** Chords over words, pasted. */
  @Test
  void fromAPastedText(FxRobot robot) throws Exception {
    String text =
        "[Verse]\nG        D/F#      Em7     C\nThe boats are in, the ropes are wet\n"
            + "G        D/F#      Am7     D7\nthe tide has turned its back on us\n";
    robot.interact(
        () -> {
          ClipboardContent content = new ClipboardContent();
          content.putString(text);
          Clipboard.getSystemClipboard().setContent(content);
        });
    type(robot, KeyCode.CONTROL, KeyCode.DIGIT8);
    type(robot, KeyCode.V);
    await(() -> window.workspace().models().share().incomingProperty().get().isPresent());
    type(robot, KeyCode.O);
    await(() -> song().chart().bars().size() == 8);
    ends(robot, true);
    tell("chords over words, pasted");
  }

  /** A score brings chords and tune; it is dropped on the window. */
  @Test
  void fromAScore(FxRobot robot) throws Exception {
    Path score = folder.resolve("score.musicxml");
    Song demo = SongFiles.open(Demo.FILE).song().orElseThrow();
    Files.write(score, FileFormat.MUSICXML.write(new Arranger().arrange(demo)));
    clicks++;
    robot.interact(() -> window.app().songs().open(score));
    await(() -> song().chart().bars().size() > 8);
    ends(robot, true);
    tell("a score, dropped");
  }

  /** Heard, then on the disk. */
  private void ends(FxRobot robot, boolean byKey) throws TimeoutException, IOException {
    await(() -> window.arrangement() != null && window.arrangement().song().equals(song()));
    if (byKey) {
      type(robot, KeyCode.CONTROL, KeyCode.SPACE);
    } else {
      click(robot, "#play");
    }
    await(() -> window.workspace().models().sound().isHeard());
    robot.interact(() -> window.workspace().models().sound().stop());
    Path page = folder.resolve("page.pdf");
    Files.deleteIfExists(page);
    if (byKey) {
      type(robot, KeyCode.CONTROL, KeyCode.E);
    } else {
      click(robot, "#screen-share");
      click(robot, "#part-files");
      click(robot, "#save-pdf");
    }
    await(() -> Files.exists(page));
    await(
        () -> {
          try {
            return Files.size(page) > 1000;
          } catch (IOException e) {
            return false;
          }
        });
  }

  private void tell(String way) {
    System.out.printf("%s: %d keys, %d clicks, %.1f s waited%n", way, keys, clicks, waited);
  }
}
