package phalanx.performance;

import java.util.Optional;
import phalanx.arrangement.Note;

/**
 * A note as it sounds.
 *
 * @param note string, pitch, force, attack, group and techniques of it
 * @param onset when it starts, seconds from the start of the song
 * @param end when it stops, seconds; where it rings on, the end of the song
 * @param endTick when that is written, ticks from the start of the song
 * @param ending what stops it
 * @param from the note it is slurred from; empty for one that is plucked
 */
public record Sounded(
    Note note, double onset, double end, int endTick, Ending ending, Optional<Note> from) {

  /** How long it rings as written, ticks. */
  public int ringTicks() {
    return endTick - note.tick();
  }
}
