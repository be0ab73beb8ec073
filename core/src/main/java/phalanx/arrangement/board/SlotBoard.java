package phalanx.arrangement.board;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.arrangement.tune.SlotTune;
import phalanx.arrangement.tune.TuneFit;
import phalanx.fretting.Cost;
import phalanx.fretting.RankedShapes;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapePlan;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.picking.PatternHeard;
import phalanx.planning.Arranger;
import phalanx.planning.TuneCandidates;
import phalanx.song.Harmony;
import phalanx.theory.ChordName;
import phalanx.theory.ChordNaming;

/**
 * What a player weighs at one chord: the shapes there are, why the plan took its own, what the next
 * best plans do otherwise.
 *
 * @param slot place of the slot in the song
 * @param found how many fingered shapes the chord has in all
 * @param choices those that pass the filter, the best for the whole song first
 * @param names what the held shape may also be called, likeliest first
 * @param why what the held shape costs: by itself, coming to it, going on from it
 * @param others the next best plans for the whole song
 */
public record SlotBoard(
    int slot,
    int found,
    List<ShapeChoice> choices,
    List<ChordName> names,
    List<Cost> why,
    List<OtherPlan> others) {

  /** Fingered shapes looked at for cards; beyond, they only get harder. */
  private static final int LOOKED_AT = 800;

  /** Plans beside the first. */
  private static final int OTHER_PLANS = 3;

  public SlotBoard {
    choices = List.copyOf(choices);
    names = List.copyOf(names);
    why = List.copyOf(why);
    others = List.copyOf(others);
  }

  /**
   * Another plan for the whole song.
   *
   * @param extraCost what it costs more than the first
   * @param differences the slots in which it holds something else
   */
  public record OtherPlan(double extraCost, List<Difference> differences) {
    public OtherPlan {
      differences = List.copyOf(differences);
    }
  }

  /**
   * A slot that another plan holds otherwise.
   *
   * @param slot place of the slot in the song
   * @param shape what is held there
   */
  public record Difference(int slot, Shape shape) {}

  /** The board of a slot. */
  public static SlotBoard of(Arrangement a, int slot, ShapeFilter filter, int limit) {
    Slot at = a.slots().get(slot);
    Optional<Shape> held = at.shape();
    if (!(at.played().harmony() instanceof Harmony.Sounding sounding)) {
      return new SlotBoard(slot, 0, List.of(), List.of(), List.of(), List.of());
    }
    Reach reach = a.plan().problem().changes().reach();
    ShapeQuery query = Arranger.query(a.song(), sounding.chord());
    RankedShapes found = ShapeSearch.find(query, reach);
    TuneFit fit = TuneFit.of(a);
    SlotTune tune = SlotTune.of(at.tune(), at.fromTick(), at.toTick());
    PatternHeard heard = at.heard();
    Predicate<Shape> wanted = filter.on(reach);
    List<RatedShape> shown =
        found.candidates(LOOKED_AT, Arranger.FINGERINGS_EACH).stream()
            .filter(r -> wanted.test(r.shape()))
            .flatMap(r -> TuneCandidates.rated(query, r, heard, tune, fit).stream())
            .toList();
    List<ChordName> names =
        held.map(s -> ChordNaming.names(s.midi(a.song().guitar().withCapo(0)))).orElse(List.of());
    return new SlotBoard(
        slot,
        found.size(),
        ShapeChoice.of(a, slot, shown, limit),
        names,
        held.map(s -> why(a, slot)).orElse(List.of()),
        others(a));
  }

  private static List<Cost> why(Arrangement a, int slot) {
    List<Cost> why = new ArrayList<>();
    why.add(Arranger.explain(a, slot, a.plan().chosen(slot)));
    a.plan().explainArrival(slot).ifPresent(why::add);
    if (slot + 1 < a.slots().size()) {
      a.plan().explainArrival(slot + 1).ifPresent(why::add);
    }
    return why;
  }

  private static List<OtherPlan> others(Arrangement a) {
    List<OtherPlan> others = new ArrayList<>();
    for (ShapePlan plan : a.plan().different(OTHER_PLANS)) {
      List<Difference> differences = new ArrayList<>();
      for (int s = 0; s < a.slots().size(); s++) {
        Shape shape = plan.chosen(s).shape();
        if (!shape.sameFrets(a.plan().chosen(s).shape())) {
          differences.add(new Difference(s, shape));
        }
      }
      others.add(new OtherPlan(plan.cost() - a.plan().cost(), differences));
    }
    return others;
  }
}
