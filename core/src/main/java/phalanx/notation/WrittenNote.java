package phalanx.notation;

import java.util.List;
import phalanx.arrangement.Note;

/**
 * What stands at one place of a voice: a note, several on one stem, or a rest.
 *
 * @param tick when it begins, from the start of the song
 * @param piece its written value
 * @param notes what sounds; empty for a rest
 * @param tiedFrom whether it goes on from the one before, also over a bar line
 * @param tiedTo whether it goes on into the next
 * @param graces short notes just before it, which have no time of their own
 */
public record WrittenNote(
    int tick,
    Rhythm.Piece piece,
    List<Note> notes,
    boolean tiedFrom,
    boolean tiedTo,
    List<Note> graces) {

  public WrittenNote {
    notes = List.copyOf(notes);
    graces = List.copyOf(graces);
  }

  /** A note without short ones before it. */
  public WrittenNote(
      int tick, Rhythm.Piece piece, List<Note> notes, boolean tiedFrom, boolean tiedTo) {
    this(tick, piece, notes, tiedFrom, tiedTo, List.of());
  }

  /** Whether nothing sounds. */
  public boolean isRest() {
    return notes.isEmpty();
  }

  /** When the next may begin. */
  public int endTick() {
    return tick + piece.ticks();
  }

  /** Whether something is struck here, or slurred to. */
  public boolean isStruck() {
    return !isRest() && !tiedFrom;
  }
}
