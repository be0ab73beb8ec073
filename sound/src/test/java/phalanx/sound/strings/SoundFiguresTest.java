package phalanx.sound.strings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import phalanx.instrument.Guitar;
import phalanx.picking.Force;
import phalanx.picking.HitKind;
import phalanx.sound.Heard;
import phalanx.sound.Layer;
import phalanx.sound.Loudness;
import phalanx.sound.Spectrum;

/**
 * What is measured of the sound, beside what is published of guitars; docs/sound.md has the table.
 * Inharmonicity: J. Rauhala and V. Välimäki 2006, J. Woodhouse 2004. Two stages of decay: G.
 * Weinreich 1977, V. Välimäki and others 1996. The figures are from memory.
 */
class SoundFiguresTest {

  private static final double BLOCK = 0.4;

  private static Guitar guitar(Material material) {
    return material == Material.STEEL ? Guitar.STEEL : Guitar.NYLON;
  }

  private static Excitation usual(int string) {
    return Excitation.of(string < 3 ? Plucker.FLESH : Plucker.NAIL, Force.PLAIN);
  }

  private static double[][] note(Guitar guitar, int string, int fret, double seconds) {
    Instrument instrument = new Instrument(guitar, Heard.RATE, Levels.FILE);
    instrument.pluck(string, guitar.midi(string, fret), usual(string), Layer.FINGERS);
    return sides(instrument, seconds);
  }

  private static double[][] sides(Instrument instrument, double seconds) {
    int frames = (int) (seconds * Heard.RATE);
    float[] out = new float[2 * frames];
    instrument.render(out, 0, frames);
    double[][] sides = new double[2][frames];
    for (int n = 0; n < frames; n++) {
      sides[0][n] = out[2 * n];
      sides[1][n] = out[2 * n + 1];
    }
    return sides;
  }

  private static double[] mean(double[][] sides) {
    double[] mean = new double[sides[0].length];
    for (int n = 0; n < mean.length; n++) {
      mean[n] = (sides[0][n] + sides[1][n]) / 2;
    }
    return mean;
  }

  private static double[] piece(double[] sound, double from, double to) {
    return Arrays.copyOfRange(sound, (int) (from * Heard.RATE), (int) (to * Heard.RATE));
  }

  /** Note to note no more than 2.5 dB, the lowest and the highest fret included. */
  @ParameterizedTest
  @EnumSource(Material.class)
  void notesAreEven(Material material) {
    List<Double> levels = new ArrayList<>();
    for (int string = 0; string < 6; string++) {
      for (int fret = 0; fret < 20; fret++) {
        double[] sound = mean(note(guitar(material), string, fret, BLOCK));
        levels.add(Loudness.of(Loudness.weighted(sound, Heard.RATE), 0, sound.length));
      }
    }
    double mean = levels.stream().mapToDouble(l -> l).average().orElseThrow();
    double spread =
        Math.sqrt(
            levels.stream().mapToDouble(l -> (l - mean) * (l - mean)).average().orElseThrow());
    System.out.printf("%s: level of notes ± %.2f dB%n", material, spread);
    assertThat(spread).isLessThan(2.5);
  }

  /** Not all bass, some presence, and each side its own mixture. */
  @ParameterizedTest
  @EnumSource(Material.class)
  void theSoundIsFullAndWide(Material material) {
    double low = 0;
    double all = 0;
    double presence = 0;
    double begun = 0;
    double correlation = 0;
    int count = 0;
    for (int string = 0; string < 6; string++) {
      for (int fret = 0; fret <= 12; fret += 2) {
        double[][] sides = note(guitar(material), string, fret, 1);
        Spectrum spectrum = new Spectrum(mean(sides), Heard.RATE);
        low += spectrum.energy(80, 250);
        all += spectrum.energy(20, 20000);
        Spectrum attack = new Spectrum(piece(mean(sides), 0, 0.3), Heard.RATE);
        presence += attack.energy(2000, 5000);
        begun += attack.energy(20, 20000);
        correlation += correlation(sides);
        count++;
      }
    }
    System.out.printf(
        "%s: 80–250 Hz %.0f %%, 2–5 kHz %.1f dB, correlation %.2f%n",
        material, 100 * low / all, 10 * Math.log10(presence / begun), correlation / count);
    assertThat(low / all).isLessThan(0.5);
    assertThat(10 * Math.log10(presence / begun)).isGreaterThan(-28);
    assertThat(correlation / count).isBetween(0.3, 0.8);
  }

  private static double correlation(double[][] sides) {
    double both = 0;
    double left = 0;
    double right = 0;
    for (int n = 0; n < sides[0].length; n++) {
      both += sides[0][n] * sides[1][n];
      left += sides[0][n] * sides[0][n];
      right += sides[1][n] * sides[1][n];
    }
    return both / Math.sqrt(left * right);
  }

  /** Partial n of a stiff string lies at n·f·√(1 + B·n²). */
  @ParameterizedTest
  @CsvSource({
    "STEEL, 0, 7e-5, 1.3e-4",
    "STEEL, 4, 2e-5, 6e-5",
    "STEEL, 5, 2e-5, 6e-5",
    "NYLON, 0, 2e-5, 1.5e-4",
    "NYLON, 3, 2e-5, 1.2e-4",
    "NYLON, 5, 2e-5, 1.2e-4"
  })
  void partialsAreStretched(Material material, int string, double least, double most) {
    Guitar guitar = guitar(material);
    Spectrum spectrum =
        new Spectrum(piece(mean(note(guitar, string, 0, 2.5)), 0.05, 2.5), Heard.RATE);
    double hertz = Instrument.hertz(guitar.midi(string, 0));
    // Squares of f(n)/n against n² lie on a line: its slope against its start is B.
    double sx = 0;
    double sy = 0;
    double sxx = 0;
    double sxy = 0;
    int count = 12;
    for (int n = 1; n <= count; n++) {
      double y = Math.pow(spectrum.peakNear(n * hertz * Math.sqrt(1 + 5e-5 * n * n)) / n, 2);
      double x = n * n;
      sx += x;
      sy += y;
      sxx += x * x;
      sxy += x * y;
    }
    double slope = (count * sxy - sx * sy) / (count * sxx - sx * sx);
    double b = slope / ((sy - slope * sx) / count);
    System.out.printf("%s string %d: B = %.1e%n", material, 6 - string, b);
    assertThat(b).isBetween(least, most);
  }

  /** A note falls fast at first and slowly then, its partials each in their own time, and beats. */
  @ParameterizedTest
  @EnumSource(Material.class)
  void partialsDieInStagesAndBeat(Material material) {
    Guitar guitar = guitar(material);
    int bent = 0;
    int partials = 0;
    for (int string = 0; string < 6; string++) {
      double hertz = Instrument.hertz(guitar.midi(string, 0));
      double[] sound = mean(note(guitar, string, 0, 3));
      for (int n = 2; n <= 8; n++) {
        partials++;
        bent += residual(sound, n * hertz) > 0.5 ? 1 : 0;
      }
    }
    System.out.printf("%s: %d of %d partials leave a straight decay%n", material, bent, partials);
    assertThat(bent).isGreaterThan(partials / 2);
  }

  /** How far the level of a partial leaves the straight line that fits it best, dB. */
  private static double residual(double[] sound, double hertz) {
    int steps = 11;
    double[] level = new double[steps];
    for (int k = 0; k < steps; k++) {
      double from = 0.15 + 0.22 * k;
      level[k] = new Spectrum(piece(sound, from, from + 0.2), Heard.RATE).decibels(hertz);
    }
    double mx = (steps - 1) / 2.0;
    double my = Arrays.stream(level).average().orElseThrow();
    double sxy = 0;
    double sxx = 0;
    for (int k = 0; k < steps; k++) {
      sxy += (k - mx) * (level[k] - my);
      sxx += (k - mx) * (k - mx);
    }
    double sum = 0;
    for (int k = 0; k < steps; k++) {
      sum += Math.pow(level[k] - my - sxy / sxx * (k - mx), 2);
    }
    return Math.sqrt(sum / steps);
  }

  /** How long open strings ring: the wound ones of steel and the plain ones of nylon. */
  @ParameterizedTest
  @CsvSource({
    "STEEL, 0, 8, 12", "STEEL, 1, 8, 12", "STEEL, 2, 8, 12",
    "NYLON, 3, 2, 4", "NYLON, 4, 2, 4", "NYLON, 5, 2, 4"
  })
  void openStringsRingTheirTime(Material material, int string, double least, double most) {
    double[] sound = mean(note(guitar(material), string, 0, 4));
    double early = Heard.loudness(sound, 0.3, 0.9);
    double late = Heard.loudness(sound, 2.8, 3.4);
    double seconds = 2.5 * 60 / (20 * Math.log10(early / late));
    System.out.printf("%s string %d: T60 %.1f s%n", material, 6 - string, seconds);
    assertThat(seconds).isBetween(least, most);
  }

  /** Open strings ring along: 25 to 45 dB down 0.7 s after their neighbour is stopped. */
  @ParameterizedTest
  @CsvSource({"STEEL, 0, 5", "STEEL, 3, 2", "STEEL, 4, 3", "NYLON, 0, 5", "NYLON, 3, 2"})
  void openStringsRingAlong(Material material, int string, int fret) {
    Guitar guitar = guitar(material);
    Instrument instrument = new Instrument(guitar, Heard.RATE, Levels.FILE);
    instrument.pluck(string, guitar.midi(string, fret), usual(string), Layer.FINGERS);
    double[] before = mean(sides(instrument, 1));
    instrument.stop(string, 0.05, Layer.FINGERS);
    double[] after = mean(sides(instrument, 1));
    double down =
        20 * Math.log10(Heard.loudness(after, 0.65, 0.8) / Heard.loudness(before, 0.7, 0.98));
    System.out.printf("%s %d/%d: %.1f dB ring along%n", material, 6 - string, fret, down);
    assertThat(down).isBetween(-45.0, -25.0);
  }

  /** However hard all strings are driven, the bridge gives no energy: nothing grows. */
  @Test
  void theBridgeOnlyTakes() {
    for (Material material : Material.values()) {
      Guitar guitar = guitar(material);
      Instrument instrument = new Instrument(guitar, Heard.RATE, Levels.FILE);
      for (int string = 0; string < 6; string++) {
        Excitation hard = Excitation.of(Plucker.PICK, Force.ACCENTED).times(2);
        instrument.pluck(string, guitar.midi(string, 0), hard, Layer.FINGERS);
      }
      double before = Double.MAX_VALUE;
      for (int second = 0; second < 30; second++) {
        double[] sound = mean(sides(instrument, 1));
        double now = Heard.loudness(sound, 0, 1);
        assertThat(now).isLessThanOrEqualTo(before + 1e-12);
        before = now;
      }
      assertThat(before).isLessThan(1e-3);
    }
  }

  private static double[] struck(Excitation.Contact contact) {
    Excitation how = Excitation.of(Plucker.FLESH, Force.PLAIN).touching(contact);
    return new Heard(Guitar.STEEL)
        .after(i -> i.room(0))
        .after(i -> i.pluck(1, 47, how, Layer.THUMB))
        .seconds(1.5);
  }

  /** A heel on the strings takes the high partials first: a loss, not a gate. */
  @Test
  void aMutedStringLosesItsHighPartialsFirst() {
    double hertz = Instrument.hertz(47);
    double[] sound = struck(Excitation.Contact.MUTED);
    Spectrum early = new Spectrum(piece(sound, 0.005, 0.055), Heard.RATE);
    Spectrum late = new Spectrum(piece(sound, 0.055, 0.105), Heard.RATE);
    double low = early.decibels(hertz) - late.decibels(hertz);
    double high = early.decibels(9 * hertz) - late.decibels(9 * hertz);
    System.out.printf("muted: %.0f dB down in 0.05 s, its ninth partial %.0f%n", low, high);
    assertThat(low).isBetween(3.0, 20.0);
    assertThat(high).isGreaterThan(low + 6);
  }

  @Test
  void aSlapAndAPopAreNoPlucks() {
    double plain = bright(struck(Excitation.Contact.FREE));
    double slapped = bright(struck(Excitation.Contact.SLAPPED));
    double popped = bright(struck(Excitation.Contact.POPPED));
    System.out.printf("centroid: %.0f, slapped %.0f, popped %.0f Hz%n", plain, slapped, popped);
    assertThat(slapped).isGreaterThan(1.5 * plain);
    assertThat(popped).isGreaterThan(1.8 * plain);
  }

  private static double bright(double[] sound) {
    return new Spectrum(piece(sound, 0, 0.15), Heard.RATE).centroid();
  }

  /** Harder is brighter, not only louder. */
  @Test
  void aHardStrokeIsBrighter() {
    double[] centroids = new double[4];
    for (int k = 0; k < 4; k++) {
      Excitation how = Excitation.of(Plucker.NAIL, Force.PLAIN).times(0.4 + 0.5 * k);
      double[] sound =
          new Heard(Guitar.STEEL).after(i -> i.pluck(3, 57, how, Layer.FINGERS)).seconds(0.5);
      centroids[k] = new Spectrum(sound, Heard.RATE).centroid();
    }
    System.out.println("soft to hard: " + Arrays.toString(centroids));
    assertThat(centroids).isSorted();
    assertThat(centroids[3]).isGreaterThan(1.1 * centroids[0]);
  }

  /** A rest stroke moves the bridge more, and the string less along it. */
  @Test
  void aRestStrokeIsFuller() {
    double[] free = struck(Excitation.Contact.FREE);
    double[] rested = struck(Excitation.Contact.RESTED);
    double louder = 20 * Math.log10(Heard.loudness(rested, 0, 0.2) / Heard.loudness(free, 0, 0.2));
    assertThat(louder).isBetween(0.5, 4.0);
    assertThat(rested).isNotEqualTo(free);
  }

  /** Near the bridge bright, near the neck round. */
  @Test
  void thePlaceIsHeard() {
    double[] centroids = new double[3];
    double[] places = {40, 125, 240};
    for (int k = 0; k < 3; k++) {
      Excitation how = Excitation.of(Plucker.NAIL, Force.PLAIN).at(places[k]);
      double[] sound =
          new Heard(Guitar.STEEL).after(i -> i.pluck(2, 52, how, Layer.FINGERS)).seconds(0.5);
      centroids[k] = new Spectrum(sound, Heard.RATE).centroid();
    }
    System.out.println("bridge to neck: " + Arrays.toString(centroids));
    assertThat(centroids[0]).isGreaterThan(1.1 * Math.max(centroids[1], centroids[2]));
  }

  /** Hits stand beside the thumb, and no two are the same. */
  @ParameterizedTest
  @EnumSource(HitKind.class)
  void hitsAreHeardBesideTheThumb(HitKind kind) {
    double thumb =
        loudest(
            new Heard(Guitar.STEEL)
                .after(i -> i.pluck(1, 47, usual(1), Layer.THUMB))
                .seconds(BLOCK));
    double[] one = new Heard(Guitar.STEEL).after(i -> i.hit(kind, 1, 1)).seconds(BLOCK);
    double[] other = new Heard(Guitar.STEEL).after(i -> i.hit(kind, 1, 2)).seconds(BLOCK);
    System.out.printf("%s: %.1f dB against the thumb%n", kind, loudest(one) - thumb);
    assertThat(loudest(one) - thumb).isBetween(-7.0, 4.0);
    assertThat(one).isNotEqualTo(other);
    assertThat(loudest(one) - loudest(other)).isBetween(-3.0, 3.0);
  }

  /** The loudest tenth of a second, LUFS. */
  private static double loudest(double[] sound) {
    double[] weighted = Loudness.weighted(sound, Heard.RATE);
    double most = -200;
    for (int from = 0; from + 4410 <= weighted.length; from += 1102) {
      most = Math.max(most, Loudness.of(weighted, from, from + 4410));
    }
    return most;
  }
}
