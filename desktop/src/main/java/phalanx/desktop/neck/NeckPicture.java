package phalanx.desktop.neck;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import phalanx.fretting.ChangeCosts.FingerMove;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;

/**
 * What a picture of the neck shows.
 *
 * @param guitar the guitar
 * @param hand the hand, whose reach is shown
 * @param shape the shape held
 * @param next the shape after, drawn dashed
 * @param moves what the fingers do on the way there
 * @param marks places that are named
 * @param cursor string and fret that the keyboard is on: string·100 + fret; none while unused
 */
public record NeckPicture(
    Guitar guitar,
    Hand hand,
    Shape shape,
    Optional<Shape> next,
    List<FingerMove> moves,
    List<Mark> marks,
    OptionalInt cursor) {

  public NeckPicture {
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
    this(guitar, hand, shape, next, moves, List.of(), OptionalInt.empty());
  }

  NeckPicture with(OptionalInt other) {
    return new NeckPicture(guitar, hand, shape, next, moves, marks, other);
  }

  static int place(int string, int fret) {
    return string * 100 + fret;
  }
}
