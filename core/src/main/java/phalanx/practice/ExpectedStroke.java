package phalanx.practice;

import java.util.Comparator;
import java.util.List;
import phalanx.arrangement.Note;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.picking.PickFinger;

/**
 * A pluck that is to be heard.
 *
 * @param note the note
 * @param seconds when, from the beginning of what is played
 * @param bar number of its bar as played
 */
public record ExpectedStroke(Note note, double seconds, int bar) {

  /** Strokes within this of each other are one moment, s: a pinch, a roll’s strings are not. */
  static final double TOGETHER = 0.02;

  /** Everything that sounds between two ticks, what the fretting hand makes too, by time. */
  public static List<ExpectedStroke> all(Performance performance, int fromTick, int toTick) {
    double start = performance.clock().seconds(fromTick, 0);
    return performance.notes().stream()
        .filter(n -> fromTick <= n.note().tick() && n.note().tick() < toTick)
        .map(n -> new ExpectedStroke(n.note(), n.onset() - start, bar(performance, n)))
        .sorted(Comparator.comparingDouble(ExpectedStroke::seconds))
        .toList();
  }

  /**
   * The plucked notes of an arrangement between two ticks, by time, counted from the first tick.
   */
  public static List<ExpectedStroke> of(Performance performance, int fromTick, int toTick) {
    return all(performance, fromTick, toTick).stream().filter(ExpectedStroke::isPlucked).toList();
  }

  private static int bar(Performance performance, Sounded note) {
    return performance.arrangement().timeline().barAt(note.note().tick()).number();
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
