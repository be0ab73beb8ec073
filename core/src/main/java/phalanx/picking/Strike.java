package phalanx.picking;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What the hand does at one instant, before fingers are chosen.
 *
 * @param tick when, in ticks from the start of the song as played
 * @param thumb the string the thumb strikes, 0 for ⑥ to 5 for ①
 * @param strings strings the fingers strike, rising
 * @param wanted fingers the player insists on, by string
 * @param gesture fingers that a hit or a brush takes
 * @param lighter fingers that it can do with as well, if it must
 * @param delays how much later than the tick a string is struck in a roll, in ticks
 */
public record Strike(
    int tick,
    Optional<Integer> thumb,
    List<Integer> strings,
    Map<Integer, PickFinger> wanted,
    Set<PickFinger> gesture,
    List<Set<PickFinger>> lighter,
    Map<Integer, Integer> delays) {

  public Strike {
    strings = strings.stream().distinct().sorted().toList();
    wanted = Map.copyOf(wanted);
    gesture = Set.copyOf(gesture);
    lighter = List.copyOf(lighter);
    delays = Map.copyOf(delays);
  }

  /** A strike whose hit or brush can only be made with all of its fingers. */
  public Strike(
      int tick,
      Optional<Integer> thumb,
      List<Integer> strings,
      Map<Integer, PickFinger> wanted,
      Set<PickFinger> gesture,
      Map<Integer, Integer> delays) {
    this(tick, thumb, strings, wanted, gesture, List.of(), delays);
  }

  /** Strings struck together, with nothing else. */
  public static Strike of(int tick, Optional<Integer> thumb, List<Integer> strings) {
    return new Strike(tick, thumb, strings, Map.of(), Set.of(), Map.of());
  }

  /** When a string is struck, in ticks from the start of the song. */
  public int at(int string) {
    return tick + delays.getOrDefault(string, 0);
  }
}
