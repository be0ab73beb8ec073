package phalanx.engraving.score;

import java.util.Optional;
import phalanx.arrangement.Note;
import phalanx.engraving.font.Sign;

/**
 * A head on the staff.
 *
 * @param note what sounds
 * @param position steps above the lowest line
 * @param sign how it is drawn
 * @param accidental the accidental before it, semitones
 * @param finger whether the finger that presses it stands before it
 * @param dx how far it stands to the right of its column
 */
record Head(
    Note note, int position, Sign sign, Optional<Integer> accidental, boolean finger, double dx) {

  /** Its middle, from the top line. */
  double y() {
    return y(position);
  }

  static double y(int position) {
    return (8 - position) / 2.0;
  }

  Head at(double other) {
    return new Head(note, position, sign, accidental, finger, other);
  }
}
