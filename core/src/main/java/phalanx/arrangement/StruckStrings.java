package phalanx.arrangement;

import java.util.HashSet;
import java.util.Set;
import phalanx.fretting.Candidates;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Shape;
import phalanx.picking.Role;
import phalanx.picking.Stroke;
import phalanx.song.Timeline.PlayedBar;
import phalanx.song.Timeline.PlayedSlot;

/**
 * The strings a pattern's fingers are at home on. A shape that leaves one of them silent costs
 * more: those strokes fall on another string, where the figure is not heard any more. The weight is
 * by judgement.
 */
final class StruckStrings {

  /** Cost of each of them that does not sound. */
  private static final double SILENT = 0.3;

  private StruckStrings() {}

  /**
   * The strings of a slot's pattern, without those of the tune where one is sung: it goes its own
   * way.
   */
  static Set<Integer> of(PatternBook book, PlayedBar bar, PlayedSlot slot, boolean sung) {
    Set<Integer> strings = new HashSet<>();
    book.pattern(book.style(bar, slot), bar.meter()).steps().stream()
        .flatMap(s -> s.plucks())
        .map(Stroke.Pluck::role)
        .filter(r -> !r.isThumb() && r != Role.INNER && !(sung && r == Role.TUNE))
        .forEach(r -> strings.add(r.home()));
    return strings;
  }

  /** What a shape costs for those it leaves silent. */
  static double cost(Shape shape, Set<Integer> struck) {
    return SILENT * struck.stream().filter(s -> !shape.sounds(s)).count();
  }

  /** A row of candidates with that cost. */
  static Candidates rated(Candidates row, Set<Integer> struck) {
    return Candidates.of(
        row.stream()
            .map(r -> new RatedShape(r.shape(), r.cost() + cost(r.shape(), struck)))
            .toList());
  }
}
