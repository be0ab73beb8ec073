package phalanx.fretting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** The cheapest row of shapes for a {@link PlanProblem}. Knows its cost and can explain it. */
public final class ShapePlan {

  private final PlanProblem problem;
  private final int[] choice;
  private final double[][] before;
  private final Departures after;

  ShapePlan(PlanProblem problem, int[] choice, double[][] before, Departures after) {
    this.problem = problem;
    this.choice = choice;
    this.before = before;
    this.after = after;
  }

  double[][] before() {
    return before;
  }

  double[][] after() {
    return after.costs();
  }

  Departures departures() {
    return after;
  }

  /** What the best plan through a candidate of a slot costs in all. */
  public double through(int slot, int candidate) {
    return before[slot][candidate] + shapeCost(slot, candidate) + after()[slot][candidate];
  }

  /**
   * The cheapest plans, this one first, each a different row of candidates.
   *
   * @param limit how many at most
   */
  public List<ShapePlan> best(int limit) {
    List<ShapePlan> plans = new ArrayList<>();
    BestPlans rows = new BestPlans(this);
    while (plans.size() < limit && rows.hasNext()) {
      plans.add(new ShapePlan(problem, rows.next(), before, after));
    }
    return plans;
  }

  /**
   * The plans nearest to this one with other frets somewhere, the cheapest first.
   *
   * @param limit how many at most
   */
  public List<ShapePlan> different(int limit) {
    return new OtherPlans(this)
        .nearest(limit).stream().map(c -> new ShapePlan(problem, c, before, after)).toList();
  }

  /** The problem this answers. */
  public PlanProblem problem() {
    return problem;
  }

  /** The chosen shape of each slot. */
  public List<Shape> shapes() {
    return IntStream.range(0, choice.length).mapToObj(i -> chosen(i).shape()).toList();
  }

  /** The chosen shape of one slot with its own cost. */
  public RatedShape chosen(int slot) {
    return problem.slots().get(slot).candidates().get(choice[slot]);
  }

  /** A plan of the same problem with other candidates. */
  public ShapePlan choosing(int[] candidates) {
    return new ShapePlan(problem, candidates.clone(), before, after);
  }

  /** The number of the candidate chosen for a slot. */
  public int choice(int slot) {
    return choice[slot];
  }

  /** Cost of the whole plan. */
  public double cost() {
    double cost = 0;
    for (int i = 0; i < choice.length; i++) {
      cost += chosen(i).cost();
      cost += i == 0 ? 0 : PlanSolver.change(problem, i, choice[i - 1], choice[i]);
    }
    return cost;
  }

  /** Cost of the whole plan without what is found in it: how hard it is for the hands. */
  public double ease() {
    double found = 0;
    for (int i = 0; i < choice.length; i++) {
      found += chosen(i).found();
      if (i > 0) {
        HandState from = exit(i - 1, choice[i - 1]);
        HandState to = entry(i, choice[i]);
        found += problem.changes().found(from, to, problem.slots().get(i).changeMillis());
      }
    }
    return cost() - found;
  }

  /** Whether no better plan exists at all; otherwise none does among the shapes that were tried. */
  public boolean exact() {
    return problem.complete();
  }

  /**
   * What a slot could hold instead, best first, each with what the whole song would then cost more;
   * the chosen shape is the one at 0, or, in a pinned slot, may have better ones before it.
   */
  public List<Alternative> alternatives(int slot) {
    double now = through(slot, choice[slot]);
    List<RatedShape> candidates = problem.slots().get(slot).candidates();
    return IntStream.range(0, candidates.size())
        .mapToObj(c -> new Alternative(candidates.get(c), through(slot, c) - now))
        .sorted(Comparator.comparingDouble(Alternative::extraCost))
        .toList();
  }

  /**
   * What the whole song would cost more with a shape in a slot, whether the planner considered it
   * there or not; its neighbours are chosen anew among their candidates.
   */
  public double extraCost(int slot, RatedShape shape) {
    HandState arriving = problem.changes().state(shape.entry());
    HandState leaving = problem.changes().state(shape.exit());
    boolean first = slot == 0;
    boolean last = slot == choice.length - 1;
    double arrive = first ? 0 : Double.POSITIVE_INFINITY;
    for (int p = 0; !first && p < before[slot - 1].length; p++) {
      double so = before[slot - 1][p] + shapeCost(slot - 1, p);
      // No change costs less than nothing, so that what is dearer already need not be worked out.
      if (so < arrive && problem.slots().get(slot - 1).allows(p)) {
        arrive = Math.min(arrive, so + change(slot, exit(slot - 1, p), arriving));
      }
    }
    double leave = last ? 0 : Double.POSITIVE_INFINITY;
    double[] onward = last ? new double[0] : after()[slot + 1];
    for (int s = 0; s < onward.length; s++) {
      double so = shapeCost(slot + 1, s) + onward[s];
      if (so < leave && problem.slots().get(slot + 1).allows(s)) {
        leave = Math.min(leave, so + change(slot + 1, leaving, entry(slot + 1, s)));
      }
    }
    return arrive + shape.cost() + leave - through(slot, choice[slot]);
  }

  private double shapeCost(int slot, int candidate) {
    return problem.slots().get(slot).candidates().get(candidate).cost();
  }

  private HandState entry(int slot, int candidate) {
    return problem.slots().get(slot).row().hands().entries(problem.changes())[candidate];
  }

  private HandState exit(int slot, int candidate) {
    return problem.slots().get(slot).row().hands().exits(problem.changes())[candidate];
  }

  private double change(int slot, HandState from, HandState to) {
    ChangeCosts changes = problem.changes();
    return changes.unhurried(from, to)
        + ChangeCosts.late(
            changes.millisNeeded(from, to), problem.slots().get(slot).changeMillis());
  }

  /** What it costs to come to a slot's shape from the one before, finger by finger. */
  public Optional<Cost> explainArrival(int slot) {
    if (slot == 0) {
      return Optional.empty();
    }
    double millis = problem.slots().get(slot).changeMillis();
    Stance from = chosen(slot - 1).exit();
    return Optional.of(problem.changes().explain(from, chosen(slot).entry(), millis));
  }

  /** The whole cost as a tree: each slot's shape, each change. */
  public Cost explain(ShapeCostExplainer explainer) {
    List<Cost> parts = new ArrayList<>();
    for (int i = 0; i < choice.length; i++) {
      explainArrival(i).ifPresent(parts::add);
      parts.add(explainer.explain(i, chosen(i)));
    }
    return Cost.sum("plan", parts);
  }

  /** Explains what a shape costs in a slot; the planner itself only knows the sum. */
  @FunctionalInterface
  public interface ShapeCostExplainer {

    /** The terms of a shape's cost in a slot. */
    Cost explain(int slot, RatedShape shape);
  }

  /**
   * Another shape for a slot.
   *
   * @param shape the shape with its own cost
   * @param extraCost what the best plan with it costs more than the present one
   */
  public record Alternative(RatedShape shape, double extraCost) {}
}
