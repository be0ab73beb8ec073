package phalanx.sound.strings;

import phalanx.instrument.Guitar;
import phalanx.sound.Texts;

/**
 * What the strings are made of: how long they ring by themselves, how bright they stay, how stiff
 * and how heavy they are.
 *
 * <p>Times are to a fall by 60 dB. The order of size agrees with decay times measured on guitars
 * (N. Fletcher and T. Rossing, The Physics of Musical Instruments, ch. 9: seconds for the low
 * strings of a steel-string guitar, less than a second for high notes on nylon; from memory).
 */
public enum Material {
  STEEL(Texts.of("material.steelStrings"), 13.3, 0.33, 1.6, 2.4),
  NYLON(Texts.of("material.nylonStrings"), 6.2, 0.5, 0.9, 0.62);

  /** Open string ⑥ in standard tuning, Hz. */
  private static final double LOW_E = 82.41;

  /** Where the brightness of a ring is stated, Hz. */
  static final double BRIGHT_HZ = 3000;

  /** A fretted note rings shorter than an open string: the fingertip is soft (from memory). */
  private static final double FRETTED = 0.65;

  /** Along the top the bridge hardly gives way. */
  static final double ALONG_LONGER = 1.3;

  /** Along the top a string is a little longer, for the saddle holds it less: 0.7 cents. */
  static final double ALONG_FLAT = 1.0004;

  /**
   * Inharmonicity B of the open strings from ⑥ to ① (order of size as measured on guitars: J.
   * Rauhala and V. Välimäki 2006, J. Woodhouse 2004, from memory).
   */
  private static final double[] STEEL_B = {1.0e-4, 7e-5, 5e-5, 4.5e-5, 5e-5, 3e-5};

  private static final double[] NYLON_B = {1.1e-4, 8e-5, 5e-5, 6e-5, 3.5e-5, 2.5e-5};

  /** Wave impedance of the strings from ⑥ to ①, kg/s: root of tension times mass (from memory). */
  private static final double[] STEEL_Z = {0.70, 0.58, 0.45, 0.32, 0.22, 0.17};

  private static final double[] NYLON_Z = {0.60, 0.47, 0.36, 0.36, 0.26, 0.19};

  private static final double NYLON_DARK = 0.7;

  private final String words;
  private final double lowDecay;
  private final double fall;
  private final double woundBright;
  private final double plainBright;

  Material(String words, double lowDecay, double fall, double woundBright, double plainBright) {
    this.words = words;
    this.lowDecay = lowDecay;
    this.fall = fall;
    this.woundBright = woundBright;
    this.plainBright = plainBright;
  }

  /** In the player’s words. */
  public String words() {
    return words;
  }

  /** What a guitar is strung with, by how it is built. */
  public static Material of(Guitar guitar) {
    return guitar.build().equals(Guitar.STEEL) ? STEEL : NYLON;
  }

  /**
   * Whether a string, 0 for ⑥ to 5 for ①, is wound with wire: four of six on steel, three on nylon.
   */
  public boolean isWound(int string) {
    return string < (this == STEEL ? 4 : 3);
  }

  /**
   * How stiff a string is.
   *
   * @param higher how much higher than open it sounds, a factor: stiffness grows with its square
   */
  double stiffness(int string, double higher) {
    double open = this == STEEL ? STEEL_B[string] : NYLON_B[string];
    return open * higher * higher;
  }

  /** How bright a pluck is on it: a thick soft string bends less sharply than a thin hard one. */
  double darkened(double roundedHz) {
    return this == NYLON ? NYLON_DARK * roundedHz : roundedHz;
  }

  /** How strongly a string holds on to the bridge, against the heaviest. */
  double share(int string) {
    double[] z = this == STEEL ? STEEL_Z : NYLON_Z;
    return Math.sqrt(z[string] / STEEL_Z[0]);
  }

  /**
   * How long a note rings without the body.
   *
   * @param decay of the fundamental, s to −60 dB
   * @param bright of partials near another frequency, never longer
   * @param brightHz that frequency, Hz
   */
  record Ring(double decay, double bright, double brightHz) {

    Ring longer(double by) {
      return new Ring(by * decay, by * bright, brightHz);
    }

    LoopFilter losses(double hertz, double rate) {
      return LoopFilter.of(hertz, rate, decay, Math.max(brightHz, 2 * hertz), bright);
    }
  }

  /** How long a note rings without the body. */
  Ring ring(int string, double hertz, boolean open) {
    return new Ring(decay(hertz, open), brightDecay(string, hertz, open), BRIGHT_HZ);
  }

  /** How long the fundamental of a note rings without the body, s, to −60 dB. */
  double decay(double hertz, boolean open) {
    return lowDecay * Math.pow(LOW_E / hertz, fall) * (open ? 1 : FRETTED);
  }

  /** How long partials near {@link #BRIGHT_HZ} ring, s, to −60 dB; never longer than the note. */
  double brightDecay(int string, double hertz, boolean open) {
    double bright = isWound(string) ? woundBright : plainBright;
    return Math.min(bright * (open ? 1 : FRETTED), 0.8 * decay(hertz, open));
  }
}
