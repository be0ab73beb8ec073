package phalanx.planning;

import java.util.Optional;
import phalanx.fretting.ShapePlan;

/**
 * Puts two plans of one song together, passage by passage: where they hold the same for some chords
 * there is a seam, and between two seams the plan is taken in which less is found.
 */
final class PlanSeams {

  /** What cannot be done weighs more than all that is heard in a song. */
  static final int CANNOT = 10_000;

  /**
   * Chords in a row that both plans hold alike, so that neither side of them hears of the other.
   */
  private static final int SEAM = 3;

  /**
   * A plan and what is found in it.
   *
   * @param weights by slot
   */
  record Found(ShapePlan plan, int[] weights) {

    private int between(int from, int to) {
      int sum = 0;
      for (int i = Math.max(0, from); i < Math.min(to, weights.length); i++) {
        sum += weights[i];
      }
      return sum;
    }
  }

  private PlanSeams() {}

  /**
   * The better of each passage, of the second plan's problem; empty where that is one of the two.
   *
   * @param first a plan whose candidates have the same numbers as those of the second
   */
  static Optional<ShapePlan> between(Found first, Found second) {
    int slots = first.weights.length;
    int[] choice = new int[slots];
    boolean someOfFirst = false;
    boolean someOfSecond = false;
    for (int i = 0; i < slots; i++) {
      choice[i] = first.plan.choice(i);
    }
    for (int from = 0; from < slots; from++) {
      if (differs(first, second, from)) {
        int to = passageEnd(first, second, from);
        boolean better = second.between(from - 1, to + 1) < first.between(from - 1, to + 1);
        for (int i = from; better && i < to; i++) {
          choice[i] = second.plan.choice(i);
        }
        someOfFirst |= !better;
        someOfSecond |= better;
        from = to;
      }
    }
    return someOfFirst && someOfSecond
        ? Optional.of(second.plan.choosing(choice))
        : Optional.empty();
  }

  private static boolean differs(Found first, Found second, int slot) {
    return first.plan.choice(slot) != second.plan.choice(slot);
  }

  /** The slot after the last of a passage in which the plans differ now and then. */
  private static int passageEnd(Found first, Found second, int from) {
    int end = from + 1;
    for (int i = from + 1; i < first.weights.length && i < end + SEAM; i++) {
      if (differs(first, second, i)) {
        end = i + 1;
      }
    }
    return end;
  }
}
