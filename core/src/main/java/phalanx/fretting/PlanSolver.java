package phalanx.fretting;

import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;

/**
 * Solves a {@link PlanProblem} as a shortest path through a layered graph: a layer a slot, a node a
 * candidate, node cost its shape, edge cost the change. Exact over the candidates.
 *
 * <p>Dynamic programming runs from both ends, so that the cheapest plan through every candidate is
 * known as well, which is what the player is shown beside the chosen shape. Time O(n·k²), memory
 * O(n·k + distinct pairs·k²) for n slots of k candidates; the changes between two equal rows of
 * candidates are worked out once. Method: S. Sayegh, "Fingering for String Instruments with the
 * Optimum Path Paradigm", Computer Music Journal 13(3), 1989.
 */
public final class PlanSolver {

  private final PlanProblem problem;
  private final Map<List<RatedShape>, HandState[]> states = new IdentityHashMap<>();
  private final Map<Pair, double[][]> changes = new HashMap<>();

  /** Two rows of candidates by identity, and the time between them. */
  private record Pair(HandState[] from, HandState[] to, double millis) {

    @Override
    public boolean equals(Object o) {
      return o instanceof Pair p && p.from == from && p.to == to && p.millis == millis;
    }

    @Override
    public int hashCode() {
      return 31 * (31 * System.identityHashCode(from) + System.identityHashCode(to))
          + Double.hashCode(millis);
    }
  }

  private PlanSolver(PlanProblem problem) {
    this.problem = problem;
  }

  /** The cheapest plan; among equals the one with the earlier candidates. */
  public static ShapePlan solve(PlanProblem problem) {
    return new PlanSolver(problem).solve();
  }

  private ShapePlan solve() {
    int n = problem.slots().size();
    double[][] before = new double[n][];
    double[][] after = new double[n][];
    for (int i = 0; i < n; i++) {
      before[i] = i == 0 ? new double[size(0)] : arrivals(i, before[i - 1]);
    }
    for (int i = n - 1; i >= 0; i--) {
      after[i] = i == n - 1 ? new double[size(i)] : departures(i, after[i + 1]);
    }
    double[][] through = new double[n][];
    for (int i = 0; i < n; i++) {
      through[i] = new double[size(i)];
      for (int c = 0; c < size(i); c++) {
        through[i][c] = before[i][c] + shapeCost(i, c) + after[i][c];
      }
    }
    return new ShapePlan(problem, trace(before, through), through);
  }

  private int size(int slot) {
    return problem.slots().get(slot).candidates().size();
  }

  private double shapeCost(int slot, int candidate) {
    return problem.slots().get(slot).candidates().get(candidate).cost();
  }

  /** Cheapest way to come to each candidate of slot i, its own cost not counted. */
  private double[] arrivals(int i, double[] before) {
    double[][] change = changesInto(i);
    PlanSlot from = problem.slots().get(i - 1);
    double[] cost = new double[size(i)];
    for (int c = 0; c < cost.length; c++) {
      cost[c] = Double.POSITIVE_INFINITY;
      for (int p = 0; p < before.length; p++) {
        if (from.allows(p)) {
          cost[c] = Math.min(cost[c], before[p] + shapeCost(i - 1, p) + change[p][c]);
        }
      }
    }
    return cost;
  }

  /** Cheapest way to go on from each candidate of slot i to the end, its own cost not counted. */
  private double[] departures(int i, double[] after) {
    double[][] change = changesInto(i + 1);
    PlanSlot to = problem.slots().get(i + 1);
    double[] cost = new double[size(i)];
    for (int c = 0; c < cost.length; c++) {
      cost[c] = Double.POSITIVE_INFINITY;
      for (int s = 0; s < after.length; s++) {
        if (to.allows(s)) {
          cost[c] = Math.min(cost[c], change[c][s] + shapeCost(i + 1, s) + after[s]);
        }
      }
    }
    return cost;
  }

  private int[] trace(double[][] before, double[][] through) {
    int n = through.length;
    int[] choice = new int[n];
    for (int i = n - 1; i >= 0; i--) {
      PlanSlot slot = problem.slots().get(i);
      double best = Double.POSITIVE_INFINITY;
      for (int c = 0; c < through[i].length; c++) {
        double onward = i == n - 1 ? 0 : changesInto(i + 1)[c][choice[i + 1]];
        double cost = before[i][c] + shapeCost(i, c) + onward;
        if (slot.allows(c) && cost < best) {
          best = cost;
          choice[i] = c;
        }
      }
    }
    return choice;
  }

  private double[][] changesInto(int slot) {
    PlanSlot to = problem.slots().get(slot);
    HandState[] a = states(problem.slots().get(slot - 1).candidates());
    HandState[] b = states(to.candidates());
    return changes.computeIfAbsent(
        new Pair(a, b, to.changeMillis()),
        pair -> {
          double[][] table = new double[a.length][b.length];
          for (int p = 0; p < a.length; p++) {
            for (int c = 0; c < b.length; c++) {
              table[p][c] = problem.changes().cost(a[p], b[c], pair.millis());
            }
          }
          return table;
        });
  }

  private HandState[] states(List<RatedShape> candidates) {
    return states.computeIfAbsent(
        candidates,
        row -> row.stream().map(r -> HandState.of(r.shape())).toArray(HandState[]::new));
  }
}
