package phalanx.song;

import java.util.ArrayList;
import java.util.List;

/**
 * A song as it is played: repeats unrolled, bars numbered from 1, ticks from the start.
 *
 * @param bars the bars in playing order
 * @param slots the chords in playing order, each with the time it lasts; a chord that goes on into
 *     a new bar is a slot of its own there
 */
public record Timeline(List<PlayedBar> bars, List<PlayedSlot> slots) {

  /**
   * A bar at its time.
   *
   * @param number from 1, as played
   * @param section section it is written in, from 0
   * @param written bar in that section, from 0
   * @param startTick start of the bar
   * @param lengthTicks its length
   */
  public record PlayedBar(int number, int section, int written, int startTick, int lengthTicks) {}

  /**
   * A chord at its time.
   *
   * @param ref where it is written
   * @param bar number of its bar as played, from 1
   * @param tick where it starts
   * @param lengthTicks how long it lasts, at most to the end of its bar
   * @param harmony what sounds
   */
  public record PlayedSlot(SlotRef ref, int bar, int tick, int lengthTicks, Harmony harmony) {}

  public Timeline {
    bars = List.copyOf(bars);
    slots = List.copyOf(slots);
  }

  /** Unrolls a song. A repeat without a start goes back to the start of its section. */
  public static Timeline of(Song song) {
    List<SlotRef> order = new ArrayList<>();
    for (int s = 0; s < song.sections().size(); s++) {
      unroll(song.sections().get(s).bars(), s, order);
    }
    return lay(song, order);
  }

  private static void unroll(List<Bar> bars, int section, List<SlotRef> order) {
    int from = 0;
    for (int b = 0; b < bars.size(); b++) {
      from = bars.get(b).repeatStart() ? b : from;
      order.add(new SlotRef(section, b, 0));
      if (bars.get(b).plays() > 1) {
        for (int again = 1; again < bars.get(b).plays(); again++) {
          for (int r = from; r <= b; r++) {
            order.add(new SlotRef(section, r, 0));
          }
        }
        from = b + 1;
      }
    }
  }

  private static Timeline lay(Song song, List<SlotRef> order) {
    int length = song.meter().barTicks();
    List<PlayedBar> bars = new ArrayList<>();
    List<PlayedSlot> slots = new ArrayList<>();
    Harmony current = new Harmony.NoChord();
    for (SlotRef at : order) {
      int number = bars.size() + 1;
      int start = bars.size() * length;
      bars.add(new PlayedBar(number, at.section(), at.bar(), start, length));
      List<ChordChange> changes = song.sections().get(at.section()).bars().get(at.bar()).changes();
      if (changes.isEmpty() || changes.get(0).tick() > 0) {
        int until = changes.isEmpty() ? length : changes.get(0).tick();
        slots.add(new PlayedSlot(at, number, start, until, current));
      }
      for (int c = 0; c < changes.size(); c++) {
        ChordChange change = changes.get(c);
        int end = c + 1 < changes.size() ? changes.get(c + 1).tick() : length;
        // A held-over chord at the start of the bar has taken reference 0.
        int index = changes.get(0).tick() > 0 ? c + 1 : c;
        SlotRef ref = new SlotRef(at.section(), at.bar(), index);
        current = change.harmony();
        slots.add(new PlayedSlot(ref, number, start + change.tick(), end - change.tick(), current));
      }
    }
    return new Timeline(bars, slots);
  }

  /** Length of the whole song in ticks. */
  public int lengthTicks() {
    return bars.stream().mapToInt(PlayedBar::lengthTicks).sum();
  }
}
