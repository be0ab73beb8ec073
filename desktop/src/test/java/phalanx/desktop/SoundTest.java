package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.click;
import static phalanx.desktop.OpenWindow.text;
import static phalanx.desktop.OpenWindow.until;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeoutException;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import javax.sound.sampled.AudioSystem;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import phalanx.desktop.files.SoundExport;
import phalanx.desktop.model.HeardPlace;
import phalanx.desktop.model.LoopBars;
import phalanx.desktop.model.PlaybackController;
import phalanx.desktop.model.Screen;
import phalanx.desktop.model.SoundPreset;
import phalanx.performance.Performance;
import phalanx.picking.PickFinger;
import phalanx.sound.Layer;
import phalanx.sound.render.RenderOptions;
import phalanx.sound.sequence.PickingHand;
import phalanx.sound.sequence.Sequencer.Clicks;
import phalanx.sound.strings.Plucker;

/**
 * The transport, driven; on the card that nobody hears, as the machine of the tests has no other.
 */
@ExtendWith(ApplicationExtension.class)
class SoundTest {

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
  void planned() throws TimeoutException {
    until(() -> window.arrangement() != null && !window.arrangement().slots().isEmpty());
  }

  private PlaybackController sound() {
    return window.workspace().models().sound();
  }

  private static String words(FxRobot robot, String id) {
    return robot.lookup(id).queryAs(Labeled.class).getText();
  }

  private boolean runs(FxRobot robot, String id) {
    return robot.lookup(id).tryQuery().filter(Node::isVisible).isPresent();
  }

  @Test
  void spacePlaysPausesAndGoesOnFromThere(FxRobot robot) throws TimeoutException {
    assertThat(words(robot, "#play")).isEqualTo("Play");
    robot.type(KeyCode.SPACE);
    until(() -> sound().placeProperty().get().isPresent());
    assertThat(words(robot, "#play")).isEqualTo("Pause");
    until(() -> runs(robot, "#strip-playhead"));
    until(() -> sound().placeProperty().get().get().tick() > 2000);
    robot.type(KeyCode.SPACE);
    assertThat(words(robot, "#play")).isEqualTo("Play");
    int paused = sound().placeProperty().get().get().tick();
    // Where it paused stays marked.
    assertThat(runs(robot, "#strip-playhead")).isTrue();
    click(robot, "#play");
    until(() -> sound().placeProperty().get().get().tick() > paused + 1000);
    robot.press(KeyCode.SHIFT).type(KeyCode.SPACE).release(KeyCode.SHIFT);
    assertThat(sound().playingProperty().get()).isFalse();
    assertThat(runs(robot, "#strip-playhead")).isFalse();
  }

  @Test
  void playingBeginsAtTheSelectedChord(FxRobot robot) throws TimeoutException {
    robot.interact(() -> window.workspace().chord().selectPlayedBar(5));
    robot.type(KeyCode.SPACE);
    until(() -> sound().placeProperty().get().isPresent());
    assertThat(sound().placeProperty().get().get().bar().number()).isEqualTo(5);
  }

  @Test
  void aDoubleClickGoesToAChordWhileItPlays(FxRobot robot) throws TimeoutException {
    Bounds strip = OpenWindow.bounds(robot, "#strip");
    robot.type(KeyCode.SPACE);
    until(() -> tick() > 0);
    robot.moveTo(strip.getMinX() + 650, strip.getMinY() + 52).doubleClickOn(MouseButton.PRIMARY);
    int second = window.arrangement().timeline().bars().get(1).startTick();
    until(() -> tick() >= second);
    assertThat(tick()).isLessThan(second + 2 * 20160);
    assertThat(sound().playingProperty().get()).isTrue();
  }

  @Test
  void aLoopIsLetGoWhereItsBarsAreTakenOut(FxRobot robot) throws TimeoutException {
    robot.interact(() -> sound().loop().property().set(Optional.of(new LoopBars(90, 95))));
    robot.interact(() -> window.workspace().edit(s -> s.withTempo(77)));
    window.untilPlanned();
    until(() -> sound().loop().property().get().isEmpty());
    assertThat(words(robot, "#loop")).isEqualTo("Loop");
  }

  @Test
  void openingAnotherSongStopsThisOne(FxRobot robot) throws TimeoutException {
    robot.interact(() -> sound().loop().property().set(Optional.of(new LoopBars(1, 2))));
    robot.type(KeyCode.SPACE);
    until(() -> tick() > 0);
    Path other = Path.of("..", "demo", "slate-roof-rain.phalanx.json");
    robot.interact(() -> window.app().documents().open(other));
    until(() -> window.workspace().song().title().equals("Slate Roof Rain"));
    assertThat(sound().playingProperty().get()).isFalse();
    assertThat(sound().placeProperty().get()).isEmpty();
    assertThat(words(robot, "#loop")).isEqualTo("Loop");
    window.untilPlanned();
    robot.type(KeyCode.SPACE);
    until(() -> tick() > 0);
    assertThat(sound().placeProperty().get().get().performance().arrangement())
        .isSameAs(window.arrangement());
  }

  @Test
  void theLoopIsTheSelectionAndCanBeDraggedOverBars(FxRobot robot) throws TimeoutException {
    click(robot, "#loop");
    assertThat(words(robot, "#loop")).isEqualTo("Loop 1");
    click(robot, "#loop");
    assertThat(words(robot, "#loop")).isEqualTo("Loop");
    Bounds bounds = OpenWindow.bounds(robot, "#strip");
    double y = bounds.getMinY() + 52;
    robot
        .moveTo(bounds.getMinX() + 150, y)
        .press(MouseButton.PRIMARY)
        .moveTo(bounds.getMinX() + 350, y)
        .moveTo(bounds.getMinX() + 650, y)
        .release(MouseButton.PRIMARY);
    assertThat(sound().loop().property().get()).contains(new LoopBars(1, 2));
    assertThat(words(robot, "#loop")).isEqualTo("Loop 1–2");
    robot.press(KeyCode.CONTROL).type(KeyCode.L).release(KeyCode.CONTROL);
    assertThat(sound().loop().property().get()).isEmpty();
  }

  @Test
  void barsSelectedInTheChartAreLooped(FxRobot robot) throws TimeoutException {
    robot.press(KeyCode.CONTROL).type(KeyCode.DIGIT1).release(KeyCode.CONTROL);
    robot.type(KeyCode.HOME).type(KeyCode.RIGHT);
    robot.press(KeyCode.SHIFT).type(KeyCode.RIGHT, 2).release(KeyCode.SHIFT);
    robot.press(KeyCode.CONTROL).type(KeyCode.L).release(KeyCode.CONTROL);
    LoopBars loop = sound().loop().property().get().orElseThrow();
    assertThat(loop.first()).isEqualTo(2);
    assertThat(loop.last()).isGreaterThan(loop.first());
  }

  @Test
  void theSongGoesRoundItsLoop(FxRobot robot) throws TimeoutException {
    robot.interact(() -> sound().settings().percentProperty().set(150));
    robot.interact(() -> sound().loop().property().set(Optional.of(new LoopBars(3, 3))));
    robot.type(KeyCode.SPACE);
    until(() -> sound().placeProperty().get().isPresent());
    int start = window.arrangement().timeline().bars().get(2).startTick();
    until(() -> tick() > start + 15000);
    until(() -> tick() < start + 5000);
    assertThat(sound().placeProperty().get().get().bar().number()).isEqualTo(3);
  }

  private int tick() {
    return sound().placeProperty().get().map(HeardPlace::tick).orElse(-1);
  }

  @Test
  void anEditWhilePlayingIsPlayedOn(FxRobot robot) throws TimeoutException {
    robot.interact(() -> sound().settings().percentProperty().set(150));
    robot.type(KeyCode.SPACE);
    until(() -> tick() > 0);
    var before = window.arrangement();
    robot.type(KeyCode.P);
    until(() -> window.arrangement() != before);
    var after = window.arrangement();
    until(
        () ->
            sound()
                .placeProperty()
                .get()
                .filter(p -> p.performance().arrangement() == after)
                .isPresent());
    assertThat(sound().playingProperty().get()).isTrue();
  }

  @Test
  void thePanelSetsTempoClicksAndLevels(FxRobot robot) {
    assertThat(runs(robot, "#sound-panel")).isFalse();
    robot.press(KeyCode.CONTROL).type(KeyCode.M).release(KeyCode.CONTROL);
    assertThat(runs(robot, "#sound-panel")).isTrue();
    click(robot, "#metronome");
    robot.clickOn("on the beats");
    assertThat(sound().settings().clicksProperty().get()).isEqualTo(Clicks.BEATS);
    click(robot, "#count-in");
    robot.clickOn("one bar");
    assertThat(sound().settings().countInProperty().get()).isEqualTo(1);
    click(robot, "#mute-thumb");
    click(robot, "#solo-tune");
    assertThat(sound().settings().levelsProperty().get().isHeard(Layer.THUMB)).isFalse();
    assertThat(sound().settings().levelsProperty().get().isHeard(Layer.TUNE)).isTrue();
    assertThat(sound().settings().levelsProperty().get().isHeard(Layer.FINGERS)).isFalse();
    robot.interact(() -> robot.lookup("#level-hits").queryAs(Slider.class).setValue(-6.2));
    assertThat(sound().settings().levelsProperty().get().decibels())
        .containsEntry(Layer.HITS, -6.0);
    robot.interact(() -> robot.lookup("#tempo-percent").queryAs(Slider.class).setValue(70));
    assertThat(sound().settings().percentProperty().get()).isEqualTo(70);
    assertThat(robot.lookup("Tempo 70 %").tryQuery()).isPresent();
    assertThat(robot.lookup("Hits −6 dB").tryQuery()).isPresent();
  }

  @Test
  void countingInKeepsTheLineAtItsPlace(FxRobot robot) throws TimeoutException {
    robot.interact(() -> sound().settings().countInProperty().set(1));
    robot.type(KeyCode.SPACE);
    until(() -> sound().placeProperty().get().filter(HeardPlace::countingIn).isPresent());
    assertThat(tick()).isZero();
    until(() -> tick() > 0);
  }

  @Test
  void theLineRunsOnChartStaffAndGrid(FxRobot robot) throws TimeoutException {
    robot.type(KeyCode.SPACE);
    until(() -> tick() > 0);
    for (var screen :
        List.of(
            new Object[] {Screen.CHART, "#chart-playhead"},
            new Object[] {Screen.MELODY, "#staves-playhead"},
            new Object[] {Screen.PICKING, "#grid-playhead"})) {
      robot.interact(() -> window.workspace().screenProperty().set((Screen) screen[0]));
      until(() -> runs(robot, (String) screen[1]));
    }
  }

  @Test
  void shapesPatternsAndNotesAreHeardAlone(FxRobot robot) throws TimeoutException {
    robot.interact(() -> window.workspace().screenProperty().set(Screen.SHAPES));
    click(robot, "#hear-shape");
    until(() -> sound().isHeard());
    assertThat(sound().playingProperty().get()).isFalse();
    robot.interact(() -> sound().stop());
    until(() -> !sound().isHeard());
    robot.interact(() -> window.workspace().screenProperty().set(Screen.PICKING));
    robot.type(KeyCode.H);
    until(() -> sound().isHeard());
    robot.interact(() -> sound().stop());
    until(() -> !sound().isHeard());
    robot.interact(() -> window.workspace().screenProperty().set(Screen.MELODY));
    click(robot, "#tune-neck");
    until(() -> sound().isHeard());
  }

  /** What is taken up from a kept sound stands in the panel and goes into the file. */
  @Test
  void aKeptSoundIsTakenUp(FxRobot robot) throws Exception {
    click(robot, "#sound-panel-button");
    Slider freedom = robot.lookup("#freedom").query();
    Slider room = robot.lookup("#room").query();
    assertThat(freedom.getValue()).isEqualTo(50);
    SoundPreset kept = sound().settings().preset();
    robot.interact(() -> freedom.setValue(0));
    robot.interact(() -> room.setValue(100));
    assertThat(sound().settings().interpretationProperty().get().freedom()).isZero();
    assertThat(sound().settings().fileOptions().playing().room()).isEqualTo(1);
    robot.interact(() -> sound().settings().use(kept));
    assertThat(freedom.getValue()).isEqualTo(50);
    assertThat(room.getValue()).isEqualTo(30);
    assertThat(text(robot, "#guitar-words")).isEqualTo("steel strings, level");
  }

  /** One finger plucks otherwise than the others; then all again at once. */
  @Test
  void aFingerHasAStrokeOfItsOwn(FxRobot robot) throws Exception {
    click(robot, "#sound-panel-button");
    robot.clickOn("#each-finger").clickOn("#stroke-of-m").clickOn("#stroke-of-m-flesh");
    MenuButton each = robot.lookup("#each-finger").queryAs(MenuButton.class);
    Menu thumb = (Menu) each.getItems().get(0);
    robot.interact(() -> thumb.getItems().get(thumb.getItems().size() - 1).fire());
    assertThat(thumb.getText()).isEqualTo("p   flesh, rest strokes");
    PickingHand hand = sound().settings().interpretationProperty().get().hand();
    assertThat(hand.of(PickFinger.M)).isEqualTo(Plucker.FLESH);
    assertThat(hand.of(PickFinger.I)).isEqualTo(Plucker.NAIL);
    assertThat(hand.resting()).containsExactly(PickFinger.P);
    ComboBox<Plucker> fingers = robot.lookup("#finger-touch").queryComboBox();
    assertThat(fingers.getValue()).isNull();
    robot.interact(() -> fingers.setValue(Plucker.PICK));
    hand = sound().settings().interpretationProperty().get().hand();
    assertThat(hand.common()).contains(Plucker.PICK);
    assertThat(hand.rests(PickFinger.P)).isTrue();
  }

  @Test
  void theSongIsExportedAsSoundAndCanBeCancelled(FxRobot robot) throws Exception {
    Path folder = Files.createTempDirectory(Path.of("target").toAbsolutePath(), "sound-");
    Path file = folder.resolve("song.wav");
    robot.interact(
        () -> sound().settings().fileFormatProperty().set(RenderOptions.USUAL.with(48000, 24)));
    SoundExport whole = window.app().documents().exports().sound();
    Watched watched = new Watched();
    robot.interact(
        () -> whole.write(performance(), sound().settings().fileOptions(), file, watched));
    until(() -> watched.ended != null);
    assertThat(watched.ended).isEqualTo("written");
    assertThat(watched.share).isGreaterThan(0.9);
    try (var audio = AudioSystem.getAudioInputStream(file.toFile())) {
      assertThat(audio.getFormat().getSampleSizeInBits()).isEqualTo(24);
      assertThat(audio.getFrameLength()).isGreaterThan((long) (performance().seconds() * 48000));
    }
    SoundExport stopped = window.app().documents().exports().sound();
    stopped.cancel();
    Watched second = new Watched();
    Path other = folder.resolve("other.wav");
    robot.interact(() -> stopped.write(performance(), RenderOptions.USUAL, other, second));
    until(() -> second.ended != null);
    assertThat(second.ended).isEqualTo("cancelled");
    assertThat(other).doesNotExist();
    Watched refused = new Watched();
    Path nowhere = folder.resolve("nowhere").resolve("song.wav");
    robot.interact(
        () ->
            window
                .app()
                .documents()
                .exports()
                .sound()
                .write(performance(), RenderOptions.USUAL, nowhere, refused));
    until(() -> refused.ended != null);
    assertThat(refused.ended).contains("there is no folder");
    Files.delete(file);
    Files.delete(folder);
  }

  private Performance performance() {
    return window.workspace().performanceProperty().get();
  }

  private static final class Watched implements SoundExport.Watcher {
    volatile double share;
    volatile String ended;

    @Override
    public void share(double done) {
      share = done;
    }

    @Override
    public void written() {
      ended = "written";
    }

    @Override
    public void cancelled() {
      ended = "cancelled";
    }

    @Override
    public void refused(String words) {
      ended = words;
    }
  }

  @Test
  void aMachineWithoutADeviceSaysSo(FxRobot robot) throws TimeoutException {
    robot.type(KeyCode.SPACE);
    until(() -> tick() > 0);
    click(robot, "#sound-panel-button");
    if (sound().devices().there().size() == 1) {
      assertThat(words(robot, "#card-words")).isEqualTo("silent: a simulated card");
    } else {
      assertThat(words(robot, "#card-words")).isEmpty();
    }
    assertThat(robot.lookup("#play").queryAs(Button.class).isFocused()).isFalse();
  }
}
