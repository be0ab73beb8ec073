package phalanx.picking;

import java.util.List;

/** How a player shares the strings among the fingers of the picking hand (common practice). */
public enum HandSchool {
  /** p on ⑥ ⑤ ④, i and m share ③ ② ①. */
  THUMB_AND_TWO("thumb and two", List.of(PickFinger.I, PickFinger.M), new double[] {3, 4.5}, 0.1),
  /** p on ⑥ ⑤ ④, i on ③, m on ②, a on ①. */
  THUMB_AND_THREE(
      "thumb and three",
      List.of(PickFinger.I, PickFinger.M, PickFinger.A),
      new double[] {3, 4, 5},
      0.1),
  /** p on ⑥ ⑤, i on ④, m on ③, a on ②, c on ①. */
  THUMB_AND_FOUR(
      "thumb and four",
      List.of(PickFinger.I, PickFinger.M, PickFinger.A, PickFinger.C),
      new double[] {2, 3, 4, 5},
      0.1),
  /** Single notes by strict alternation of i and m on any string; a helps in blocks. */
  LINE_PLAYING("line playing", List.of(PickFinger.I, PickFinger.M, PickFinger.A), new double[0], 4);

  /** In a line the ring finger is for blocks only. */
  private static final double RING_IN_A_LINE = 3;

  private final String words;
  private final List<PickFinger> fingers;
  private final double[] home;
  private final double repeat;

  HandSchool(String words, List<PickFinger> fingers, double[] home, double repeat) {
    this.words = words;
    this.fingers = fingers;
    this.home = home;
    this.repeat = repeat;
  }

  /**
   * Cost of the same finger twice in a row, however slow: dear where fingers alternate strictly.
   */
  double repeat() {
    return repeat;
  }

  /** What players call it. */
  public String words() {
    return words;
  }

  /** The fingers besides the thumb, index first. */
  public List<PickFinger> fingers() {
    return fingers;
  }

  /**
   * How far a string (0 for ⑥ to 5 for ①) is from a finger's home, in strings. A finger that shares
   * two strings is at home half-way between them.
   */
  double away(int finger, int string) {
    if (this == LINE_PLAYING) {
      return fingers.get(finger) == PickFinger.A ? RING_IN_A_LINE : 0;
    }
    double distance = Math.abs(string - home[finger]);
    return Math.max(0, distance - sharing(finger));
  }

  private double sharing(int finger) {
    return home[finger] == Math.rint(home[finger]) ? 0 : 0.5;
  }
}
