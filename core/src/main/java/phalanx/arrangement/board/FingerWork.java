package phalanx.arrangement.board;

import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Note;
import phalanx.instrument.Finger;
import phalanx.picking.PickFinger;
import phalanx.song.Clock;
import phalanx.theory.Ticks;

/** What one finger does in a whole arrangement. */
public final class FingerWork {

  private FingerWork() {}

  /**
   * The work of a fretting finger.
   *
   * @param holds how often it comes down
   * @param busyTicks how long it is down in all
   * @param longest its longest hold; empty if it has none
   */
  public record FrettingWork(int holds, long busyTicks, Optional<Hold> longest) {}

  /** What a fretting finger does. */
  public static FrettingWork of(Arrangement a, Finger finger) {
    List<Hold> holds = a.holds().stream().filter(h -> h.finger() == finger).toList();
    return new FrettingWork(
        holds.size(),
        holds.stream().mapToLong(h -> h.toTick() - h.fromTick()).sum(),
        holds.stream()
            .reduce((x, y) -> y.toTick() - y.fromTick() > x.toTick() - x.fromTick() ? y : x));
  }

  /**
   * The work of a picking finger.
   *
   * @param strokes how often it strikes, hits and brushes included
   * @param quickestMillis how soon at the soonest it strikes again; empty with fewer than two
   * @param bar the bar in which it does; 0 without
   */
  public record PickingWork(int strokes, Optional<Double> quickestMillis, int bar) {}

  /** What a picking finger does. */
  public static PickingWork of(Arrangement a, PickFinger finger) {
    Clock clock = Clock.of(a.song(), a.timeline());
    TreeMap<Integer, Integer> written = new TreeMap<>();
    for (Note note : a.notes()) {
      if (note.isPickedBy(finger) && !note.isBrushed()) {
        written.put(clock.evened(note.tick(), note.delayTicks()), note.tick());
      }
    }
    a.gestures().stream()
        .filter(g -> g.fingers().contains(finger))
        .forEach(g -> written.put(clock.evened(g.tick(), 0), g.tick()));
    List<Integer> uses = List.copyOf(written.keySet());
    Optional<Double> quickest = Optional.empty();
    int bar = 0;
    for (int i = 1; i < uses.size(); i++) {
      double millis = Ticks.millis((long) uses.get(i) - uses.get(i - 1), a.song().tempo());
      if (quickest.isEmpty() || millis < quickest.get()) {
        quickest = Optional.of(millis);
        bar = a.timeline().barAt(written.get(uses.get(i))).number();
      }
    }
    return new PickingWork(uses.size(), quickest, bar);
  }
}
