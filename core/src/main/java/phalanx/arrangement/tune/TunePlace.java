package phalanx.arrangement.tune;

import java.util.Optional;
import java.util.Set;
import phalanx.fretting.Grip;
import phalanx.fretting.Stance;
import phalanx.instrument.Finger;

/**
 * Where a note of the tune lies beside a shape that is held.
 *
 * @param string 0 for ⑥ to 5 for ①
 * @param fret from the capo, 0 open
 * @param finger the fretting finger; empty for an open string
 * @param inShape whether the shape sounds it anyway
 * @param left strings whose finger leaves them for this note
 * @param cost what it costs, without unit
 */
public record TunePlace(
    int string,
    int fret,
    Optional<Finger> finger,
    boolean inShape,
    Set<Integer> left,
    double cost) {

  public TunePlace {
    left = Set.copyOf(left);
  }

  /** The place without what is done for it. */
  Stance.Voice voice() {
    return new Stance.Voice(string, fret, finger);
  }

  /** What its finger holds. */
  Grip grip() {
    return new Grip(fret, string, string);
  }
}
