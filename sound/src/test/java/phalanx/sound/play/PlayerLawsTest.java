package phalanx.sound.play;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import phalanx.instrument.Guitar;
import phalanx.picking.Force;
import phalanx.picking.HitKind;
import phalanx.sound.sequence.CountIn;
import phalanx.sound.sequence.Event;
import phalanx.sound.sequence.EventSequence;
import phalanx.sound.sequence.Sequencer.Clicks;
import phalanx.sound.sequence.Sequencer.Loop;
import phalanx.sound.strings.Levels;
import phalanx.testing.Draws;

/**
 * Play, pause, seek, loops, tempo, edits, a device that is lost and comes back, in any order: what
 * is told is what sounds, and nothing plays that was stopped.
 */
class PlayerLawsTest {

  private static EventSequence score(int bars) {
    List<Event> events = new ArrayList<>();
    List<Double> lines = new ArrayList<>();
    for (int b = 0; b <= bars; b++) {
      lines.add(0.5 * b);
      events.add(new Event.Hit(0.5 * b, HitKind.NAIL_TAP, Force.PLAIN));
    }
    return new EventSequence(Guitar.STEEL, events.subList(0, bars), lines);
  }

  private static final class Told implements Player.Listener {
    final AtomicReference<Boolean> playing = new AtomicReference<>(false);
    final AtomicReference<Throwable> fault = new AtomicReference<>();

    @Override
    public void playing(boolean now) {
      playing.set(now);
    }

    @Override
    public void card(AudioDevice used) {}

    @Override
    public void trouble(String words) {
      playing.set(false);
    }

    @Override
    public void fault(Throwable thrown) {
      fault.set(thrown);
    }
  }

  @Property(tries = 60)
  void whatIsToldIsWhatSounds(@ForAll Draws draws) throws Exception {
    Told told = new Told();
    SimulatedAudioDevice card = new SimulatedAudioDevice(new Steps());
    AtomicInteger taken = new AtomicInteger();
    card.tap((samples, frames) -> taken.addAndGet(frames));
    Player player = new Player(card, told);
    try {
      for (int step = 0; step < 14; step++) {
        act(player, card, draws);
        Thread.sleep(draws.nextInt(3));
      }
      card.fails(SimulatedAudioDevice.Fault.NONE, 0);
      player.stop();
      settle(player, card);
      // Stopped, it is told so, and nothing more is taken from it.
      until(() -> !told.playing.get());
      int then = taken.get();
      Thread.sleep(15);
      assertThat(taken.get()).isEqualTo(then);
      assertThat(card.open()).isZero();
      assertThat(told.fault.get()).isNull();
      // And it can be played again: time goes on.
      player.play(() -> start(score(40), 0, 0));
      until(() -> player.heard().filter(h -> h.seconds() > 1).isPresent());
      assertThat(told.playing.get()).isTrue();
      assertThat(told.fault.get()).isNull();
    } finally {
      player.close();
    }
  }

  private interface Condition {
    boolean holds();
  }

  private static void until(Condition condition) throws InterruptedException {
    for (int n = 0; n < 4000 && !condition.holds(); n++) {
      Thread.sleep(2);
    }
    assertThat(condition.holds()).isTrue();
  }

  private static void settle(Player player, SimulatedAudioDevice card) throws InterruptedException {
    until(() -> !player.isPlaying() && player.heard().isEmpty());
    until(() -> card.open() == 0);
  }

  private static Start start(EventSequence score, double from, int counted) {
    return new Start(
        score,
        from,
        Optional.empty(),
        CountIn.of(score, score.barAt(from), counted),
        1,
        Clicks.BEATS,
        Levels.USUAL,
        Stage.USUAL);
  }

  private static void act(Player player, SimulatedAudioDevice card, Draws draws) {
    double somewhere = draws.nextInt(200) / 100.0;
    int bars = 2 + draws.nextInt(30);
    switch (draws.nextInt(10)) {
      case 0, 1 -> player.play(() -> start(score(bars), Math.min(somewhere, bars / 2.5), bars % 3));
      case 2 -> player.stop();
      case 3 -> player.go(somewhere);
      case 4 -> player.loop(Optional.of(new Loop(somewhere, somewhere + 0.3)));
      case 5 -> player.loop(Optional.empty());
      case 6 -> player.tempo(0.3 + somewhere / 2);
      case 7 -> player.change(() -> score(bars), s -> Optional.empty());
      case 8 ->
          card.fails(
              draws.of(List.of(SimulatedAudioDevice.Fault.values())),
              draws.nextInt(30) * Player.BLOCK);
      default -> card.fails(SimulatedAudioDevice.Fault.NONE, 0);
    }
  }
}
