package phalanx.fretting;

import java.util.ArrayList;
import java.util.List;
import phalanx.text.Phrase;
import phalanx.text.Texts;

/**
 * What one plan costs more than another, taken apart: findings weigh far more than any difference
 * in ease, so they can be told from it.
 *
 * @param cannot more findings that cannot be done; less than 0 for fewer
 * @param heard more findings that are heard
 * @param ease what it is harder by, without unit
 */
public record CostDifference(int cannot, int heard, double ease) {

  /** A difference that a player would not feel. */
  private static final double NOTHING = 0.005;

  /** Takes a difference of costs apart. */
  public static CostDifference of(double extra) {
    double cannot = CostTerm.CANNOT_BE_DONE.weight();
    double heard = CostTerm.WILL_BE_HEARD.weight();
    int worst = (int) Math.round(extra / cannot);
    double rest = extra - worst * cannot;
    int next = (int) Math.round(rest / heard);
    return new CostDifference(worst, next, rest - next * heard);
  }

  /** In the player’s words: {@code harder by 1.20, 1 more will be heard}. */
  public String words() {
    List<String> parts = new ArrayList<>();
    if (Math.abs(ease) >= NOTHING) {
      parts.add(
          Texts.of(
              "costDifference.by",
              ease > 0 ? Texts.of("costDifference.harder") : Texts.of("costDifference.easier"),
              Math.abs(ease)));
    }
    more(cannot, Texts.of("costDifference.cannotBeDone"), parts);
    more(heard, Texts.of("costDifference.willBeHeard"), parts);
    return parts.isEmpty() ? Texts.of("costDifference.asEasyOverThe") : String.join(", ", parts);
  }

  private static void more(int count, String words, List<String> parts) {
    if (count != 0) {
      parts.add(
          Phrase.of(
              "%d %s %s",
              Math.abs(count),
              count > 0 ? Texts.of("costDifference.more") : Texts.of("costDifference.less"),
              words));
    }
  }
}
