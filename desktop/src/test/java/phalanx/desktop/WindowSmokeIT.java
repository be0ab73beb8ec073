package phalanx.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Platform;
import javafx.scene.image.WritableImage;
import javafx.scene.robot.Robot;
import javafx.stage.Screen;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;

/** Once in a real window on a real display: start, look, close. */
class WindowSmokeIT {

  /** The strip alone draws in some dozens of shades; a blank window has one or two. */
  private static final int FEWEST_COLOURS = 50;

  private static void onInterfaceThread(Runnable task) throws InterruptedException {
    CountDownLatch done = new CountDownLatch(1);
    AtomicReference<Throwable> fault = new AtomicReference<>();
    Platform.runLater(
        () -> {
          try {
            task.run();
          } catch (RuntimeException | Error e) {
            fault.set(e);
          } finally {
            done.countDown();
          }
        });
    assertThat(done.await(30, TimeUnit.SECONDS)).isTrue();
    assertThat(fault.get()).isNull();
  }

  @Test
  void startsShowsTheDemoAndCloses() throws InterruptedException {
    assertThat(System.getenv("DISPLAY")).as("a display, real or virtual").isNotBlank();
    CountDownLatch started = new CountDownLatch(1);
    Platform.startup(started::countDown);
    assertThat(started.await(30, TimeUnit.SECONDS)).isTrue();
    PhalanxApp app = new PhalanxApp();
    AtomicReference<Stage> window = new AtomicReference<>();
    onInterfaceThread(
        () -> {
          window.set(new Stage());
          app.show(
              window.get(), Optional.of(Demo.FILE), Demo.folder(), new OpenWindow.NobodyChooses());
        });
    for (int wait = 0; wait < 100 && app.workspace().arrangementProperty().get() == null; wait++) {
      Thread.sleep(100);
    }
    AtomicReference<Set<Integer>> colours = new AtomicReference<>(new HashSet<>());
    // A new window takes some frames to reach the screen.
    for (int look = 0; look < 40 && colours.get().size() <= FEWEST_COLOURS; look++) {
      Thread.sleep(250);
      onInterfaceThread(() -> colours.set(coloursOnScreen()));
    }
    onInterfaceThread(
        () -> {
          window.get().close();
          app.stop();
        });
    assertThat(colours.get().size()).isGreaterThan(FEWEST_COLOURS);
    assertThat(window.get().isShowing()).isFalse();
  }

  private static Set<Integer> coloursOnScreen() {
    WritableImage shot = new Robot().getScreenCapture(null, Screen.getPrimary().getBounds());
    Set<Integer> colours = new HashSet<>();
    for (int y = 0; y < shot.getHeight(); y += 2) {
      for (int x = 0; x < shot.getWidth(); x += 2) {
        colours.add(shot.getPixelReader().getArgb(x, y));
      }
    }
    return colours;
  }
}
