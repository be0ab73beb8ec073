package phalanx.fretting;

import java.util.List;

/**
 * Which shape to hold in each slot of a song, so that holding and changing cost least together.
 *
 * @param slots the slots in playing order
 * @param changes what changes cost on this guitar for this hand
 * @param complete whether the candidates are all there are, or only the cheapest of each slot
 */
public record PlanProblem(List<PlanSlot> slots, ChangeCosts changes, boolean complete) {

  public PlanProblem {
    slots = List.copyOf(slots);
  }

  /** Cost of one choice of candidates, as the slow and plain sum; the solver must agree with it. */
  public double cost(int[] choice) {
    double cost = 0;
    for (int i = 0; i < choice.length; i++) {
      PlanSlot slot = slots.get(i);
      RatedShape here = slot.candidates().get(choice[i]);
      cost += here.cost();
      if (i > 0) {
        Stance before = slots.get(i - 1).candidates().get(choice[i - 1]).exit();
        cost += changes.explain(before, here.entry(), slot.changeMillis()).value();
      }
    }
    return cost;
  }
}
