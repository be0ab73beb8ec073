package phalanx.formats.abc;

import java.util.regex.Matcher;

/** How long notes last: by the unit, in groups that fill another time, in broken rhythm. */
final class AbcRhythm {

  private int unit;
  private double longer = 1;
  private int tupletLeft;
  private int tupletUp;
  private int tupletDown;

  /**
   * With a unit.
   *
   * @param unit what a length of 1 lasts, ticks
   */
  AbcRhythm(int unit) {
    this.unit = unit;
  }

  int unit() {
    return unit;
  }

  void unit(int ticks) {
    unit = ticks;
  }

  /** The next note is so many times as long as it is written. */
  void next(double times) {
    longer = times;
  }

  /**
   * A group that fills another time begins.
   *
   * @param m how many, in the time of how many, for how many notes
   * @param compound whether the metre counts its beats in threes
   */
  void group(Matcher m, boolean compound) {
    int p = Integer.parseInt(m.group(1));
    int usual =
        switch (p) {
          case 2, 4, 8 -> 3;
          case 3, 6 -> 2;
          default -> compound ? 3 : 2;
        };
    tupletUp = p;
    tupletDown = m.group(2) == null ? usual : Integer.parseInt(m.group(2));
    tupletLeft = m.group(3) == null ? p : Integer.parseInt(m.group(3));
  }

  /** A length as it is written, ticks. */
  int length(String over, String under) {
    double units = over.isEmpty() ? 1 : Integer.parseInt(over);
    if (under != null) {
      String digits = under.replace("/", "");
      int slashes = under.length() - digits.length();
      units /= digits.isEmpty() ? Math.pow(2, slashes) : Math.max(1, Integer.parseInt(digits));
    }
    return Math.max(1, (int) Math.round(units * unit));
  }

  /** The time a note takes here, tuplets and broken rhythm included. */
  int taken(int length) {
    double ticks = length * longer;
    longer = 1;
    if (tupletLeft > 0) {
      ticks = ticks * tupletDown / tupletUp;
      tupletLeft--;
    }
    return Math.max(1, (int) Math.round(ticks));
  }
}
