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

  /** The evenness of some strokes; those without a level do not count. */
  public static Evenness of(List<MatchedStroke> strokes) {
    Map<Object, List<Double>> levels = new HashMap<>();
    for (MatchedStroke m : strokes) {
      var note = m.stroke().note();
      Object key = List.of(note.string(), note.midi(), note.part());
      m.level().ifPresent(l -> levels.computeIfAbsent(key, k -> new ArrayList<>()).add(l));
    }
    int count = 0;
    int free = 0;
    double squares = 0;
    for (List<Double> of : levels.values()) {
      if (of.size() >= ENOUGH) {
        double mean = of.stream().mapToDouble(l -> l).average().orElseThrow();
        squares += of.stream().mapToDouble(l -> (l - mean) * (l - mean)).sum();
        count += of.size();
        free += of.size() - 1;
      }
    }
    return new Evenness(count, free == 0 ? 0 : Math.sqrt(squares / free));
  }
}
