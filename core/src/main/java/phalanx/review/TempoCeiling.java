package phalanx.review;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.picking.FingerAssignment;
import phalanx.picking.PickFinger;
import phalanx.song.Feel;
import phalanx.theory.Ticks;

/**
 * The tempo up to which both hands hold: every change of shape in its time, every picking finger
 * back in time.
 *
 * @param bars the ceiling of each bar as played in which something limits it, quarter notes a
 *     minute, by its number
 */
public record TempoCeiling(Map<Integer, Double> bars) {

  public TempoCeiling {
    bars = Map.copyOf(bars);
  }

  /** The ceiling of an arrangement. */
  public static TempoCeiling of(Arrangement a) {
    TreeMap<Integer, Double> bars = new TreeMap<>();
    for (Changes.Change change : Changes.of(a)) {
      int bar =
          change
              .note()
              .map(n -> a.timeline().barAt(n.tick()).number())
              .orElse(change.slot().played().bar());
      bars.merge(bar, tempo(change.ticks(), change.needed()), Math::min);
    }
    uses(a)
        .forEach(
            (finger, ticks) -> {
              double limit =
                  finger == PickFinger.P
                      ? FingerAssignment.THUMB_BACK_MS
                      : FingerAssignment.TOO_QUICK_MS;
              Integer last = null;
              for (int tick : ticks) {
                if (last != null) {
                  int bar = a.timeline().barAt(tick).number();
                  bars.merge(bar, tempo(tick - last, limit), Math::min);
                }
                last = tick;
              }
            });
    return new TempoCeiling(bars);
  }

  /** The tempo at which so many ticks last so long. */
  private static double tempo(int ticks, double millis) {
    return Math.min(Feel.FASTEST, ticks * 60_000.0 / (Ticks.PER_QUARTER * millis));
  }

  /** When each finger is used, as played with swing. */
  private static Map<PickFinger, TreeSet<Integer>> uses(Arrangement a) {
    Map<PickFinger, TreeSet<Integer>> uses = new EnumMap<>(PickFinger.class);
    for (Note note : a.notes()) {
      if (note.manner() != Note.Manner.BRUSHED) {
        note.pick()
            .ifPresent(
                f -> uses.computeIfAbsent(f, k -> new TreeSet<>()).add(Changes.played(a, note)));
      }
    }
    for (Gesture gesture : a.gestures()) {
      int tick = a.timeline().barAt(gesture.tick()).played(gesture.tick(), a.song().feel().swing());
      for (PickFinger f : gesture.fingers()) {
        uses.computeIfAbsent(f, k -> new TreeSet<>()).add(tick);
      }
    }
    return uses;
  }

  /** The bar that sets the song's ceiling; empty where nothing limits the tempo. */
  public Optional<Integer> bar() {
    return bars.entrySet().stream()
        .min(
            Map.Entry.<Integer, Double>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
        .map(Map.Entry::getKey);
  }

  /** The song's ceiling, quarter notes a minute. */
  public Optional<Double> song() {
    return bar().map(bars::get);
  }
}
