package phalanx.sound.sequence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import phalanx.instrument.Guitar;
import phalanx.picking.Force;
import phalanx.picking.HitKind;
import phalanx.sound.Layer;
import phalanx.sound.strings.Instrument;
import phalanx.sound.strings.Levels;
import phalanx.sound.strings.Plucker;
import phalanx.testing.Draws;

/** Whatever is asked of it in whatever order, time goes on, and a coming score is taken over. */
class SequencerLawsTest {

  /** Few samples a second, so that many orders can be tried; the arithmetic is the same. */
  private static final double RATE = 2_000;

  private static final int BLOCK = 64;

  /** Bars of odd lengths, with what is struck at odd times. */
  private static EventSequence score(Draws draws) {
    List<Double> lines = new ArrayList<>(List.of(0.0));
    List<Event> events = new ArrayList<>();
    int bars = 1 + draws.nextInt(5);
    for (int b = 0; b < bars; b++) {
      double from = lines.get(b);
      double length = 0.2 + draws.nextInt(1_500) / 997.0;
      for (int e = draws.nextInt(4); e > 0; e--) {
        double at = from + length * draws.nextInt(1_000) / 1_000;
        events.add(
            draws.nextBoolean()
                ? new Event.Hit(at, HitKind.NAIL_TAP, Force.PLAIN)
                : new Event.Pluck(
                    at,
                    draws.nextInt(6),
                    40 + draws.nextInt(30),
                    Plucker.NAIL,
                    Force.PLAIN,
                    Layer.TUNE));
      }
      lines.add(from + length);
    }
    events.sort(java.util.Comparator.comparingDouble(Event::at));
    return new EventSequence(Guitar.STEEL, events, lines);
  }

  @Property(tries = 1500)
  void timeAlwaysGoesOn(@ForAll Draws draws) {
    EventSequence score = score(draws);
    Sequencer sequencer =
        new Sequencer(score, new Instrument(Guitar.STEEL, RATE, Levels.FILE), Levels.FILE);
    long[] marked = {0};
    sequencer.follow((frame, played, place, speed) -> marked[0] = Math.max(marked[0], frame));
    float[] out = new float[2 * BLOCK];
    boolean looped = false;
    for (int step = 0; step < 40; step++) {
      looped |= act(sequencer, draws);
      double before = sequencer.position();
      EventSequence played = sequencer.score();
      // Rendering always comes back, with all the frames it was asked for.
      sequencer.render(out, BLOCK);
      double passed = sequencer.position() - before;
      double most = BLOCK * sequencer.tempo() / RATE;
      if (sequencer.score() == played && !looped) {
        assertThat(passed).isBetween(0.999 * most, 1.001 * most);
      }
      assertThat(sequencer.position()).isFinite();
    }
  }

  /** An edit is heard after a bar and the count-in at the latest, wherever and however it plays. */
  @Property(tries = 800)
  void whatIsComingIsTakenOver(@ForAll Draws draws) {
    EventSequence first = score(draws);
    EventSequence next = score(draws);
    Sequencer sequencer =
        new Sequencer(first, new Instrument(Guitar.STEEL, RATE, Levels.FILE), Levels.FILE);
    double tempo = 0.3 + draws.nextInt(121) / 100.0;
    sequencer.tempo(tempo);
    double from = first.seconds() * draws.nextInt(1_000) / 1_000;
    CountIn before = CountIn.of(first, first.barAt(from), draws.nextInt(3));
    sequencer.go(from, before);
    sequencer.change(next, Optional.empty());
    double longest = 1.8 + before.seconds();
    float[] out = new float[2 * BLOCK];
    for (double heard = 0; heard < longest / tempo + 0.2; heard += BLOCK / RATE) {
      sequencer.render(out, BLOCK);
    }
    assertThat(sequencer.score()).isSameAs(next);
  }

  /** Does something; says whether there may be a loop since. */
  private static boolean act(Sequencer sequencer, Draws draws) {
    int what = draws.nextInt(8);
    EventSequence now = sequencer.score();
    double somewhere = now.seconds() * draws.nextInt(1_001) / 1_000;
    switch (what) {
      case 0 -> sequencer.go(somewhere, CountIn.NONE);
      case 1 -> sequencer.go(somewhere, CountIn.of(now, now.barAt(somewhere), draws.nextInt(3)));
      case 2 -> sequencer.tempo(draws.nextInt(200) / 100.0);
      case 3 -> {
        double other = now.seconds() * draws.nextInt(1_001) / 1_000;
        sequencer.loop(
            Math.abs(other - somewhere) < 0.01
                ? Optional.empty()
                : Optional.of(
                    new Sequencer.Loop(Math.min(somewhere, other), Math.max(somewhere, other))));
      }
      case 4 -> sequencer.change(score(draws), Optional.empty());
      case 5 -> {
        EventSequence other = score(draws);
        sequencer.change(other, Optional.of(new Sequencer.Loop(0, other.bars().get(1))));
      }
      case 6 -> sequencer.clicks(draws.of(List.of(Sequencer.Clicks.values())));
      default -> {
        // Nothing but time passes.
      }
    }
    return what == 3 || what == 5;
  }
}
