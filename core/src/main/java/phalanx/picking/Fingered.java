package phalanx.picking;

import java.util.Map;
import java.util.Optional;

/**
 * A strike with its fingers. What no finger is free for in time is left out of it.
 *
 * @param fingers the finger of each string that is struck, 0 for ⑥ to 5 for ①
 * @param gesture whether its hit or brush is played
 */
public record Fingered(Map<Integer, PickFinger> fingers, boolean gesture) {

  public Fingered {
    fingers = Map.copyOf(fingers);
  }

  /** The finger on a string. */
  public Optional<PickFinger> finger(int string) {
    return Optional.ofNullable(fingers.get(string));
  }
}
