package phalanx.arrangement;

import java.util.Optional;
import phalanx.melody.Slur;

/**
 * A note of the tune as it is played once.
 *
 * @param tick when it begins, from the start of the song
 * @param endTick when it may end
 * @param midi its pitch counted from the capo as if it were the nut
 * @param string the string the player wants it on, 0 for ⑥ to 5 for ①
 * @param label its pitch in words, as the player wrote it or as the song's key names the place
 * @param slur how it is made from the note before, if it is not plucked
 * @param bar identity of the bar it is written in
 * @param barTick where in that bar it begins
 */
public record Sung(
    int tick,
    int endTick,
    int midi,
    Optional<Integer> string,
    String label,
    Optional<Slur> slur,
    int bar,
    int barTick) {

  /** The same note at another time. */
  public Sung at(int from, int to) {
    return new Sung(from, to, midi, string, label, slur, bar, barTick);
  }

  /** The same note going on for longer. */
  public Sung until(int end) {
    return new Sung(tick, end, midi, string, label, slur, bar, barTick);
  }
}
