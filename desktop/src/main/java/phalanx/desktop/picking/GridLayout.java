package phalanx.desktop.picking;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import phalanx.desktop.texts.Texts;
import phalanx.picking.Role;
import phalanx.theory.Meter;

/** Where roles and times lie in the grid of a pattern, in pixels. Pure geometry. */
final class GridLayout {

  /**
   * A row of the grid.
   *
   * @param name what stands beside it
   * @param role the role whose strokes it has; empty for the row of hits
   */
  record Row(String name, Optional<Role> role) {

    /** Whether the thumb plays it. */
    boolean isThumb() {
      return role.filter(Role::isThumb).isPresent();
    }
  }

  /** The row of hits, the lowest. */
  static final Row HITS = new Row(Texts.of("gridLayout.hits"), Optional.empty());

  /** The rows from top to bottom. */
  static final List<Row> ROWS = rows();

  static final double LEFT = 96;
  static final double TOP = 46;
  static final double ROW = 33;

  private static final double RIGHT = 14;
  private static final double LEAD = 26;

  /** Between the fingers' rows and the thumb's, and between those and the hits. */
  private static final double GAP = 6;

  private final double width;
  private final int from;
  private final int length;
  private final Meter meter;
  private final int parts;

  private static List<Row> rows() {
    List<Row> rows = new ArrayList<>();
    List<Role> down =
        List.of(
            Role.TUNE, Role.UPPER, Role.MIDDLE, Role.INNER, Role.THUMB, Role.ALTERNATE, Role.ROOT);
    down.forEach(r -> rows.add(new Row(r.words(), Optional.of(r))));
    rows.add(HITS);
    return List.copyOf(rows);
  }

  /** The row of a role. */
  static Row row(Role role) {
    return ROWS.stream().filter(r -> r.role().equals(Optional.of(role))).findFirst().orElseThrow();
  }

  /**
   * Lays a part of a pattern out.
   *
   * @param from the tick at the left
   * @param length how many ticks are shown
   * @param parts equal parts of a beat that can be struck, 1 to 8
   */
  GridLayout(Meter meter, int from, int length, int parts, double width) {
    this.meter = meter;
    this.from = from;
    this.length = length;
    this.parts = parts;
    this.width = width;
  }

  int from() {
    return from;
  }

  int to() {
    return from + length;
  }

  /** Whether a tick is shown. */
  boolean shows(int tick) {
    return tick >= from && tick < to();
  }

  double x(int tick) {
    return LEFT + LEAD + (width - LEFT - RIGHT - LEAD) * (tick - from) / length;
  }

  double y(Row row) {
    double gap = row.isThumb() ? GAP : row == HITS ? 2 * GAP : 0;
    return TOP + ROWS.indexOf(row) * ROW + gap;
  }

  /** Where a string lies on which a brush starts or ends, 0 for ⑥ to 5 for ①. */
  double stringY(int string) {
    return switch (string) {
      case 5 -> y(row(Role.TUNE));
      case 4 -> y(row(Role.UPPER));
      case 3 -> y(row(Role.MIDDLE));
      case 2 -> y(row(Role.INNER));
      case 1 -> y(row(Role.THUMB));
      default -> y(row(Role.ROOT));
    };
  }

  /** Height of the rows. */
  double bottom() {
    return y(HITS) + ROW * 0.6;
  }

  /** Room for one stroke. */
  double columnWidth() {
    return (width - LEFT - RIGHT - LEAD) / ticks().size();
  }

  /** Every time shown that can be struck. */
  List<Integer> ticks() {
    int beats = length / meter.beatTicks();
    return IntStream.range(0, beats * parts)
        .mapToObj(n -> from + n / parts * meter.beatTicks() + n % parts * meter.beatTicks() / parts)
        .toList();
  }

  /** The row at a height. */
  Optional<Row> rowAt(double y) {
    return ROWS.stream().filter(r -> Math.abs(y(r) - y) <= ROW / 2).findFirst();
  }

  /** The time that can be struck nearest to a place, if one is near. */
  Optional<Integer> tickAt(double x) {
    double reach = (width - LEFT) / ticks().size();
    return ticks().stream()
        .min(Comparator.comparingDouble(t -> Math.abs(x(t) - x)))
        .filter(t -> Math.abs(x(t) - x) <= Math.max(12, reach / 2));
  }
}
