package phalanx.sound.strings;

/**
 * A small room: four delays that feed each other through a Hadamard matrix (feedback delay network;
 * J. Stautner and M. Puckette, Computer Music Journal 6(1), 1982), dull and quiet behind the
 * guitar.
 */
final class Room {

  /** Lengths without a common divisor, s. */
  private static final double[] WALLS = {0.0297, 0.0371, 0.0411, 0.0437};

  private static final double FIRST = 0.009;

  /** To −60 dB, s: in a small room, in a hall. */
  private static final double SMALL = 0.42;

  private static final double HALL = 2.4;

  /** The room that is heard where nothing is said. */
  static final double USUAL = 0.3;

  /** Above this walls and curtains swallow, Hz. */
  private static final double DULL = 3800;

  /** Keeps what fades away from the numbers so small that processors are slow with them. */
  private static final double NOTHING = 1e-25;

  private static final double WET = 0.11;

  private static final double HALL_WET = 0.2;

  private final double[][] delays = new double[WALLS.length][];
  private final int[] at = new int[WALLS.length];
  private final double[] kept = new double[WALLS.length];
  private final double[] dulled = new double[WALLS.length];
  private final double dull;
  private final double[] first;
  private int firstAt;
  private double wet;

  Room(double rate) {
    dull = 1 - Math.exp(-2 * Math.PI * DULL / rate);
    first = new double[(int) (FIRST * rate)];
    for (int w = 0; w < WALLS.length; w++) {
      delays[w] = new double[(int) (WALLS[w] * rate)];
    }
    size(USUAL);
  }

  /**
   * In another room.
   *
   * @param size 0 for none at all, {@link #USUAL} for a small one, 1 for a hall
   */
  void size(double size) {
    double grown = Math.max(0, (size - USUAL) / (1 - USUAL));
    double decay = SMALL * Math.pow(HALL / SMALL, grown);
    wet = WET * Math.min(1, size / USUAL) + (HALL_WET - WET) * grown;
    for (int w = 0; w < WALLS.length; w++) {
      kept[w] = Math.pow(10, -3 * WALLS[w] / decay) / 2;
    }
  }

  /** Adds the room's answer to both sides. */
  void add(double[] left, double[] right, int from, int to) {
    for (int n = from; n < to; n++) {
      double in = first[firstAt];
      first[firstAt] = (left[n] + right[n]) * 0.5 + NOTHING;
      firstAt = firstAt + 1 == first.length ? 0 : firstAt + 1;
      double a = out(0);
      double b = out(1);
      double c = out(2);
      double d = out(3);
      in(0, in + kept[0] * (a + b + c + d));
      in(1, in + kept[1] * (a - b + c - d));
      in(2, in + kept[2] * (a + b - c - d));
      in(3, in + kept[3] * (a - b - c + d));
      left[n] += wet * (a + c);
      right[n] += wet * (b + d);
    }
  }

  private double out(int wall) {
    double v = delays[wall][at[wall]];
    dulled[wall] += dull * (v - dulled[wall]);
    return dulled[wall];
  }

  private void in(int wall, double v) {
    delays[wall][at[wall]] = v;
    at[wall] = at[wall] + 1 == delays[wall].length ? 0 : at[wall] + 1;
  }
}
