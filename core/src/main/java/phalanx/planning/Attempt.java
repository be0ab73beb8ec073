package phalanx.planning;

import phalanx.arrangement.Arrangement;

/** What comes of planning a song that must not cost more than a limit. */
public sealed interface Attempt {

  /** It was planned in full. */
  record Planned(Arrangement arrangement) implements Attempt {}

  /**
   * It was given up, for it costs more.
   *
   * @param atLeast what its plan costs at least, without unit
   */
  record GivenUp(double atLeast) implements Attempt {}
}
