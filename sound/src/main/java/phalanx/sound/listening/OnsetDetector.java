package phalanx.sound.listening;

import java.util.ArrayList;
import java.util.List;
import org.jtransforms.fft.FloatFFT_1D;

/**
 * Where sounds begin: peaks of the spectral flux (Bello et al., “A tutorial on onset detection in
 * music signals”, IEEE Transactions on Speech and Audio Processing 13, 2005; Dixon, “Onset
 * detection revisited”, DAFx 2006), each compared with the loudest of its neighbours a little
 * before, so that a wavering pitch begins nothing. Each is then placed where the wave itself rises.
 */
final class OnsetDetector {

  private static final double WINDOW = 0.046;
  private static final double HOP = 0.004;

  /** A frame is compared with the one this much before, s. */
  private static final double LAG = 0.012;

  /** A peak is the highest within this, s. */
  private static final double APART = 0.028;

  /** The flux around a peak is averaged over this, s. */
  private static final double AROUND = 0.12;

  /** A peak is higher than its surroundings by this many times, and by a share of the loudest. */
  private static final double TIMES = 1.5;

  private static final double SHARE = 0.085;

  /** The loudest of the last seconds is forgotten by half in this time, s. */
  private static final double FORGET = 6;

  private static final double LOWEST = 60;
  private static final double HIGHEST = 7000;

  private final int size;
  private final int hop;
  private final int first;
  private final int last;
  private final float[] window;
  private final float[] buffer;
  private final FloatFFT_1D fft;
  private final float[][] frames;
  private final double[] flux;
  private final int around;
  private final int apart;
  private final SampleHistory samples;
  private final WaveRise rise;
  private long frame;
  private double loudest;
  private long lastPeak = Long.MIN_VALUE / 2;

  /** A detector for samples of a rate, Hz. */
  OnsetDetector(double rate, SampleHistory samples) {
    this.samples = samples;
    rise = new WaveRise(rate, samples);
    size = power(WINDOW * rate);
    hop = Math.max(1, (int) Math.round(HOP * rate));
    first = Math.max(1, (int) Math.floor(LOWEST * size / rate));
    last = (int) Math.min(size / 2.0 - 2, Math.ceil(HIGHEST * size / rate));
    window = new float[size];
    for (int n = 0; n < size; n++) {
      window[n] = (float) (0.5 - 0.5 * Math.cos(2 * Math.PI * (n + 0.5) / size));
    }
    buffer = new float[size];
    fft = new FloatFFT_1D(size);
    frames = new float[1 + (int) Math.round(LAG / HOP)][last + 2];
    around = (int) Math.round(AROUND / HOP);
    apart = (int) Math.round(APART / HOP);
    flux = new double[2 * around + 2];
  }

  /** The power of two nearest to a length. */
  static int power(double length) {
    int below = Integer.highestOneBit(Math.max(16, (int) length));
    return length / below > 1.5 ? 2 * below : below;
  }

  /** How much later than a sound it is known, samples. */
  int delay() {
    return size / 2 + (apart + 2) * hop;
  }

  /**
   * A beginning.
   *
   * @param sample its number
   * @param strength how many times the flux before it its own is
   */
  record Onset(long sample, double strength) {}

  /** The beginnings that are known now, as numbers of samples; called after every few samples. */
  List<Onset> advance() {
    List<Onset> found = new ArrayList<>();
    while (frame * hop + size / 2 <= samples.end()) {
      flux[(int) (frame % flux.length)] = flux();
      frame++;
      long candidate = frame - 1 - apart;
      if (candidate >= 0 && isPeak(candidate)) {
        lastPeak = candidate;
        found.add(new Onset(rise.near(candidate * hop), clarity(candidate)));
      }
    }
    return found;
  }

  /** How much louder the bins became; the frame is centred on its sample. */
  private double flux() {
    long from = frame * hop - size / 2;
    for (int n = 0; n < size; n++) {
      buffer[n] = samples.at(from + n) * window[n];
    }
    fft.realForward(buffer);
    float[] now = frames[(int) (frame % frames.length)];
    float[] before = frames[(int) ((frame + 1) % frames.length)];
    double sum = 0;
    for (int k = first; k <= last; k++) {
      float re = buffer[2 * k];
      float im = buffer[2 * k + 1];
      // The fourth root of the power: quiet partials count beside loud ones.
      float value = (float) Math.sqrt(Math.sqrt(re * re + im * im));
      float was = Math.max(before[k], Math.max(before[k - 1], before[k + 1]));
      sum += Math.max(0, value - was);
      now[k] = value;
    }
    return sum;
  }

  private double at(long number) {
    return number < 0 || number >= frame || number < frame - flux.length
        ? 0
        : flux[(int) (number % flux.length)];
  }

  private double clarity(long candidate) {
    double sum = 0;
    int count = 0;
    for (long k = candidate - around; k <= candidate - apart; k++) {
      sum += at(k);
      count++;
    }
    return at(candidate) / (sum / count + 1e-6 * at(candidate));
  }

  private boolean isPeak(long candidate) {
    double value = at(candidate);
    loudest = Math.max(value, loudest * Math.pow(0.5, HOP / FORGET));
    for (long k = candidate - apart; k <= candidate + apart; k++) {
      if (at(k) > value || at(k) == value && k < candidate) {
        return false;
      }
    }
    double sum = 0;
    int count = 0;
    for (long k = candidate - around; k <= candidate + apart; k++) {
      sum += at(k);
      count++;
    }
    return value > TIMES * sum / count && value > SHARE * loudest && candidate - lastPeak > apart;
  }
}
