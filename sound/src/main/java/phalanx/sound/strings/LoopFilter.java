package phalanx.sound.strings;

/**
 * What a string loses once round its loop: a one-pole low-pass with a gain, H(z) = b / (1 − a/z).
 * Found from two decay times in closed form.
 *
 * @param b gain of the input
 * @param a the pole, 0 to less than 1
 */
record LoopFilter(double b, double a) {

  /** Steady pressure must die away too: the loop's gain at 0 Hz stays below this. */
  private static final double MOST_AT_ZERO = 0.99999;

  private static final double SIXTY_DB = 3 * Math.log(10);

  /**
   * The filter of a note.
   *
   * @param hertz its fundamental
   * @param rate samples a second
   * @param decay time of the fundamental to −60 dB, s
   * @param bright frequency of the second time, Hz, above the fundamental
   * @param brightDecay time there, s, shorter
   */
  static LoopFilter of(double hertz, double rate, double decay, double bright, double brightDecay) {
    double low = 2 * Math.PI * hertz / rate;
    double loss = Math.exp(-SIXTY_DB / (hertz * decay));
    double brightLoss = Math.exp(-SIXTY_DB / (hertz * brightDecay));
    double a = pole(low, 2 * Math.PI * bright / rate, brightLoss / loss);
    // A pole that would let the loop grow at 0 Hz is drawn in until it does not.
    while (a > 1e-4 && loss * magnitude(a, low) / (1 - a) > MOST_AT_ZERO) {
      a *= 0.95;
    }
    double b = loss * magnitude(a, low);
    return new LoopFilter(b, a);
  }

  /**
   * Its phase delay, samples.
   *
   * @param omega radians a sample
   */
  double delay(double omega) {
    return Math.atan2(a * Math.sin(omega), 1 - a * Math.cos(omega)) / omega;
  }

  /** |1 − a·e^−iω|. */
  private static double magnitude(double a, double omega) {
    return Math.sqrt(1 - 2 * a * Math.cos(omega) + a * a);
  }

  /** The pole at which the gain at one frequency is a ratio of that at another below it. */
  private static double pole(double low, double high, double ratio) {
    double r = ratio * ratio;
    if (r >= 1) {
      return 0;
    }
    double q = (Math.cos(low) - r * Math.cos(high)) / (1 - r);
    return q - Math.sqrt(q * q - 1);
  }
}
