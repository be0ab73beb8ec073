package phalanx.review;

/**
 * Something that is hard or cannot be played.
 *
 * @param rule the rule that found it, as files name it
 * @param message one plain sentence
 * @param measured the figure that was measured
 * @param limit the figure it is held against
 * @param unit the unit of both
 */
public record Finding(String rule, String message, double measured, double limit, String unit) {}
