package phalanx.song;

import phalanx.text.Texts;
import phalanx.theory.Ticks;

/**
 * How late the second of two eighths falls. Written time stays straight; swing is how it is played.
 *
 * @param percent share of the beat that the first eighth takes, 50 for straight to 75
 * @throws IllegalArgumentException if the share is out of range
 */
public record Swing(int percent) {

  public static final Swing STRAIGHT = new Swing(50);

  /** The first eighth takes two thirds of the beat. */
  public static final Swing TRIPLET = new Swing(67);

  public Swing {
    if (percent < 50 || percent > 75) {
      throw new IllegalArgumentException("swing out of range: " + percent);
    }
  }

  /** Whether eighths are even. */
  public boolean isStraight() {
    return percent == 50;
  }

  /**
   * When a written tick is played, in ticks from the same start. Within each quarter the first half
   * is stretched and the second half squeezed.
   */
  public long played(long tick) {
    long beat = Math.floorDiv(tick, (long) Ticks.PER_QUARTER) * Ticks.PER_QUARTER;
    long within = tick - beat;
    long half = Ticks.PER_QUARTER / 2;
    long turn = Ticks.PER_QUARTER * percent / 100;
    return within < half
        ? beat + within * turn / half
        : beat + turn + (within - half) * (Ticks.PER_QUARTER - turn) / half;
  }

  /** In a player's words. */
  public String words() {
    return isStraight() ? Texts.of("swing.straight") : Texts.of("swing.swing", percent);
  }
}
