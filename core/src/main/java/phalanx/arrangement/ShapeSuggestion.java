package phalanx.arrangement;

import phalanx.song.SlotRef;
import phalanx.song.Song;

/**
 * Something that would make a chord playable where no shape can be held.
 *
 * @param words what the player would do
 * @param edit does it, where the chord is written
 */
public record ShapeSuggestion(String words, Edit edit) {

  /** A change of the song for one written chord. */
  @FunctionalInterface
  public interface Edit {
    /** The song with the way out taken. */
    Song apply(Song song, SlotRef at);
  }
}
