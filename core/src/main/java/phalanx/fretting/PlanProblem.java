package phalanx.fretting;

import java.util.List;

/**
 * Which shape to hold in each slot of a song, so that holding and changing cost least together.
 *
 * @param slots the slots in playing order
 * @param changes what changes cost on this guitar for this hand
 */
public record PlanProblem(List<PlanSlot> slots, ChangeCosts changes) {

  public PlanProblem {
    slots = List.copyOf(slots);
  }

  /** Whether no shape that a slot could hold was left out of its candidates. */
  public boolean complete() {
    return slots.stream().allMatch(s -> s.pinned().isPresent() || s.row().all());
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
