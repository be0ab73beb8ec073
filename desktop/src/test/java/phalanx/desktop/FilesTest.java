package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.click;
import static phalanx.desktop.OpenWindow.press;
import static phalanx.desktop.OpenWindow.text;
import static phalanx.desktop.OpenWindow.until;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeoutException;
import java.util.stream.Stream;
import javafx.event.Event;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import javafx.stage.WindowEvent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import phalanx.arrangement.tune.TuneOctave;
import phalanx.desktop.files.PlayerFolder;
import phalanx.desktop.files.Preferences;
import phalanx.engraving.SheetOptions;
import phalanx.formats.FileFormat;
import phalanx.formats.SongFiles;
import phalanx.song.Song;
import phalanx.song.SongId;
import phalanx.theory.NoteNaming;

/** Saves, reopens, is interrupted: nothing a player did is lost. */
@ExtendWith(ApplicationExtension.class)
class FilesTest {

  /** A copy whose lock nobody holds. */
  private static final String ENDED = "of-a-window-that-is-no-more";

  private final OpenWindow window = new OpenWindow();
  private Path folder;
  private Stage stage;

  @Start
  void start(Stage shown) throws IOException {
    stage = shown;
    folder = Files.createTempDirectory(Path.of("target").toAbsolutePath(), "files-");
    Song left = Song.untitled().withTitle("Left behind");
    Files.createDirectories(folder.resolve("recovery"));
    SongFiles.save(left, folder.resolve("recovery").resolve(ENDED + SongFiles.ENDING));
    window.show(stage, Optional.empty(), new PlayerFolder(folder));
  }

  @Stop
  void stop() {
    window.app().stop();
  }

  /** A tune from a lead sheet lies too high: it is taken where the hand has it, and said. */
  @Test
  void aTuneThatComesInHighIsTakenAtHand(FxRobot robot) throws Exception {
    Path sheet = folder.resolve("high.abc");
    Files.writeString(
        sheet,
        "X:1\nT:High\nM:4/4\nL:1/4\nK:G\n\"G\"g b d' b | \"C\"c' e' c' g |"
            + " \"D7\"a c' a f | \"G\"g4 |\n");
    Song written = SongFiles.open(sheet).song().orElseThrow();
    int by = TuneOctave.best(written);
    assertThat(by).isNegative();
    robot.interact(() -> window.app().documents().open(sheet));
    until(() -> window.workspace().song().title().equals("High"));
    until(() -> window.workspace().song().tune().equals(written.tune().octaves(by)));
    until(() -> text(robot, "#problems").contains("where the hand has it"));
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    until(() -> window.workspace().song().tune().equals(written.tune()));
  }

  /** The recovery copies on the disk. */
  private List<Path> copies() {
    try (Stream<Path> all = Files.list(folder.resolve("recovery"))) {
      return all.filter(f -> f.toString().endsWith(SongFiles.ENDING)).toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void rename(FxRobot robot, String title) {
    robot.interact(() -> window.workspace().edit(s -> s.withTitle(title)));
  }

  @Test
  void aSongLeftBehindByACrashIsOfferedAndTakenUp(FxRobot robot) throws TimeoutException {
    until(() -> robot.lookup("#recover").tryQuery().isPresent());
    click(robot, "#recover");
    until(() -> window.workspace().song().title().equals("Left behind"));
    assertThat(window.workspace().unsaved().get()).isTrue();
    Path kept = folder.resolve("recovery").resolve(ENDED + SongFiles.ENDING);
    until(() -> !Files.exists(kept));
  }

  @Test
  void aSongLeftBehindCanBeThrownAway(FxRobot robot) throws TimeoutException {
    until(() -> robot.lookup("#recover-not").tryQuery().isPresent());
    click(robot, "#recover-not");
    until(() -> !Files.exists(folder.resolve("recovery").resolve(ENDED + SongFiles.ENDING)));
    assertThat(window.workspace().song().title()).isEqualTo("Untitled");
  }

  @Test
  void anUnsavedSongIsKeptEveryFewSecondsUntilItIsSaved(FxRobot robot) throws TimeoutException {
    rename(robot, "Kept");
    Path ended = folder.resolve("recovery").resolve(ENDED + SongFiles.ENDING);
    until(() -> copies().stream().anyMatch(f -> !f.equals(ended)));
    Path kept = copies().stream().filter(f -> !f.equals(ended)).findFirst().orElseThrow();
    assertThat(SongFiles.open(kept).song().orElseThrow().title()).isEqualTo("Kept");
    Path file = folder.resolve("kept.phalanx.json");
    robot.interact(() -> window.app().documents().saveInto(file));
    until(() -> !window.workspace().unsaved().get());
    until(() -> !Files.exists(kept));
    assertThat(SongFiles.open(file).song()).contains(window.workspace().song());
  }

  @Test
  void savingAgainGoesToTheSameFileAndTheTitleLosesItsMark(FxRobot robot) throws TimeoutException {
    Path file = folder.resolve("again.phalanx.json");
    rename(robot, "First");
    robot.interact(() -> window.app().documents().saveInto(file));
    until(() -> !window.workspace().unsaved().get());
    rename(robot, "Second");
    assertThat(text(robot, "#song-title")).isEqualTo("Second *");
    press(robot, KeyCode.CONTROL, KeyCode.S);
    until(() -> !window.workspace().unsaved().get());
    assertThat(text(robot, "#song-title")).isEqualTo("Second");
    assertThat(SongFiles.open(file).song().orElseThrow().title()).isEqualTo("Second");
    assertThat(window.app().documents().remembered().property().get().recent())
        .containsExactly(file);
  }

  @Test
  void aSongIsKnownByTheSameIdWhateverIsUndoneAndACopyByAnother(FxRobot robot) throws Exception {
    Path file = folder.resolve("known.phalanx.json");
    rename(robot, "Known");
    assertThat(window.workspace().song().id()).isEmpty();
    robot.interact(() -> window.app().documents().saveInto(file));
    until(() -> !window.workspace().unsaved().get());
    SongId id = SongFiles.open(file).song().orElseThrow().id().orElseThrow();
    robot.interact(() -> window.workspace().undo());
    assertThat(window.workspace().song().id()).contains(id);
    robot.interact(() -> window.workspace().redo());
    assertThat(window.workspace().unsaved().get()).isFalse();
    Path copy = folder.resolve("copy.phalanx.json");
    robot.interact(() -> window.app().documents().saveInto(copy));
    until(() -> window.workspace().fileProperty().get().filter(copy::equals).isPresent());
    assertThat(SongFiles.open(copy).song().orElseThrow().id().orElseThrow()).isNotEqualTo(id);
    assertThat(SongFiles.open(copy).song()).contains(window.workspace().song());
  }

  @Test
  void closingWithUnsavedChangesAsksFirst(FxRobot robot) throws TimeoutException {
    rename(robot, "Precious");
    robot.interact(
        () -> Event.fireEvent(stage, new WindowEvent(stage, WindowEvent.WINDOW_CLOSE_REQUEST)));
    assertThat(stage.isShowing()).isTrue();
    click(robot, "#unsaved-keep");
    assertThat(robot.lookup("#unsaved").tryQuery()).isEmpty();
    press(robot, KeyCode.CONTROL, KeyCode.N);
    assertThat(window.workspace().song().title()).isEqualTo("Precious");
    click(robot, "#unsaved-drop");
    until(() -> window.workspace().song().title().equals("Untitled"));
  }

  @Test
  void saveInTheQuestionSavesAndGoesOn(FxRobot robot) throws TimeoutException {
    Path file = folder.resolve("asked.phalanx.json");
    rename(robot, "Asked");
    robot.interact(() -> window.app().documents().saveInto(file));
    until(() -> !window.workspace().unsaved().get());
    rename(robot, "Asked twice");
    press(robot, KeyCode.CONTROL, KeyCode.N);
    click(robot, "#unsaved-save");
    until(() -> window.workspace().song().title().equals("Untitled"));
    assertThat(SongFiles.open(file).song().orElseThrow().title()).isEqualTo("Asked twice");
  }

  @Test
  void aDamagedFileIsRefusedAndTheOpenSongStays(FxRobot robot) throws Exception {
    rename(robot, "Mine");
    Path bad = Files.writeString(folder.resolve("bad.phalanx.json"), "{\n  \"format\": 7\n}");
    robot.interact(() -> window.app().documents().open(bad));
    click(robot, "#unsaved-drop");
    until(() -> !window.workspace().problems().isEmpty());
    assertThat(text(robot, "#problems"))
        .startsWith("bad.phalanx.json:2:13: expected “phalanx-song”");
    assertThat(window.workspace().song().title()).isEqualTo("Mine");
    assertThat(window.workspace().unsaved().get()).isTrue();
    click(robot, "#problems-away");
    assertThat(robot.lookup("#problems").query().isVisible()).isFalse();
  }

  @Test
  void aFileWithAFaultyBarIsOpenedWithoutItAndStaysAsItIs(FxRobot robot) throws Exception {
    Path file = folder.resolve("torn.phalanx.json");
    SongFiles.save(Demo.song(), file);
    String torn = Files.readString(file).replaceFirst("\"chord\" : \"[^\"]+\"", "\"chord\" : 7");
    Files.writeString(file, torn);
    robot.interact(() -> window.app().documents().open(file));
    until(() -> window.workspace().song().title().equals("Harbour Lamp"));
    assertThat(text(robot, "#problems"))
        .startsWith("torn.phalanx.json was read in part and stays as it is")
        .contains("expected a text for “chord”, found 7");
    assertThat(window.workspace().fileProperty().get()).isEmpty();
    assertThat(file).hasContent(torn);
  }

  @Test
  void aFileThatAnotherProgramChangedIsAskedAbout(FxRobot robot) throws Exception {
    Path file = folder.resolve("shared.phalanx.json");
    rename(robot, "Mine");
    robot.interact(() -> window.app().documents().saveInto(file));
    until(() -> !window.workspace().unsaved().get());
    SongFiles.save(Song.untitled().withTitle("Theirs"), file);
    rename(robot, "Mine too");
    press(robot, KeyCode.CONTROL, KeyCode.S);
    until(() -> robot.lookup("#changed-mine").tryQuery().isPresent());
    assertThat(SongFiles.open(file).song().orElseThrow().title()).isEqualTo("Theirs");
    click(robot, "#changed-mine");
    until(() -> !window.workspace().unsaved().get());
    assertThat(SongFiles.open(file).song().orElseThrow().title()).isEqualTo("Mine too");
    SongFiles.save(Song.untitled().withTitle("Theirs"), file);
    robot.interact(() -> window.app().documents().keep());
    until(() -> robot.lookup("#changed-theirs").tryQuery().isPresent());
    click(robot, "#changed-theirs");
    until(() -> window.workspace().song().title().equals("Theirs"));
  }

  @Test
  void aFileThatMayOnlyBeReadIsAskedAbout(FxRobot robot) throws Exception {
    Path file = folder.resolve("fixed.phalanx.json");
    SongFiles.save(Song.untitled().withTitle("Fixed"), file);
    Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("r--r--r--"));
    robot.interact(() -> window.app().documents().open(file));
    until(() -> window.workspace().song().title().equals("Fixed"));
    rename(robot, "Loose");
    press(robot, KeyCode.CONTROL, KeyCode.S);
    until(() -> robot.lookup("#read-only-over").tryQuery().isPresent());
    assertThat(SongFiles.open(file).song().orElseThrow().title()).isEqualTo("Fixed");
    click(robot, "#read-only-over");
    until(() -> !window.workspace().unsaved().get());
    assertThat(SongFiles.open(file).song().orElseThrow().title()).isEqualTo("Loose");
  }

  @Test
  void aSaveThatFailsSaysWhyAndNothingIsLost(FxRobot robot) throws Exception {
    rename(robot, "Homeless");
    Path file = folder.resolve("missing/homeless.phalanx.json");
    robot.interact(() -> window.app().documents().saveInto(file));
    until(() -> !window.workspace().problems().isEmpty());
    assertThat(text(robot, "#problems"))
        .isEqualTo(
            file
                + " cannot be written: there is no folder "
                + file.getParent()
                + "; nothing is lost.");
    assertThat(window.workspace().unsaved().get()).isTrue();
  }

  @Test
  void aTuneWithoutChordsGetsSomeProposedAndThatIsSaid(FxRobot robot) throws Exception {
    Path file = folder.resolve("bare.musicxml");
    Files.writeString(
        file,
        "<score-partwise><part-list><score-part id=\"P\"><part-name>x</part-name></score-part>"
            + "</part-list><part id=\"P\"><measure number=\"1\"><attributes><divisions>1</divisions>"
            + "</attributes><note><pitch><step>G</step><octave>4</octave></pitch><duration>4"
            + "</duration></note></measure></part></score-partwise>");
    robot.interact(() -> window.app().documents().open(file));
    until(() -> !window.workspace().problems().isEmpty());
    assertThat(text(robot, "#problems"))
        .contains("it has no chord symbols: the chords are proposed from its notes");
    until(() -> !window.workspace().planningProperty().get());
    assertThat(window.workspace().arrangementProperty().get().notes()).hasSizeGreaterThan(1);
  }

  @Test
  void anEmptyFileSaysSo(FxRobot robot) throws Exception {
    Path empty = Files.writeString(folder.resolve("empty.phalanx.json"), "");
    robot.interact(() -> window.app().documents().open(empty));
    until(() -> !window.workspace().problems().isEmpty());
    assertThat(text(robot, "#problems")).startsWith("empty.phalanx.json:1:1: expected");
  }

  @Test
  void aFileDroppedOnTheWindowIsOpened(FxRobot robot) throws TimeoutException {
    OpenWindow.drop(robot, stage, Demo.FILE);
    until(() -> window.workspace().song().title().equals("Harbour Lamp"));
    assertThat(text(robot, "#song-title")).isEqualTo("Harbour Lamp");
    assertThat(window.chart()).startsWith("G |");
  }

  @Test
  void preferencesOutlastTheProgram(FxRobot robot) throws Exception {
    robot.interact(() -> window.workspace().viewing().namingProperty().set(NoteNaming.SOLFEGE));
    robot.interact(() -> window.workspace().viewing().leftHandedProperty().set(true));
    robot.interact(() -> window.app().documents().open(Demo.FILE));
    until(() -> window.workspace().song().title().equals("Harbour Lamp"));
    PlayerFolder again = new PlayerFolder(folder);
    until(() -> Preferences.read(again).recent().size() == 1);
    assertThat(Preferences.read(again).naming()).isEqualTo(NoteNaming.SOLFEGE);
    assertThat(Preferences.read(again).leftHanded()).isTrue();
    assertThat(Preferences.read(again).recent().get(0)).hasFileName("harbour-lamp.cho");
  }

  /** Every format of the list is written by the window as the command line writes it. */
  @Test
  void thePlanIsExportedInEveryFormat(FxRobot robot) throws Exception {
    robot.interact(() -> window.app().documents().open(Demo.FILE));
    until(() -> window.workspace().song().title().equals("Harbour Lamp"));
    window.untilPlanned();
    // Sound goes another way, see SoundTest.
    for (FileFormat format : FileFormat.taken().stream().filter(f -> !f.isSound()).toList()) {
      Path file = folder.resolve("plan" + format.endings().get(0));
      boolean[] done = {false};
      robot.interact(
          () ->
              window
                  .app()
                  .documents()
                  .exports()
                  .plan(
                      window.arrangement(),
                      SheetOptions.USUAL,
                      file,
                      () -> done[0] = true,
                      why -> {}));
      until(() -> done[0]);
      assertThat(Files.readAllBytes(file)).isEqualTo(format.write(window.arrangement()));
    }
    robot.interact(
        () ->
            window
                .app()
                .documents()
                .exports()
                .plan(
                    window.arrangement(),
                    SheetOptions.USUAL,
                    folder.resolve("plan.odd"),
                    () -> {},
                    why -> {}));
    until(() -> !window.workspace().problems().isEmpty());
    assertThat(window.workspace().problems().get(0)).contains(".musicxml");
    assertThat(Files.exists(folder.resolve("plan.odd"))).isFalse();
  }

  /** The window asks for another name where a plan would take the place of a song. */
  @Test
  void anExportNeverReplacesASong(FxRobot robot) throws Exception {
    Path file = folder.resolve("song.phalanx.json");
    rename(robot, "Stays");
    robot.interact(() -> window.app().documents().saveInto(file));
    until(() -> !window.workspace().unsaved().get());
    until(() -> window.arrangement() != null);
    byte[] before = Files.readAllBytes(file);
    Path link = Files.createSymbolicLink(folder.resolve("link.json"), file);
    for (Path target : List.of(file, link)) {
      String[] refused = {""};
      robot.interact(
          () ->
              window
                  .app()
                  .documents()
                  .exports()
                  .plan(
                      window.arrangement(),
                      SheetOptions.USUAL,
                      target,
                      () -> {},
                      why -> refused[0] = why));
      until(() -> !refused[0].isEmpty());
      assertThat(Files.readAllBytes(file)).isEqualTo(before);
    }
  }

  /** Demo songs are patterns to start from: saving one asks for a name. */
  @Test
  void aDemoSongIsNeverSavedOver(FxRobot robot) throws Exception {
    Path demo = Files.createDirectory(folder.resolve("demo")).resolve("a.phalanx.json");
    SongFiles.save(Song.untitled().withTitle("Pattern"), demo);
    byte[] before = Files.readAllBytes(demo);
    System.setProperty("phalanx.demo", demo.getParent().toString());
    try {
      robot.interact(() -> window.app().documents().open(demo));
      until(() -> window.workspace().song().title().equals("Pattern"));
      rename(robot, "Changed");
      press(robot, KeyCode.CONTROL, KeyCode.S);
    } finally {
      System.clearProperty("phalanx.demo");
    }
    assertThat(window.workspace().fileProperty().get()).isEmpty();
    assertThat(window.workspace().unsaved().get()).isTrue();
    assertThat(Files.readAllBytes(demo)).isEqualTo(before);
  }
}
