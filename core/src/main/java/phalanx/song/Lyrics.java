package phalanx.song;

import java.util.ArrayList;
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

  /**
   * Words at their time in the song as it is played.
   *
   * @param tick when they begin
   * @param endTick when the next begin, or the song ends
   */
  public record Line(int tick, int endTick, String text) {}

  /**
   * The words as they are sung: the first verse of a bar when it is played first, the next when it
   * comes again; a bar that is played more often than it has verses keeps its last.
   */
  public List<Line> played(Timeline timeline) {
    Map<Integer, Integer> times = new HashMap<>();
    List<BarLyrics.Piece> sung = new ArrayList<>();
    int end = 0;
    for (Timeline.PlayedBar bar : timeline.bars()) {
      List<List<BarLyrics.Piece>> verses = at(bar.written()).verses();
      int verse = times.merge(bar.written(), 1, Integer::sum) - 1;
      if (!verses.isEmpty()) {
        verses.get(Math.min(verse, verses.size() - 1)).stream()
            .filter(p -> p.tick() < bar.lengthTicks())
            .forEach(p -> sung.add(new BarLyrics.Piece(bar.startTick() + p.tick(), p.text())));
      }
      end = bar.endTick();
    }
    List<Line> lines = new ArrayList<>();
    for (int p = 0; p < sung.size(); p++) {
      int next = p + 1 < sung.size() ? sung.get(p + 1).tick() : end;
      lines.add(new Line(sung.get(p).tick(), next, sung.get(p).text()));
    }
    return List.copyOf(lines);
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
