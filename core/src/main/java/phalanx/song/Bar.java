package phalanx.song;

import java.util.List;

/**
 * One written bar.
 *
 * @param changes its chords in order; a bar without one goes on with the chord before
 * @param repeatStart whether a repeated passage starts with this bar
 * @param plays how often the passage ending here is played; 1 where no repeat ends
 */
public record Bar(List<ChordChange> changes, boolean repeatStart, int plays) {

  public Bar {
    changes = List.copyOf(changes);
    if (plays < 1) {
      throw new IllegalArgumentException("a passage is played once at least: " + plays);
    }
    for (int i = 1; i < changes.size(); i++) {
      if (changes.get(i).tick() <= changes.get(i - 1).tick()) {
        throw new IllegalArgumentException("chords out of order in a bar");
      }
    }
  }

  /** A bar without repeat signs. */
  public Bar(List<ChordChange> changes) {
    this(changes, false, 1);
  }

  /** The same bar at the start of a repeated passage. */
  public Bar startingRepeat() {
    return new Bar(changes, true, plays);
  }

  /** The same bar at the end of a passage played this often. */
  public Bar endingRepeat(int times) {
    return new Bar(changes, repeatStart, times);
  }
}
