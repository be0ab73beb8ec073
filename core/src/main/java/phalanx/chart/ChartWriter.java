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
    // A word with a place of its own in it needs one behind it, so that it stays a part of the
    // word.
    boolean placed = changes.stream().anyMatch(c -> label(c, notation).contains("@"));
    int cells = placed ? 0 : cells(changes, length, meter);
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
    String label = shown.label(notation.naming()).replaceAll("[\\s|]", "_");
    return change.harmony() instanceof Harmony.Unread && ChartReader.means(label, notation.naming())
        ? ChartReader.AS_IT_STANDS + label
        : label;
  }

  /** Whole bars with their signs, as one line. */
  public static String line(List<Bar> bars, Notation notation, Notation.Numbers numbers) {
    StringBuilder line = new StringBuilder();
    Notation now = notation;
    EndingMarks marks = new EndingMarks();
    for (int b = 0; b < bars.size(); b++) {
      Bar bar = bars.get(b);
      boolean behindRepeat = b > 0 && bars.get(b - 1).plays() > 1;
      line.append(behindRepeat ? ":|" : "|").append(bar.repeatStart() ? ":" : "");
      line.append(marks.opens(bar) ? passes(bar.passes()) : "");
      line.append(behindRepeat ? times(bars.get(b - 1), marks) : "").append(' ');
      line.append(cells(bar, now, numbers)).append(' ');
      now = now.goingOn(bar.meter().orElse(now.meter()));
      marks.close(bar);
    }
    boolean repeatEnds = !bars.isEmpty() && bars.get(bars.size() - 1).plays() > 1;
    return line + (repeatEnds ? ":|" + times(bars.get(bars.size() - 1), marks) : "|");
  }

  /** How often, where the endings do not say it: three times or more. */
  private static String times(Bar bar, EndingMarks marks) {
    return bar.plays() == marks.timesSaid ? "" : " x" + bar.plays();
  }

  /**
   * What the reader takes to be the ending of the next bar, so that only what differs is written.
   */
  private static final class EndingMarks {
    private Set<Integer> ending = Set.of();
    private boolean passageOver;
    private int timesSaid;

    boolean opens(Bar bar) {
      return !bar.passes().equals(ending);
    }

    /** As the reader does at the sign behind a bar. */
    void close(Bar bar) {
      ending = passageOver ? Set.of() : bar.passes();
      passageOver &= !bar.repeatStart();
      if (bar.plays() > 1) {
        timesSaid = Math.min(Bar.MOST_PLAYS, ending.stream().mapToInt(p -> p).max().orElse(1) + 1);
        passageOver |= !bar.repeatStart();
        ending = Set.of();
      }
    }
  }

  /** Endings, or the sign that the bars are played every time again. */
  private static String passes(Set<Integer> passes) {
    return passes.isEmpty()
        ? ChartReader.NO_ENDING
        : new TreeSet<>(passes).stream().map(String::valueOf).collect(Collectors.joining(","));
  }
}
