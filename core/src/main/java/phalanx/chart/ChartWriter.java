package phalanx.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import phalanx.song.Bar;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.song.TempoMark;
import phalanx.theory.Meter;

/** Writes bars as the line of text that {@link ChartReader} reads back. */
public final class ChartWriter {

  private ChartWriter() {}

  /** The chords of one bar, without bar lines: {@code G . D7 .} */
  public static String cells(Bar bar, Notation notation, Notation.Numbers numbers) {
    List<String> words = new ArrayList<>();
    bar.meter().ifPresent(m -> words.add(m.toString()));
    bar.tempo().ifPresent(t -> words.add(TempoMark.of(t)));
    Meter meter = bar.meter().orElse(notation.meter());
    bar.borrows().flatMap(numbers).ifPresent(n -> words.add("=" + n));
    words.addAll(chords(bar, meter, notation));
    return String.join(" ", words);
  }

  private static List<String> chords(Bar bar, Meter meter, Notation notation) {
    int length = notation.barTicks(meter, true);
    List<ChordChange> changes = bar.changes();
    if (changes.isEmpty()) {
      return bar.borrows().isPresent() ? List.of() : List.of(".");
    }
    int cells = cells(changes, length, meter);
    if (cells == 0) {
      return placed(changes, length, notation);
    }
    List<String> words = new ArrayList<>();
    int next = 0;
    for (int c = 0; c < cells; c++) {
      boolean here = next < changes.size() && changes.get(next).tick() == (long) length * c / cells;
      words.add(here ? label(changes.get(next), notation) : ".");
      next += here ? 1 : 0;
    }
    return words;
  }

  /**
   * The fewest cells that have every chord at the start of one; 0 if there are too many, which are
   * written with their places instead.
   */
  private static int cells(List<ChordChange> changes, int length, Meter meter) {
    if (changes.size() == 1 && changes.get(0).tick() == 0) {
      return 1;
    }
    int counts = Math.max(1, (int) ((long) meter.count() * length / meter.barTicks()));
    for (int cells = 1; cells <= ChartReader.MOST_CELLS; cells++) {
      int tried = cells;
      boolean even = counts % cells == 0 || cells % counts == 0;
      if (even
          && length % cells == 0
          && changes.stream()
              .allMatch(c -> c.tick() < length && c.tick() % (length / tried) == 0)) {
        return cells;
      }
    }
    return 0;
  }

  private static List<String> placed(List<ChordChange> changes, int length, Notation notation) {
    return changes.stream()
        .filter(c -> c.tick() < length)
        .map(c -> label(c, notation) + "@" + c.tick() + "/" + length)
        .toList();
  }

  private static String label(ChordChange change, Notation notation) {
    Harmony shown = change.harmony().up(notation.up());
    return shown.label(notation.naming()).replace(' ', '_');
  }

  /** Whole bars with their signs, as one line. */
  public static String line(List<Bar> bars, Notation notation, Notation.Numbers numbers) {
    StringBuilder line = new StringBuilder();
    Notation now = notation;
    Set<Integer> passes = Set.of();
    boolean repeatEnds = false;
    for (int b = 0; b < bars.size(); b++) {
      Bar bar = bars.get(b);
      String times = repeatEnds ? times(bars.get(b - 1)) : "";
      String sign = (repeatEnds ? ":|" : "|") + (bar.repeatStart() ? ":" : "");
      boolean opens = !bar.passes().isEmpty() && (repeatEnds || !bar.passes().equals(passes));
      sign += opens ? passes(bar.passes()) : "";
      line.append(sign).append(times).append(' ');
      line.append(cells(bar, now, numbers)).append(' ');
      now = now.goingOn(bar.meter().orElse(now.meter()));
      repeatEnds = bar.plays() > 1;
      passes = bar.passes();
    }
    if (repeatEnds) {
      return line + ":|" + times(bars.get(bars.size() - 1));
    }
    return line + "|";
  }

  /** How often, where the endings do not say it: three times or more. */
  private static String times(Bar bar) {
    int said = bar.passes().stream().mapToInt(p -> p).max().orElse(1) + 1;
    return bar.plays() == said ? "" : " x" + bar.plays();
  }

  private static String passes(Set<Integer> passes) {
    return new TreeSet<>(passes).stream().map(String::valueOf).collect(Collectors.joining(","));
  }
}
