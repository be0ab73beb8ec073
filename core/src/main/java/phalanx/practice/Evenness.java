package phalanx.practice;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How even strokes are in loudness. Each is measured beside others of the same note in the same
 * part, so that a string that is louder by itself, a tune that is played out, a room or a
 * microphone say nothing.
 *
 * @param count strokes that could be compared
 * @param spread their standard deviation about their own note, dB; 0 where none could be
 */
public record Evenness(int count, double spread) {

  /** Strokes of fewer than this at one note are not compared. */
  private static final int ENOUGH = 2;

  /**
   * The standard deviation for a median deviation, where deviations are normal (Rousseeuw and Croux
   * 1993): a stroke that was hardly heard does not spoil it.
   */
  private static final double DEVIATION = 1.4826;

  /** The evenness of some strokes; those without a level do not count. */
  public static Evenness of(List<MatchedStroke> strokes) {
    Map<Object, List<Double>> levels = new HashMap<>();
    for (MatchedStroke m : strokes) {
      var note = m.stroke().note();
      Object key = List.of(note.string(), note.midi(), note.part());
      m.level().ifPresent(l -> levels.computeIfAbsent(key, k -> new ArrayList<>()).add(l));
    }
    List<Double> off = new ArrayList<>();
    for (List<Double> of : levels.values()) {
      int n = of.size();
      if (n >= ENOUGH) {
        double middle = median(of);
        // With its own middle a small group lies nearer to it than it should.
        double wider = Math.sqrt((double) n / (n - 1));
        of.forEach(l -> off.add(wider * Math.abs(l - middle)));
      }
    }
    return new Evenness(off.size(), off.isEmpty() ? 0 : DEVIATION * median(off));
  }

  private static double median(List<Double> of) {
    double[] sorted = of.stream().mapToDouble(l -> l).sorted().toArray();
    int n = sorted.length;
    return (sorted[(n - 1) / 2] + sorted[n / 2]) / 2;
  }
}
