package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import phalanx.arrangement.Slot;
import phalanx.engraving.SheetOptions;
import phalanx.engraving.font.Face;
import phalanx.song.Timeline.PlayedBar;
import phalanx.theory.Ticks;

/**
 * Where the times of a bar stand. The room behind a note grows by a constant with each doubling of
 * its duration; springs of that length are stretched together until the line is full, and rods keep
 * signs from touching (Blostein and Haken, “Justification of printed music”, Communications of the
 * ACM 34, 1991).
 */
final class Spacing {

  /** Room of a sixteenth, and what each doubling adds. */
  private static final double SIXTEENTH = 2.3;

  private static final double DOUBLING = 1.15;
  private static final double SHORTEST = 1.6;

  /** Between the ink of two columns. */
  private static final double GAP = 0.35;

  /** Room of a repeat sign, and of a metre. */
  static final double REPEAT = 1.6;

  private static final double METRE = 2.6;

  private static final double AFTER_LINE = 1.0;
  private static final double BEFORE_LINE = 0.6;

  private final BarContent bar;
  private final TreeMap<Integer, Column> columns;
  private final double[] rods;
  private final double[] springs;
  private final Map<Integer, Double> chordWidths = new HashMap<>();
  private final double start;
  private final double metre;
  private final double end;

  /**
   * A bar.
   *
   * @param turns whether another metre begins with it
   */
  Spacing(BarContent bar, SheetOptions options, boolean turns) {
    this.bar = bar;
    metre = turns ? METRE : 0;
    columns = Columns.of(bar, options);
    List<Column> all = List.copyOf(columns.values());
    rods = new double[all.size()];
    springs = new double[all.size()];
    PlayedBar played = bar.written().bar();
    for (int c = 0; c < all.size(); c++) {
      boolean last = c + 1 == all.size();
      int next = last ? played.endTick() : all.get(c + 1).tick;
      springs[c] = room(next - all.get(c).tick);
      rods[c] = all.get(c).right() + (last ? 0 : GAP - all.get(c + 1).left());
    }
    for (Slot slot : bar.slots()) {
      String label = slot.played().harmony().label();
      chordWidths.put(
          slot.played().tick(),
          label.isEmpty() ? 0 : Face.BOLD.width(label, Measures.CHORD_SIZE) + 0.8);
    }
    double repeat = bar.written().repeatStart() ? REPEAT : 0;
    start = AFTER_LINE + repeat + metre - all.get(0).left();
    end = BEFORE_LINE + (bar.written().plays() > 1 ? REPEAT : 0);
  }

  private Spacing(Spacing other) {
    bar = other.bar;
    columns = other.columns;
    rods = other.rods;
    springs = other.springs;
    chordWidths.putAll(other.chordWidths);
    metre = 0;
    start = other.start - other.metre;
    end = other.end;
  }

  /** The same bar where it begins a system, which shows the metre itself. */
  Spacing first() {
    return metre == 0 ? this : new Spacing(this);
  }

  private static double room(int ticks) {
    double doublings = Math.log(ticks / (Ticks.PER_QUARTER / 4.0)) / Math.log(2);
    return Math.max(SHORTEST, SIXTEENTH + DOUBLING * doublings);
  }

  BarContent bar() {
    return bar;
  }

  TreeMap<Integer, Column> columns() {
    return columns;
  }

  /** How wide the bar is with its springs stretched so many times. */
  double width(double stretch) {
    List<Double> at = places(stretch);
    int last = at.size() - 1;
    double behind = Math.max(rods[last], springs[last] * stretch);
    double chord =
        bar.slots().stream()
            .mapToDouble(
                s -> {
                  int column = columns.headMap(s.played().tick()).size();
                  return at.get(column) + chordWidths.get(s.played().tick());
                })
            .max()
            .orElse(0);
    return Math.max(at.get(last) + behind + end, chord);
  }

  /** Where each column stands from the left bar line. */
  List<Double> places(double stretch) {
    List<Double> places = new ArrayList<>();
    double x = start;
    double chordEnds = 0;
    int c = 0;
    for (Column column : columns.values()) {
      if (c > 0) {
        x += Math.max(rods[c - 1], springs[c - 1] * stretch);
      }
      Double chord = chordWidths.get(column.tick);
      if (chord != null && chord > 0) {
        x = Math.max(x, chordEnds);
        chordEnds = x + chord;
      }
      places.add(x);
      c++;
    }
    return places;
  }
}
