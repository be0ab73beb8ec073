package phalanx.practice;

import java.util.Arrays;

/**
 * How a player’s time goes along with written time: a polynomial of the second order at most,
 * fitted by least squares to pairs of both, those far off left aside.
 *
 * @param offset when the written beginning is heard, s
 * @param slope seconds heard for a second written at the beginning
 * @param bend by how much that changes in a second, halved
 * @param from written time of the first pair, s
 * @param to written time of the last
 */
record TempoLine(double offset, double slope, double bend, double from, double to) {

  private static final int ROUNDS = 5;

  /** Pairs further off than this many deviations are left aside, or than this time, s. */
  private static final double FAR = 3;

  private static final double NEAR = 0.03;

  /** Fewer pairs than this make a straight line, fewer still one of a known slope. */
  private static final int CURVED = 16;

  private static final int STRAIGHT = 6;

  /** A line within this of the written time, s, is the written time itself. */
  private static final double EXACT = 0.012;

  /** When something written is heard. */
  double at(double written) {
    return offset + written * (slope + written * bend);
  }

  /** Seconds heard for a second written at a written time. */
  double slopeAt(double written) {
    return slope + 2 * bend * written;
  }

  /** By how much the tempo rises from the first pair to the last. */
  double drift(double tempo) {
    return tempo / slopeAt(to) - tempo / slopeAt(from);
  }

  /** Whether it is nothing but the written time, which a click or a recording begun on time has. */
  boolean isWritten() {
    return Math.abs(at(from) - from) < EXACT
        && Math.abs(at(to) - to) < EXACT
        && Math.abs(at((from + to) / 2) - (from + to) / 2) < EXACT;
  }

  /** The written time, drifting as this line does where that is more than its own doubt. */
  TempoLine orWritten() {
    return isWritten() ? new TempoLine(0, 1, 0, from, to) : this;
  }

  /** A line through pairs, at least one. */
  static TempoLine of(double[] written, double[] heard, double slowness) {
    boolean[] used = new boolean[written.length];
    Arrays.fill(used, true);
    TempoLine line = fit(written, heard, used, slowness);
    for (int round = 0; round < ROUNDS; round++) {
      double squares = 0;
      int count = 0;
      for (int k = 0; k < written.length; k++) {
        if (used[k]) {
          double off = heard[k] - line.at(written[k]);
          squares += off * off;
          count++;
        }
      }
      double far = Math.max(NEAR, FAR * Math.sqrt(squares / Math.max(1, count)));
      for (int k = 0; k < written.length; k++) {
        used[k] = Math.abs(heard[k] - line.at(written[k])) <= far;
      }
      line = fit(written, heard, used, slowness);
    }
    return line;
  }

  private static TempoLine fit(double[] w, double[] h, boolean[] used, double slowness) {
    int count = 0;
    double from = Double.MAX_VALUE;
    double to = -Double.MAX_VALUE;
    for (int k = 0; k < w.length; k++) {
      if (used[k]) {
        count++;
        from = Math.min(from, w[k]);
        to = Math.max(to, w[k]);
      }
    }
    if (count == 0) {
      return new TempoLine(h[0] - w[0] * slowness, slowness, 0, w[0], w[0]);
    }
    int order = count >= CURVED ? 3 : count >= STRAIGHT && to - from > 0.5 ? 2 : 1;
    // Around the middle, where sums are small enough to be exact.
    double middle = (from + to) / 2;
    double[][] m = new double[order][order + 1];
    for (int k = 0; k < w.length; k++) {
      if (!used[k]) {
        continue;
      }
      double x = w[k] - middle;
      double y = h[k] - slowness * x;
      double[] powers = {1, x, x * x};
      for (int r = 0; r < order; r++) {
        for (int c = 0; c < order; c++) {
          m[r][c] += powers[r] * powers[c];
        }
        m[r][order] += powers[r] * y;
      }
    }
    double[] p = Arrays.copyOf(solved(m), 3);
    double b = p[2];
    double a = p[1] + slowness;
    double offset = p[0] - a * middle + b * middle * middle;
    return new TempoLine(offset, a - 2 * b * middle, b, from, to);
  }

  /** Gauss’s elimination with the largest pivot. */
  private static double[] solved(double[][] m) {
    int n = m.length;
    for (int c = 0; c < n; c++) {
      int pivot = c;
      for (int r = c + 1; r < n; r++) {
        pivot = Math.abs(m[r][c]) > Math.abs(m[pivot][c]) ? r : pivot;
      }
      double[] row = m[pivot];
      m[pivot] = m[c];
      m[c] = row;
      if (Math.abs(row[c]) < 1e-12) {
        continue;
      }
      for (int r = 0; r < n; r++) {
        if (r != c) {
          double by = m[r][c] / row[c];
          for (int k = c; k <= n; k++) {
            m[r][k] -= by * row[k];
          }
        }
      }
    }
    double[] x = new double[n];
    for (int r = 0; r < n; r++) {
      x[r] = Math.abs(m[r][r]) < 1e-12 ? 0 : m[r][n] / m[r][r];
    }
    return x;
  }
}
