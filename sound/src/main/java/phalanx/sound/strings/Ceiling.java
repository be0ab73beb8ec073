package phalanx.sound.strings;

/**
 * Keeps what is too loud below full scale: straight up to a knee, then bent more and more. The same
 * for every sample, so that nothing pumps.
 */
final class Ceiling {

  /** Straight below this. */
  static final double KNEE = 0.6;

  /** Never reached: −1.5 dB below full scale. */
  static final double MOST = 0.841;

  private Ceiling() {}

  static double bent(double x) {
    double size = Math.abs(x);
    if (size <= KNEE) {
      return x;
    }
    double room = MOST - KNEE;
    return Math.copySign(KNEE + room * Math.tanh((size - KNEE) / room), x);
  }
}
