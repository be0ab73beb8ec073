package phalanx.engraving.score;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import phalanx.arrangement.Note;
import phalanx.notation.WrittenForm.WrittenBar;

/**
 * A bar in its system.
 *
 * @param content what stands in it
 * @param left its left bar line
 * @param right its right bar line
 * @param columns its columns by time
 * @param at where each stands, by time
 */
record Placed(
    BarContent content,
    double left,
    double right,
    TreeMap<Integer, Column> columns,
    Map<Integer, Double> at) {

  static Placed of(Spacing spacing, double left, double stretch) {
    Map<Integer, Double> at = new TreeMap<>();
    List<Double> places = spacing.places(stretch);
    int c = 0;
    for (int tick : spacing.columns().keySet()) {
      at.put(tick, left + places.get(c++));
    }
    return new Placed(spacing.bar(), left, left + spacing.width(stretch), spacing.columns(), at);
  }

  WrittenBar written() {
    return content.written();
  }

  double x(int tick) {
    return at.get(tick);
  }

  /** Where the middle of an undisplaced head at a time stands. */
  double middle(int tick) {
    return at.get(tick) + Measures.HEAD / 2;
  }

  /** Where the middle of a note stands, a short one before its column. */
  double middle(Note note) {
    Integer main = content.graces().get(note);
    return main == null ? middle(note.tick()) : x(main) + columns.get(main).graces.get(note);
  }

  /** How far the heads of a stroke are displaced because the other voice has its place. */
  double shift(Stroke stroke) {
    Column column = columns.get(stroke.tick());
    return content.hasTwoVoices() && !stroke.up() ? column.shift : 0;
  }

  /** Where the stem of a stroke stands. */
  double stem(Stroke stroke) {
    double x = x(stroke.tick()) + shift(stroke);
    return stroke.up() ? x + Measures.HEAD - Measures.STEM / 2 : x + Measures.STEM / 2;
  }
}
