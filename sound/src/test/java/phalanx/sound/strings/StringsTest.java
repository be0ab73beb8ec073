package phalanx.sound.strings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import phalanx.instrument.Guitar;
import phalanx.picking.Force;
import phalanx.picking.HitKind;
import phalanx.sound.Heard;
import phalanx.sound.Layer;
import phalanx.sound.Spectrum;

class StringsTest {

  /** No partial of F2 is one of an open string. */
  private static final int F = 41;

  private static Heard plucked(int midi) {
    return new Heard(Guitar.STEEL)
        .after(i -> i.pluck(0, midi, Plucker.FLESH, Force.PLAIN, Layer.THUMB));
  }

  @Test
  void aStringSoundsOneNoteAtATime() {
    Heard heard = plucked(F);
    heard.seconds(0.5);
    heard.after(i -> i.stop(0, 0.011, Layer.THUMB));
    heard.seconds(0.007);
    heard.after(i -> i.pluck(0, F + 4, Plucker.FLESH, Force.PLAIN, Layer.THUMB));
    heard.seconds(0.5);
    Spectrum spectrum = new Spectrum(heard.seconds(1), Heard.RATE);
    // The third partial, as the body swallows the lowest.
    double old = spectrum.decibels(3 * Instrument.hertz(F));
    double anew = spectrum.decibels(3 * Instrument.hertz(F + 4));
    assertThat(old).isLessThan(anew - 40);
  }

  /** Stated step: at a re-pluck no more than at a pluck out of silence, plus a tenth. */
  @Test
  void pluckingAnewMakesNoClick() {
    double[] first = plucked(F + 3).seconds(0.05);
    double most = Heard.step(first, 0, first.length);
    for (int wait = 100; wait < 900; wait += 37) {
      Heard heard = plucked(F);
      heard.seconds(0.2 + wait / Heard.RATE);
      heard.after(i -> i.stop(0, 0.011, Layer.THUMB));
      double[] landing = heard.seconds(0.007);
      heard.after(i -> i.pluck(0, F + 3, Plucker.FLESH, Force.PLAIN, Layer.THUMB));
      double[] pluck = heard.seconds(0.05);
      double step =
          Math.max(
              Math.abs(pluck[0] - landing[landing.length - 1]),
              Math.max(Heard.step(landing, 0, landing.length), Heard.step(pluck, 0, pluck.length)));
      assertThat(step).isLessThan(most * 1.1);
    }
  }

  @Test
  void aStoppedStringIsSilentSoonAndOneLeftAloneRingsOn() {
    Heard left = plucked(F);
    left.seconds(0.5);
    double ringing = Heard.loudness(left.seconds(0.6), 0.5, 0.6);
    Heard stopped = plucked(F);
    stopped.seconds(0.5);
    stopped.after(i -> i.stop(0, 0.05, Layer.THUMB));
    // What is left are the room and the other strings, which rang along.
    assertThat(Heard.loudness(stopped.seconds(0.6), 0.5, 0.6)).isLessThan(ringing / 12);
  }

  @Test
  void theEndOfAnotherLayersNoteStopsNothing() {
    Heard heard = plucked(F);
    heard.seconds(0.5);
    heard.after(i -> i.stop(0, 0.05, Layer.TUNE));
    assertThat(Heard.loudness(heard.seconds(0.6), 0.5, 0.6)).isGreaterThan(0.001);
  }

  @Test
  void everythingEndsInSilenceWithoutANumberThatIsNone() {
    Heard heard = new Heard(Guitar.NYLON);
    for (int s = 0; s < 6; s++) {
      int string = s;
      heard.after(
          i ->
              i.pluck(
                  string, Guitar.NYLON.midi(string, 19), Plucker.PICK, Force.ACCENTED, Layer.TUNE));
    }
    double[] sound = heard.seconds(14);
    assertThat(Arrays.stream(sound).allMatch(Double::isFinite)).isTrue();
    assertThat(Heard.peak(sound)).isLessThan(Math.pow(10, -1 / 20.0));
    assertThat(Heard.loudness(sound, 13, 14)).isLessThan(1e-6);
  }

  @Test
  void noLoopGrowsAtAnyPitchAGuitarHas() {
    for (Material material : Material.values()) {
      for (int midi = 30; midi <= 96; midi++) {
        double hertz = Instrument.hertz(midi);
        for (double rate : new double[] {44100, 48000}) {
          LoopFilter f =
              LoopFilter.of(
                  hertz,
                  rate,
                  material.decay(hertz, true),
                  Math.max(Material.BRIGHT_HZ, 2 * hertz),
                  material.brightDecay(5, hertz, true));
          assertThat(f.b() / (1 - f.a())).as("midi %d", midi).isLessThan(1);
          assertThat(f.a()).isBetween(0.0, 0.99);
        }
      }
    }
  }

  @Test
  void everyHitIsItsOwn() {
    Map<HitKind, Double> brightness = new EnumMap<>(HitKind.class);
    for (HitKind kind : HitKind.values()) {
      Heard heard = new Heard(Guitar.STEEL).after(i -> i.hit(kind, Force.PLAIN));
      double[] sound = heard.seconds(0.35);
      assertThat(Heard.peak(sound)).as(kind.words()).isBetween(0.05, 0.85);
      brightness.put(kind, new Spectrum(sound, Heard.RATE).centroid());
    }
    // Common practice, no source: palm deep, heel dull, fingertip below nail, click and slap sharp.
    assertThat(brightness.get(HitKind.PALM)).isLessThan(brightness.get(HitKind.FINGERTIP_TAP));
    assertThat(brightness.get(HitKind.HEEL_MUTE)).isLessThan(brightness.get(HitKind.FINGERTIP_TAP));
    assertThat(brightness.get(HitKind.FINGERTIP_TAP))
        .isLessThan(brightness.get(HitKind.THUMB_SLAP));
    assertThat(brightness.get(HitKind.THUMB_SLAP)).isLessThan(brightness.get(HitKind.NAIL_TAP));
    assertThat(brightness.values().stream().mapToLong(b -> Math.round(b / 60)).distinct())
        .hasSize(HitKind.values().length);
  }

  @Test
  void theTuneStandsOutAndWhatIsMutedIsNotHeard() {
    assertThat(20 * Math.log10(Levels.USUAL.gain(Layer.TUNE) / Levels.USUAL.gain(Layer.THUMB)))
        .isEqualTo(Levels.TUNE, org.assertj.core.data.Offset.offset(0.001));
    Levels muted = Levels.USUAL.muting(Layer.THUMB, true);
    assertThat(muted.gain(Layer.THUMB)).isZero();
    Levels solo = Levels.USUAL.soloing(Layer.TUNE, true);
    assertThat(solo.isHeard(Layer.TUNE)).isTrue();
    assertThat(solo.isHeard(Layer.FINGERS)).isFalse();
    assertThat(solo.isHeard(Layer.CLICK)).isTrue();
    assertThat(solo.soloing(Layer.TUNE, false)).isEqualTo(Levels.USUAL);
  }
}
