package phalanx.sound;

/**
 * Loudness as ears weigh it: the K-weighting of Recommendation ITU-R BS.1770, a shelf for the head
 * and a high pass, their coefficients worked out for any rate from the filters’ analogue figures
 * (from memory).
 */
public final class Loudness {

  private Loudness() {}

  /** A sound as it is weighed. */
  public static double[] weighted(double[] sound, double rate) {
    double[] shelved = shelf(sound, rate);
    return highPass(shelved, rate);
  }

  private static double[] shelf(double[] in, double rate) {
    double k = Math.tan(Math.PI * 1681.974450955533 / rate);
    double q = 0.7071752369554196;
    double vh = Math.pow(10, 3.999843853973347 / 20);
    double vb = Math.pow(vh, 0.4996667741545416);
    double a0 = 1 + k / q + k * k;
    return biquad(
        in,
        (vh + vb * k / q + k * k) / a0,
        2 * (k * k - vh) / a0,
        (vh - vb * k / q + k * k) / a0,
        2 * (k * k - 1) / a0,
        (1 - k / q + k * k) / a0);
  }

  private static double[] highPass(double[] in, double rate) {
    double k = Math.tan(Math.PI * 38.13547087602444 / rate);
    double q = 0.5003270373238773;
    double a0 = 1 + k / q + k * k;
    return biquad(in, 1, -2, 1, 2 * (k * k - 1) / a0, (1 - k / q + k * k) / a0);
  }

  private static double[] biquad(
      double[] in, double b0, double b1, double b2, double a1, double a2) {
    double[] out = new double[in.length];
    double x1 = 0;
    double x2 = 0;
    double y1 = 0;
    double y2 = 0;
    for (int n = 0; n < in.length; n++) {
      double y = b0 * in[n] + b1 * x1 + b2 * x2 - a1 * y1 - a2 * y2;
      x2 = x1;
      x1 = in[n];
      y2 = y1;
      y1 = y;
      out[n] = y;
    }
    return out;
  }

  /** Loudness of a piece of a weighted sound, LUFS for one channel. */
  public static double of(double[] weighted, int from, int to) {
    double sum = 0;
    int end = Math.min(weighted.length, to);
    for (int n = from; n < end; n++) {
      sum += weighted[n] * weighted[n];
    }
    return -0.691 + 10 * Math.log10(Math.max(1e-12, sum / Math.max(1, end - from)));
  }
}
