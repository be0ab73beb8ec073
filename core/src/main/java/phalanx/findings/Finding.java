package phalanx.findings;

/**
 * Something that is hard, cannot be played, or is worth knowing.
 *
 * @param rule the rule that found it, as files name it
 * @param grade how much it matters
 * @param message one plain sentence
 * @param measured the figure that was measured
 * @param limit the figure it is held against
 * @param unit the unit of both
 */
public record Finding(
    String rule, Grade grade, String message, double measured, double limit, String unit) {}
