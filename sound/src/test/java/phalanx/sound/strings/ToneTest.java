package phalanx.sound.strings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import phalanx.instrument.Guitar;
import phalanx.picking.Force;
import phalanx.sound.Heard;
import phalanx.sound.Layer;
import phalanx.sound.Spectrum;

/**
 * How notes ring and how bright they are, against what is published of guitars (N. Fletcher and T.
 * Rossing, The Physics of Musical Instruments, ch. 9, from memory): low open strings of steel ring
 * for seconds, high fretted notes on nylon for a fraction of one; the spectrum falls with the
 * frequency and has no partial where the string is plucked at its node.
 */
class ToneTest {

  private static double[] pluck(Guitar guitar, int string, int fret, Plucker plucker, Force how) {
    int midi = guitar.midi(string, fret);
    return new Heard(guitar)
        .after(i -> i.pluck(string, midi, plucker, how, Layer.THUMB))
        .seconds(2.5);
  }

  /** Time to −60 dB from the fall between two moments early in the note, s. */
  private static double decay(Guitar guitar, int string, int fret) {
    double[] sound = pluck(guitar, string, fret, Plucker.FINGERTIP, Force.PLAIN);
    double early = Heard.loudness(sound, 0.15, 0.25);
    double late = Heard.loudness(sound, 0.45, 0.55);
    return 0.3 * 60 / (20 * Math.log10(early / late));
  }

  @Test
  void lowOpenSteelStringsRingForSecondsAndHighFrettedNylonForAFractionOfOne() {
    assertThat(decay(Guitar.STEEL, 0, 0)).isBetween(7.0, 13.0);
    assertThat(decay(Guitar.STEEL, 1, 0)).isBetween(6.0, 12.0);
    assertThat(decay(Guitar.NYLON, 0, 0)).isBetween(4.0, 8.0);
    assertThat(decay(Guitar.NYLON, 5, 0)).isBetween(1.5, 4.0);
    assertThat(decay(Guitar.NYLON, 5, 12)).isBetween(0.2, 1.8);
    assertThat(decay(Guitar.NYLON, 5, 0)).isLessThan(decay(Guitar.STEEL, 5, 0));
  }

  @ParameterizedTest
  @EnumSource(Material.class)
  void theHigherTheNoteTheShorterItRings(Material material) {
    Guitar guitar = material == Material.STEEL ? Guitar.STEEL : Guitar.NYLON;
    for (int string = 0; string < 6; string++) {
      double before = Double.MAX_VALUE;
      for (int fret = 0; fret <= 18; fret += 3) {
        double hertz = Instrument.hertz(guitar.midi(string, fret));
        double now = material.decay(hertz, fret == 0);
        assertThat(now).isLessThan(before);
        before = now;
      }
      assertThat(decay(guitar, string, 12)).isLessThan(decay(guitar, string, 0));
    }
  }

  private static double brightness(Guitar guitar, Plucker plucker, Force how) {
    double[] sound = pluck(guitar, 3, 2, plucker, how);
    return new Spectrum(Arrays.copyOf(sound, 16384), Heard.RATE).centroid();
  }

  /** Common practice, no source: flesh is darker than a nail, a nail than a pick. */
  @Test
  void whatPlucksAndHowHardIsHeardAsBrightness() {
    double flesh = brightness(Guitar.STEEL, Plucker.FLESH, Force.PLAIN);
    double tip = brightness(Guitar.STEEL, Plucker.FINGERTIP, Force.PLAIN);
    double nail = brightness(Guitar.STEEL, Plucker.NAIL, Force.PLAIN);
    double pick = brightness(Guitar.STEEL, Plucker.PICK, Force.PLAIN);
    assertThat(new double[] {flesh, tip, nail, pick}).isSorted();
    assertThat(brightness(Guitar.STEEL, Plucker.NAIL, Force.SOFT)).isLessThan(nail * 0.97);
    assertThat(brightness(Guitar.STEEL, Plucker.NAIL, Force.ACCENTED)).isGreaterThan(nail * 1.02);
    assertThat(brightness(Guitar.NYLON, Plucker.NAIL, Force.PLAIN)).isLessThan(nail);
  }

  @Test
  void accentsAreLouderAndSoftNotesSofter() {
    double plain = Heard.loudness(pluck(Guitar.STEEL, 2, 0, Plucker.NAIL, Force.PLAIN), 0, 0.5);
    double soft = Heard.loudness(pluck(Guitar.STEEL, 2, 0, Plucker.NAIL, Force.SOFT), 0, 0.5);
    double loud = Heard.loudness(pluck(Guitar.STEEL, 2, 0, Plucker.NAIL, Force.ACCENTED), 0, 0.5);
    assertThat(soft).isBetween(plain * 0.35, plain * 0.7);
    assertThat(loud).isBetween(plain * 1.2, plain * 2);
  }

  /** The partials of a string plucked at a share of its length follow |sin(nπ·share)| / n. */
  @Test
  void partialsAreMissingWhereTheStringIsPluckedAtTheirNode() {
    Guitar guitar = Guitar.STEEL.withTuning(Guitar.STEEL.tuning());
    double hertz = Instrument.hertz(guitar.midi(1, 0));
    double share = 125 / guitar.scaleLength();
    double[] sound = pluck(guitar, 1, 0, Plucker.PICK, Force.PLAIN);
    Spectrum spectrum = new Spectrum(Arrays.copyOf(sound, 32768), Heard.RATE);
    // 645 / 125 is near 5: the fifth partial is weak against its neighbours.
    double four = spectrum.decibels(4 * hertz);
    double five = spectrum.decibels(5 * hertz);
    double six = spectrum.decibels(6 * hertz);
    assertThat(Math.sin(5 * Math.PI * share))
        .isCloseTo(0, org.assertj.core.data.Offset.offset(0.1));
    assertThat(five).isLessThan(four - 8).isLessThan(six - 6);
  }

  /** No buzzer: a buzz keeps its high partials, a string loses them first. */
  @Test
  void highPartialsDieFirst() {
    double[] sound = pluck(Guitar.STEEL, 0, 0, Plucker.NAIL, Force.PLAIN);
    double early = bright(Arrays.copyOfRange(sound, 0, 22050));
    double late = bright(Arrays.copyOfRange(sound, 66150, 88200));
    assertThat(late).isLessThan(early / 4);
  }

  private static double bright(double[] sound) {
    Spectrum spectrum = new Spectrum(sound, Heard.RATE);
    return spectrum.energy(2000, 8000) / spectrum.energy(60, 1000);
  }
}
