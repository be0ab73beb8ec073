package phalanx.arrangement.laying;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleSupplier;
import phalanx.fretting.PlanSlot;
import phalanx.fretting.PlanSolver;
import phalanx.fretting.ShapePlan;

/**
 * Looks for the plan of a song as long as it may cost no more than a limit. What a plan costs at
 * least is what the cheapest shape of every slot costs, changes left out: first of the chord alone,
 * then with pattern and tune, slot by slot.
 */
final class PlanSearch {

  private final SongSlots slots;
  private final DoubleSupplier limit;
  private double atLeast;

  /**
   * A search.
   *
   * @param limit asked again and again
   */
  PlanSearch(SongSlots slots, DoubleSupplier limit) {
    this.slots = slots;
    this.limit = limit;
  }

  /** The plan; empty if it costs more. */
  Optional<ShapePlan> plan() {
    double[] least = new double[slots.count()];
    for (int i = 0; i < least.length && goesOn(); i++) {
      least[i] = slots.leastAlone(i);
      atLeast += least[i];
    }
    List<PlanSlot> rows = new ArrayList<>();
    for (int i = 0; i < least.length && goesOn(); i++) {
      rows.add(slots.row(i));
      atLeast += rows.get(i).least() - least[i];
    }
    if (!goesOn()) {
      return Optional.empty();
    }
    ShapePlan plan = PlanSolver.solve(slots.problem(rows));
    atLeast = plan.cost();
    return Optional.of(plan).filter(p -> goesOn());
  }

  /** What the plan costs at least, as far as it was looked for. */
  double atLeast() {
    return atLeast;
  }

  private boolean goesOn() {
    return atLeast <= limit.getAsDouble();
  }
}
