package phalanx.advice;

import phalanx.arrangement.Arrangement;
import phalanx.song.Song;

/**
 * A section that comes again, played otherwise: tune and the bass of every chord stay.
 *
 * @param kind what is different
 * @param words what was done, in the player’s words
 * @param song the song with it
 * @param arrangement its plan
 * @param fromTick where the section begins in that plan
 * @param endTick where it ends
 */
public record Variation(
    Kind kind, String words, Song song, Arrangement arrangement, int fromTick, int endTick) {

  /** What may be different the second time. */
  public enum Kind {
    /** Nothing: to be heard beside the others. */
    AS_BEFORE,
    /** A fill where the tune holds at the end of a phrase. */
    FILL,
    /** The bass leads into the next phrase by steps. */
    WALK,
    /** The fingers’ strings between tune and bass are exchanged. */
    INNER,
    /** More or less is played. */
    DENSITY
  }
}
