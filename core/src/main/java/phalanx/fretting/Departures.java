package phalanx.fretting;

import java.util.List;

/**
 * What it costs to go on from each candidate of each slot to the end of a plan, by dynamic
 * programming from the end. With what it costs to come there it says what the cheapest plan through
 * a candidate costs, which is what the player is shown beside the chosen shape. Most plans are
 * never asked, so it is worked out at the first question; safe for use by several threads.
 */
final class Departures {

  private final PlanProblem problem;
  private final List<PlanSlot> slots;

  /** By slot and candidate; empty rows are not known yet. */
  private final double[][] cost;

  private boolean complete;

  Departures(PlanProblem problem) {
    this.problem = problem;
    slots = problem.slots();
    cost = new double[slots.size()][];
  }

  /**
   * Those of a problem that is much like another: behind the last slot that differs they are the
   * same, as far as they are known.
   *
   * @param head slots at the beginning that are the same
   */
  static Departures like(Departures other, PlanProblem problem, int head) {
    Departures departures = new Departures(problem);
    double[][] known = other.known();
    List<PlanSlot> old = other.slots;
    int shift = old.size() - departures.slots.size();
    int from = departures.slots.size();
    while (from > head
        && from + shift > 0
        && departures.slots.get(from - 1).equals(old.get(from - 1 + shift))) {
      from--;
      departures.cost[from] = known[from + shift];
    }
    return departures;
  }

  private synchronized double[][] known() {
    return cost.clone();
  }

  /** By slot and candidate, its own cost not counted. */
  synchronized double[][] costs() {
    for (int i = cost.length - 1; i >= 0 && !complete; i--) {
      if (cost[i] == null) {
        cost[i] = i == cost.length - 1 ? new double[size(i)] : before(i, cost[i + 1]);
      }
    }
    complete = true;
    return cost;
  }

  private int size(int slot) {
    return slots.get(slot).candidates().size();
  }

  /** From each candidate of a slot, where those of the next are known. */
  private double[] before(int slot, double[] after) {
    ChangeTables.Table change = PlanSolver.changesInto(problem, slot + 1);
    PlanSlot next = slots.get(slot + 1);
    double[] onward = new double[after.length];
    for (int s = 0; s < onward.length; s++) {
      onward[s] = next.candidates().get(s).cost() + after[s];
    }
    int[] order = PlanSolver.cheapestFirst(onward, next);
    double[] least = new double[size(slot)];
    int likely = order[0];
    for (int c = 0; c < least.length; c++) {
      least[c] = change.cost(c, likely, next.changeMillis()) + onward[likely];
      for (int k = 0; k < order.length && onward[order[k]] < least[c]; k++) {
        int s = order[k];
        if (change.atLeast(c, s) + onward[s] < least[c]) {
          double unhurried = change.unhurried(c, s);
          if (unhurried + onward[s] < least[c]) {
            double late = change.late(c, s, next.changeMillis());
            double through = unhurried + late + onward[s];
            likely = through < least[c] ? s : likely;
            least[c] = Math.min(least[c], through);
          }
        }
      }
    }
    return least;
  }
}
