package phalanx.practice;

import java.util.OptionalDouble;

/**
 * A stroke that was expected and heard.
 *
 * @param stroke what was expected
 * @param expected when the player’s own tempo has it, s of what was heard
 * @param heard when it was heard, s
 * @param level how loud it was, dB beside any level that is the same for all; empty where only a
 *     time is known
 */
public record MatchedStroke(
    ExpectedStroke stroke, double expected, double heard, OptionalDouble level) {

  /** A stroke of which only the time is known. */
  public MatchedStroke(ExpectedStroke stroke, double expected, double heard) {
    this(stroke, expected, heard, OptionalDouble.empty());
  }

  /** How late it came, s; less than 0 early. */
  public double late() {
    return heard - expected;
  }
}
