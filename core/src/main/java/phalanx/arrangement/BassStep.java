package phalanx.arrangement;

import java.util.Optional;
import phalanx.instrument.Finger;

/**
 * A bass note outside the shape that is held.
 *
 * @param string 0 for ⑥ to 5 for ①
 * @param fret from the capo, 0 open
 * @param finger the fretting finger; empty for an open string
 */
record BassStep(int string, int fret, Optional<Finger> finger) {}
