package phalanx.arrangement;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.ChangeCosts.FingerMove;
import phalanx.fretting.ChangeCosts.Motion;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapePlan.Alternative;
import phalanx.fretting.StringSign;
import phalanx.instrument.Finger;
import phalanx.song.Song;

/**
 * One shape a slot could hold, with what a player weighs when choosing.
 *
 * @param shape the shape
 * @param chosen whether the plan holds it now
 * @param span its widest span against the hand; empty with fewer than two fingers
 * @param keptBefore fingers that stay from the shape before
 * @param keptAfter fingers that stay into the shape after
 * @param extraCost what the whole song's plan would cost more with it; may be negative where the
 *     chosen shape is pinned
 */
public record ShapeChoice(
    Shape shape,
    boolean chosen,
    Optional<Reach.Span> span,
    int keptBefore,
    int keptAfter,
    double extraCost) {

  /**
   * The shapes a slot could hold, the best for the whole song first, one fingering of each frets.
   */
  public static List<ShapeChoice> of(Arrangement arrangement, int slot, int limit) {
    if (arrangement.slots().get(slot).shape().isEmpty()) {
      return List.of();
    }
    Shape held = arrangement.slots().get(slot).shape().get();
    List<ShapeChoice> choices = new ArrayList<>();
    choices.add(of(arrangement, slot, held, 0));
    for (Alternative a : arrangement.plan().alternatives(slot)) {
      Shape shape = a.shape().shape();
      boolean seen = choices.stream().anyMatch(c -> c.shape().sameFrets(shape));
      if (!seen && choices.size() < limit) {
        choices.add(of(arrangement, slot, shape, a.extraCost()));
      }
    }
    choices.sort((x, y) -> Double.compare(x.extraCost(), y.extraCost()));
    return choices;
  }

  private static ShapeChoice of(Arrangement a, int slot, Shape shape, double extra) {
    Song song = a.song();
    return new ShapeChoice(
        shape,
        a.slots().get(slot).shape().filter(shape::equals).isPresent(),
        new Reach(song.guitar(), song.hand()).widestSpan(shape),
        slot == 0 ? 0 : kept(a, a.plan().chosen(slot - 1).shape(), shape),
        slot + 1 == a.slots().size() ? 0 : kept(a, shape, a.plan().chosen(slot + 1).shape()),
        extra);
  }

  private static int kept(Arrangement a, Shape from, Shape to) {
    return (int)
        changes(a).moves(from, to).stream().filter(m -> m.motion() == Motion.STAYS).count();
  }

  private static ChangeCosts changes(Arrangement a) {
    return a.plan().problem().changes();
  }

  /** What each finger does on the way from a slot to the next; empty at the end. */
  public static List<FingerMove> movesAfter(Arrangement arrangement, int slot) {
    List<Slot> slots = arrangement.slots();
    if (slot + 1 >= slots.size() || slots.get(slot + 1).shape().isEmpty()) {
      return List.of();
    }
    Shape from = slots.get(slot).shape().orElse(Shape.NOTHING);
    return changes(arrangement).moves(from, slots.get(slot + 1).shape().get());
  }

  /** The fingers in words: {@code fingers 2·1·3}, {@code barre 1}, {@code thumb over ⑥}. */
  public String handWords() {
    var grips = shape.grips();
    if (grips.isEmpty()) {
      return "all open";
    }
    String row = grips.keySet().stream().map(Finger::sign).collect(Collectors.joining("·"));
    String words = (grips.size() == 1 ? "finger " : "fingers ") + row;
    if (grips.containsKey(Finger.THUMB)) {
      words += ", thumb over " + StringSign.of(0);
    }
    return grips.values().stream().anyMatch(g -> g.isBarre()) ? words + ", barre" : words;
  }

  /** The span, and how many fingers stay from the shape before and into the next, in words. */
  public String workWords() {
    String width =
        span.map(
                s ->
                    "span %.0f mm%s".formatted(s.millimetres(), s.isStretch() ? ", a stretch" : ""))
            .orElse("no span");
    int kept = keptBefore + keptAfter;
    return kept == 0 ? width : width + " · keeps " + kept;
  }
}
