package phalanx.sound.strings;

/**
 * The body of the guitar: what of the force on the bridge is heard straight, and its resonances, of
 * which the air in the body near 100 Hz and the top plate near 200 Hz are the strongest (N.
 * Fletcher and T. Rossing, The Physics of Musical Instruments, ch. 9; frequencies from memory).
 * Each radiates a little more to one side, which gives the sound its width.
 */
final class Body {

  /**
   * A resonance.
   *
   * @param hertz where
   * @param sharpness its Q
   * @param gain at its peak, against the straight sound
   * @param side from −1 left to 1 right
   */
  private record Mode(double hertz, double sharpness, double gain, double side) {}

  private static final Mode[] MODES = {
    new Mode(101, 12, 1.9, 0.05),
    new Mode(198, 14, 2.1, -0.1),
    new Mode(262, 16, 1.0, 0.25),
    new Mode(388, 18, 0.7, -0.3),
    new Mode(540, 18, 0.35, 0.35),
    new Mode(735, 18, 0.25, -0.35),
    new Mode(1040, 14, 0.22, 0.3),
    new Mode(1480, 12, 0.18, -0.25),
  };

  /** Below this the body radiates little straight sound, Hz. */
  private static final double LOWEST = 85;

  /** Keeps what fades away from the numbers so small that processors are slow with them. */
  private static final double NOTHING = 1e-25;

  private static final double STRAIGHT = 0.5;

  private final double[] gain = new double[MODES.length];
  private final double[] b1 = new double[MODES.length];
  private final double[] b2 = new double[MODES.length];
  private final double[] y1 = new double[MODES.length];
  private final double[] y2 = new double[MODES.length];
  private final double[] left = new double[MODES.length];
  private final double[] right = new double[MODES.length];
  private final double highPass;
  private double x1;
  private double x2;
  private double low;

  Body(double rate) {
    highPass = 1 - Math.exp(-2 * Math.PI * LOWEST / rate);
    for (int m = 0; m < MODES.length; m++) {
      Mode mode = MODES[m];
      double omega = 2 * Math.PI * mode.hertz() / rate;
      double alpha = Math.sin(omega) / (2 * mode.sharpness());
      // Band-pass with a peak of 1 at its frequency, by the bilinear transform.
      gain[m] = alpha / (1 + alpha);
      b1[m] = 2 * Math.cos(omega) / (1 + alpha);
      b2[m] = -(1 - alpha) / (1 + alpha);
      left[m] = mode.gain() * (1 - mode.side());
      right[m] = mode.gain() * (1 + mode.side());
    }
  }

  /** Adds what is heard of the force on the bridge to both sides. */
  void add(double[] force, double[] toLeft, double[] toRight, int from, int to) {
    for (int n = from; n < to; n++) {
      double x = force[n];
      low += highPass * (x - low) + NOTHING;
      double straight = STRAIGHT * (x - low);
      double l = straight;
      double r = straight;
      double edge = x - x2;
      x2 = x1;
      x1 = x;
      for (int m = 0; m < gain.length; m++) {
        double y = gain[m] * edge + b1[m] * y1[m] + b2[m] * y2[m] + NOTHING;
        y2[m] = y1[m];
        y1[m] = y;
        l += left[m] * y;
        r += right[m] * y;
      }
      toLeft[n] += l;
      toRight[n] += r;
    }
  }
}
