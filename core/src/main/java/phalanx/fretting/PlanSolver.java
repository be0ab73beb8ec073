package phalanx.fretting;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Solves a {@link PlanProblem} as a shortest path through a layered graph: a layer a slot, a node a
 * candidate, node cost its shape, edge cost the change. Exact over the candidates.
 *
 * <p>Dynamic programming from the beginning on; {@link Departures} runs from the end, once somebody
 * asks what the cheapest plan through another candidate is. Time O(n·k²), memory O(n·k + distinct
 * pairs·k²) for n slots of k candidates; the changes between two equal rows of candidates are
 * worked out once. After an edit the arrivals in front of the first slot that changed and the
 * departures behind the last one are those of the plan before. Method: S. Sayegh, "Fingering for
 * String Instruments with the Optimum Path Paradigm", Computer Music Journal 13(3), 1989.
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
    double[][] before = new double[slots.size()][];
    int head = known.map(k -> copyHead(k, before)).orElse(0);
    arrive(head, before);
    Departures after =
        known
            .map(k -> Departures.like(k.departures(), problem, head))
            .orElseGet(() -> new Departures(problem));
    return new ShapePlan(problem, trace(before), before, after);
  }

  private void arrive(int head, double[][] before) {
    for (int i = head; i < before.length; i++) {
      before[i] = i == 0 ? new double[size(0)] : arrivals(i, before[i - 1]);
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

  private int size(int slot) {
    return slots.get(slot).candidates().size();
  }

  private double shapeCost(int slot, int candidate) {
    return slots.get(slot).candidates().get(candidate).cost();
  }

  static ChangeTables.Table changesInto(PlanProblem problem, int slot) {
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
    int likely = order[0];
    for (int c = 0; c < cost.length; c++) {
      // Where one candidate is best come to from, the next one often is, which rules out the rest.
      double least = here[likely] + change.cost(likely, c, millis);
      // No change costs less than nothing, so the rest cannot win.
      for (int k = 0; k < order.length && here[order[k]] < least; k++) {
        int p = order[k];
        if (here[p] + change.atLeast(p, c) < least) {
          double unhurried = change.unhurried(p, c);
          // What is too dear in good time need not be timed.
          if (here[p] + unhurried < least) {
            double through = here[p] + (unhurried + change.late(p, c, millis));
            likely = through < least ? p : likely;
            least = Math.min(least, through);
          }
        }
      }
      cost[c] = least;
    }
    return cost;
  }

  /** The candidates that may be chosen, the cheapest first. */
  static int[] cheapestFirst(double[] cost, PlanSlot slot) {
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
      boolean last = i == n - 1;
      Optional<ChangeTables.Table> changes =
          last ? Optional.empty() : Optional.of(changesInto(problem, i + 1));
      double best = Double.POSITIVE_INFINITY;
      for (int c = 0; c < before[i].length; c++) {
        double cost = before[i][c] + shapeCost(i, c);
        // No change costs less than that, so a candidate that is dearer already cannot win.
        if (slot.allows(c) && (last || cost + changes.get().atLeast(c, choice[i + 1]) < best)) {
          cost += last ? 0 : changes.get().cost(c, choice[i + 1], slots.get(i + 1).changeMillis());
          if (cost < best) {
            best = cost;
            choice[i] = c;
          }
        }
      }
    }
    return choice;
  }
}
