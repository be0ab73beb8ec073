package phalanx.sound.strings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.instrument.Guitar;
import phalanx.picking.Force;
import phalanx.sound.Heard;
import phalanx.sound.Layer;
import phalanx.sound.Spectrum;
import phalanx.sound.sequence.Event;
import phalanx.sound.sequence.Sketch;

/**
 * Pitches against equal temperament (ISO 16: A4 is 440 Hz, each semitone the twelfth root of two),
 * measured in the finished sound by the Fourier transform of a general library.
 */
class PitchTest {

  private static final int HIGHEST_FRET = 19;

  @ParameterizedTest
  @EnumSource(Material.class)
  void everyFretOfEveryStringIsWithinThreeCents(Material material) {
    Guitar guitar = material == Material.STEEL ? Guitar.STEEL : Guitar.NYLON;
    List<String> off = new ArrayList<>();
    double worst = 0;
    for (int string = 0; string < 6; string++) {
      for (int fret = 0; fret <= HIGHEST_FRET; fret++) {
        int midi = guitar.midi(string, fret);
        double cents = off(guitar, string, midi);
        worst = Math.max(worst, Math.abs(cents));
        if (Math.abs(cents) > 3) {
          off.add("string " + string + " fret " + fret + ": " + cents + " cents");
        }
      }
    }
    System.out.printf("%s: at most %.2f cents off%n", material, worst);
    assertThat(off).isEmpty();
  }

  private static double off(Guitar guitar, int string, int midi) {
    double want = 440 * Math.pow(2, (midi - 69) / 12.0);
    double[] sound =
        new Heard(guitar)
            .after(i -> i.pluck(string, midi, Plucker.NAIL, Force.PLAIN, Layer.TUNE))
            .seconds(1.2);
    double[] ringing = Arrays.copyOfRange(sound, 2000, 2000 + (int) (Heard.RATE));
    return Spectrum.cents(new Spectrum(ringing, Heard.RATE).peakNear(want), want);
  }

  /** Overtones of an ideal string are whole multiples of its open frequency: physics. */
  @ParameterizedTest
  @ValueSource(ints = {2, 3, 4, 5})
  void aHarmonicSoundsItsMultipleOfTheOpenString(int harmonic) {
    Guitar guitar = Guitar.STEEL;
    Event pluck = Sketch.harmonic(guitar, 1, harmonic).events().get(0);
    double[] sound = new Heard(guitar).after(pluck::apply).seconds(1.2);
    double want = 110.0 * harmonic;
    double heard = new Spectrum(Arrays.copyOfRange(sound, 2000, 46_000), Heard.RATE).peakNear(want);
    assertThat(Spectrum.cents(heard, want)).isBetween(-3.0, 3.0);
  }

  @Test
  void anotherPitchOfA4MovesEveryNote() {
    Heard heard = new Heard(Guitar.STEEL).after(i -> i.tuneTo(415));
    heard.after(i -> i.pluck(1, 45, Plucker.NAIL, Force.PLAIN, Layer.TUNE));
    double[] ringing = Arrays.copyOfRange(heard.seconds(1.2), 2000, 46_000);
    double want = 415 / 4.0;
    assertThat(Spectrum.cents(new Spectrum(ringing, Heard.RATE).peakNear(want), want))
        .isBetween(-3.0, 3.0);
  }

  @Test
  void aSlideEndsWithinFiveCentsOfItsNote() {
    Heard heard =
        new Heard(Guitar.STEEL).after(i -> i.pluck(2, 57, Plucker.NAIL, Force.PLAIN, Layer.TUNE));
    heard.seconds(0.4);
    for (int midi = 58; midi <= 62; midi++) {
      int passed = midi;
      heard.after(i -> i.pass(2, passed));
      heard.seconds(0.03);
    }
    double want = 440 * Math.pow(2, (62 - 69) / 12.0);
    Spectrum after = new Spectrum(heard.seconds(1), Heard.RATE);
    assertThat(Spectrum.cents(after.peakNear(want), want)).isBetween(-5.0, 5.0);
  }

  @Test
  void aHammerOnIsHeardAtItsPitchWithoutANewPluck() {
    Heard heard =
        new Heard(Guitar.STEEL).after(i -> i.pluck(3, 62, Plucker.NAIL, Force.PLAIN, Layer.TUNE));
    double[] before = heard.seconds(0.5);
    heard.after(i -> i.slur(3, 64, false, Layer.TUNE));
    double[] after = heard.seconds(1);
    double want = 440 * Math.pow(2, (64 - 69) / 12.0);
    assertThat(Spectrum.cents(new Spectrum(after, Heard.RATE).peakNear(want), want))
        .isBetween(-3.0, 3.0);
    // Softer than the pluck that came before it, and not silent.
    double pluck = Heard.loudness(before, 0.02, 0.12);
    assertThat(Heard.loudness(after, 0.02, 0.12)).isBetween(0.2 * pluck, 1.1 * pluck);
  }
}
