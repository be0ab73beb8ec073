package phalanx.sound.listening;

import java.util.Arrays;
import org.jtransforms.fft.FloatFFT_1D;

/**
 * Places a beginning to a millisecond: first by the flux of short windows, which last about as long
 * as the period of the lowest string, so that its own pulses are no beginnings; then where the
 * differences of the wave rise most steeply.
 */
final class WaveRise {

  private static final double WINDOW = 0.0116;

  /**
   * Looked for this far before and behind where a long window has it, ms: its flux is highest when
   * a beginning has come into its second half. Then this far from the short one’s.
   */
  private static final int BEFORE = 6;

  private static final int BEHIND = 30;

  private static final int NEAR = 6;

  private static final int LAG = 3;

  /** A rise is one from this share of the steepest. */
  private static final double CLEAR = 0.55;

  private static final double LOWEST = 150;
  private static final double HIGHEST = 7000;

  private final SampleHistory samples;
  private final int step;
  private final int size;
  private final int first;
  private final int last;
  private final float[] window;
  private final float[] buffer;
  private final FloatFFT_1D fft;
  private final float[][] frames = new float[BEFORE + BEHIND + LAG + 1][];

  WaveRise(double rate, SampleHistory samples) {
    this.samples = samples;
    step = Math.max(1, (int) Math.round(rate / 1000));
    size = OnsetDetector.power(WINDOW * rate);
    first = Math.max(1, (int) Math.round(LOWEST * size / rate));
    last = (int) Math.min(size / 2.0 - 1, Math.round(HIGHEST * size / rate));
    window = new float[size];
    for (int n = 0; n < size; n++) {
      window[n] = (float) (0.5 - 0.5 * Math.cos(2 * Math.PI * (n + 0.5) / size));
    }
    buffer = new float[size];
    fft = new FloatFFT_1D(size);
    for (int f = 0; f < frames.length; f++) {
      frames[f] = new float[last - first + 1];
    }
  }

  /** The beginning nearest to a sample. */
  long near(long sample) {
    for (int f = 0; f < frames.length; f++) {
      spectrum(sample + (long) (f - BEFORE - LAG) * step, frames[f]);
    }
    double[] flux = new double[frames.length];
    double most = 0;
    for (int f = LAG; f < frames.length; f++) {
      for (int k = 0; k < frames[f].length; k++) {
        flux[f] += Math.max(0, frames[f][k] - frames[f - LAG][k]);
      }
      most = Math.max(most, flux[f]);
    }
    int best = first(flux, most);
    // A window rises most when a beginning comes into its second half.
    long there = sample + (long) (best - BEFORE - LAG) * step + size / 4;
    return steepest(there);
  }

  /** The first rise that is one: each pulse of a low string that follows rises as well. */
  private static int first(double[] flux, double most) {
    for (int f = LAG; f + 1 < flux.length; f++) {
      if (flux[f] >= CLEAR * most && flux[f] >= flux[f - 1] && flux[f] >= flux[f + 1]) {
        return f;
      }
    }
    return BEFORE + LAG;
  }

  private void spectrum(long centre, float[] to) {
    long from = centre - size / 2;
    for (int n = 0; n < size; n++) {
      buffer[n] = samples.at(from + n) * window[n];
    }
    fft.realForward(buffer);
    for (int k = first; k <= last; k++) {
      double re = buffer[2 * k];
      double im = buffer[2 * k + 1];
      to[k - first] = (float) Math.sqrt(Math.sqrt(re * re + im * im));
    }
  }

  /** Where the differences of the wave rise most, millisecond by millisecond. */
  private long steepest(long near) {
    double[] energy = new double[2 * NEAR + 8];
    for (int b = 0; b < energy.length; b++) {
      long from = near + (long) (b - NEAR - 4) * step;
      for (int n = 0; n < step; n++) {
        double second =
            samples.at(from + n) - 2 * samples.at(from + n - 1) + samples.at(from + n - 2);
        energy[b] += second * second;
      }
    }
    double most = Arrays.stream(energy).max().orElse(0);
    double floor = most * 2e-3 + 1e-15;
    int best = NEAR + 4;
    double steepest = 0;
    for (int b = 4; b + 3 < energy.length; b++) {
      double after = energy[b] + energy[b + 1] + energy[b + 2];
      double before = energy[b - 1] + energy[b - 2] + energy[b - 3] + energy[b - 4];
      double rise = Math.log((after / 3 + floor) / (before / 4 + floor)) * Math.sqrt(after / most);
      if (rise > steepest) {
        steepest = rise;
        best = b;
      }
    }
    return Math.max(0, near + (long) (best - NEAR - 4) * step);
  }
}
