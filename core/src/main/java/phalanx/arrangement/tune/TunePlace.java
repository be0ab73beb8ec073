package phalanx.arrangement.tune;

import java.util.Optional;
import java.util.Set;
import phalanx.fretting.Grip;
import phalanx.fretting.Stance;
import phalanx.instrument.Finger;
import phalanx.instrument.HarmonicNode;

/**
 * Where a note of the tune lies beside a shape that is held.
 *
 * @param string 0 for ⑥ to 5 for ①
 * @param fret from the capo, 0 open
 * @param finger the fretting finger; empty for an open string
 * @param inShape whether the shape sounds it anyway
 * @param left strings whose finger leaves them for this note
 * @param cost what it costs, without unit
 * @param node the node at which the string is touched, for a natural harmonic
 */
public record TunePlace(
    int string,
    int fret,
    Optional<Finger> finger,
    boolean inShape,
    Set<Integer> left,
    double cost,
    Optional<HarmonicNode> node) {

  public TunePlace {
    left = Set.copyOf(left);
  }

  /** A place where the string is pressed or open. */
  public TunePlace(
      int string,
      int fret,
      Optional<Finger> finger,
      boolean inShape,
      Set<Integer> left,
      double cost) {
    this(string, fret, finger, inShape, left, cost, Optional.empty());
  }

  /** The same place where more is done for it. */
  TunePlace dearer(double by) {
    return by == 0 ? this : new TunePlace(string, fret, finger, inShape, left, cost + by, node);
  }

  /** The place without what is done for it; a string that was touched rings on open. */
  Stance.Voice voice() {
    return sounding().orElseThrow();
  }

  /** The same as a stance has it. */
  Optional<Stance.Voice> sounding() {
    return node.isPresent()
        ? Stance.Voice.at(string, 0, Optional.empty())
        : Stance.Voice.at(string, fret, finger);
  }

  /** What its finger holds. */
  Grip grip() {
    return new Grip(fret, string, string);
  }
}
