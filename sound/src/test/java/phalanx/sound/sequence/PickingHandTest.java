package phalanx.sound.sequence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.PickFinger;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.sound.Heard;
import phalanx.sound.Layer;
import phalanx.sound.Spectrum;
import phalanx.sound.strings.Excitation;
import phalanx.sound.strings.Instrument;
import phalanx.sound.strings.Levels;
import phalanx.sound.strings.Plucker;

/** Each finger of the picking hand plucks with what the player chose for it. */
class PickingHandTest {

  private static final Performance SONG =
      of(TestSongs.of("C | G").withPattern(AlternatingThumb.FINGERS_BETWEEN).withTempo(60));

  private static Performance of(Song song) {
    return Performance.of(new Arranger().arrange(song));
  }

  private static EventSequence score(Performance song, PickingHand hand) {
    return EventSequence.of(song, Interpretation.EXACT.with(h -> hand));
  }

  private static List<Event.Pluck> plucks(EventSequence score) {
    return score.events().stream()
        .filter(Event.Pluck.class::isInstance)
        .map(Event.Pluck.class::cast)
        .toList();
  }

  private static Optional<PickFinger> finger(Performance song, Event.Pluck pluck) {
    return song.notes().stream()
        .filter(n -> n.onset() == pluck.at() && n.note().string() == pluck.string())
        .findFirst()
        .flatMap(n -> n.note().pick());
  }

  @ParameterizedTest
  @EnumSource(names = {"P", "I", "M"})
  void onlyTheFingerChosenPlucksOtherwise(PickFinger chosen) {
    PickingHand hand = PickingHand.USUAL.with(List.of(chosen), Plucker.PICK);
    List<Event.Pluck> plucks = plucks(score(SONG, hand));
    assertThat(plucks).anyMatch(p -> p.stroke().plucker() == Plucker.PICK);
    for (Event.Pluck pluck : plucks) {
      boolean picked = pluck.stroke().plucker() == Plucker.PICK;
      assertThat(picked).isEqualTo(finger(SONG, pluck).equals(Optional.of(chosen)));
    }
  }

  /** A pick is brighter than flesh (common practice, no source): heard on the samples of i. */
  @Test
  void theFingersOwnStrokeIsHeard() {
    assertThat(brightness(PickFinger.I, Plucker.PICK))
        .isGreaterThan(1.15 * brightness(PickFinger.I, Plucker.FLESH));
  }

  private static double brightness(PickFinger finger, Plucker plucker) {
    PickingHand hand = PickingHand.USUAL.with(List.of(finger), plucker);
    EventSequence score = score(SONG, hand);
    Sequencer sequencer =
        new Sequencer(score, new Instrument(score.guitar(), Heard.RATE, Levels.FILE), Levels.FILE);
    sequencer.go(0, CountIn.NONE);
    int frames = (int) (score.seconds() * Heard.RATE);
    float[] out = new float[2 * frames];
    sequencer.render(out, frames);
    double at =
        plucks(score).stream()
            .filter(p -> finger(SONG, p).equals(Optional.of(finger)))
            .findFirst()
            .orElseThrow()
            .at();
    double[] after = new double[8192];
    for (int n = 0; n < after.length; n++) {
      after[n] = out[2 * (n + (int) (at * Heard.RATE))];
    }
    return new Spectrum(after, Heard.RATE).centroid();
  }

  @Test
  void theThumbComesToRestWhereTheNextStringIsFree() {
    PickingHand hand = PickingHand.USUAL.resting(List.of(PickFinger.P), true);
    Performance song =
        of(TestSongs.of("G | C").withPattern(AlternatingThumb.PINCH_AND_BETWEEN).withTempo(60));
    int rested = 0;
    for (Event.Pluck pluck : plucks(score(song, hand))) {
      boolean thumb = finger(song, pluck).equals(Optional.of(PickFinger.P));
      boolean free =
          song.notes().stream()
              .map(Sounded::note)
              .noneMatch(
                  n -> onset(song, n.tick()) == pluck.at() && n.string() == pluck.string() + 1);
      boolean rests = pluck.stroke().contact() == Excitation.Contact.RESTED;
      assertThat(rests).isEqualTo(thumb && free);
      rested += rests ? 1 : 0;
    }
    assertThat(rested).isPositive();
  }

  private static double onset(Performance song, int tick) {
    return song.clock().seconds(tick, 0);
  }

  /** Fingers follow through in the tune; what they pluck of the chord rings on. */
  @Test
  void aFingerComesToRestInTheTuneOnly() {
    Song tune =
        TestSongs.singing(TestSongs.of("C | G"), "e5 d c e", "d . g .")
            .withPattern(AlternatingThumb.FINGERS_BETWEEN);
    Performance song = of(tune);
    List<Event.Pluck> plucks =
        plucks(score(song, PickingHand.USUAL.resting(PickingHand.FINGERS, true)));
    assertThat(plucks).anyMatch(p -> p.stroke().contact() == Excitation.Contact.RESTED);
    assertThat(plucks)
        .filteredOn(p -> p.stroke().contact() == Excitation.Contact.RESTED)
        .allMatch(p -> p.layer() == Layer.TUNE);
  }
}
