package phalanx.practice;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.picking.PickFinger;
import phalanx.song.Timeline.PlayedBar;

/**
 * A pluck that is to be heard.
 *
 * @param note the note
 * @param seconds when, from the beginning of what is played
 * @param bar number of its bar as played
 * @param beat where in its bar it falls, felt beats counted from 1: 2.5 is halfway from the second
 *     to the third
 * @param change the two chords, where it is the first to be plucked after the hand changed
 */
public record ExpectedStroke(
    Note note, double seconds, int bar, double beat, Optional<String> change) {

  /** This near to a beat, in beats, is on it. */
  private static final double ON_BEAT = 0.02;

  /** Strokes within this of each other are one moment, s: a pinch, a roll’s strings are not. */
  static final double TOGETHER = 0.02;

  /** Everything that sounds between two ticks, what the fretting hand makes too, by time. */
  public static List<ExpectedStroke> all(Performance performance, int fromTick, int toTick) {
    double start = performance.clock().seconds(fromTick, 0);
    Map<Integer, String> changes = changes(performance.arrangement());
    return performance.notes().stream()
        .filter(n -> fromTick <= n.note().tick() && n.note().tick() < toTick)
        .map(n -> of(performance.arrangement(), n, start, changes))
        .sorted(Comparator.comparingDouble(ExpectedStroke::seconds))
        .toList();
  }

  private static ExpectedStroke of(
      Arrangement a, Sounded n, double start, Map<Integer, String> changes) {
    int tick = n.note().tick();
    PlayedBar bar = a.timeline().barAt(tick);
    double beat = 1 + (double) bar.inMetre(tick) / bar.meter().beatTicks();
    Optional<String> change =
        n.note().pick().isPresent() ? Optional.ofNullable(changes.get(tick)) : Optional.empty();
    return new ExpectedStroke(n.note(), n.onset() - start, bar.number(), beat, change);
  }

  /** Where strokes are the first on another shape, with both chords. */
  private static Map<Integer, String> changes(Arrangement a) {
    Map<Integer, String> changes = new HashMap<>();
    for (int s = 1; s < a.slots().size(); s++) {
      Slot from = a.slots().get(s - 1);
      Slot to = a.slots().get(s);
      if (!from.held().equals(to.held())) {
        a.notesFrom(to.fromTick(), to.toTick()).stream()
            .filter(n -> n.pick().isPresent())
            .findFirst()
            .ifPresent(n -> changes.put(n.tick(), HardChanges.pair(from, to)));
      }
    }
    return changes;
  }

  /** The same at another time, s. */
  public ExpectedStroke at(double other) {
    return new ExpectedStroke(note, other, bar, beat, change);
  }

  /** Whether it falls on a felt beat. */
  public boolean isOnBeat() {
    return Math.abs(beat - Math.rint(beat)) < ON_BEAT;
  }

  /**
   * The plucked notes of an arrangement between two ticks, by time, counted from the first tick.
   */
  public static List<ExpectedStroke> of(Performance performance, int fromTick, int toTick) {
    return all(performance, fromTick, toTick).stream().filter(ExpectedStroke::isPlucked).toList();
  }

  /** Whether a finger plucks it. */
  public boolean isPlucked() {
    return note.pick().isPresent();
  }

  /** The finger that plucks it. */
  public PickFinger finger() {
    return note.pick().orElseThrow();
  }

  /** Whether it is the thumb’s. */
  public boolean isThumbs() {
    return note.isPickedBy(PickFinger.P);
  }
}
