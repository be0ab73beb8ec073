package phalanx.suggestion;

import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import phalanx.findings.Review;
import phalanx.fretting.Shape;
import phalanx.song.Song;

/**
 * An edit that may take a finding away; it has yet to be tried.
 *
 * @param words what it does
 * @param edit the edit
 * @param enough what more must be true of the song then, besides that the finding is gone
 * @param shape the shape that is then held, where that is what it does
 */
record PossibleEdit(
    String words, UnaryOperator<Song> edit, Predicate<Review> enough, Optional<Shape> shape) {

  PossibleEdit(String words, UnaryOperator<Song> edit) {
    this(words, edit, review -> true, Optional.empty());
  }

  PossibleEdit(String words, UnaryOperator<Song> edit, Predicate<Review> enough) {
    this(words, edit, enough, Optional.empty());
  }

  /** Another shape to hold. */
  static PossibleEdit holding(String words, UnaryOperator<Song> edit, Shape shape) {
    return new PossibleEdit(words, edit, review -> true, Optional.of(shape));
  }
}
