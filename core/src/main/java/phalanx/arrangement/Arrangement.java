package phalanx.arrangement;

import java.util.List;
import phalanx.fretting.ShapePlan;
import phalanx.song.Song;
import phalanx.song.Timeline;

/**
 * What both hands do with a song.
 *
 * @param song the song it was made from
 * @param timeline its bars with the repeats unrolled
 * @param slots its chords with their shapes, in playing order
 * @param notes everything that sounds, by time and then from low to high string
 * @param holds what each fretting finger holds, by time
 * @param plan the plan the shapes come from; slot i here is slot i there
 */
public record Arrangement(
    Song song,
    Timeline timeline,
    List<Slot> slots,
    List<Note> notes,
    List<Hold> holds,
    ShapePlan plan) {

  public Arrangement {
    slots = List.copyOf(slots);
    notes = List.copyOf(notes);
    holds = List.copyOf(holds);
  }
}
