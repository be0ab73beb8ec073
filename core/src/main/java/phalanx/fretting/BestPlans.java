package phalanx.fretting;

import java.util.Comparator;
import java.util.Iterator;
import java.util.NoSuchElementException;
import java.util.PriorityQueue;

/**
 * The plans of a problem one after the other, the cheapest first, each different from all before.
 *
 * <p>Best-first search over rows of candidates from the start. What the rest of a row costs at
 * least is known exactly from the solved plan, so only beginnings of rows that will be handed out
 * are ever taken up, and the k-th plan takes O(n·k) further beginnings for n slots of k candidates.
 */
final class BestPlans implements Iterator<int[]> {

  private final ShapePlan plan;
  private final PlanProblem problem;
  private final int slots;
  private final PriorityQueue<Row> open =
      new PriorityQueue<>(
          Comparator.comparingDouble(Row::total)
              .thenComparing(Comparator.comparingInt(Row::slot).reversed()));

  /** The beginning of a row: its last candidate, all before it, and their cost. */
  private record Row(Row before, int slot, int candidate, double cost, double total) {}

  BestPlans(ShapePlan plan) {
    this.plan = plan;
    problem = plan.problem();
    slots = problem.slots().size();
    if (slots > 0) {
      extend(null);
    }
  }

  private void extend(Row row) {
    int slot = row == null ? 0 : row.slot() + 1;
    PlanSlot here = problem.slots().get(slot);
    for (int c = 0; c < here.candidates().size(); c++) {
      if (here.allows(c)) {
        double change =
            row == null ? 0 : row.cost() + PlanSolver.change(problem, slot, row.candidate(), c);
        double cost = change + here.candidates().get(c).cost();
        open.add(new Row(row, slot, c, cost, cost + plan.after()[slot][c]));
      }
    }
  }

  @Override
  public boolean hasNext() {
    return !open.isEmpty();
  }

  @Override
  public int[] next() {
    while (!open.isEmpty()) {
      Row row = open.poll();
      if (row.slot() == slots - 1) {
        return choice(row);
      }
      extend(row);
    }
    throw new NoSuchElementException("no further plan");
  }

  private int[] choice(Row last) {
    int[] choice = new int[slots];
    for (Row row = last; row != null; row = row.before()) {
      choice[row.slot()] = row.candidate();
    }
    return choice;
  }
}
