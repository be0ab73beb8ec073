package phalanx.planning;

import java.util.Arrays;
import java.util.List;
import phalanx.arrangement.MelodyNote;
import phalanx.picking.Role;
import phalanx.picking.Stroke;
import phalanx.song.Clock;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.theory.Ticks;

/**
 * The time the fretting hand has to come to each slot: from the last note that is struck over the
 * slot before to the first that is struck over this one. An accompanying note just before a change
 * may be let go half-way, so it is the one before that counts (common practice, no source).
 */
final class ChangeTimes {

  /** Where nothing is struck before or after a change there is all the time, ms. */
  private static final double ENDLESS = 1e9;

  private final Clock clock;
  private final int[] first;
  private final int[] last;
  private final int[] beforeLast;
  private final boolean[] lastBinds;

  private ChangeTimes(Clock clock, int slots) {
    this.clock = clock;
    first = new int[slots];
    last = new int[slots];
    beforeLast = new int[slots];
    lastBinds = new boolean[slots];
    Arrays.fill(first, Integer.MAX_VALUE);
    Arrays.fill(last, Integer.MIN_VALUE);
    Arrays.fill(beforeLast, Integer.MIN_VALUE);
  }

  /**
   * The times, ms.
   *
   * @param tunes the notes of the tune that sound in each slot
   */
  static double[] of(
      Song song, Timeline timeline, TimedSteps placed, List<List<MelodyNote>> tunes) {
    int slots = timeline.slots().size();
    ChangeTimes times = new ChangeTimes(Clock.of(song, timeline), slots);
    for (TimedSteps.TimedStep step : placed.steps()) {
      boolean sung = !tunes.get(step.slot()).isEmpty();
      if (step.step().strokes().stream().anyMatch(s -> sounds(s, sung))) {
        boolean inner = step.step().strokes().stream().noneMatch(ChangeTimes::binds);
        times.struck(step.slot(), times.clock.evened(step.tick(), 0), !inner);
      }
    }
    for (int i = 0; i < slots; i++) {
      int from = timeline.slots().get(i).tick() - placed.early()[i];
      for (MelodyNote note : tunes.get(i)) {
        if (note.tick() >= from) {
          times.struck(i, times.clock.evened(note.tick(), 0), true);
        }
      }
    }
    double[] millis = new double[slots];
    Arrays.fill(millis, ENDLESS);
    for (int i = 1; i < slots; i++) {
      int from = times.from(i - 1);
      long ticks = (long) times.first[i] - from;
      boolean both = times.first[i] != Integer.MAX_VALUE && from != Integer.MIN_VALUE;
      if (both && ticks > 0) {
        millis[i] = Ticks.millis(ticks, song.tempo());
      }
    }
    return millis;
  }

  private void struck(int slot, int at, boolean binds) {
    first[slot] = Math.min(first[slot], at);
    if (at > last[slot]) {
      beforeLast[slot] = last[slot];
      last[slot] = at;
      lastBinds[slot] = binds;
    } else if (at == last[slot]) {
      lastBinds[slot] |= binds;
    } else {
      beforeLast[slot] = Math.max(beforeLast[slot], at);
    }
  }

  /** When the hand may leave a slot. */
  private int from(int slot) {
    boolean waits = lastBinds[slot] || beforeLast[slot] == Integer.MIN_VALUE;
    return waits ? last[slot] : beforeLast[slot];
  }

  /** Whether the hand has to wait for a stroke: the thumb's and a brush, not a single finger's. */
  private static boolean binds(Stroke stroke) {
    return stroke instanceof Stroke.Pluck p ? p.role().isThumb() : stroke instanceof Stroke.Brush;
  }

  /** A stroke of the pattern's own tune gives way where one is sung. */
  private static boolean sounds(Stroke stroke, boolean sung) {
    return stroke instanceof Stroke.Pluck p
        ? !(sung && p.role() == Role.TUNE)
        : stroke instanceof Stroke.Brush;
  }
}
