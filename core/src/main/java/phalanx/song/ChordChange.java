package phalanx.song;

/**
 * A chord and where in its bar it begins.
 *
 * @param tick ticks from the start of the bar, 0 or more
 * @param harmony what begins there
 * @throws IllegalArgumentException if the chord comes before its bar
 */
public record ChordChange(int tick, Harmony harmony) {

  public ChordChange {
    if (tick < 0) {
      throw new IllegalArgumentException("a chord before its bar: " + tick);
    }
  }
}
