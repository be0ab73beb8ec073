package phalanx.picking;

import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A strike with its fingers. What no finger is free for in time is left out of it.
 *
 * @param fingers the finger of each string that is struck, 0 for ⑥ to 5 for ①
 * @param taken the fingers of its hit or brush, which may be none; empty where that is left out
 */
public record Fingered(Map<Integer, PickFinger> fingers, Optional<Set<PickFinger>> taken) {

  public Fingered {
    fingers = Map.copyOf(fingers);
    taken = taken.map(Set::copyOf);
  }

  /** Whether its hit or brush is played, or there is none. */
  public boolean gesture() {
    return taken.isPresent();
  }

  /** The finger on a string. */
  public Optional<PickFinger> finger(int string) {
    return Optional.ofNullable(fingers.get(string));
  }
}
