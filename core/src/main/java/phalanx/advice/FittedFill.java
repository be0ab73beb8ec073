package phalanx.advice;

import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.colour.Fill;
import phalanx.review.Found;
import phalanx.song.Song;
import phalanx.theory.Ticks;

/**
 * A fill put into the end of a bar, in the octave in which both hands play it most easily.
 *
 * @param song the song with it
 * @param arrangement its plan
 * @param tick a time in its bar, as played the first time
 * @param hard what is hard in that bar then and was not before
 * @param widestSpan the widest stretch of two fingers in that bar's shapes, mm; 0 with none
 */
public record FittedFill(
    Fill fill,
    Fill.Colour colour,
    Song song,
    Arrangement arrangement,
    int tick,
    List<Found> hard,
    double widestSpan) {

  public FittedFill {
    hard = List.copyOf(hard);
  }

  /** When it begins in its bar, as played the first time. */
  public int fromTick() {
    int end = arrangement.timeline().barAt(tick).endTick();
    return end - fill.beats() * Ticks.PER_QUARTER;
  }

  /** The fret on which its lowest fretted note lies, from the capo; 0 with open strings only. */
  public int position() {
    return notes().stream().mapToInt(Note::fret).filter(f -> f > 0).min().orElse(0);
  }

  /** Its notes as they are played. */
  public List<Note> notes() {
    int end = arrangement.timeline().barAt(tick).endTick();
    return arrangement.notesFrom(fromTick(), end).stream()
        .filter(n -> n.part() == Note.Part.TUNE)
        .toList();
  }
}
