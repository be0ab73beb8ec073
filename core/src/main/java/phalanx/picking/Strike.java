package phalanx.picking;

import java.util.List;

/**
 * Strings struck at one instant, before fingers are chosen.
 *
 * @param tick when, in ticks from the start of the song
 * @param thumb strings the thumb strikes, none or one
 * @param strings strings the fingers strike, 0 for ⑥ to 5 for ①, rising
 */
public record Strike(int tick, List<Integer> thumb, List<Integer> strings) {

  public Strike {
    thumb = List.copyOf(thumb);
    strings = strings.stream().distinct().sorted().toList();
  }
}
