package phalanx.arrangement.board;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.ChangeCosts.FingerMove;
import phalanx.fretting.ChangeCosts.Motion;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapePlan;
import phalanx.fretting.ShapePlan.Alternative;
import phalanx.fretting.StretchRule;
import phalanx.instrument.Finger;
import phalanx.instrument.StringSign;
import phalanx.text.Texts;

/**
 * One shape a slot could hold, with what a player weighs when choosing.
 *
 * @param shape the shape
 * @param chosen whether the plan holds it now
 * @param span its widest span against the hand, that of the fingers that do not rest where it is
 *     chosen; empty with fewer than two fingers
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
    List<RatedShape> planned =
        arrangement.plan().alternatives(slot).stream().map(Alternative::shape).toList();
    return of(arrangement, slot, planned, limit);
  }

  /** The best of some shapes for a slot, the one that is held among them; one of each frets. */
  static List<ShapeChoice> of(
      Arrangement arrangement, int slot, List<RatedShape> shapes, int limit) {
    ShapePlan plan = arrangement.plan();
    List<Alternative> ranked =
        shapes.stream()
            .map(s -> new Alternative(s, plan.extraCost(slot, s)))
            .sorted(Comparator.comparingDouble(Alternative::extraCost))
            .toList();
    Optional<Shape> held = arrangement.slots().get(slot).shape();
    List<ShapeChoice> choices = new ArrayList<>();
    held.ifPresent(h -> choices.add(of(arrangement, slot, h, 0)));
    Set<String> seen = new HashSet<>(held.map(Shape::fretText).stream().toList());
    for (Alternative a : ranked) {
      if (choices.size() < limit && seen.add(a.shape().shape().fretText())) {
        choices.add(of(arrangement, slot, a.shape().shape(), a.extraCost()));
      }
    }
    choices.sort(Comparator.comparingDouble(ShapeChoice::extraCost));
    return choices;
  }

  private static ShapeChoice of(Arrangement a, int slot, Shape shape, double extra) {
    boolean chosen = a.slots().get(slot).shape().filter(shape::equals).isPresent();
    return new ShapeChoice(
        shape,
        chosen,
        changes(a).reach().widestSpan(chosen ? a.slots().get(slot).asked() : shape),
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

  /**
   * What each finger does on the way from a slot to the next, those that hold the tune beside its
   * shape included; empty at the end.
   */
  public static List<FingerMove> movesAfter(Arrangement arrangement, int slot) {
    List<Slot> slots = arrangement.slots();
    if (slot + 1 >= slots.size() || slots.get(slot + 1).shape().isEmpty()) {
      return List.of();
    }
    return changes(arrangement).moves(arrangement.leaving(slot), arrangement.coming(slot + 1));
  }

  /** The fingers in words: {@code fingers 2·1·3}, {@code thumb ⑥, 1·2, barre}. */
  public String handWords() {
    var grips = shape.grips();
    if (grips.isEmpty()) {
      return Texts.of("shapeChoice.allOpen");
    }
    List<String> words = new ArrayList<>();
    if (grips.containsKey(Finger.THUMB)) {
      words.add(Texts.of("shapeChoice.thumb", StringSign.of(0)));
    }
    List<String> fingers =
        grips.keySet().stream().filter(f -> f != Finger.THUMB).map(Finger::sign).toList();
    if (!fingers.isEmpty()) {
      String start =
          !words.isEmpty()
              ? ""
              : fingers.size() == 1
                  ? Texts.of("shapeChoice.finger")
                  : Texts.of("shapeChoice.fingers");
      words.add(start + String.join("·", fingers));
    }
    if (grips.values().stream().anyMatch(g -> g.isBarre())) {
      words.add(Texts.of("shapeChoice.barre"));
    }
    return String.join(", ", words);
  }

  /** The span in words. */
  public String spanWords() {
    return span.map(
            s ->
                Texts.of(
                    "shapeChoice.spanMm",
                    s.millimetres(),
                    StretchRule.isNotable(s) ? Texts.of("shapeChoice.aStretch") : ""))
        .orElse(Texts.of("shapeChoice.noSpan"));
  }

  /** How many fingers stay from the shape before and into the next, in words; empty for none. */
  public String keptWords() {
    int kept = keptBefore + keptAfter;
    return kept == 0 ? "" : Texts.of("shapeChoice.keeps", kept);
  }
}
