package phalanx.arrangement;

import java.util.List;

/**
 * Strings that are stopped without being struck.
 *
 * @param tick when, in ticks from the start of the song
 * @param strings the strings, rising, 0 for ⑥ to 5 for ①
 * @param by what is laid on them
 * @param planned whether the plan stops them by itself, because they would ring into a chord they
 *     do not belong to; otherwise the pattern or the player asks for it
 */
public record Damp(int tick, List<Integer> strings, Damper by, boolean planned) {

  public Damp {
    strings = strings.stream().distinct().sorted().toList();
  }

  /** Strings that the pattern or the player wants stopped. */
  public Damp(int tick, List<Integer> strings, Damper by) {
    this(tick, strings, by, false);
  }

  /** The same as the plan’s own doing. */
  public Damp asPlanned() {
    return new Damp(tick, strings, by, true);
  }
}
