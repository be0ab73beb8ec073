package phalanx.sound.strings;

import java.util.SplittableRandom;

/**
 * What a pluck puts into a string. A string drawn aside in one point and let go presses on the
 * bridge with a wave that is high for the share of its period the point divides off and low for the
 * rest (ideal plucked string; N. Fletcher and T. Rossing, ch. 2): so one period of that, its
 * corners rounded by what plucks, and a little noise of leaving.
 */
final class Pluck {

  /** What the rounding spreads beyond the period, samples. */
  private static final int SPREAD = 96;

  /** How long the noise of leaving lasts, s. */
  private static final double SCRAPE = 0.004;

  /** How long a string beats against the frets, s. */
  private static final double RATTLE = 0.06;

  private Pluck() {}

  /**
   * Samples to be added into the loop, one after the other.
   *
   * @param period of the note, samples
   * @param share where the string is plucked, as a share of its sounding length
   * @param level height
   * @param rounded corners are rounded above this, as a share of the sample rate
   * @param scrape noise of leaving against the level
   * @param rattle noise of a string that beats against frets for a moment, against the level
   * @param rate samples a second
   * @param seed of those noises: the same pluck always sounds the same
   */
  static double[] of(
      double period,
      double share,
      double level,
      double rounded,
      double scrape,
      double rattle,
      double rate,
      long seed) {
    int length = (int) Math.ceil(period);
    int rattles = rattle > 0 ? (int) (RATTLE * rate) : 0;
    double[] out = new double[Math.max(length, rattles) + SPREAD];
    double high = share * period;
    for (int n = 0; n < length; n++) {
      // Edges between samples count in part, so that neighbouring frets sound alike.
      double covered = Math.max(0, Math.min(1, high - n));
      double within = Math.max(0, Math.min(1, period - n));
      out[n] = level * (covered - share * within);
    }
    noise(out, level * scrape, (int) (SCRAPE * rate), seed);
    round(out, rounded);
    round(out, rounded);
    beat(out, level * rattle, rattles, period, seed);
    balance(out);
    return out;
  }

  private static void noise(double[] out, double level, int length, long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    double before = 0;
    for (int n = 0; n < Math.min(length, out.length); n++) {
      double now = random.nextDouble() * 2 - 1;
      // The difference of neighbours is bright noise.
      out[n] += level * (now - before) * (1 - (double) n / length);
      before = now;
    }
  }

  /** Noise that comes and goes with the period, as the string meets the frets once in each. */
  private static void beat(double[] out, double level, int length, double period, long seed) {
    SplittableRandom random = new SplittableRandom(~seed);
    double before = 0;
    for (int n = 0; n < length; n++) {
      double now = random.nextDouble() * 2 - 1;
      double turn = n / period - Math.floor(n / period);
      double meets = turn < 0.3 ? 1 : 0.1;
      double left = 1 - (double) n / length;
      out[n] += level * meets * left * left * (now - 0.6 * before);
      before = now;
    }
  }

  private static void round(double[] out, double rounded) {
    double keep = Math.exp(-2 * Math.PI * rounded);
    double state = 0;
    for (int n = 0; n < out.length; n++) {
      state = out[n] + keep * (state - out[n]);
      out[n] = state;
    }
  }

  /** Takes what is left of steady pressure out, so that nothing but vibration goes round. */
  private static void balance(double[] out) {
    double sum = 0;
    for (double v : out) {
      sum += v;
    }
    for (int n = 0; n < out.length; n++) {
      out[n] -= sum / out.length;
    }
  }
}
