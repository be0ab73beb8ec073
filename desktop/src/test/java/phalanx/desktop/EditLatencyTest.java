package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.desktop.OpenWindow.press;
import static phalanx.desktop.OpenWindow.until;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeoutException;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import phalanx.desktop.model.LoopBars;
import phalanx.desktop.model.PlaybackController;
import phalanx.song.Song;

/**
 * Pins shapes of the demo song by key and sees each in the strip; the time from the key to the
 * redrawn strip is written to {@code target/edit-latency.txt}, not asserted.
 */
@ExtendWith(ApplicationExtension.class)
class EditLatencyTest {

  private static final Path REPORT = Path.of("target", "edit-latency.txt");

  /** With {@code -Dphalanx.latency.rounds=6} figures worth keeping; the build only sees it work. */
  private static final int ROUNDS = Integer.getInteger("phalanx.latency.rounds", 0);

  private static final int WARM_UP = ROUNDS == 0 ? 0 : 20;

  /** Edits each round, still and playing. */
  private static final int EDITS = ROUNDS == 0 ? 2 : 10;

  private final OpenWindow window = new OpenWindow();
  private volatile long pressed;
  private volatile long drawn;

  @Start
  void start(Stage stage) {
    Path demo = Path.of("..", "demo", "harbour-lamp.phalanx.json");
    window.show(stage, Optional.of(demo), Demo.folder());
    Scene scene = stage.getScene();
    scene.addEventFilter(KeyEvent.KEY_PRESSED, e -> pressed = System.nanoTime());
    // The strip has drawn itself when the listeners after it hear of a plan.
    window
        .workspace()
        .arrangementProperty()
        .addListener(
            o -> {
              Runnable[] laidOut = new Runnable[1];
              laidOut[0] =
                  () -> {
                    drawn = System.nanoTime();
                    scene.removePostLayoutPulseListener(laidOut[0]);
                  };
              scene.addPostLayoutPulseListener(laidOut[0]);
            });
  }

  @Stop
  void stop() {
    window.app().stop();
  }

  /** Still and playing by turns, so that both find the same machine and the same warm code. */
  @Test
  void everyEditIsSeenInTheStripAlsoWhileItPlays(FxRobot robot)
      throws TimeoutException, IOException {
    until(() -> window.arrangement() != null && !window.arrangement().slots().isEmpty());
    PlaybackController sound = window.workspace().models().sound();
    press(robot, KeyCode.CONTROL, KeyCode.DIGIT5);
    // No click on the node: the line may be running there, see OpenWindow.bounds.
    robot.interact(() -> robot.lookup("#strip").query().requestFocus());
    robot.interact(() -> sound.loop().property().set(Optional.of(new LoopBars(1, 36))));
    List<Double> still = new ArrayList<>();
    List<Double> playing = new ArrayList<>();
    edit(robot, WARM_UP);
    for (int round = 0; round < Math.max(1, ROUNDS); round++) {
      still.addAll(edit(robot, EDITS));
      robot.interact(sound::toggle);
      until(() -> sound.playingProperty().get() && sound.placeProperty().get().isPresent());
      playing.addAll(edit(robot, EDITS));
      assertThat(sound.playingProperty().get()).isTrue();
      robot.interact(sound::toggle);
    }
    report("", still);
    report(", playing", playing);
  }

  private List<Double> edit(FxRobot robot, int edits) throws TimeoutException {
    press(robot, KeyCode.HOME);
    List<Double> millis = new ArrayList<>();
    for (int edit = 0; edit < edits; edit++) {
      press(robot, KeyCode.RIGHT);
      until(() -> robot.lookup("#card-2").tryQuery().isPresent());
      Song before = window.workspace().song();
      long last = drawn;
      press(robot, KeyCode.DIGIT2);
      if (window.workspace().song().equals(before)) {
        // It was pinned already, where the same bar was played before.
        press(robot, KeyCode.DIGIT1);
      }
      Song edited = window.workspace().song();
      assertThat(edited).isNotEqualTo(before);
      until(() -> drawn > last);
      assertThat(window.arrangement().song()).isEqualTo(edited);
      millis.add((drawn - pressed) / 1e6);
    }
    return millis;
  }

  private static void report(String how, List<Double> millis) throws IOException {
    millis.sort(Double::compare);
    String figures =
        "key to redrawn strip, %d edits of the demo song%s: median %.0f ms, 9 in 10 %.0f, longest %.0f%n"
            .formatted(
                millis.size(),
                how,
                millis.get(millis.size() / 2),
                millis.get(millis.size() * 9 / 10),
                millis.get(millis.size() - 1));
    Files.writeString(REPORT, figures, StandardOpenOption.CREATE, StandardOpenOption.APPEND);
    System.out.print(figures);
  }
}
