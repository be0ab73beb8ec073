package phalanx.findings;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.performance.Performance;
import phalanx.picking.FingerAssignment;
import phalanx.picking.PickFinger;
import phalanx.song.Feel;
import phalanx.song.Timeline.PlayedBar;
import phalanx.theory.Ticks;

/**
 * The tempo up to which both hands hold: every change of shape in its time, every picking finger
 * back in time.
 *
 * @param bars the ceiling of each bar as played in which something limits it, in its own tempo,
 *     quarter notes a minute, by its number
 * @param bar the bar that sets the song's ceiling; empty where nothing limits the tempo
 * @param song the tempo to begin with up to which the whole song holds, its changes of tempo in
 *     proportion
 */
public record TempoCeiling(
    Map<Integer, Double> bars, Optional<Integer> bar, Optional<Double> song) {

  public TempoCeiling {
    bars = Map.copyOf(bars);
  }

  /** The ceiling of an arrangement. */
  public static TempoCeiling of(Arrangement a) {
    return of(a, Performance.of(a));
  }

  /** The same, where its time is known already. */
  public static TempoCeiling of(Arrangement a, Performance performance) {
    TreeMap<Integer, Double> bars = new TreeMap<>();
    for (Changes.Change change : Changes.of(a, performance)) {
      int bar =
          change
              .note()
              .map(n -> a.timeline().barAt(n.tick()).number())
              .orElse(change.slot().played().bar());
      bars.merge(bar, tempo(change.ticks(), change.needed()), Math::min);
    }
    uses(a, performance)
        .forEach(
            (finger, ticks) -> {
              double limit =
                  finger == PickFinger.P
                      ? FingerAssignment.THUMB_BACK_MS
                      : FingerAssignment.TOO_QUICK_MS;
              Integer last = null;
              for (Map.Entry<Integer, Integer> use : ticks.entrySet()) {
                if (last != null) {
                  int bar = a.timeline().barAt(use.getValue()).number();
                  bars.merge(bar, tempo(use.getKey() - last, limit), Math::min);
                }
                last = use.getKey();
              }
            });
    Optional<Map.Entry<Integer, Double>> lowest =
        bars.entrySet().stream()
            .min(
                Map.Entry.<Integer, Double>comparingByValue()
                    .thenComparing(Map.Entry.comparingByKey()));
    Map<Integer, Double> own = new TreeMap<>();
    for (PlayedBar bar : a.timeline().bars()) {
      Double ceiling = bars.get(bar.number());
      if (ceiling != null) {
        own.put(bar.number(), Math.min(Feel.FASTEST, ceiling * bar.tempo() / a.song().tempo()));
      }
    }
    return new TempoCeiling(own, lowest.map(Map.Entry::getKey), lowest.map(Map.Entry::getValue));
  }

  /** The tempo at which so many ticks last so long. */
  private static double tempo(int ticks, double millis) {
    return Math.min(Feel.FASTEST, ticks * 60_000.0 / (Ticks.PER_QUARTER * millis));
  }

  /** When each finger is used, as played; with where that is written. */
  private static Map<PickFinger, TreeMap<Integer, Integer>> uses(
      Arrangement a, Performance performance) {
    Map<PickFinger, TreeMap<Integer, Integer>> uses = new EnumMap<>(PickFinger.class);
    for (Note note : a.notes()) {
      if (!note.isBrushed()) {
        note.pick()
            .ifPresent(
                f ->
                    uses.computeIfAbsent(f, k -> new TreeMap<>())
                        .put(performance.evened(note), note.tick()));
      }
    }
    for (Gesture gesture : a.gestures()) {
      int tick = performance.clock().evened(gesture.tick(), 0);
      for (PickFinger f : gesture.fingers()) {
        uses.computeIfAbsent(f, k -> new TreeMap<>()).put(tick, gesture.tick());
      }
    }
    return uses;
  }
}
