package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.click;
import static phalanx.desktop.OpenWindow.press;
import static phalanx.desktop.OpenWindow.text;
import static phalanx.desktop.OpenWindow.until;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeoutException;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import phalanx.instrument.StringPull;
import phalanx.instrument.StringSet;
import phalanx.instrument.Tuning;
import phalanx.instrument.UsualTuning;

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
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT6);
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
    assertThat(says(robot, "#by-ear", "⑤ sounds an octave below ③")).isTrue();
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
    assertThat(window.workspace().bench().tuningProperty().get())
        .isEqualTo(UsualTuning.OPEN_G.tuning());
    assertThat(window.workspace().bench().sheetProperty().get().guitar().capo()).isEqualTo(4);
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
    assertThat(window.workspace().bench().tuningProperty().get())
        .isEqualTo(Tuning.parse("C G D G B E").orElseThrow());
  }

  @Test
  void stringsAreTunedOneAfterTheOtherAndHeard(FxRobot robot) throws TimeoutException {
    click(robot, "#tuning-drop-d");
    robot.interact(() -> robot.lookup("#string-table").query().getParent().requestFocus());
    assertThat(window.workspace().bench().stepProperty().get()).isZero();
    click(robot, "#next-string");
    assertThat(window.workspace().bench().stepProperty().get()).isEqualTo(1);
    Labeled now = robot.lookup("#step-now .step-title").queryAs(Labeled.class);
    assertThat(now.getText()).startsWith("2  ④ sounds like ⑤ at fret 5");
    click(robot, "#hear-against");
    until(() -> window.workspace().sound().isHeard());
    robot.interact(() -> window.workspace().sound().stop());
    until(() -> !window.workspace().sound().isHeard());
    robot.type(KeyCode.DIGIT6);
    until(() -> window.workspace().sound().isHeard());
  }

  @Test
  void otherStringsPullOtherwise(FxRobot robot) {
    String steel = text(robot, "#pull-sum");
    robot.interact(() -> window.workspace().bench().stringsProperty().set(StringSet.NYLON_NORMAL));
    List<StringPull> pulls = window.workspace().bench().sheetProperty().get().pulls();
    double sum = pulls.stream().mapToDouble(StringPull::newtons).sum();
    assertThat(text(robot, "#pull-sum"))
        .isNotEqualTo(steel)
        .startsWith("All six pull " + Math.round(sum) + " N");
  }
}
