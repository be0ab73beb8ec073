package phalanx.sound.strings;

/**
 * One string, vibrating up and down, which moves the bridge, and along the top, which hardly does
 * and so rings longer: a note falls fast at first and slowly then, and beats where the two differ
 * (G. Weinreich, Journal of the Acoustical Society of America 62, 1977; M. Karjalainen, V. Välimäki
 * and T. Tolonen, Computer Music Journal 22(3), 1998). It sounds one note at a time; plucked anew
 * the old one is gone, slurred the same vibration goes on at another length; free it takes what the
 * bridge gives it. Not safe for several threads.
 */
final class StringVoice {

  /** Below this a string is silent: −130 dB. */
  private static final double SILENT = 3e-7;

  /** So many samples are worked off at once, at most. */
  static final int MOST = 64;

  /** What was silent for so long is still, s: more than the period of any string. */
  private static final double STILL = 0.05;

  /** A fade sets in over this time, s, so that its start is no click. */
  private static final double SETTLES = 0.0015;

  /** Time for a new length to take hold in a slur, s: the finger is quick but not a switch. */
  private static final double TAKES_HOLD = 0.003;

  /** What of a pluck goes up and down, and what along the top: a finger leaves at a slant. */
  private static final double UP = 0.85;

  private static final double ALONG = 0.5;

  private static final double RESTED_UP = 1.05;

  private static final double RESTED_ALONG = 0.15;

  /** How much of the motion along the top is heard. */
  private static final double ALONG_HEARD = 0.22;

  private final double rate;
  private double share;
  private final StringLoop up;
  private final StringLoop along;
  private final double[] wave = new double[MOST];
  private final double[] other = new double[MOST];
  private double[] burst = new double[0];
  private int burstAt;
  private double fade = 1;
  private double fadeFactor = 1;
  private double goalFactor = 1;
  private final double settling;
  private double level = 1;
  private double goalLevel = 1;
  private final double levelStep;
  private double upShare = UP;
  private double alongShare = ALONG;
  private boolean silent = true;
  private boolean idle = true;
  private int still;

  StringVoice(double rate) {
    this.rate = rate;
    up = new StringLoop(rate);
    along = new StringLoop(rate);
    levelStep = 1 / (0.02 * rate);
    settling = 1 / (SETTLES * rate);
  }

  /**
   * Sets how strongly it holds on to the bridge.
   *
   * @param other 0 to 1: the root of its impedance against that of the heaviest
   */
  void holds(double other) {
    share = other;
  }

  /** How strongly it holds on to the bridge. */
  double share() {
    return share;
  }

  /**
   * A note’s loops, ready to be taken over.
   *
   * @param upDelay length of the loop up and down, samples
   * @param alongDelay the same along the top
   * @param losses of the one
   * @param alongLosses of the other
   */
  record Tuned(
      double upDelay,
      double alongDelay,
      LoopFilter losses,
      LoopFilter alongLosses,
      Stiffness stiffness) {}

  /**
   * Plucks it: what was there is gone.
   *
   * @param rested whether the finger leaves it downwards, to the next string
   */
  void pluck(Tuned note, double[] struck, double loudness, boolean rested) {
    upShare = rested ? RESTED_UP : UP;
    alongShare = rested ? RESTED_ALONG : ALONG;
    if (silent || idle) {
      up.clear();
      along.clear();
    } else {
      // What is left of the old note is as loud as it was heard, so that there is no step.
      scale(fade * (loudness > 0 ? level / loudness : 1));
    }
    ring();
    level = loudness;
    goalLevel = loudness;
    tune(note, 0);
    burst = struck;
    burstAt = 0;
    silent = false;
    idle = false;
  }

  private void scale(double by) {
    up.scale(by);
    along.scale(by);
  }

  /** Lies open, still, and rings along with what the bridge does. */
  void free(Tuned open) {
    up.clear();
    along.clear();
    tune(open, 0);
    ring();
    level = 1;
    goalLevel = 1;
    burstAt = burst.length;
    idle = true;
    silent = true;
    java.util.Arrays.fill(other, 0);
  }

  /** Whether nobody plucked it since it was last silent. */
  boolean isIdle() {
    return idle;
  }

  /** Goes on sounding at another length, with a little new energy. */
  void slur(Tuned note, double[] struck) {
    tune(note, TAKES_HOLD);
    burst = struck;
    burstAt = 0;
    silent = false;
    idle = false;
    fade(0);
  }

  /** Another length under way, as a sliding finger passes a fret. */
  void pass(Tuned note) {
    tune(note, TAKES_HOLD);
  }

  private void tune(Tuned note, double seconds) {
    up.tune(note.upDelay(), note.losses(), note.stiffness(), seconds * rate);
    along.tune(note.alongDelay(), note.alongLosses(), note.stiffness(), seconds * rate);
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

  /** Whether it is still: nobody has plucked it and nothing has come from the bridge. */
  boolean isSilent() {
    return silent;
  }

  /** So many samples can be worked off at once. */
  int room() {
    return Math.max(1, Math.min(MOST, Math.min(up.room(), along.room())));
  }

  /** Adds the waves that arrive at the bridge, twice its share of them. */
  void come(double[] incoming, int count) {
    up.read(wave, count);
    int struck = Math.min(count, burst.length - burstAt);
    for (int n = 0; n < struck; n++) {
      wave[n] += upShare * burst[burstAt + n];
    }
    double twice = 2 * share;
    for (int n = 0; n < count; n++) {
      incoming[n] += twice * wave[n];
    }
  }

  /**
   * Goes back from a bridge that moved, and adds what is heard of it.
   *
   * @param at where in what is heard
   */
  void go(double[] moved, double[] heard, int at, int count) {
    if (!idle) {
      along.read(other, count);
      int struck = Math.min(count, burst.length - burstAt);
      for (int n = 0; n < struck; n++) {
        other[n] += alongShare * burst[burstAt + n];
      }
      burstAt += struck;
      along.write(other, count);
    }
    double most = 0;
    if (fadeFactor == 1 && goalFactor == 1 && level == goalLevel) {
      double loud = fade * level;
      for (int n = 0; n < count; n++) {
        double y = wave[n] + ALONG_HEARD * other[n];
        heard[at + n] += y * loud;
        most = Math.max(most, Math.abs(y));
      }
    } else {
      for (int n = 0; n < count; n++) {
        double y = wave[n] + ALONG_HEARD * other[n];
        heard[at + n] += y * loudness();
        most = Math.max(most, Math.abs(y));
      }
    }
    for (int n = 0; n < count; n++) {
      wave[n] -= share * moved[n];
    }
    up.write(wave, count);
    still = most * fade > SILENT ? 0 : still + count;
    silent &= still > 0;
  }

  /** How loud the next sample is. */
  private double loudness() {
    fadeFactor += settling * (goalFactor - fadeFactor);
    fade *= fadeFactor;
    if (level != goalLevel) {
      level += Math.max(-levelStep, Math.min(levelStep, goalLevel - level));
    }
    return fade * level;
  }

  /** Whether what was plucked has died away, so that the string may lie open again. */
  boolean isOver() {
    if (still > STILL * rate && burstAt >= burst.length) {
      silent = true;
    }
    return silent && !idle;
  }
}
