package phalanx.formats.tab;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import phalanx.theory.Meter;
import phalanx.theory.Ticks;

/** When the columns of a bar of tablature are played. */
final class TabTimes {

  /** Grids that are tried where nothing counts, in parts of a quarter, the usual ones first. */
  private static final int[] GRIDS = {1, 2, 4, 3, 8, 6};

  /** What each of them costs. */
  private static final double[] RARE = {0, 0.03, 0.06, 0.14, 0.15, 0.25};

  /** How far columns may be off a grid on average, in shares of its step. */
  private static final double OFF = 0.16;

  /** How far behind its line a bar may begin, signs. */
  private static final int MOST_LEAD = 4;

  /** What it costs that a bar begins elsewhere than others, ends narrower, has broken widths. */
  private static final double ODD_LEAD = 0.03;

  private static final double ODD_END = 0.02;
  private static final double ODD_WIDTH = 0.5;

  /** What it costs to be off the grid by a step. */
  private static final double ERROR = 2;

  private final TreeMap<Integer, Integer> ticks = new TreeMap<>();

  private int first;

  private TabTimes() {}

  /**
   * The times of a bar.
   *
   * @param columns where something is struck
   * @param counts the words of the count by column; may be empty
   * @param left the column of its bar line, or of the repeat sign behind it
   * @param right the column of the next, or of the repeat sign before it
   * @param lead how far behind a bar line the bars of the system begin
   */
  static TabTimes of(
      TreeSet<Integer> columns,
      TreeMap<Integer, String> counts,
      int left,
      int right,
      int lead,
      Meter meter) {
    TabTimes times = new TabTimes();
    TreeMap<Integer, Integer> counted = counted(counts, meter);
    if (counted.size() > 1) {
      times.first = counted.firstEntry().getValue();
      times.byCount(columns, counted, meter);
    } else {
      times.bySpacing(columns, left, right, lead, meter);
    }
    return times;
  }

  /** The ticks of counted columns: numbers are beats, the words between them follow in order. */
  private static TreeMap<Integer, Integer> counted(TreeMap<Integer, String> counts, Meter meter) {
    TreeMap<Integer, Integer> ticks = new TreeMap<>();
    int unit = Ticks.PER_WHOLE / meter.unit();
    int beat = -1;
    for (Map.Entry<Integer, String> word : counts.entrySet()) {
      String text = word.getValue();
      if (text.matches("\\d{1,2}")) {
        beat = Integer.parseInt(text) - 1;
      }
      Map<String, Double> shares = new HashMap<>();
      shares.put("&", 0.5);
      shares.put("+", 0.5);
      shares.put("and", 0.5);
      shares.put("e", 0.25);
      shares.put("a", 0.75);
      shares.put("trip", 1 / 3.0);
      shares.put("let", 2 / 3.0);
      double share = shares.getOrDefault(text, 0.0);
      int tick = (int) Math.round((beat + share) * unit);
      boolean later = ticks.isEmpty() || tick > ticks.lastEntry().getValue();
      if (beat >= 0 && later && tick < meter.barTicks()) {
        ticks.put(word.getKey(), tick);
      }
    }
    return ticks;
  }

  /** Columns between two that are counted share the time between them evenly. */
  private void byCount(TreeSet<Integer> columns, TreeMap<Integer, Integer> counted, Meter meter) {
    List<Integer> open = new ArrayList<>();
    int from = first;
    for (int column : columns) {
      Integer at = near(counted, column);
      if (at != null) {
        spread(open, from, counted.get(at));
        ticks.put(column, counted.get(at));
        from = counted.get(at);
        open.clear();
        continue;
      }
      Map.Entry<Integer, Integer> passed = counted.floorEntry(column);
      if (passed != null && passed.getValue() > from) {
        spread(open, from, passed.getValue());
        open.clear();
        from = passed.getValue();
      }
      open.add(column);
    }
    int last = open.isEmpty() ? 0 : open.get(open.size() - 1);
    Map.Entry<Integer, Integer> next = counted.higherEntry(last);
    spread(open, from, next == null ? meter.barTicks() : next.getValue());
  }

  private static Integer near(TreeMap<Integer, Integer> counted, int column) {
    if (counted.containsKey(column)) {
      return column;
    }
    return counted.containsKey(column + 1) ? Integer.valueOf(column + 1) : null;
  }

  private void spread(List<Integer> open, int from, int to) {
    for (int k = 0; k < open.size(); k++) {
      ticks.put(open.get(k), from + (int) ((long) (to - from) * (k + 1) / (open.size() + 1)));
    }
  }

  /**
   * Columns lie on the coarsest grid that they fit: a bar is as many steps of equal width, whole
   * signs as a rule, the first behind its line; the last may have less room, or more.
   */
  private void bySpacing(TreeSet<Integer> columns, int left, int right, int lead, Meter meter) {
    if (columns.isEmpty()) {
      return;
    }
    double best = Double.POSITIVE_INFINITY;
    int steps = 1;
    double start = 1;
    double wide = 1;
    for (int g = 0; g < GRIDS.length; g++) {
      int grid = GRIDS[g];
      int n = Math.max(1, meter.barTicks() * grid / Ticks.PER_QUARTER);
      for (int first = 1; first <= MOST_LEAD; first++) {
        for (int more = -1; more < MOST_LEAD; more++) {
          double width = (double) (right - left - first + more) / n;
          if (width < 1 || more > width) {
            continue;
          }
          double error = error(columns, left + first, width, n);
          double odd = Math.abs(first - lead) * ODD_LEAD + Math.abs(more) * ODD_END;
          double broken = Math.abs(width - Math.round(width));
          double cost = ERROR * error + odd + ODD_WIDTH * broken + RARE[g];
          if (error <= OFF && cost < best) {
            best = cost;
            steps = n;
            start = left + first;
            wide = width;
          }
        }
      }
    }
    if (best == Double.POSITIVE_INFINITY) {
      finest(columns, left, right, meter);
      return;
    }
    for (int column : columns) {
      long step = Math.round((column - start) / wide);
      put(column, (int) (Math.min(steps - 1, Math.max(0, step)) * meter.barTicks() / steps));
    }
  }

  private static double error(TreeSet<Integer> columns, double lead, double width, int steps) {
    double sum = 0;
    long last = -1;
    for (int column : columns) {
      double at = (column - lead) / width;
      long step = Math.round(at);
      if (step <= last || step >= steps || at < -0.3) {
        return Double.POSITIVE_INFINITY;
      }
      sum += Math.abs(at - step);
      last = step;
    }
    return sum / columns.size();
  }

  /** Where no grid fits, each column is as late as it stands in the bar, to a sixteenth. */
  private void finest(TreeSet<Integer> columns, int left, int right, Meter meter) {
    int sixteenth = Ticks.PER_QUARTER / 4;
    int first = columns.first();
    double from = Math.min(first, left + 2.0);
    int last = -sixteenth;
    for (int column : columns) {
      double share = (column - from) / (right - from);
      int tick = (int) Math.round(share * meter.barTicks() / sixteenth) * sixteenth;
      last = Math.min(Math.max(tick, last + sixteenth), meter.barTicks() - 1);
      put(column, last);
    }
  }

  private void put(int column, int tick) {
    ticks.put(column, tick);
  }

  /** Where in its metre the bar begins: behind its start where a pick-up is counted. */
  int first() {
    return first;
  }

  /** When a column is played. */
  int at(int column) {
    return ticks.getOrDefault(column, 0);
  }

  /** When what stands over or near a column is played; the start of the bar before the first. */
  int nearest(int column) {
    Map.Entry<Integer, Integer> before = ticks.floorEntry(column + 1);
    Map.Entry<Integer, Integer> after = ticks.ceilingEntry(column + 1);
    if (before == null) {
      return 0;
    }
    boolean later = after != null && after.getKey() - column < column - before.getKey();
    return later ? after.getValue() : before.getValue();
  }
}
