package phalanx.desktop.neck;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import phalanx.fretting.ChangeCosts.FingerMove;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;

/**
 * What a picture of the neck shows.
 *
 * @param guitar the guitar
 * @param hand the hand, whose reach is shown
 * @param shape the shape held
 * @param resting the fingers of it that may rest, drawn hollow
 * @param next the shape after, drawn dashed
 * @param moves what the fingers do on the way there
 * @param marks places that are named
 * @param cursor string and fret that the keyboard is on: string·100 + fret; none while unused
 */
public record NeckPicture(
    Guitar guitar,
    Hand hand,
    Shape shape,
    Set<Finger> resting,
    Optional<Shape> next,
    List<FingerMove> moves,
    List<Mark> marks,
    OptionalInt cursor) {

  public NeckPicture {
    resting = Set.copyOf(resting);
    moves = List.copyOf(moves);
    marks = List.copyOf(marks);
  }

  /**
   * A place with a word on it.
   *
   * @param string 0 for ⑥ to 5 for ①
   * @param fret from the capo, 0 open
   * @param word what stands there
   * @param strong whether it stands out
   */
  public record Mark(int string, int fret, String word, boolean strong) {}

  /** A shape alone, with the one after. */
  public NeckPicture(
      Guitar guitar, Hand hand, Shape shape, Optional<Shape> next, List<FingerMove> moves) {
    this(guitar, hand, shape, Set.of(), next, moves, List.of(), OptionalInt.empty());
  }

  /** The same where some fingers may rest. */
  public NeckPicture resting(Set<Finger> fingers) {
    return new NeckPicture(guitar, hand, shape, fingers, next, moves, marks, cursor);
  }

  NeckPicture with(OptionalInt other) {
    return new NeckPicture(guitar, hand, shape, resting, next, moves, marks, other);
  }

  static int place(int string, int fret) {
    return string * 100 + fret;
  }
}
