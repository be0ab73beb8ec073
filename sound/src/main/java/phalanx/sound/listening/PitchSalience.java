package phalanx.sound.listening;

import java.util.Arrays;
import org.jtransforms.fft.FloatFFT_1D;
import phalanx.practice.HeardSound;

/**
 * Which pitches are new in a sound: what its spectrum just after the beginning has more than just
 * before, summed over the harmonics of each pitch (harmonic matching against what is expected, as a
 * player’s part is known; common practice of score following).
 */
final class PitchSalience {

  /** How much of the sound is looked at, s, and how far from its beginning. */
  static final double LENGTH = 0.11;

  static final double AFTER = 0.006;
  private static final double BEFORE = 0.004;

  private static final int HARMONICS = 8;

  /** Harmonics above this say little, Hz. */
  private static final double HIGHEST = 5000;

  /** Nothing is quieter than this, dB beside full scale. */
  private static final double QUIETEST = -120;

  /** A harmonic may be this far off, as a share of its frequency: tuning and stiffness. */
  private static final double OFF = 0.012;

  /** What rings on is a little quieter by itself. */
  private static final double RINGS = 0.92;

  /** How much standing out from its neighbours counts for a pitch. */
  private static final float CONTRAST = 0.5f;

  private static final int BANDS = 14;
  private static final double LOWEST_BAND = 60;

  /** A band quieter than this share of the loudest is noise. */
  private static final float FLOOR = 0.03f;

  private final double rate;
  private final double a4;
  private final int length;
  private final int size;
  private final float[] window;
  private final float[] after;
  private final float[] before;
  private final FloatFFT_1D fft;
  private final int[] bands;

  PitchSalience(double rate, double a4) {
    this.rate = rate;
    this.a4 = a4;
    length = (int) Math.round(LENGTH * rate);
    size = Integer.highestOneBit(length) * 4;
    window = new float[length];
    for (int n = 0; n < length; n++) {
      window[n] = (float) (0.5 - 0.5 * Math.cos(2 * Math.PI * (n + 0.5) / length));
    }
    after = new float[size];
    before = new float[size];
    fft = new FloatFFT_1D(size);
    bands = new int[size / 2];
    for (int k = 1; k < bands.length; k++) {
      double halves = 2 * Math.log(k * rate / size / LOWEST_BAND) / Math.log(2);
      bands[k] = (int) Math.max(0, Math.min(BANDS - 1, Math.floor(halves)));
    }
  }

  /** How many samples behind a beginning it needs. */
  int needs() {
    return length + (int) Math.ceil(AFTER * rate) + 1;
  }

  /** The sound that begins at a sample. */
  HeardSound at(SampleHistory samples, long onset, double strength) {
    spectrum(samples, onset + Math.round(AFTER * rate), after);
    spectrum(samples, onset - Math.round(BEFORE * rate) - length, before);
    for (int k = 0; k < size / 2; k++) {
      before[k] = Math.max(0, after[k] - (float) RINGS * before[k]);
    }
    float[] levels = levels(before);
    return new HeardSound(onset / rate, strength, explained(before), explained(after), levels);
  }

  /** How loud the harmonics of each pitch are in a spectrum, dB beside full scale. */
  private float[] levels(float[] spectrum) {
    float[] levels = new float[HeardSound.PITCHES];
    // A sine of full scale has a peak of half the window's sum.
    double full = length / 4.0;
    for (int p = 0; p < levels.length; p++) {
      double base = a4 * Math.pow(2, (HeardSound.LOWEST + p - 69) / 12.0);
      double power = 0;
      for (int h = 1; h <= HARMONICS && h * base < Math.min(0.45 * rate, HIGHEST); h++) {
        double peak = peak(spectrum, h * base) / full;
        power += peak * peak;
      }
      levels[p] = (float) Math.max(QUIETEST, 10 * Math.log10(power + 1e-30));
    }
    return levels;
  }

  /** How much each pitch has of a spectrum, beside the one that has most. */
  private float[] explained(float[] spectrum) {
    float[] salience = new float[HeardSound.PITCHES];
    float most = 0;
    for (int k = 0; k < size / 2; k++) {
      most = Math.max(most, spectrum[k]);
    }
    if (most <= 0) {
      return salience;
    }
    whiten(spectrum, most);
    float[] sums = new float[HeardSound.PITCHES + 2];
    for (int p = 0; p < sums.length; p++) {
      sums[p] = of(spectrum, HeardSound.LOWEST + p - 1);
    }
    float highest = 1e-6f;
    for (int p = 0; p < salience.length; p++) {
      // A pitch that is there stands out from its neighbours; noise does not.
      float beside = Math.max(sums[p], sums[p + 2]);
      salience[p] = (1 - CONTRAST) * sums[p + 1] + CONTRAST * 2 * Math.max(0, sums[p + 1] - beside);
      highest = Math.max(highest, salience[p]);
    }
    for (int p = 0; p < salience.length; p++) {
      salience[p] /= highest;
    }
    return salience;
  }

  /** Each half octave beside the loudest in it and around it, so that a soft bass counts too. */
  private void whiten(float[] spectrum, float most) {
    float[] loudest = new float[BANDS + 2];
    Arrays.fill(loudest, FLOOR * most);
    for (int k = 1; k < size / 2; k++) {
      int band = band(k) + 1;
      loudest[band] = Math.max(loudest[band], spectrum[k]);
    }
    for (int k = 1; k < size / 2; k++) {
      int band = band(k) + 1;
      float near =
          Math.max(
              loudest[band], Math.max(loudest[band - 1], loudest[Math.min(BANDS + 1, band + 1)]));
      spectrum[k] = (float) Math.sqrt(spectrum[k] / near);
    }
  }

  private int band(int k) {
    return bands[k];
  }

  private void spectrum(SampleHistory samples, long from, float[] to) {
    Arrays.fill(to, 0);
    for (int n = 0; n < length; n++) {
      to[n] = samples.at(from + n) * window[n];
    }
    fft.realForward(to);
    to[0] = 0;
    for (int k = 1; k < size / 2; k++) {
      to[k] = (float) Math.hypot(to[2 * k], to[2 * k + 1]);
    }
  }

  /** The harmonics of a pitch, the lower ones counting more. */
  private float of(float[] spectrum, int midi) {
    double base = a4 * Math.pow(2, (midi - 69) / 12.0);
    double sum = 0;
    double weights = 0;
    for (int h = 1; h <= HARMONICS; h++) {
      double f = h * base;
      if (f > 0.45 * rate || f > HIGHEST) {
        break;
      }
      double weight = 1 / Math.sqrt(h);
      weights += weight;
      sum += weight * peak(spectrum, f);
    }
    return weights == 0 ? 0 : (float) (sum / weights);
  }

  /** The most at a frequency, or so near to it as strings are out of tune. */
  private float peak(float[] spectrum, double hertz) {
    int low = (int) Math.max(1, Math.floor(hertz * (1 - OFF) * size / rate));
    int high = (int) Math.min(size / 2.0 - 1, Math.ceil(hertz * (1 + OFF) * size / rate));
    float peak = 0;
    for (int k = low; k <= high; k++) {
      peak = Math.max(peak, spectrum[k]);
    }
    return peak;
  }
}
