package phalanx.fretting;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Solves a {@link PlanProblem} as a shortest path through a layered graph: a layer a slot, a node a
 * candidate, node cost its shape, edge cost the change. Exact over the candidates.
 *
 * <p>Dynamic programming runs from both ends, so that the cheapest plan through every candidate is
 * known as well, which is what the player is shown beside the chosen shape. Time O(n·k²), memory
 * O(n·k + distinct pairs·k²) for n slots of k candidates; the changes between two equal rows of
 * candidates are worked out once. After an edit the arrivals in front of the first slot that
 * changed and the departures behind the last one are those of the plan before. Method: S. Sayegh,
 * "Fingering for String Instruments with the Optimum Path Paradigm", Computer Music Journal 13(3),
 * 1989.
 */
public final class PlanSolver {

  private final PlanProblem problem;
  private final List<PlanSlot> slots;

  private PlanSolver(PlanProblem problem) {
    this.problem = problem;
    slots = problem.slots();
  }

  /** The cheapest plan; among equals the one with the earlier candidates. */
  public static ShapePlan solve(PlanProblem problem) {
    return new PlanSolver(problem).solve(Optional.empty());
  }

  /** The same, sooner where much of a problem solved before is still the same. */
  public static ShapePlan solve(PlanProblem problem, ShapePlan before) {
    boolean sameHand = before.problem().changes() == problem.changes();
    return new PlanSolver(problem).solve(Optional.of(before).filter(b -> sameHand));
  }

  private ShapePlan solve(Optional<ShapePlan> known) {
    int n = slots.size();
    double[][] before = new double[n][];
    double[][] after = new double[n][];
    int head = known.map(k -> copyHead(k, before)).orElse(0);
    int tail = known.map(k -> copyTail(k, after, head)).orElse(n);
    Runnable coming = () -> arrive(head, before);
    Runnable goingOn = () -> goOn(tail, after);
    // Neither way looks at the other.
    Stream.of(coming, goingOn).parallel().forEach(Runnable::run);
    return new ShapePlan(problem, trace(before), before, after);
  }

  private void arrive(int head, double[][] before) {
    for (int i = head; i < before.length; i++) {
      before[i] = i == 0 ? new double[size(0)] : arrivals(i, before[i - 1]);
    }
  }

  private void goOn(int tail, double[][] after) {
    for (int i = tail - 1; i >= 0; i--) {
      after[i] = i == after.length - 1 ? new double[size(i)] : departures(i, after[i + 1]);
    }
  }

  /** Takes over the arrivals up to the first slot that changed; says how many. */
  private int copyHead(ShapePlan known, double[][] before) {
    List<PlanSlot> old = known.problem().slots();
    int same = 0;
    while (same < Math.min(slots.size(), old.size()) && slots.get(same).equals(old.get(same))) {
      before[same] = known.before()[same];
      same++;
    }
    return same;
  }

  /** Takes over the departures behind the last slot that changed; says where they begin. */
  private int copyTail(ShapePlan known, double[][] after, int head) {
    List<PlanSlot> old = known.problem().slots();
    int shift = old.size() - slots.size();
    int from = slots.size();
    while (from > head
        && from + shift > 0
        && slots.get(from - 1).equals(old.get(from - 1 + shift))) {
      from--;
      after[from] = known.after()[from + shift];
    }
    return from;
  }

  private int size(int slot) {
    return slots.get(slot).candidates().size();
  }

  private double shapeCost(int slot, int candidate) {
    return slots.get(slot).candidates().get(candidate).cost();
  }

  private static ChangeTables.Table changesInto(PlanProblem problem, int slot) {
    List<PlanSlot> slots = problem.slots();
    return problem.changes().tables().between(slots.get(slot - 1).row(), slots.get(slot).row());
  }

  /** What a change into a slot costs, between a candidate before and one there. */
  static double change(PlanProblem problem, int slot, int from, int to) {
    return changesInto(problem, slot).cost(from, to, problem.slots().get(slot).changeMillis());
  }

  /** Cheapest way to come to each candidate of slot i, its own cost not counted. */
  private double[] arrivals(int i, double[] before) {
    ChangeTables.Table change = changesInto(problem, i);
    double millis = slots.get(i).changeMillis();
    double[] here = new double[before.length];
    for (int p = 0; p < here.length; p++) {
      here[p] = before[p] + shapeCost(i - 1, p);
    }
    int[] order = cheapestFirst(here, slots.get(i - 1));
    double[] cost = new double[size(i)];
    for (int c = 0; c < cost.length; c++) {
      double least = Double.POSITIVE_INFINITY;
      // No change costs less than nothing, so the rest cannot win.
      for (int k = 0; k < order.length && here[order[k]] < least; k++) {
        // What is too dear in good time need not be timed.
        if (here[order[k]] + change.unhurried(order[k], c) < least) {
          least = Math.min(least, here[order[k]] + change.cost(order[k], c, millis));
        }
      }
      cost[c] = least;
    }
    return cost;
  }

  /** Cheapest way to go on from each candidate of slot i to the end, its own cost not counted. */
  private double[] departures(int i, double[] after) {
    ChangeTables.Table change = changesInto(problem, i + 1);
    double millis = slots.get(i + 1).changeMillis();
    double[] onward = new double[after.length];
    for (int s = 0; s < onward.length; s++) {
      onward[s] = shapeCost(i + 1, s) + after[s];
    }
    int[] order = cheapestFirst(onward, slots.get(i + 1));
    double[] cost = new double[size(i)];
    for (int c = 0; c < cost.length; c++) {
      double least = Double.POSITIVE_INFINITY;
      for (int k = 0; k < order.length && onward[order[k]] < least; k++) {
        if (change.unhurried(c, order[k]) + onward[order[k]] < least) {
          least = Math.min(least, change.cost(c, order[k], millis) + onward[order[k]]);
        }
      }
      cost[c] = least;
    }
    return cost;
  }

  /** The candidates that may be chosen, the cheapest first. */
  private static int[] cheapestFirst(double[] cost, PlanSlot slot) {
    return IntStream.range(0, cost.length)
        .filter(slot::allows)
        .boxed()
        .sorted(Comparator.comparingDouble(c -> cost[c]))
        .mapToInt(c -> c)
        .toArray();
  }

  private int[] trace(double[][] before) {
    int n = before.length;
    int[] choice = new int[n];
    for (int i = n - 1; i >= 0; i--) {
      PlanSlot slot = slots.get(i);
      double best = Double.POSITIVE_INFINITY;
      for (int c = 0; c < before[i].length; c++) {
        double onward = i == n - 1 ? 0 : change(problem, i + 1, c, choice[i + 1]);
        double cost = before[i][c] + shapeCost(i, c) + onward;
        if (slot.allows(c) && cost < best) {
          best = cost;
          choice[i] = c;
        }
      }
    }
    return choice;
  }
}
