package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.List;

/** How heads that lie close stand beside each other. */
final class Heads {

  private static final double GAP = 0.25;
  private static final double FLAG = 0.95;

  private Heads() {}

  /** The heads of one stem, lowest first: of two a step apart one goes to the stem’s other side. */
  static List<Head> spread(List<Head> heads, boolean up) {
    List<Head> spread = new ArrayList<>(heads);
    boolean aside = false;
    int size = heads.size();
    for (int k = 1; k < size; k++) {
      int at = up ? k : size - 1 - k;
      int last = up ? at - 1 : at + 1;
      boolean close =
          Math.abs(spread.get(at).position() - spread.get(last).position()) <= 1 && !aside;
      aside = close;
      if (close) {
        double width = Measures.HEAD - Measures.STEM;
        spread.set(at, spread.get(at).at(up ? width : -width));
      }
    }
    return spread;
  }

  /** How far the lower voice stands to the right of the upper one where both are struck. */
  static double shift(Stroke upper, Stroke lower) {
    if (upper.isRest() || lower.isRest() || !clash(upper, lower) || share(upper, lower)) {
      return 0;
    }
    double right = upper.heads().stream().mapToDouble(Head::dx).max().orElse(0) + Measures.HEAD;
    double left = lower.heads().stream().mapToDouble(Head::dx).min().orElse(0);
    double dots = upper.written().piece().value().dotted() ? 0.8 : 0;
    return right - left + GAP + dots + (upper.flagged() ? FLAG : 0);
  }

  private static boolean clash(Stroke upper, Stroke lower) {
    int lowestAbove = upper.heads().get(0).position();
    int highestBelow = lower.heads().get(lower.heads().size() - 1).position();
    return highestBelow >= lowestAbove - 1;
  }

  /** Two voices on one pitch have one head where both heads look the same. */
  private static boolean share(Stroke upper, Stroke lower) {
    return upper.heads().size() == 1
        && lower.heads().get(lower.heads().size() - 1).position() == upper.heads().get(0).position()
        && lower.heads().get(lower.heads().size() - 1).dx() == 0
        && lower.heads().stream().allMatch(h -> h.sign() == upper.heads().get(0).sign())
        && (lower.heads().size() == 1
            || lower.heads().get(lower.heads().size() - 2).position()
                < upper.heads().get(0).position() - 1)
        && upper.written().piece().value().dotted() == lower.written().piece().value().dotted();
  }
}
