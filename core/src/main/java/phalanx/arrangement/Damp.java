package phalanx.arrangement;

import java.util.List;

/**
 * Strings that are stopped without being struck.
 *
 * @param tick when, in ticks from the start of the song
 * @param strings the strings, rising, 0 for ⑥ to 5 for ①
 * @param by what is laid on them
 */
public record Damp(int tick, List<Integer> strings, Damper by) {

  public Damp {
    strings = strings.stream().distinct().sorted().toList();
  }
}
