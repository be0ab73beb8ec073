package phalanx.practice;

/**
 * A stroke that was expected and heard.
 *
 * @param stroke what was expected
 * @param expected when the player’s own tempo has it, s of what was heard
 * @param heard when it was heard, s
 */
public record MatchedStroke(ExpectedStroke stroke, double expected, double heard) {

  /** How late it came, s; less than 0 early. */
  public double late() {
    return heard - expected;
  }
}
