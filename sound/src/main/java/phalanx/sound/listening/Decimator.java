package phalanx.sound.listening;

/**
 * Makes every second, third or fourth sample of a stream stand for all, behind a low-pass (a sinc
 * under Blackman’s window): guitars need no more than 24,000 a second to be recognised.
 */
final class Decimator {

  private static final double ENOUGH = 20_000;
  private static final int TAPS_EACH = 12;

  private final int factor;
  private final double rate;
  private final float[] taps;
  private final float[] line;
  private int at;
  private int phase;

  Decimator(double rate) {
    factor = Math.max(1, (int) Math.floor(rate / ENOUGH));
    this.rate = rate / factor;
    taps = taps(factor);
    line = new float[taps.length];
    // The filter delays by half its length: the first samples it gives are left out.
    phase = -(taps.length / 2);
  }

  private static float[] taps(int factor) {
    if (factor == 1) {
      return new float[] {1};
    }
    int half = TAPS_EACH * factor;
    float[] taps = new float[2 * half + 1];
    double cut = 0.45 / factor;
    double sum = 0;
    for (int n = -half; n <= half; n++) {
      double sinc = n == 0 ? 2 * cut : Math.sin(2 * Math.PI * cut * n) / (Math.PI * n);
      double x = (double) (n + half) / (2 * half);
      double window = 0.42 - 0.5 * Math.cos(2 * Math.PI * x) + 0.08 * Math.cos(4 * Math.PI * x);
      taps[n + half] = (float) (sinc * window);
      sum += taps[n + half];
    }
    for (int n = 0; n < taps.length; n++) {
      taps[n] /= (float) sum;
    }
    return taps;
  }

  /** Samples a second that come out. */
  double rate() {
    return rate;
  }

  /** Puts what comes of some samples at their beginning; how many that are. */
  int apply(float[] samples, int count) {
    if (factor == 1) {
      return count;
    }
    int out = 0;
    for (int n = 0; n < count; n++) {
      line[at] = samples[n];
      at = at + 1 == line.length ? 0 : at + 1;
      if (phase >= 0 && phase % factor == 0) {
        samples[out++] = filtered();
      }
      phase++;
      if (phase >= 1 << 30) {
        phase -= (1 << 30) / factor * factor;
      }
    }
    return out;
  }

  private float filtered() {
    float sum = 0;
    int from = at;
    for (int k = 0; k < taps.length; k++) {
      sum += taps[k] * line[from];
      from = from + 1 == line.length ? 0 : from + 1;
    }
    return sum;
  }
}
