package phalanx.song;

import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;

/**
 * Who a song is planned for.
 *
 * @param guitar the guitar with tuning and capo
 * @param hand the fretting hand
 */
public record Player(Guitar guitar, Hand hand) {

  /** A medium hand on a steel-string guitar. */
  static final Player USUAL = new Player(Guitar.STEEL, Hand.MEDIUM);

  Player withGuitar(Guitar other) {
    return new Player(other, hand);
  }

  Player withHand(Hand other) {
    return new Player(guitar, other);
  }
}
