package phalanx.desktop.arrange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.List;
import java.util.Queue;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import phalanx.desktop.PhalanxApp;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.model.Workspace;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.melody.TuneReader;
import phalanx.song.Bar;
import phalanx.song.Song;
import phalanx.song.Tune;

@ExtendWith(ApplicationExtension.class)
class FindingBarTest {

  private final Queue<Runnable> answers = new ArrayDeque<>();
  private final Workspace workspace =
      new Workspace(new PlanService(Runnable::run, Runnable::run, answers::add));
  private FindingBar bar;

  @Start
  void start(Stage stage) {
    Palette palette = Palette.of(PhalanxApp.class.getResource("theme-light.css"));
    bar = new FindingBar(workspace, palette);
    stage.setScene(new Scene(bar, 900, 200));
    stage.show();
  }

  /** Thirty bars with notes that no hand holds at this pace: long, and never without findings. */
  private static Song longAndHard() {
    StringBuilder chart = new StringBuilder("{sog}\n|");
    for (int bar = 0; bar < 30; bar++) {
      chart.append(bar % 2 == 0 ? " F#m7b5 |" : " Bb13 |");
    }
    Song song = ChordProReader.read(chart.append("\n{eog}\n").toString()).song().withTempo(180);
    Tune tune = song.tune();
    for (Bar bar : song.chart().bars()) {
      tune = tune.with(bar.id(), TuneReader.read("c6 f#4 c6 f#4", song.meter()).tune());
    }
    return song.withTune(tune);
  }

  /** What comes with the plan must not push the strip down while it is looked at. */
  @Test
  void itsLineIsThereFromTheFirstPictureOn(FxRobot robot) {
    assertThat(bar.isVisible()).as("nothing to say of an empty song").isFalse();
    robot.interact(() -> workspace.open(longAndHard(), List.of()));
    robot.interact(() -> answers.remove().run());
    assertThat(workspace.reviewProperty().get()).as("a first picture").isEmpty();
    assertThat(bar.isVisible()).isTrue();
    Label words = robot.from(bar).lookup("#finding-words").query();
    assertThat(words.getText()).startsWith("A first picture");
    assertThat(robot.from(bar).lookup("#finding-next").queryAs(Button.class).isDisabled()).isTrue();
    double high = bar.prefHeight(900);
    robot.interact(
        () -> {
          while (!answers.isEmpty()) {
            answers.remove().run();
          }
        });
    assertThat(workspace.reviewProperty().get()).isPresent();
    assertThat(words.getText()).contains("in this song");
    assertThat(robot.from(bar).lookup("#finding-next").queryAs(Button.class).isDisabled())
        .isFalse();
    assertThat(bar.prefHeight(900)).isEqualTo(high);
  }
}
