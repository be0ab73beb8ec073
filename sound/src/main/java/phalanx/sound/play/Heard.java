package phalanx.sound.play;

import phalanx.sound.sequence.EventSequence;

/**
 * A place that is heard.
 *
 * @param score of which score
 * @param seconds where in it; before the start while it is counted in
 */
public record Heard(EventSequence score, double seconds) {}
