package phalanx.sound.strings;

import phalanx.instrument.Guitar;

/**
 * What the strings are made of: how long they ring and how bright they stay.
 *
 * <p>Times are to a fall by 60 dB. The order of size agrees with decay times measured on guitars
 * (N. Fletcher and T. Rossing, The Physics of Musical Instruments, ch. 9: seconds for the low
 * strings of a steel-string guitar, less than a second for high notes on nylon; from memory).
 */
public enum Material {
  STEEL(7.5, 0.55, 1.15, 1.5),
  NYLON(4.6, 0.74, 0.42, 0.5);

  /** Open string ⑥ in standard tuning, Hz. */
  private static final double LOW_E = 82.41;

  /** Where the brightness of a ring is stated, Hz. */
  static final double BRIGHT_HZ = 3000;

  /** A fretted note rings shorter than an open string: the fingertip is soft (from memory). */
  private static final double FRETTED = 0.85;

  private final double lowDecay;
  private final double fall;
  private final double woundBright;
  private final double plainBright;

  Material(double lowDecay, double fall, double woundBright, double plainBright) {
    this.lowDecay = lowDecay;
    this.fall = fall;
    this.woundBright = woundBright;
    this.plainBright = plainBright;
  }

  /** What a guitar is strung with, by how it is built. */
  public static Material of(Guitar guitar) {
    return guitar.build().equals(Guitar.STEEL) ? STEEL : NYLON;
  }

  /**
   * Whether a string, 0 for ⑥ to 5 for ①, is wound with wire: four of six on steel, three on nylon.
   */
  boolean isWound(int string) {
    return string < (this == STEEL ? 4 : 3);
  }

  /** How long the fundamental of a note rings, s, to −60 dB. */
  double decay(double hertz, boolean open) {
    return lowDecay * Math.pow(LOW_E / hertz, fall) * (open ? 1 : FRETTED);
  }

  /** How long partials near {@link #BRIGHT_HZ} ring, s, to −60 dB; never longer than the note. */
  double brightDecay(int string, double hertz, boolean open) {
    double bright = isWound(string) ? woundBright : plainBright;
    return Math.min(bright * (open ? 1 : FRETTED), 0.8 * decay(hertz, open));
  }
}
