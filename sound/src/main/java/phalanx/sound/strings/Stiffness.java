package phalanx.sound.strings;

/**
 * What makes high partials of a stiff string sharp: partial n lies at n·f·√(1 + B·n²) (H. Fletcher,
 * 1964). In the loop it is one or two all-pass filters of the first order, whose delay is longer
 * for low frequencies; the coefficient is found by fitting the first partials (the filters as in J.
 * Rauhala and V. Välimäki, “Tunable dispersion filter design for piano synthesis”, IEEE Signal
 * Processing Letters 13, 2006; our own search instead of their closed form).
 *
 * @param coefficient of the all-pass, −1 to 0
 * @param sections how many, 0 to 2
 */
record Stiffness(double coefficient, int sections) {

  static final Stiffness NONE = new Stiffness(0, 0);

  /** Partials that are fitted, and the highest frequency of one, Hz. */
  private static final int PARTIALS = 14;

  private static final double HIGHEST = 6000;

  private static final double LEAST = -0.93;

  private static final int STEPS = 48;

  /**
   * The filter for a note.
   *
   * @param b inharmonicity, 0 to 10⁻³
   */
  static Stiffness of(double hertz, double b, double rate, LoopFilter losses) {
    int sections = hertz < 160 ? 2 : 1;
    Stiffness best = NONE;
    double least = miss(NONE, hertz, b, rate, losses);
    for (int k = 1; k <= STEPS; k++) {
      Stiffness tried = new Stiffness(LEAST * k / STEPS, sections);
      double miss = miss(tried, hertz, b, rate, losses);
      if (miss < least) {
        least = miss;
        best = tried;
      }
    }
    return best;
  }

  /** How far partials lie off when the first is right: the sum of squares, in turns of phase. */
  private static double miss(
      Stiffness tried, double hertz, double b, double rate, LoopFilter losses) {
    double first = 2 * Math.PI * hertz / rate;
    double line = rate / hertz - losses.delay(first) - tried.delay(first);
    double sum = 0;
    for (int n = 2; n <= PARTIALS && n * hertz < HIGHEST; n++) {
      double omega = n * first * Math.sqrt((1 + b * n * n) / (1 + b));
      double turns = omega * (line + losses.delay(omega) + tried.delay(omega)) / (2 * Math.PI);
      // A turn of phase is a partial; off by that share of the spacing, weighed as cents are.
      double off = (turns - n) / n;
      sum += off * off;
    }
    return sum;
  }

  /** Its phase delay, samples. */
  double delay(double omega) {
    if (sections == 0) {
      return 0;
    }
    double c = coefficient;
    double turn = omega - 2 * Math.atan2(c * Math.sin(omega), 1 + c * Math.cos(omega));
    return sections * turn / omega;
  }
}
