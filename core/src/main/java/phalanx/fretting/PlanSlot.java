package phalanx.fretting;

import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * One chord for a time, as the planner sees it.
 *
 * @param candidates the shapes to choose from, at least one
 * @param pinned a candidate with the shape the player insists on, if any; others of that shape may
 *     be chosen as well
 * @param changeMillis time the hand has to come here from the slot before, ms, more than 0
 * @throws IllegalArgumentException if the pinned candidate is none of them, or the time is not
 *     above 0
 */
public record PlanSlot(List<RatedShape> candidates, OptionalInt pinned, double changeMillis) {

  public PlanSlot {
    candidates = Candidates.of(candidates);
    if (pinned.isPresent() && (pinned.getAsInt() < 0 || pinned.getAsInt() >= candidates.size())) {
      throw new IllegalArgumentException("pinned candidate out of range: " + pinned.getAsInt());
    }
    if (!(changeMillis > 0)) {
      throw new IllegalArgumentException("time for the change out of range: " + changeMillis);
    }
  }

  /** The same with another candidate in the place of one. */
  public PlanSlot with(int candidate, RatedShape other) {
    return new PlanSlot(row().with(candidate, other), pinned, changeMillis);
  }

  /** The same with others in the place of all candidates, as many. */
  public PlanSlot with(List<RatedShape> others) {
    return new PlanSlot(Candidates.of(others, row().all()), pinned, changeMillis);
  }

  /** The same where the hand has another time to come, ms. */
  public PlanSlot in(double millis) {
    return new PlanSlot(candidates, pinned, millis);
  }

  Candidates row() {
    return (Candidates) candidates;
  }

  /**
   * The same slot, with what the changes into it and out of it need of each candidate worked out.
   */
  public PlanSlot ready(ChangeCosts changes) {
    row().hands().entries(changes);
    row().hands().exits(changes);
    return this;
  }

  /** What the cheapest candidate costs that may be chosen. */
  public double least() {
    return IntStream.range(0, candidates.size())
        .filter(this::allows)
        .mapToDouble(c -> candidates.get(c).cost())
        .min()
        .orElseThrow();
  }

  boolean allows(int candidate) {
    return pinned.isEmpty()
        || pinned.getAsInt() == candidate
        || candidates.get(candidate).shape().equals(candidates.get(pinned.getAsInt()).shape());
  }
}
