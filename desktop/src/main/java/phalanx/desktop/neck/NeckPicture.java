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
 * @param hand the hand, whose reach is shown and for whom the neck is turned
 * @param shape the shape held
 * @param next the shape after, drawn dashed
 * @param moves what the fingers do on the way there
 * @param cursor string and fret that the keyboard is on: string·100 + fret; none while unused
 */
public record NeckPicture(
    Guitar guitar,
    Hand hand,
    Shape shape,
    Optional<Shape> next,
    List<FingerMove> moves,
    OptionalInt cursor) {

  public NeckPicture {
    moves = List.copyOf(moves);
  }

  static int place(int string, int fret) {
    return string * 100 + fret;
  }
}
