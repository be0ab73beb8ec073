package phalanx.fretting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * The plans nearest to the best one that a player would call different: other frets somewhere, not
 * only other fingers. Each goes through a candidate that the best plan does not take, and is the
 * cheapest that does.
 */
final class OtherPlans {

  /** Candidates through which a plan is followed, before the search ends. */
  private static final int MOST_TRIED = 60;

  private final ShapePlan plan;
  private final PlanProblem problem;

  private record Through(int slot, int candidate, double cost) {}

  OtherPlans(ShapePlan plan) {
    this.plan = plan;
    problem = plan.problem();
  }

  /** The choices of candidates, the cheapest first. */
  List<int[]> nearest(int limit) {
    List<Through> ways = new ArrayList<>();
    for (int s = 0; s < problem.slots().size(); s++) {
      PlanSlot slot = problem.slots().get(s);
      for (int c = 0; c < slot.candidates().size(); c++) {
        Shape shape = slot.candidates().get(c).shape();
        if (slot.allows(c) && !shape.sameFrets(plan.chosen(s).shape())) {
          ways.add(new Through(s, c, plan.through(s, c)));
        }
      }
    }
    ways.sort(Comparator.comparingDouble(Through::cost));
    List<int[]> found = new ArrayList<>();
    Set<String> seen = new HashSet<>();
    for (Through way : ways.subList(0, Math.min(MOST_TRIED, ways.size()))) {
      if (found.size() < limit) {
        int[] choice = follow(way);
        if (seen.add(frets(choice))) {
          found.add(choice);
        }
      }
    }
    return found;
  }

  private int[] follow(Through way) {
    int[] choice = new int[problem.slots().size()];
    choice[way.slot()] = way.candidate();
    for (int s = way.slot() - 1; s >= 0; s--) {
      choice[s] = before(s, choice[s + 1]);
    }
    for (int s = way.slot() + 1; s < choice.length; s++) {
      choice[s] = after(s, choice[s - 1]);
    }
    return choice;
  }

  private int before(int slot, int next) {
    int best = 0;
    double least = Double.POSITIVE_INFINITY;
    PlanSlot here = problem.slots().get(slot);
    for (int c = 0; c < here.candidates().size(); c++) {
      if (here.allows(c)) {
        double cost =
            plan.before()[slot][c]
                + here.candidates().get(c).cost()
                + PlanSolver.change(problem, slot + 1, c, next);
        if (cost < least) {
          least = cost;
          best = c;
        }
      }
    }
    return best;
  }

  private int after(int slot, int last) {
    int best = 0;
    double least = Double.POSITIVE_INFINITY;
    PlanSlot here = problem.slots().get(slot);
    for (int c = 0; c < here.candidates().size(); c++) {
      if (here.allows(c)) {
        double cost =
            PlanSolver.change(problem, slot, last, c)
                + here.candidates().get(c).cost()
                + plan.after()[slot][c];
        if (cost < least) {
          least = cost;
          best = c;
        }
      }
    }
    return best;
  }

  private String frets(int[] choice) {
    StringBuilder all = new StringBuilder();
    for (int s = 0; s < choice.length; s++) {
      all.append(problem.slots().get(s).candidates().get(choice[s]).shape().fretText()).append(' ');
    }
    return all.toString();
  }
}
