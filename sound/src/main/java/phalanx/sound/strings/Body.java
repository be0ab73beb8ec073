package phalanx.sound.strings;

import java.util.List;

/**
 * What is heard of the force on the bridge: the resonances of the body, each side its own mixture
 * of them, and what the bridge radiates straight. Resonances are worked off four at a time, so that
 * the processor need not wait for one to go on with the next.
 */
final class Body {

  /** Below this the bridge itself radiates nothing, Hz. */
  private static final double STRAIGHT_HZ = 1500;

  private static final double STRAIGHT = 0.3;

  /** Keeps what fades away from the numbers so small that processors are slow with them. */
  private static final double NOTHING = 1e-25;

  private static final int LANES = 4;

  private final int modes;
  private final double[] gain;
  private final double[] b1;
  private final double[] b2;
  private final double[] y1;
  private final double[] y2;
  private final double[] left;
  private final double[] right;
  private final double highPass;
  private double[] edges = new double[0];
  private double x1;
  private double x2;
  private double low;

  Body(Modes body, double rate) {
    List<Modes.Radiating> all = body.radiating();
    modes = (all.size() + LANES - 1) / LANES * LANES;
    gain = new double[modes];
    b1 = new double[modes];
    b2 = new double[modes];
    y1 = new double[modes];
    y2 = new double[modes];
    left = new double[modes];
    right = new double[modes];
    highPass = 1 - Math.exp(-2 * Math.PI * STRAIGHT_HZ / rate);
    for (int m = 0; m < all.size(); m++) {
      Resonance resonance = Resonance.of(all.get(m).hertz(), all.get(m).sharpness(), rate);
      gain[m] = resonance.gain();
      b1[m] = resonance.b1();
      b2[m] = resonance.b2();
      left[m] = all.get(m).left();
      right[m] = all.get(m).right();
    }
  }

  /** Adds what is heard of the force on the bridge to both sides. */
  void add(double[] force, double[] toLeft, double[] toRight, int from, int to) {
    if (edges.length < to) {
      edges = new double[to];
    }
    for (int n = from; n < to; n++) {
      double x = force[n];
      low += highPass * (x - low) + NOTHING;
      double straight = STRAIGHT * (x - low);
      toLeft[n] += straight;
      toRight[n] += straight;
      edges[n] = x - x2 + NOTHING;
      x2 = x1;
      x1 = x;
    }
    for (int m = 0; m < modes; m += LANES) {
      four(m, toLeft, toRight, from, to);
    }
  }

  private void four(int m, double[] toLeft, double[] toRight, int from, int to) {
    double g0 = gain[m];
    double g1 = gain[m + 1];
    double g2 = gain[m + 2];
    double g3 = gain[m + 3];
    double p0 = b1[m];
    double p1 = b1[m + 1];
    double p2 = b1[m + 2];
    double p3 = b1[m + 3];
    double q0 = b2[m];
    double q1 = b2[m + 1];
    double q2 = b2[m + 2];
    double q3 = b2[m + 3];
    double u0 = y1[m];
    double u1 = y1[m + 1];
    double u2 = y1[m + 2];
    double u3 = y1[m + 3];
    double v0 = y2[m];
    double v1 = y2[m + 1];
    double v2 = y2[m + 2];
    double v3 = y2[m + 3];
    double l0 = left[m];
    double l1 = left[m + 1];
    double l2 = left[m + 2];
    double l3 = left[m + 3];
    double r0 = right[m];
    double r1 = right[m + 1];
    double r2 = right[m + 2];
    double r3 = right[m + 3];
    for (int n = from; n < to; n++) {
      double edge = edges[n];
      double w0 = g0 * edge + p0 * u0 + q0 * v0;
      double w1 = g1 * edge + p1 * u1 + q1 * v1;
      double w2 = g2 * edge + p2 * u2 + q2 * v2;
      double w3 = g3 * edge + p3 * u3 + q3 * v3;
      v0 = u0;
      v1 = u1;
      v2 = u2;
      v3 = u3;
      u0 = w0;
      u1 = w1;
      u2 = w2;
      u3 = w3;
      toLeft[n] += l0 * w0 + l1 * w1 + (l2 * w2 + l3 * w3);
      toRight[n] += r0 * w0 + r1 * w1 + (r2 * w2 + r3 * w3);
    }
    y1[m] = u0;
    y1[m + 1] = u1;
    y1[m + 2] = u2;
    y1[m + 3] = u3;
    y2[m] = v0;
    y2[m + 1] = v1;
    y2[m + 2] = v2;
    y2[m + 3] = v3;
  }
}
