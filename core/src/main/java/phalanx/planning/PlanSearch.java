package phalanx.planning;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleSupplier;
import phalanx.fretting.CostTerm;
import phalanx.fretting.PlanSlot;
import phalanx.fretting.PlanSolver;
import phalanx.fretting.ShapePlan;

/**
 * Looks for the plan of a song as long as it may cost no more than a limit. What a plan costs at
 * least is what the cheapest shape of every slot costs, changes left out: first of the chord alone,
 * then with pattern and tune, slot by slot. A chord that is better held in parts costs less than
 * its plan in one shape, and so may a song in which something is found, so that there the sum
 * before is all that is known.
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
    // A shape may cost less than nothing, so what was not looked at yet counts with its floor.
    double[] least = new double[slots.count()];
    Arrays.fill(least, CostTerm.LEAST_OF_A_SHAPE);
    atLeast = least.length * CostTerm.LEAST_OF_A_SHAPE;
    for (int i = 0; i < least.length && goesOn(); i++) {
      double alone = slots.leastAlone(i);
      atLeast += alone - least[i];
      least[i] = alone;
    }
    List<PlanSlot> rows = new ArrayList<>();
    boolean adapts = false;
    for (int i = 0; i < least.length && goesOn(); i++) {
      rows.add(slots.row(i));
      boolean mayPart = Revoicing.mayPart(slots, i);
      adapts |= mayPart;
      // In parts a chord may cost less than over one shape, but not less than alone.
      atLeast += mayPart ? 0 : rows.get(i).least() - least[i];
    }
    if (!goesOn()) {
      return Optional.empty();
    }
    ShapePlan plan = PlanSolver.solve(slots.problem(rows));
    // What is found, such as a change that is late, may go with a note that is left out.
    if (!adapts && plan.cost() == plan.ease()) {
      atLeast = plan.cost() - gained(plan);
    }
    return Optional.of(plan).filter(p -> goesOn());
  }

  /**
   * By how much a plan may get cheaper when both hands are put together: a finger that was thought
   * to rest stays down instead of lifting and landing.
   */
  private static double gained(ShapePlan plan) {
    double gained = 0;
    for (int i = 0; i < plan.shapes().size(); i++) {
      gained += plan.chosen(i).resting().isEmpty() ? 0 : STAYS;
    }
    return gained;
  }

  /** A finger goes no further than this in a change of chords, mm. */
  private static final double FURTHEST = 60;

  /** Lifting and landing, there and back, of a finger that stays instead. */
  private static final double STAYS =
      2
          * (CostTerm.LIFTING.weight()
              + CostTerm.LANDING.weight()
              + FURTHEST * CostTerm.MOVE.weight());

  /** What the plan costs at least, as far as it was looked for. */
  double atLeast() {
    return atLeast;
  }

  /** Sums of the same costs in another order differ by this much at most, as a share. */
  private static final double ROUNDING = 1e-9;

  private boolean goesOn() {
    double most = limit.getAsDouble();
    return atLeast <= most + ROUNDING * (1 + Math.abs(most));
  }
}
