package phalanx.picking;

import phalanx.theory.Ticks;

/**
 * Strings of one stroke struck one after another.
 *
 * @param towardsTreble whether it goes from the low strings to the high ones
 * @param speed time from string to string in sixty-fourth notes, 1 to 8
 * @throws IllegalArgumentException if a step of the roll is out of range
 */
public record Roll(boolean towardsTreble, int speed) {

  public static final int SLOWEST = 8;

  public Roll {
    if (speed < 1 || speed > SLOWEST) {
      throw new IllegalArgumentException("a roll goes in 1 to 8 sixty-fourths: " + speed);
    }
  }

  /** Time from string to string in ticks. */
  public int stepTicks() {
    return speed * Ticks.PER_WHOLE / 64;
  }
}
