package phalanx.sound.listening;

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

  /** A harmonic may be this far off, as a share of its frequency: tuning and stiffness. */
  private static final double OFF = 0.012;

  /** What rings on is a little quieter by itself. */
  private static final double RINGS = 0.92;

  private final double rate;
  private final double a4;
  private final int length;
  private final int size;
  private final float[] window;
  private final float[] after;
  private final float[] before;
  private final FloatFFT_1D fft;

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
  }

  /** How many samples behind a beginning it needs. */
  int needs() {
    return length + (int) Math.ceil(AFTER * rate) + 1;
  }

  /** What is new at a sample. */
  float[] at(SampleHistory samples, long onset) {
    spectrum(samples, onset + Math.round(AFTER * rate), after);
    spectrum(samples, onset - Math.round(BEFORE * rate) - length, before);
    float most = 0;
    for (int k = 0; k < size / 2; k++) {
      after[k] = Math.max(0, after[k] - (float) RINGS * before[k]);
      most = Math.max(most, after[k]);
    }
    float[] salience = new float[HeardSound.PITCHES];
    if (most <= 0) {
      return salience;
    }
    for (int k = 0; k < size / 2; k++) {
      after[k] = (float) Math.sqrt(after[k] / most);
    }
    float highest = 1e-6f;
    for (int p = 0; p < salience.length; p++) {
      salience[p] = of(HeardSound.LOWEST + p);
      highest = Math.max(highest, salience[p]);
    }
    for (int p = 0; p < salience.length; p++) {
      salience[p] /= highest;
    }
    return salience;
  }

  private void spectrum(SampleHistory samples, long from, float[] to) {
    java.util.Arrays.fill(to, 0);
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
  private float of(int midi) {
    double base = a4 * Math.pow(2, (midi - 69) / 12.0);
    double sum = 0;
    double weights = 0;
    for (int h = 1; h <= HARMONICS; h++) {
      double f = h * base;
      if (f > 0.45 * rate || f > 5000) {
        break;
      }
      double weight = 1 / Math.sqrt(h);
      weights += weight;
      int low = (int) Math.max(1, Math.floor(f * (1 - OFF) * size / rate));
      int high = (int) Math.min(size / 2.0 - 1, Math.ceil(f * (1 + OFF) * size / rate));
      float peak = 0;
      for (int k = low; k <= high; k++) {
        peak = Math.max(peak, after[k]);
      }
      sum += weight * peak;
    }
    return weights == 0 ? 0 : (float) (sum / weights);
  }
}
