package phalanx.sound.strings;

/**
 * One string: a delay loop of one period. It sounds one note at a time; plucked anew the old one is
 * gone, slurred the same vibration goes on at another length. Not safe for several threads.
 */
final class StringVoice {

  private static final int SIZE = 4096;
  private static final int MASK = SIZE - 1;

  /** Below this a string is silent: −120 dB. */
  private static final double SILENT = 1e-6;

  /** A fade sets in over this time, s, so that its start is no click. */
  private static final double SETTLES = 0.0015;

  /** Time for a new length to take hold in a slur, s: the finger is quick but not a switch. */
  private static final double TAKES_HOLD = 0.003;

  private final double rate;
  private final double[] loop = new double[SIZE];
  private int at;
  private double[] burst = new double[0];
  private int burstAt;
  private LoopFilter filter = new LoopFilter(0, 0, 0);
  private double state;
  private double delay = 100;
  private double goalDelay = 100;
  private double delayStep;
  private double fade = 1;
  private double fadeFactor = 1;
  private double goalFactor = 1;
  private final double settling;
  private double level = 1;
  private double goalLevel = 1;
  private final double levelStep;
  private boolean silent = true;
  private double peak;

  StringVoice(double rate) {
    this.rate = rate;
    levelStep = 1 / (0.02 * rate);
    settling = 1 / (SETTLES * rate);
  }

  /**
   * Plucks it: what was there is gone.
   *
   * @param tuned the note's loop, its filter's delay not yet subtracted
   */
  void pluck(double period, LoopFilter tuned, double[] struck, double loudness) {
    if (silent) {
      java.util.Arrays.fill(loop, 0);
      state = 0;
    } else {
      // What is left of the old note is as loud as it was heard, so that there is no step.
      scale(fade * (loudness > 0 ? level / loudness : 1));
    }
    ring();
    level = loudness;
    goalLevel = loudness;
    tune(period, tuned);
    delay = goalDelay;
    delayStep = 0;
    burst = struck;
    burstAt = 0;
    silent = false;
  }

  private void scale(double by) {
    for (int n = 0; n < SIZE; n++) {
      loop[n] *= by;
    }
    state *= by;
  }

  /** Goes on sounding at another length, with a little new energy. */
  void slur(double period, LoopFilter tuned, double[] struck) {
    tune(period, tuned);
    glide(TAKES_HOLD);
    burst = struck;
    burstAt = 0;
    silent = false;
    fade(0);
  }

  /** Another length under way, as a sliding finger passes a fret. */
  void pass(double period, LoopFilter tuned) {
    tune(period, tuned);
    glide(TAKES_HOLD);
  }

  private void tune(double period, LoopFilter tuned) {
    filter = tuned;
    goalDelay = period - tuned.delay();
  }

  private void glide(double seconds) {
    delayStep = (goalDelay - delay) / Math.max(1, seconds * rate);
  }

  /**
   * Fades what sounds.
   *
   * @param seconds to −60 dB; 0 lets it ring on
   */
  void fade(double seconds) {
    if (seconds == 0) {
      scale(fade);
      ring();
    } else {
      goalFactor = Math.pow(10, -3 / (seconds * rate));
    }
  }

  private void ring() {
    fade = 1;
    fadeFactor = 1;
    goalFactor = 1;
  }

  /** Makes it louder or softer from now on, without a step. */
  void level(double loudness) {
    goalLevel = loudness;
  }

  boolean isSilent() {
    return silent;
  }

  /** Adds its sound to a buffer. */
  void add(double[] out, int from, int to) {
    if (silent) {
      return;
    }
    double a = filter.a();
    double b = filter.b();
    peak = 0;
    for (int n = from; n < to; n++) {
      if (delayStep != 0) {
        move();
      }
      double v = b * read() + a * state;
      state = v;
      double in = burstAt < burst.length ? burst[burstAt++] : 0;
      double y = v + in;
      loop[at & MASK] = y;
      at++;
      fadeFactor += settling * (goalFactor - fadeFactor);
      fade *= fadeFactor;
      if (level != goalLevel) {
        level += Math.max(-levelStep, Math.min(levelStep, goalLevel - level));
      }
      double heard = y * fade;
      peak = Math.max(peak, Math.abs(heard));
      out[n] += heard * level;
    }
    boolean over = to - from >= delay || fade < SILENT;
    if (peak < SILENT && over && burstAt >= burst.length) {
      silent = true;
    }
  }

  private void move() {
    delay += delayStep;
    if (delayStep > 0 ? delay >= goalDelay : delay <= goalDelay) {
      delay = goalDelay;
      delayStep = 0;
    }
  }

  /** The sample a period ago: third-order Lagrange interpolation between its four neighbours. */
  private double read() {
    int whole = (int) delay;
    double d = delay - whole + 1;
    int r = at - whole;
    double d1 = d - 1;
    double d2 = d - 2;
    double d3 = d - 3;
    return -d1 * d2 * d3 / 6 * loop[r + 1 & MASK]
        + d * d2 * d3 / 2 * loop[r & MASK]
        - d * d1 * d3 / 2 * loop[r - 1 & MASK]
        + d * d1 * d2 / 6 * loop[r - 2 & MASK];
  }
}
