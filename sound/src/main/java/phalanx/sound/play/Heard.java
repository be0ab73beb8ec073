package phalanx.sound.play;

import phalanx.sound.score.Score;

/**
 * A place that is heard.
 *
 * @param score of which score
 * @param seconds where in it; before the start while it is counted in
 */
public record Heard(Score score, double seconds) {}
