package phalanx.desktop.picking;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import phalanx.picking.Role;
import phalanx.theory.Meter;

/** Where roles and times lie in the grid of a pattern, in pixels. Pure geometry. */
final class GridLayout {

  /** The rows from top to bottom; the thumb's route chooses its string, so it has one. */
  static final List<Role> ROWS = List.of(Role.TUNE, Role.UPPER, Role.MIDDLE, Role.INNER, Role.ROOT);

  static final double LEFT = 92;
  static final double TOP = 44;
  static final double ROW = 46;
  private static final double RIGHT = 14;

  private final double width;
  private final int lengthTicks;
  private final Meter meter;
  private final int parts;

  /**
   * Lays a pattern out.
   *
   * @param parts equal parts of a beat that can be struck, 1 to 8
   */
  GridLayout(Meter meter, int lengthTicks, int parts, double width) {
    this.meter = meter;
    this.lengthTicks = lengthTicks;
    this.parts = parts;
    this.width = width;
  }

  double x(int tick) {
    double lead = 26;
    return LEFT + lead + (width - LEFT - RIGHT - lead) * tick / lengthTicks;
  }

  double y(Role role) {
    Role row = role.isThumb() ? Role.ROOT : role;
    int index = ROWS.indexOf(row);
    return TOP + index * ROW + (row == Role.ROOT ? 14 : 0);
  }

  /** Height of the rows. */
  double bottom() {
    return y(Role.ROOT) + ROW * 0.7;
  }

  /** Every time that can be struck. */
  List<Integer> ticks() {
    int beats = lengthTicks / meter.beatTicks();
    return IntStream.range(0, beats * parts)
        .mapToObj(n -> n / parts * meter.beatTicks() + n % parts * meter.beatTicks() / parts)
        .toList();
  }

  /** The role whose row is at a height. */
  Optional<Role> roleAt(double y) {
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
