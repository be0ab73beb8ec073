package phalanx.song;

import java.util.List;
import java.util.Optional;

/**
 * A named part of a song.
 *
 * @param id its identity in the song, 1 or more
 * @param label what the player calls it; may be empty
 * @param borrows identity of the section it is like, if it is; each of its bars then borrows one of
 *     that section's
 * @param bars its written bars
 */
public record Section(int id, String label, Optional<Integer> borrows, List<Bar> bars) {

  public Section {
    bars = List.copyOf(bars);
  }

  /** A section of its own bars. */
  public static Section of(int id, String label, List<Bar> bars) {
    return new Section(id, label, Optional.empty(), bars);
  }

  /** With other bars. */
  public Section withBars(List<Bar> other) {
    return new Section(id, label, borrows, other);
  }

  /** Under another name. */
  public Section labelled(String name) {
    return new Section(id, name, borrows, bars);
  }

  /** With bars of its own, or like another section. */
  Section borrowing(Optional<Integer> other) {
    return new Section(id, label, other, bars);
  }
}
