package phalanx.song;

import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;

/**
 * Who a song is planned for.
 *
 * @param guitar the guitar with tuning and capo
 * @param hand the fretting hand
 * @param ownHand whether the song asks for this hand, whoever plays it
 */
public record Player(Guitar guitar, Hand hand, boolean ownHand) {

  /** A medium hand on a steel-string guitar. */
  static final Player USUAL = new Player(Guitar.STEEL, Hand.MEDIUM, false);

  Player withGuitar(Guitar other) {
    return new Player(other, hand, ownHand);
  }

  Player withHand(Hand other) {
    return new Player(guitar, other, ownHand);
  }

  Player withOwnHand(boolean own) {
    return new Player(guitar, hand, own);
  }
}
