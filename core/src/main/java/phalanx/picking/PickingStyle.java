package phalanx.picking;

import java.util.Optional;
import phalanx.theory.Meter;

/** What the picking hand is to do, for bars of any metre. */
public sealed interface PickingStyle permits AlternatingThumb, WrittenPattern {

  /** What the player calls it. */
  String title();

  /** What the hand does, in a few words. */
  String words();

  /** The pattern for bars of a metre; it may span several bars. */
  Pattern in(Meter meter);

  /** What is played in the last bar of a song instead, if the pattern says so. */
  default Optional<Pattern> ending(Meter meter) {
    return Optional.empty();
  }
}
