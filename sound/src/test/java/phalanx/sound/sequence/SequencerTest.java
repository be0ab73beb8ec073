package phalanx.sound.sequence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.instrument.Guitar;
import phalanx.picking.Force;
import phalanx.picking.HitKind;
import phalanx.sound.Heard;
import phalanx.sound.Layer;
import phalanx.sound.strings.Beat;
import phalanx.sound.strings.Instrument;
import phalanx.sound.strings.Levels;
import phalanx.sound.strings.Plucker;

/** Onsets are looked for in the sound itself: where silence ends. */
class SequencerTest {

  private static final double RATE = Heard.RATE;

  /** Nail taps are over within a tenth of a second, so that silence lies between them. */
  private static EventSequence taps(double seconds, double... times) {
    List<Event> events = new ArrayList<>();
    for (double at : times) {
      events.add(new Event.Hit(at, HitKind.NAIL_TAP, Force.PLAIN));
    }
    return EventSequence.of(Guitar.STEEL, events, seconds);
  }

  private static Sequencer sequencer(EventSequence score) {
    return new Sequencer(score, new Instrument(Guitar.STEEL, RATE, Levels.FILE), Levels.FILE);
  }

  /** When something louder than what there was before sets in, s. */
  private static List<Double> onsets(Sequencer sequencer, double seconds) {
    List<Double> onsets = new ArrayList<>();
    int block = 441;
    float[] out = new float[2 * block];
    double last = -1;
    for (int b = 0; b * block < seconds * RATE; b++) {
      sequencer.render(out, block);
      for (int n = 0; n < block; n++) {
        double at = (b * block + n) / RATE;
        if (Math.abs(out[2 * n]) > 0.02 && at - last > 0.2) {
          onsets.add(at);
        }
        last = Math.abs(out[2 * n]) > 0.02 ? at : last;
      }
    }
    return onsets;
  }

  private static void assertAt(List<Double> onsets, double... times) {
    assertThat(onsets).hasSize(times.length);
    for (int i = 0; i < times.length; i++) {
      assertThat(onsets.get(i)).isBetween(times[i], times[i] + 0.001);
    }
  }

  @Test
  void everyEventSoundsAtItsTime() {
    assertAt(onsets(sequencer(taps(3, 0, 0.5, 1.25, 2.7)), 3), 0, 0.5, 1.25, 2.7);
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.3, 0.5, 1.5})
  void theTempoMovesTimesAndNothingElse(double tempo) {
    Sequencer sequencer = sequencer(taps(3, 0.6, 1.2));
    sequencer.tempo(tempo);
    assertAt(onsets(sequencer, 3 / tempo), 0.6 / tempo, 1.2 / tempo);
  }

  @Test
  void tempoStaysWithinItsBounds() {
    Sequencer sequencer = sequencer(taps(1));
    sequencer.tempo(0.01);
    assertThat(sequencer.tempo()).isEqualTo(0.3);
    sequencer.tempo(9);
    assertThat(sequencer.tempo()).isEqualTo(1.5);
  }

  @Test
  void aLoopGoesRoundWithoutAGap() {
    Sequencer sequencer = sequencer(taps(4, 0.5, 1.0, 3.0));
    sequencer.loop(Optional.of(new Sequencer.Loop(0.4, 1.4)));
    assertAt(onsets(sequencer, 3.3), 0.5, 1.0, 1.5, 2.0, 2.5, 3.0);
    sequencer.loop(Optional.empty());
    onsets(sequencer, 3);
    assertThat(sequencer.isOver()).isTrue();
  }

  @Test
  void aLoopThatWasPassedIsGoneBackToFromTheEnd() {
    Sequencer sequencer = sequencer(taps(4, 0.5, 3.0));
    sequencer.loop(Optional.of(new Sequencer.Loop(0.4, 1.4)));
    sequencer.go(2.9, CountIn.NONE);
    assertAt(onsets(sequencer, 2.4), 0.1, 1.2, 2.2);
  }

  @Test
  void goingSomewhereSkipsWhatLiesBefore() {
    Sequencer sequencer = sequencer(taps(3, 0.5, 1.0, 2.0));
    sequencer.go(0.9, CountIn.NONE);
    assertAt(onsets(sequencer, 2), 0.1, 1.1);
  }

  @Test
  void countingInClicksTheBeatsBefore() {
    List<Event> beats = new ArrayList<>();
    for (int b = 0; b < 4; b++) {
      beats.add(new Event.Click(b * 0.5, b == 0 ? Beat.FIRST : Beat.BEAT));
      beats.add(new Event.Click(b * 0.5 + 0.25, Beat.BETWEEN));
    }
    beats.add(new Event.Hit(0, HitKind.NAIL_TAP, Force.PLAIN));
    EventSequence score = EventSequence.of(Guitar.STEEL, beats, 2);
    CountIn before = CountIn.of(score, 0, 1);
    assertThat(before.clicks()).hasSize(4);
    Sequencer sequencer = sequencer(score);
    sequencer.go(0, before);
    assertThat(sequencer.position()).isEqualTo(-2);
    assertAt(onsets(sequencer, 3), 0, 0.5, 1, 1.5, 2);
  }

  @Test
  void theMetronomeClicksBeatsOrWhatLiesBetweenToo() {
    List<Event> beats = new ArrayList<>();
    for (int b = 0; b < 3; b++) {
      beats.add(new Event.Click(b, b == 0 ? Beat.FIRST : Beat.BEAT));
      beats.add(new Event.Click(b + 0.5, Beat.BETWEEN));
    }
    Sequencer silent = sequencer(EventSequence.of(Guitar.STEEL, beats, 3));
    assertThat(onsets(silent, 3)).isEmpty();
    Sequencer onBeats = sequencer(EventSequence.of(Guitar.STEEL, beats, 3));
    onBeats.clicks(Sequencer.Clicks.BEATS);
    assertThat(onsets(onBeats, 3)).hasSize(3);
    Sequencer between = sequencer(EventSequence.of(Guitar.STEEL, beats, 3));
    between.clicks(Sequencer.Clicks.BETWEEN);
    assertThat(onsets(between, 3)).hasSize(6);
  }

  /** Two bars of a second: an edit in the first is heard from the second on. */
  @Test
  void anEditIsHeardFromTheNextBarOn() {
    EventSequence before = bars(taps(2, 0.1, 0.6, 1.1, 1.6));
    EventSequence after = bars(taps(2, 0.3, 0.8, 1.3, 1.8));
    Sequencer sequencer = sequencer(before);
    assertAt(onsets(sequencer, 0.4), 0.1);
    sequencer.change(after, Optional.empty());
    // 0.6 still by the old score; then bar two by the new.
    assertAt(onsets(sequencer, 1.6), 0.2, 0.9, 1.4);
    assertThat(sequencer.score()).isSameAs(after);
  }

  /** Nylon rings shorter: a second after its pluck the same note is far softer. */
  @Test
  void anotherGuitarIsHeardFromTheNextBarOnToo() {
    Event.Pluck first = new Event.Pluck(1, 5, 76, Plucker.NAIL, Force.PLAIN, Layer.TUNE);
    List<Double> lines = List.of(0.0, 1.0, 3.0);
    Sequencer steel = sequencer(new EventSequence(Guitar.STEEL, List.of(first), lines));
    Sequencer nylon = sequencer(new EventSequence(Guitar.STEEL, List.of(first), lines));
    nylon.change(new EventSequence(Guitar.NYLON, List.of(first), lines), Optional.empty());
    assertThat(late(nylon)).isLessThan(late(steel) / 3);
  }

  private static double late(Sequencer sequencer) {
    float[] out = new float[2 * 88200];
    sequencer.render(out, 88200);
    double most = 0;
    for (int n = 79380; n < 88200; n++) {
      most = Math.max(most, Math.abs(out[2 * n]));
    }
    return most;
  }

  private static EventSequence bars(EventSequence score) {
    return new EventSequence(score.guitar(), score.events(), List.of(0.0, 1.0, 2.0));
  }

  @Test
  void anEditThatTakesBarsAwayEndsTheSong() {
    Sequencer sequencer = sequencer(bars(taps(2, 0.1, 1.1)));
    onsets(sequencer, 0.5);
    sequencer.change(EventSequence.of(Guitar.STEEL, List.of(), 1), Optional.empty());
    assertThat(onsets(sequencer, 2)).isEmpty();
    assertThat(sequencer.isOver()).isTrue();
  }

  /** A note plucked before its layer was muted ends at its time, and is no ghost afterwards. */
  @Test
  void whatWasMutedWhileItRangIsGoneWhenItIsHeardAgain() {
    List<Event> events =
        List.of(
            new Event.Pluck(0, 1, 45, Plucker.FLESH, Force.PLAIN, Layer.THUMB),
            new Event.Stop(0.5, 1, 0.05, Layer.THUMB));
    Sequencer sequencer = sequencer(EventSequence.of(Guitar.STEEL, events, 3));
    float[] out = new float[2 * 44100];
    sequencer.render(out, 8820);
    double before = peak(out, 8820);
    sequencer.levels(Levels.FILE.muting(Layer.THUMB, true));
    sequencer.render(out, 30870);
    sequencer.levels(Levels.FILE);
    sequencer.render(out, 44100);
    // Only what rings along with it is left.
    assertThat(peak(out, 44100)).isLessThan(before / 25);
  }

  private static double peak(float[] out, int frames) {
    double most = 0;
    for (int n = 0; n < frames; n++) {
      most = Math.max(most, Math.abs(out[2 * n]));
    }
    return most;
  }
}
