package phalanx.fretting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** The cheapest row of shapes for a {@link PlanProblem}. Knows its cost and can explain it. */
public final class ShapePlan {

  private final PlanProblem problem;
  private final int[] choice;
  private final double[][] through;

  ShapePlan(PlanProblem problem, int[] choice, double[][] through) {
    this.problem = problem;
    this.choice = choice;
    this.through = through;
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

  /** Cost of the whole plan. */
  public double cost() {
    return choice.length == 0 ? 0 : through[0][choice[0]];
  }

  /** Whether no better plan exists at all, or only none among the candidates kept. */
  public boolean exact() {
    return problem.complete();
  }

  /**
   * What a slot could hold instead, best first, each with what the whole song would then cost more;
   * the chosen shape is the one at 0, or, in a pinned slot, may have better ones before it.
   */
  public List<Alternative> alternatives(int slot) {
    double now = through[slot][choice[slot]];
    List<RatedShape> candidates = problem.slots().get(slot).candidates();
    return IntStream.range(0, candidates.size())
        .mapToObj(c -> new Alternative(candidates.get(c), through[slot][c] - now))
        .sorted(Comparator.comparingDouble(Alternative::extraCost))
        .toList();
  }

  /** The whole cost as a tree: each slot's shape, each change. */
  public Cost explain(ShapeCostExplainer explainer) {
    List<Cost> parts = new ArrayList<>();
    for (int i = 0; i < choice.length; i++) {
      if (i > 0) {
        PlanSlot slot = problem.slots().get(i);
        Shape before = chosen(i - 1).shape();
        parts.add(problem.changes().explain(before, chosen(i).shape(), slot.changeMillis()));
      }
      parts.add(explainer.explain(i, chosen(i).shape()));
    }
    return Cost.sum("plan", parts);
  }

  /** Explains what a shape costs in a slot; the planner itself only knows the sum. */
  @FunctionalInterface
  public interface ShapeCostExplainer {

    /** The terms of a shape's cost in a slot. */
    Cost explain(int slot, Shape shape);
  }

  /**
   * Another shape for a slot.
   *
   * @param shape the shape with its own cost
   * @param extraCost what the best plan with it costs more than the present one
   */
  public record Alternative(RatedShape shape, double extraCost) {}
}
