package phalanx.practice;

import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;

/**
 * Something to practise.
 *
 * @param id what it is known by in the log: the same as long as its own notes are the same,
 *     wherever they stand
 * @param kind what it is about
 * @param title what a player calls it
 * @param fromBar its first bar as played
 * @param toBar its last
 * @param fromTick where it begins, from the start of the song
 * @param toTick where it ends
 * @param played the arrangement with the notes of the drill alone: what is heard
 * @param adds the notes that it adds to the drill before it
 * @param tempo where it begins and where it leads
 * @param why what it is good for, in a sentence
 * @param minutes how long it takes
 */
public record Drill(
    String id,
    DrillKind kind,
    String title,
    int fromBar,
    int toBar,
    int fromTick,
    int toTick,
    Arrangement played,
    List<Note> adds,
    TempoGoal tempo,
    String why,
    int minutes) {

  public Drill {
    adds = List.copyOf(adds);
    if (toTick <= fromTick || minutes < 1) {
      throw new IllegalArgumentException("a drill lasts: " + title);
    }
  }

  /**
   * Where a drill begins and where it leads, quarter notes a minute at the beginning of the song.
   *
   * @param start the first tempo
   * @param goal the last: the song's, or less where the hands do not hold to that
   * @param limit why the goal is less than the song's tempo; empty where it is that
   */
  public record TempoGoal(double start, double goal, Optional<String> limit) {}

  /** What is played. */
  public List<Note> notes() {
    return played.notesFrom(fromTick, toTick);
  }
}
