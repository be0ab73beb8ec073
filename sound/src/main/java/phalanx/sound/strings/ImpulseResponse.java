package phalanx.sound.strings;

/**
 * What a body or a room answers to a single short blow: recorded or measured by whoever has it, in
 * place of ours.
 *
 * @param left samples of the left side
 * @param right samples of the right side, as many; the same for one in one channel
 * @param rate samples a second
 */
public record ImpulseResponse(float[] left, float[] right, double rate) {

  /** Longer ones are cut off, s. */
  public static final double LONGEST = 6;

  public ImpulseResponse {
    if (left.length != right.length || left.length == 0 || !(rate > 0)) {
      throw new IllegalArgumentException("both sides of a response have as many samples");
    }
    left = left.clone();
    right = right.clone();
  }

  @Override
  public float[] left() {
    return left.clone();
  }

  @Override
  public float[] right() {
    return right.clone();
  }

  /**
   * The same at another rate, without its silent beginning, as strong as a response of one sample.
   *
   * @param skipped so many samples of its beginning are left out, at the new rate
   */
  double[][] at(double other, int skipped) {
    double step = rate / other;
    int begin = Math.min(onset(), left.length - 1);
    int length = (int) Math.min((left.length - begin) / step, LONGEST * other) - skipped;
    double[][] sides = new double[2][Math.max(1, length)];
    double scale = step * strength(begin);
    for (int n = 0; n < sides[0].length; n++) {
      double at = begin + (n + skipped) * step;
      sides[0][n] = scale * between(left, at);
      sides[1][n] = scale * between(right, at);
    }
    return sides;
  }

  /** What makes it as strong as a single sample of 1 on both sides. */
  private double strength(int begin) {
    double energy = 0;
    for (int n = begin; n < left.length; n++) {
      energy += (double) left[n] * left[n] + (double) right[n] * right[n];
    }
    return energy > 0 ? Math.sqrt(2 / energy) : 0;
  }

  /** Where it begins: a hundredth of its highest sample. */
  private int onset() {
    float most = 0;
    for (int n = 0; n < left.length; n++) {
      most = Math.max(most, Math.max(Math.abs(left[n]), Math.abs(right[n])));
    }
    int at = 0;
    while (at < left.length && Math.max(Math.abs(left[at]), Math.abs(right[at])) < most / 100) {
      at++;
    }
    return at;
  }

  private static double between(float[] samples, double at) {
    int n = (int) at;
    double share = at - n;
    double here = n < samples.length ? samples[n] : 0;
    double next = n + 1 < samples.length ? samples[n + 1] : 0;
    return here + share * (next - here);
  }
}
