package phalanx.song;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntPredicate;
import java.util.stream.Collectors;

/**
 * The words of a song.
 *
 * @param lines those that belong to no bar, line by line as they were written
 * @param bars those under the bars, by the bar’s identity
 */
public record Lyrics(List<String> lines, Map<Integer, BarLyrics> bars) {

  public static final Lyrics NONE = new Lyrics(List.of(), Map.of());

  public Lyrics {
    lines = List.copyOf(lines);
    bars =
        bars.entrySet().stream()
            .filter(e -> !e.getValue().isEmpty())
            .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, Map.Entry::getValue));
  }

  /** Lines without bars. */
  public static Lyrics of(List<String> lines) {
    return new Lyrics(lines, Map.of());
  }

  /** The words under a bar. */
  public BarLyrics at(int bar) {
    return bars.getOrDefault(bar, BarLyrics.NONE);
  }

  /** With other words under a bar. */
  public Lyrics with(int bar, BarLyrics words) {
    Map<Integer, BarLyrics> more = new HashMap<>(bars);
    more.put(bar, words);
    return new Lyrics(lines, more);
  }

  /** With other lines. */
  public Lyrics withLines(List<String> other) {
    return new Lyrics(other, bars);
  }

  /** Only what stands under bars that are there. */
  Lyrics in(IntPredicate hasBar) {
    return new Lyrics(
        lines,
        bars.entrySet().stream()
            .filter(e -> hasBar.test(e.getKey()))
            .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)));
  }
}
