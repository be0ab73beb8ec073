package phalanx.melody;

import java.util.Optional;
import phalanx.theory.Pitch;

/** What a note of the tune is to be: a pitch, or a place the player knows already. */
public sealed interface Want {

  /** No neck has more frets. */
  int HIGHEST_FRET = 24;

  /**
   * A pitch, counted from the capo as if it were the nut.
   *
   * @param string the string the player wants it on, 0 for ⑥ to 5 for ①
   */
  record Sound(Pitch pitch, Optional<Integer> string) implements Want {}

  /**
   * A place on the neck.
   *
   * @param string 0 for ⑥ to 5 for ①
   * @param fret from the capo, 0 open
   */
  record Place(int string, int fret) implements Want {}

  /**
   * The same so many octaves higher, on whatever string; a place stays what it is.
   *
   * @param by octaves, less than 0 for lower
   */
  default Want octaves(int by) {
    return by != 0 && this instanceof Sound s
        ? new Sound(new Pitch(s.pitch().name(), s.pitch().octave() + by), Optional.empty())
        : this;
  }
}
