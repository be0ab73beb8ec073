package phalanx.sound.play;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;
import phalanx.instrument.Guitar;
import phalanx.picking.Force;
import phalanx.picking.HitKind;
import phalanx.sound.sequence.CountIn;
import phalanx.sound.sequence.Event;
import phalanx.sound.sequence.EventSequence;
import phalanx.sound.sequence.Sequencer.Clicks;
import phalanx.sound.sequence.Sequencer.Loop;
import phalanx.sound.strings.Levels;

/** On the simulated card, whose time passes only where somebody waits for it. */
class PlayerTest {

  /** A tap every half second, bars of two seconds. */
  private static EventSequence score(int bars) {
    List<Event> events = new ArrayList<>();
    List<Double> lines = new ArrayList<>();
    for (int b = 0; b < bars; b++) {
      lines.add(2.0 * b);
      for (int n = 0; n < 4; n++) {
        events.add(new Event.Hit(2 * b + n * 0.5, HitKind.NAIL_TAP, Force.PLAIN));
      }
    }
    lines.add(2.0 * bars);
    return new EventSequence(Guitar.STEEL, events, lines);
  }

  private static final class Told implements Player.Listener {
    final List<Boolean> playing = new CopyOnWriteArrayList<>();
    final List<String> troubles = new CopyOnWriteArrayList<>();
    final List<Throwable> faults = new CopyOnWriteArrayList<>();
    volatile String card = "";

    @Override
    public void playing(boolean now) {
      playing.add(now);
    }

    @Override
    public void card(AudioDevice used) {
      card = used.name();
    }

    @Override
    public void trouble(String words) {
      troubles.add(words);
    }

    @Override
    public void fault(Throwable fault) {
      faults.add(fault);
    }
  }

  private final Told told = new Told();
  private final Steps clock = new Steps();
  private final SimulatedAudioDevice card = new SimulatedAudioDevice(clock);

  /** Waits for another thread; how long is no matter of the test. */
  private static void until(BooleanSupplier condition) throws InterruptedException {
    for (int n = 0; n < 6000 && !condition.getAsBoolean(); n++) {
      Thread.sleep(5);
    }
    assertThat(condition.getAsBoolean()).isTrue();
  }

  private static Start looped(EventSequence score) {
    return new Start(
        score,
        0,
        Optional.of(new Loop(0, score.seconds())),
        CountIn.NONE,
        1,
        Clicks.NOTHING,
        Levels.USUAL,
        Stage.USUAL);
  }

  @Test
  void aSongIsPlayedToItsEndAndTheCardGivenBack() throws Exception {
    Player player = new Player(card, told);
    player.play(() -> Start.plain(score(1), Levels.USUAL));
    until(() -> told.playing.size() == 2);
    assertThat(told.playing).containsExactly(true, false);
    assertThat(told.card).isEqualTo("a simulated card");
    assertThat(card.open()).isZero();
    assertThat(card.underruns()).isZero();
    assertThat(clock.seconds()).isBetween(2.0, 6.0);
    assertThat(told.faults).isEmpty();
  }

  /**
   * Ten minutes under everything a player does: no underrun, and what is shown is what is heard.
   */
  @Test
  void tenMinutesUnderEditsTempiLoopsAndSeeks() throws Exception {
    Player player = new Player(card, told);
    List<Double> late = new CopyOnWriteArrayList<>();
    AtomicLong blocks = new AtomicLong();
    EventSequence[] scores = {score(8), score(8), score(5)};
    long all = 600L * Player.RATE / Player.BLOCK;
    card.tap(
        (samples, frames) -> {
          long b = blocks.incrementAndGet();
          if (b % 217 == 0) {
            player.tempo(0.3 + b % 13 * 0.1);
          }
          if (b % 571 == 0) {
            EventSequence next = scores[(int) (b / 571 % 3)];
            player.change(() -> next, n -> Optional.of(new Loop(0, n.seconds())));
          }
          if (b % 997 == 0) {
            player.loop(Optional.of(new Loop(2, 6)));
          }
          if (b % 401 == 0) {
            player.go(b % 9);
          }
          if (b % 331 == 0) {
            player.levels(Levels.USUAL.withVolume(b % 10 / 10.0));
          }
          if (b % 50 == 0) {
            late.add(player.heard().map(Heard::seconds).orElse(0.0));
          }
        });
    player.play(() -> looped(scores[0]));
    until(() -> blocks.get() > all);
    assertThat(card.underruns()).isZero();
    assertThat(late).hasSizeGreaterThan(900).allMatch(s -> s >= 0 && s <= 16.1);
    player.stop();
    until(() -> card.open() == 0);
    assertThat(told.troubles).isEmpty();
    assertThat(told.faults).isEmpty();
  }

  /**
   * At half the tempo, round two bars: a frame is heard at the place that its number gives, and the
   * taps in what the card was given stand at half seconds of the score.
   */
  @Test
  void theCursorIsWithinTwentyMillisecondsOfWhatIsHeard() throws Exception {
    Player player = new Player(card, told);
    List<Double> off = new CopyOnWriteArrayList<>();
    List<Double> taps = new CopyOnWriteArrayList<>();
    long[] taken = {0};
    double[] last = {-1};
    card.tap(
        (samples, frames) -> {
          for (int n = 0; n < frames; n++) {
            double at = (taken[0] + n) / (double) Player.RATE;
            boolean loud = Math.abs(samples[2 * n]) > 0.01;
            if (loud && at - last[0] > 0.2) {
              taps.add(at);
            }
            last[0] = loud ? at : last[0];
          }
          taken[0] += frames;
          long heard = card.heard();
          double wanted = heard / (double) Player.RATE * 0.5 % 4;
          player
              .heard()
              .ifPresent(
                  h -> {
                    double apart = Math.abs(h.seconds() - wanted);
                    off.add(Math.min(apart, 4 - apart));
                  });
        });
    Start start = looped(score(2));
    player.play(
        () ->
            new Start(
                start.score(),
                0,
                start.loop(),
                CountIn.NONE,
                0.5,
                Clicks.NOTHING,
                Levels.FILE,
                Stage.USUAL));
    until(() -> taken[0] > 30L * Player.RATE);
    player.stop();
    until(() -> card.open() == 0);
    assertThat(taps).hasSizeGreaterThan(28);
    assertThat(taps).allSatisfy(t -> assertThat((t * 0.5 + 0.001) % 0.5).isLessThan(0.003));
    assertThat(off).hasSizeGreaterThan(1000).allMatch(o -> o < 0.02);
  }

  @Test
  void aCardThatCannotBeHadIsSaidAndAnotherTakesOver() throws Exception {
    Player player = new Player(card, told);
    card.fails(SimulatedAudioDevice.Fault.TAKEN, 0);
    player.play(() -> Start.plain(score(1), Levels.USUAL));
    until(() -> !told.troubles.isEmpty());
    assertThat(told.troubles)
        .containsExactly("a simulated card cannot be had: another program may hold it");
    assertThat(player.isPlaying()).isFalse();
    player.use(new SimulatedAudioDevice(clock));
    player.play(() -> Start.plain(score(1), Levels.USUAL));
    until(() -> told.playing.contains(true) && !player.isPlaying());
    assertThat(told.troubles).hasSize(1);
  }

  @Test
  void aCardThatIsPulledOutStopsThePlayingAndNothingElse() throws Exception {
    Player player = new Player(card, told);
    card.fails(SimulatedAudioDevice.Fault.GONE, 20L * Player.BLOCK);
    player.play(() -> looped(score(4)));
    until(() -> !told.troubles.isEmpty());
    assertThat(told.troubles).containsExactly("a simulated card is gone");
    until(() -> card.open() == 0 && told.playing.size() == 2);
    assertThat(told.playing).containsExactly(true, false);
    card.fails(SimulatedAudioDevice.Fault.NONE, 0);
    player.play(() -> Start.plain(score(1), Levels.USUAL));
    until(() -> told.playing.size() == 4);
    assertThat(told.troubles).hasSize(1);
  }

  @Test
  void aCardThatTakesNothingAnyMoreIsGivenUp() throws Exception {
    AtomicLong time = new AtomicLong();
    Player player = new Player(card, told, time::get);
    card.fails(SimulatedAudioDevice.Fault.STUCK, 20L * Player.BLOCK);
    player.play(() -> looped(score(4)));
    until(() -> told.playing.contains(true));
    until(() -> clock.seconds() > 2);
    player.watch();
    assertThat(told.troubles).isEmpty();
    time.set(3_000_000_000L);
    player.watch();
    assertThat(told.troubles).containsExactly("a simulated card takes no sound any more");
    assertThat(told.playing).containsExactly(true, false);
    until(() -> card.open() == 0);
    assertThat(player.heard()).isEmpty();
  }

  @Test
  void startingAnewStopsWhatWasPlayed() throws Exception {
    Player player = new Player(card, told);
    player.play(() -> looped(score(4)));
    until(() -> told.playing.size() == 1);
    player.play(() -> looped(score(2)));
    until(() -> player.heard().filter(h -> h.score().barCount() == 2).isPresent());
    until(() -> card.open() == 1);
    assertThat(player.isPlaying()).isTrue();
    player.close();
    until(() -> card.open() == 0);
  }
}
