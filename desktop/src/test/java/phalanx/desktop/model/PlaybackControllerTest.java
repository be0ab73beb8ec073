package phalanx.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import phalanx.desktop.Demo;
import phalanx.desktop.background.PlanService;
import phalanx.song.Bar;
import phalanx.song.ChartEdits;

/**
 * What is told of playing against what is heard, without a window; the interface is a queue here.
 */
class PlaybackControllerTest {

  private final LinkedBlockingQueue<Runnable> toInterface = new LinkedBlockingQueue<>();
  private final Workspace workspace =
      new Workspace(new PlanService(Runnable::run, Runnable::run, toInterface::add));
  private final PlaybackController sound = workspace.models().sound();

  private void open() throws InterruptedException {
    workspace.open(Demo.song(), List.of());
    until(
        () -> workspace.performanceProperty().get() != null && !workspace.planningProperty().get());
  }

  /** Does what comes to the interface until something holds. */
  private void until(BooleanSupplier reached) throws InterruptedException {
    for (int n = 0; n < 2000 && !reached.getAsBoolean(); n++) {
      Runnable next = toInterface.poll(10, TimeUnit.MILLISECONDS);
      if (next != null) {
        next.run();
      }
    }
    assertThat(reached.getAsBoolean()).isTrue();
  }

  private void pass(int millis) throws InterruptedException {
    for (long end = System.nanoTime() + millis * 1_000_000L; System.nanoTime() < end; ) {
      Runnable next = toInterface.poll(5, TimeUnit.MILLISECONDS);
      if (next != null) {
        next.run();
      }
    }
  }

  @AfterEach
  void close() {
    sound.close();
  }

  @Test
  void playAndPauseBeforeTheDevicesAreKnownIsPause() throws InterruptedException {
    open();
    sound.toggle();
    sound.toggle();
    pass(600);
    assertThat(sound.playingProperty().get()).isFalse();
    assertThat(sound.isHeard()).isFalse();
    sound.toggle();
    until(sound::isHeard);
    assertThat(sound.playingProperty().get()).isTrue();
    // Where there is no device, that is said beside Play.
    if (sound.devices().there().size() == 1) {
      assertThat(sound.cardWordsProperty().get()).startsWith("silent");
    }
  }

  /** What asks for the devices meanwhile does not make the first who asked wait for ever. */
  @Test
  void lookingForDevicesAgainDoesNotLoseThePlay() throws InterruptedException {
    open();
    sound.toggle();
    sound.devices().look();
    until(sound::isHeard);
  }

  @Test
  void itGoesOnWhereItPausedAlsoAtAnotherTempo() throws InterruptedException {
    open();
    sound.toggle();
    until(
        () -> {
          sound.look();
          return sound.placeProperty().get().filter(p -> p.tick() > 8_000).isPresent();
        });
    int paused = sound.placeProperty().get().orElseThrow().tick();
    sound.toggle();
    workspace.edit(s -> s.withTempo(s.tempo() / 2));
    until(() -> !workspace.planningProperty().get());
    sound.toggle();
    until(sound::isHeard);
    sound.look();
    assertThat(sound.placeProperty().get().orElseThrow().tick())
        .isBetween(paused - 200, paused + 3_000);
  }

  @Test
  void aLoopStaysOnItsBarsWhereOthersComeBeforeThem() throws InterruptedException {
    open();
    sound.loop().property().set(Optional.of(new LoopBars(3, 4)));
    int first = workspace.song().chart().bars().get(0).id();
    workspace.edit(
        s -> s.editChart(c -> ChartEdits.insertBefore(c, first, List.of(Bar.of(1, List.of())))));
    until(
        () ->
            sound.loop().property().get().equals(Optional.of(new LoopBars(4, 5)))
                || !workspace.planningProperty().get());
    int repeats = workspace.arrangementProperty().get().timeline().bars().get(0).number();
    assertThat(repeats).isEqualTo(1);
    int before = workspace.song().chart().bars().get(0).repeatStart() ? 2 : 1;
    assertThat(sound.loop().property().get().orElseThrow().first()).isEqualTo(3 + before);
    workspace.undo();
    until(() -> !workspace.planningProperty().get());
    assertThat(sound.loop().property().get()).contains(new LoopBars(3, 4));
  }

  @Test
  void anEmptiedSongStops() throws InterruptedException {
    open();
    sound.toggle();
    until(sound::isHeard);
    workspace.edit(s -> s.editChart(c -> phalanx.song.Chart.EMPTY));
    until(() -> !sound.playingProperty().get());
    sound.look();
    pass(300);
    assertThat(sound.isHeard()).isFalse();
  }
}
