package phalanx.advice;

import java.util.List;
import java.util.TreeMap;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.findings.Found;
import phalanx.instrument.StringSign;
import phalanx.song.Song;
import phalanx.theory.Ticks;

/**
 * A run of notes put into the end of a bar, as both hands play it.
 *
 * @param song the song with it
 * @param arrangement its plan
 * @param tick a time in its bar, as played the first time
 * @param endTick when it ends, as played the first time
 * @param beats how long it is, quarters
 * @param hard what is hard in that bar then and was not before
 * @param widestSpan the widest stretch of two fingers in that bar's shapes, mm; 0 with none
 */
public record FittedRun(
    Song song,
    Arrangement arrangement,
    int tick,
    int endTick,
    int beats,
    List<Found> hard,
    double widestSpan) {

  public FittedRun {
    hard = List.copyOf(hard);
  }

  /** When it begins, as played the first time. */
  public int fromTick() {
    return endTick - beats * Ticks.PER_QUARTER;
  }

  /** The fret on which its lowest fretted note lies, from the capo; 0 with open strings only. */
  public int position() {
    return notes().stream().mapToInt(Note::fret).filter(f -> f > 0).min().orElse(0);
  }

  /** Its notes as they are played. */
  public List<Note> notes() {
    return arrangement.notesFrom(fromTick(), endTick).stream()
        .filter(n -> n.part() == Note.Part.TUNE)
        .toList();
  }

  /**
   * Where its notes lie, a string's sign and a fret each.
   *
   * @param between stands between those that follow each other; notes at once have a blank
   */
  public String places(String between) {
    return places(notes(), between);
  }

  /** The same with what else sounds meanwhile. */
  public String allPlaces(String between) {
    return places(allNotes(), between);
  }

  private static String places(List<Note> notes, String between) {
    TreeMap<Integer, String> moments = new TreeMap<>();
    for (Note note : notes) {
      String place = StringSign.of(note.string()) + note.fret();
      moments.merge(note.tick(), place, (a, b) -> a + " " + b);
    }
    return String.join(between, moments.values());
  }

  /** The same with what else sounds from its first note on. */
  public List<Note> allNotes() {
    int from = notes().stream().findFirst().map(Note::tick).orElse(fromTick());
    return arrangement.notesFrom(from, endTick);
  }
}
