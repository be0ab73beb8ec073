package phalanx.song;

import java.util.List;

/**
 * A named part of a song.
 *
 * @param label what the player calls it; may be empty
 * @param bars its written bars
 */
public record Section(String label, List<Bar> bars) {

  public Section {
    bars = List.copyOf(bars);
  }
}
