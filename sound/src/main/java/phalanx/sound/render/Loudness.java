package phalanx.sound.render;

import java.util.ArrayList;
import java.util.List;

/**
 * How loud a sound is to ears: integrated loudness of Recommendation ITU-R BS.1770-4 (K-weighting,
 * blocks of 0.4 s every 0.1 s, gates at −70 LUFS and 10 below what passes that) and its true peak,
 * by oversampling fourfold. Coefficients worked out for any rate from the filters’ analogue figures
 * (from memory). It takes samples as they come. Not safe for several threads.
 */
public final class Loudness {

  /** Nothing is softer, LUFS. */
  public static final double SILENCE = -70;

  private static final double OFFSET = -0.691;
  private static final double GATE = -10;
  private static final int PARTS = 4;
  private static final double PART = 0.1;

  private final Weighting left;
  private final Weighting right;
  private final TruePeak leftPeak = new TruePeak();
  private final TruePeak rightPeak = new TruePeak();
  private final int partLength;
  private final List<Double> parts = new ArrayList<>();
  private double sum;
  private int count;

  /**
   * Nothing heard yet.
   *
   * @param rate samples a second
   */
  public Loudness(double rate) {
    left = new Weighting(rate);
    right = new Weighting(rate);
    partLength = (int) Math.round(PART * rate);
  }

  /** Takes frames in, left and right in turns. */
  public void add(float[] frames, int count) {
    for (int n = 0; n < count; n++) {
      add(frames[2 * n], frames[2 * n + 1]);
    }
  }

  private void add(double l, double r) {
    leftPeak.add(l);
    rightPeak.add(r);
    double wl = left.next(l);
    double wr = right.next(r);
    sum += wl * wl + wr * wr;
    if (++count == partLength) {
      parts.add(sum / count);
      sum = 0;
      count = 0;
    }
  }

  /** The loudness of all so far, LUFS; {@link #SILENCE} where nothing passes the gate. */
  public double integrated() {
    List<Double> blocks = new ArrayList<>();
    for (int p = 0; p + PARTS <= parts.size(); p++) {
      double block = 0;
      for (int q = p; q < p + PARTS; q++) {
        block += parts.get(q) / PARTS;
      }
      blocks.add(block);
    }
    double first = mean(blocks, SILENCE);
    return first <= SILENCE ? SILENCE : mean(blocks, first + GATE);
  }

  private static double mean(List<Double> blocks, double above) {
    double mean =
        blocks.stream().mapToDouble(b -> b).filter(b -> lufs(b) > above).average().orElse(0);
    return lufs(mean);
  }

  private static double lufs(double power) {
    return power <= 0 ? SILENCE : OFFSET + 10 * Math.log10(power);
  }

  /** The highest point between samples, dB against full scale. */
  public double truePeak() {
    double most = Math.max(leftPeak.most(), rightPeak.most());
    return 20 * Math.log10(Math.max(1e-6, most));
  }

  /** A shelf for the head and a high pass, one after the other. */
  private static final class Weighting {
    private final double[] shelf;
    private final double[] high;
    private final double[] state = new double[4];

    Weighting(double rate) {
      double k = Math.tan(Math.PI * 1681.974450955533 / rate);
      double q = 0.7071752369554196;
      double vh = Math.pow(10, 3.999843853973347 / 20);
      double vb = Math.pow(vh, 0.4996667741545416);
      double a0 = 1 + k / q + k * k;
      shelf =
          new double[] {
            (vh + vb * k / q + k * k) / a0,
            2 * (k * k - vh) / a0,
            (vh - vb * k / q + k * k) / a0,
            2 * (k * k - 1) / a0,
            (1 - k / q + k * k) / a0
          };
      k = Math.tan(Math.PI * 38.13547087602444 / rate);
      q = 0.5003270373238773;
      a0 = 1 + k / q + k * k;
      high = new double[] {1, -2, 1, 2 * (k * k - 1) / a0, (1 - k / q + k * k) / a0};
    }

    double next(double x) {
      return biquad(high, biquad(shelf, x, 0), 2);
    }

    private double biquad(double[] c, double x, int at) {
      double y = c[0] * x + state[at];
      state[at] = c[1] * x - c[3] * y + state[at + 1];
      state[at + 1] = c[2] * x - c[4] * y;
      return y;
    }
  }

  /** Four points a sample, between samples by a windowed sinc. */
  private static final class TruePeak {
    private static final int TIMES = 4;
    private static final int TAPS = 12;
    private static final double[][] PHASES = phases();

    private final double[] last = new double[TAPS];
    private int at;
    private double most;

    private static double[][] phases() {
      double[][] phases = new double[TIMES][TAPS];
      for (int p = 1; p < TIMES; p++) {
        for (int t = 0; t < TAPS; t++) {
          double x = t - TAPS / 2.0 + 1 - (double) p / TIMES;
          double window = 0.5 + 0.5 * Math.cos(2 * Math.PI * x / TAPS);
          phases[p][t] = x == 0 ? 1 : window * Math.sin(Math.PI * x) / (Math.PI * x);
        }
      }
      return phases;
    }

    void add(double x) {
      last[at] = x;
      at = at + 1 == TAPS ? 0 : at + 1;
      double size = Math.abs(x);
      most = Math.max(most, size);
      // Between small samples nothing high can lie.
      if (2 * size > most) {
        for (int p = 1; p < TIMES; p++) {
          double y = 0;
          for (int t = 0; t < TAPS; t++) {
            y += PHASES[p][t] * last[(at + t) % TAPS];
          }
          most = Math.max(most, Math.abs(y));
        }
      }
    }

    double most() {
      return most;
    }
  }
}
