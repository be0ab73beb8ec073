package phalanx.review;

import java.util.Optional;
import phalanx.findings.Finding;

/**
 * A finding and where it is.
 *
 * @param finding what was found
 * @param bar number of the bar as played
 * @param tick its time from the start of the song
 * @param string the string it is about, 0 for ⑥ to 5 for ①
 */
public record Found(Finding finding, int bar, int tick, Optional<Integer> string) {}
