package phalanx.sound.strings;

import phalanx.picking.Force;

/**
 * What leaves the string: the softer, the rounder the bend it leaves, the darker the sound. The
 * figures order what players hear (common practice, no source).
 */
public enum Plucker {
  FLESH(1500, 0.006),
  FINGERTIP(2400, 0.010),
  NAIL(4200, 0.022),
  PICK(7000, 0.035);

  private final double roundedHz;
  private final double scrape;

  Plucker(double roundedHz, double scrape) {
    this.roundedHz = roundedHz;
    this.scrape = scrape;
  }

  /** Above this the bend is rounded off, Hz. A stronger pluck is brighter, not only louder. */
  double roundedHz(Force force) {
    return roundedHz
        * switch (force) {
          case SOFT -> 0.55;
          case PLAIN -> 1;
          case ACCENTED -> 1.5;
        };
  }

  /** How much of the noise of leaving is in it, against the pluck. */
  double scrape() {
    return scrape;
  }

  /** How loud a pluck of this force is against a plain one. */
  static double level(Force force) {
    return switch (force) {
      case SOFT -> 0.5;
      case PLAIN -> 1;
      case ACCENTED -> 1.5;
    };
  }
}
