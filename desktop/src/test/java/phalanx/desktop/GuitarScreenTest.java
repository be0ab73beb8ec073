package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static phalanx.desktop.OpenWindow.click;
import static phalanx.desktop.OpenWindow.press;
import static phalanx.desktop.OpenWindow.shows;
import static phalanx.desktop.OpenWindow.text;
import static phalanx.desktop.OpenWindow.until;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeoutException;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.Spinner;
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
import phalanx.advice.Advised;
import phalanx.advice.Ranked;
import phalanx.desktop.model.AdviceViewModel;
import phalanx.desktop.model.HandViewModel;
import phalanx.instrument.Hand;
import phalanx.instrument.HarmonicNode;
import phalanx.instrument.StringPull;
import phalanx.instrument.StringSet;
import phalanx.instrument.Tuning;
import phalanx.instrument.UsualTuning;
import phalanx.song.Song;

/** Looks at other tunings on the Guitar screen, tunes by ear and uses one in the song. */
@ExtendWith(ApplicationExtension.class)
class GuitarScreenTest {

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
    window.untilPlanned();
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT7);
    until(() -> robot.lookup("#string-table").tryQuery().isPresent());
  }

  private Tuning song() {
    return window.workspace().song().guitar().tuning();
  }

  private static boolean says(FxRobot robot, String within, String words) {
    return robot.lookup(within + " .label").queryAllAs(Labeled.class).stream()
        .anyMatch(l -> l.getText().contains(words));
  }

  @Test
  void aTuningIsLookedAtBeforeTheSongUsesIt(FxRobot robot) throws TimeoutException {
    assertThat(robot.lookup("#use-tuning").query().isDisabled()).isTrue();
    click(robot, "#tuning-dgdgbe");
    assertThat(song()).isEqualTo(Tuning.STANDARD);
    assertThat(text(robot, "#bench-about"))
        .isEqualTo("D G D G B E on the bench · the song uses E A D G B E");
    assertThat(says(robot, "#string-table", "−2")).isTrue();
    click(robot, "#part-by-ear");
    assertThat(says(robot, "#by-ear", "⑤ sounds an octave below ③")).isTrue();
    assertThat(says(robot, "#by-ear", "Now check: G, 000003")).isTrue();
    click(robot, "#use-tuning");
    window.untilPlanned();
    assertThat(song()).isEqualTo(UsualTuning.DGDGBE.tuning());
    assertThat(text(robot, "#bench-about")).isEqualTo("D G D G B E, as the song uses it");
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(song()).isEqualTo(Tuning.STANDARD);
    assertThat(text(robot, "#bench-about")).startsWith("E A D G B E, as");
  }

  @Test
  void anotherCapoLeavesTheBenchAsItIs(FxRobot robot) throws TimeoutException {
    click(robot, "#tuning-open-g");
    robot.interact(() -> window.workspace().edit(s -> s.withGuitar(s.guitar().withCapo(4))));
    window.untilPlanned();
    assertThat(window.workspace().models().bench().tuningProperty().get())
        .isEqualTo(UsualTuning.OPEN_G.tuning());
    assertThat(window.workspace().models().bench().sheetProperty().get().guitar().capo())
        .isEqualTo(4);
  }

  @Test
  void stringsThatGoUpComeWithACaution(FxRobot robot) {
    Node caution = robot.lookup("#pull-caution").query();
    assertThat(caution.isVisible()).isFalse();
    click(robot, "#tuning-open-e-minor");
    assertThat(caution.isVisible()).isTrue();
    click(robot, "#tuning-drop-d");
    assertThat(caution.isVisible()).isFalse();
  }

  @Test
  void anOwnTuningIsTypedAndAWrongOneIsSaid(FxRobot robot) {
    click(robot, "#own-tuning").write("C G D G").type(KeyCode.ENTER);
    assertThat(robot.lookup("#own-tuning-fault").query().isVisible()).isTrue();
    robot.write(" B E").type(KeyCode.ENTER);
    assertThat(robot.lookup("#own-tuning-fault").query().isVisible()).isFalse();
    assertThat(window.workspace().models().bench().tuningProperty().get())
        .isEqualTo(Tuning.parse("C G D G B E").orElseThrow());
  }

  @Test
  void stringsAreTunedOneAfterTheOtherAndHeard(FxRobot robot) throws TimeoutException {
    click(robot, "#tuning-drop-d");
    click(robot, "#part-by-ear");
    robot.interact(() -> robot.lookup("#string-table").query().getParent().requestFocus());
    assertThat(window.workspace().models().bench().stepProperty().get()).isZero();
    click(robot, "#next-string");
    assertThat(window.workspace().models().bench().stepProperty().get()).isEqualTo(1);
    Labeled now = robot.lookup("#step-now .step-title").queryAs(Labeled.class);
    assertThat(now.getText()).startsWith("2  ④ sounds like ⑤ at fret 5");
    click(robot, "#hear-against");
    until(() -> window.workspace().models().sound().isHeard());
    robot.interact(() -> window.workspace().models().sound().stop());
    until(() -> !window.workspace().models().sound().isHeard());
    robot.type(KeyCode.DIGIT6);
    until(() -> window.workspace().models().sound().isHeard());
  }

  @Test
  void otherStringsPullOtherwise(FxRobot robot) {
    String steel = text(robot, "#pull-sum");
    robot.interact(
        () -> window.workspace().models().bench().stringsProperty().set(StringSet.NYLON_NORMAL));
    List<StringPull> pulls = window.workspace().models().bench().sheetProperty().get().pulls();
    double sum = pulls.stream().mapToDouble(StringPull::newtons).sum();
    assertThat(text(robot, "#pull-sum"))
        .isNotEqualTo(steel)
        .startsWith("All six pull " + Math.round(sum) + " N");
  }

  private AdviceViewModel.State advice() {
    return window.workspace().models().advice().stateProperty().get();
  }

  @Test
  void waysAreFoundLookedAtUsedAndTakenBack(FxRobot robot) throws TimeoutException {
    Song before = window.workspace().song();
    robot.type(KeyCode.F);
    until(() -> !advice().running() && advice().done() == advice().all() && advice().all() > 0);
    assertThat(advice().all()).isEqualTo(10);
    assertThat(advice().best()).isSortedAccordingTo(Ranked.EASIEST_FIRST).hasSize(10);
    // The song is easiest as it is; the next way changes something.
    Advised first = advice().best().get(1);
    assertThat(first.sameSound()).isTrue();
    click(robot, "#way-2");
    until(() -> window.workspace().models().advice().previewProperty().get().isPresent());
    assertThat(robot.lookup("#chosen-way .chord-name").queryAll()).isNotEmpty();
    assertThat(window.workspace().song()).isEqualTo(before);
    click(robot, "#preview-way");
    assertThat(shows(robot, "#strip-preview")).isTrue();
    assertThat(shows(robot, "#string-table")).isFalse();
    robot.type(KeyCode.P);
    assertThat(shows(robot, "#string-table")).isTrue();
    click(robot, "#use-way");
    window.untilPlanned();
    assertThat(window.workspace().song()).isEqualTo(first.way().of(before));
    assertThat(window.arrangement().plan().cost() / window.arrangement().timeline().bars().size())
        .isCloseTo(first.costPerBar(), within(1e-9));
    assertThat(advice().best()).isEmpty();
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(window.workspace().song()).isEqualTo(before);
  }

  @Test
  void aSearchIsCalledOffAtOnceAndLeavesNoThread(FxRobot robot) throws TimeoutException {
    click(robot, "#any-key");
    click(robot, "#usual-tunings");
    click(robot, "#find-ways");
    until(() -> advice().done() > 0);
    assertThat(text(robot, "#find-ways")).isEqualTo("Cancel F");
    click(robot, "#find-ways");
    assertThat(advice().running()).isFalse();
    assertThat(advice().done()).isLessThan(advice().all());
    assertThat(text(robot, "#find-ways")).isEqualTo("Find ways F");
    until(
        () ->
            Thread.getAllStackTraces().keySet().stream()
                .noneMatch(t -> t.getName().equals("advice")));
    assertThat(advice().best()).isNotEmpty();
  }

  @Test
  void pinsThatNoLongerHoldAreListed(FxRobot robot) throws TimeoutException {
    var slot = window.arrangement().slots().get(0);
    robot.interact(() -> window.workspace().edit(s -> s.pin(slot.played().ref(), slot.held())));
    window.untilPlanned();
    click(robot, "#tuning-whole-down");
    click(robot, "#use-tuning");
    window.untilPlanned();
    assertThat(window.workspace().song().pins().shapes()).isEmpty();
    assertThat(text(robot, "#problems"))
        .contains("no longer hold")
        .contains("bar 1, G: " + slot.held().fretText());
    press(robot, KeyCode.CONTROL, KeyCode.Z);
    assertThat(window.workspace().song().pins().shapes()).hasSize(1);
  }

  @Test
  void theHandIsMeasuredWeighedAndKeptForEverySong(FxRobot robot) throws TimeoutException {
    click(robot, "#part-hand");
    click(robot, "#measure-hand");
    Spinner<?> spread = robot.lookup("#measure-spread").query();
    robot.interact(
        () -> {
          spread.getEditor().setText("much");
          spread.commitValue();
          spread.getEditor().setText("112");
          spread.commitValue();
        });
    HandViewModel hands = window.workspace().models().hands();
    until(() -> hands.changeProperty().get().isPresent());
    assertThat(text(robot, "#hand-change")).contains("90 mm at most").contains("In this song");
    assertThat(window.workspace().song().hand()).isEqualTo(Hand.MEDIUM);
    click(robot, "#accept-hand");
    window.untilPlanned();
    Hand mine = window.workspace().song().hand();
    assertThat(mine.spread()).isEqualTo(112);
    assertThat(hands.playersProperty().get()).isEqualTo(mine);
    Song other = Song.untitled().withTitle("Other");
    robot.interact(() -> window.workspace().open(other, List.of()));
    assertThat(window.workspace().song().hand()).isEqualTo(mine);
    Song own = other.withHand(Hand.LARGE).withOwnHand(true);
    robot.interact(() -> window.workspace().open(own, List.of()));
    assertThat(window.workspace().song().hand()).isEqualTo(Hand.LARGE);
    assertThat(hands.playersProperty().get()).isEqualTo(mine);
  }

  @Test
  void theBuildOfTheGuitarIsEditedHere(FxRobot robot) {
    robot.interact(() -> window.workspace().edit(s -> s.withGuitar(s.guitar().withCapo(2))));
    click(robot, "#part-build");
    click(robot, "#capo-string-6");
    click(robot, "#capo-string-1");
    assertThat(window.workspace().song().guitar().capoStrings())
        .containsExactlyInAnyOrder(1, 2, 3, 4);
    assertThat(text(robot, "#capo")).isEqualTo("Capo 2 on ⑤④③②");
    robot.interact(() -> robot.lookup("#scale").queryAs(TextField.class).clear());
    click(robot, "#scale").write("612,5", 0).type(KeyCode.ENTER);
    assertThat(window.workspace().song().guitar().scaleLength()).isEqualTo(612.5);
    assertThat(text(robot, "#pull-sum")).contains("on a scale of 613 mm");
  }

  @Test
  void anotherPitchTunesTableAndSound(FxRobot robot) {
    assertThat(says(robot, "#string-table", "110.00")).isTrue();
    robot.interact(() -> window.workspace().models().bench().a4().set(432));
    assertThat(says(robot, "#string-table", "108.00")).isTrue();
    assertThat(window.workspace().models().sound().settings().a4Property().get()).isEqualTo(432);
  }

  @Test
  void aHarmonicIsHeardAndShownWhereverItIs(FxRobot robot) throws TimeoutException {
    HarmonicNode octave =
        HarmonicNode.all(window.workspace().song().guitar()).stream()
            .filter(n -> n.string() == 5 && n.harmonic() == 2)
            .findFirst()
            .orElseThrow();
    robot.interact(() -> window.workspace().models().bench().touch(octave));
    until(() -> window.workspace().models().sound().isHeard());
    // Capo 2: F sharp, which the fifth string has as its sixth partial near the capo.
    assertThat(text(robot, "#harmonic-words"))
        .startsWith("The harmonic F♯5")
        .contains("① over 12")
        .contains("⑤ over 3.2")
        .doesNotContain("over 31");
    click(robot, "#tuning-open-g");
    assertThat(text(robot, "#harmonic-words")).startsWith("Diamonds");
  }
}
