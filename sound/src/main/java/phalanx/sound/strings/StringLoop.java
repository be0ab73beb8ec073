package phalanx.sound.strings;

/**
 * A string vibrating in one direction: a delay loop of one period with losses and, because a string
 * is stiff, high partials that run a little faster. Not safe for several threads.
 */
final class StringLoop {

  /** The lowest note there is room for, Hz. */
  private static final double LOWEST = 25;

  /** What the interpolation needs beside the delay. */
  private static final int MARGIN = 4;

  private final double[] loop;
  private final int mask;
  private int at;
  private int whole = 100;
  private double c0;
  private double c1 = 1;
  private double c2;
  private double c3;
  private double a;
  private double b;
  private double state;
  private double all;
  private int sections;
  private final double[] first = new double[2];
  private final double[] second = new double[2];
  private double delay = 100;
  private double goal = 100;
  private double step;

  StringLoop(double rate) {
    loop = new double[Integer.highestOneBit((int) (rate / LOWEST)) * 2];
    mask = loop.length - 1;
  }

  /**
   * Takes over a note’s losses and stiffness, and its length at once or little by little.
   *
   * @param samples of the delay alone
   * @param glides over how many samples the new length takes hold; 0 for at once
   */
  void tune(double samples, LoopFilter losses, Stiffness stiffness, double glides) {
    a = losses.a();
    b = losses.b();
    all = stiffness.coefficient();
    sections = stiffness.sections();
    goal = Math.max(2 * MARGIN, Math.min(loop.length - MARGIN, samples));
    if (glides < 1) {
      delay = goal;
      step = 0;
    } else {
      step = (goal - delay) / glides;
    }
    place();
  }

  void clear() {
    java.util.Arrays.fill(loop, 0);
    state = 0;
    java.util.Arrays.fill(first, 0);
    java.util.Arrays.fill(second, 0);
  }

  void scale(double by) {
    for (int n = 0; n < loop.length; n++) {
      loop[n] *= by;
    }
    state *= by;
    for (int n = 0; n < 2; n++) {
      first[n] *= by;
      second[n] *= by;
    }
  }

  /** So many samples can be taken out before any must be put back. */
  int room() {
    return (int) Math.min(delay, goal) - MARGIN;
  }

  /** The waves that arrive at the bridge next. */
  void read(double[] out, int count) {
    delayed(out, count);
    if (sections == 0) {
      lossy(out, count);
    } else if (sections == 1) {
      stiff(out, count);
    } else {
      stiffer(out, count);
    }
  }

  private void lossy(double[] out, int count) {
    double last = state;
    for (int n = 0; n < count; n++) {
      last = b * out[n] + a * last;
      out[n] = last;
    }
    state = last;
  }

  /** Losses and one all-pass in one pass, so that the processor works at both at once. */
  private void stiff(double[] out, int count) {
    double gain = b;
    double pole = a;
    double c = all;
    double last = state;
    double in = first[0];
    double passed = first[1];
    for (int n = 0; n < count; n++) {
      last = gain * out[n] + pole * last;
      passed = c * last + in - c * passed;
      in = last;
      out[n] = passed;
    }
    state = last;
    first[0] = in;
    first[1] = passed;
  }

  /** The same with two. */
  private void stiffer(double[] out, int count) {
    double gain = b;
    double pole = a;
    double c = all;
    double last = state;
    double in = first[0];
    double passed = first[1];
    double in2 = second[0];
    double passed2 = second[1];
    for (int n = 0; n < count; n++) {
      last = gain * out[n] + pole * last;
      passed = c * last + in - c * passed;
      in = last;
      passed2 = c * passed + in2 - c * passed2;
      in2 = passed;
      out[n] = passed2;
    }
    state = last;
    first[0] = in;
    first[1] = passed;
    second[0] = in2;
    second[1] = passed2;
  }

  private void delayed(double[] out, int count) {
    if (step != 0) {
      for (int n = 0; n < count; n++) {
        move();
        int r = at + n - whole;
        out[n] =
            c0 * loop[r + 1 & mask]
                + c1 * loop[r & mask]
                + (c2 * loop[r - 1 & mask] + c3 * loop[r - 2 & mask]);
      }
      return;
    }
    double k0 = c0;
    double k1 = c1;
    double k2 = c2;
    double k3 = c3;
    int r = at - whole;
    double x3 = loop[r - 2 & mask];
    double x2 = loop[r - 1 & mask];
    double x1 = loop[r & mask];
    for (int n = 0; n < count; n++) {
      double x0 = loop[r + n + 1 & mask];
      out[n] = k0 * x0 + k1 * x1 + (k2 * x2 + k3 * x3);
      x3 = x2;
      x2 = x1;
      x1 = x0;
    }
  }

  /** The waves that go back. */
  void write(double[] in, int count) {
    for (int n = 0; n < count; n++) {
      loop[at + n & mask] = in[n];
    }
    at += count;
  }

  private void move() {
    delay += step;
    if (step > 0 ? delay >= goal : delay <= goal) {
      delay = goal;
      step = 0;
    }
    place();
  }

  /** Third-order Lagrange interpolation between four neighbours. */
  private void place() {
    whole = (int) delay;
    double d = delay - whole + 1;
    double d1 = d - 1;
    double d2 = d - 2;
    double d3 = d - 3;
    c0 = -d1 * d2 * d3 / 6;
    c1 = d * d2 * d3 / 2;
    c2 = -d * d1 * d3 / 2;
    c3 = d * d1 * d2 / 6;
  }
}
