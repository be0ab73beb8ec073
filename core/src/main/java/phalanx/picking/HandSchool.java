package phalanx.picking;

import java.util.Comparator;
import java.util.List;
import java.util.Set;
import phalanx.fretting.CostTerm;
import phalanx.text.Texts;

/** How a player shares the strings among the fingers of the picking hand (common practice). */
public enum HandSchool {
  /** p on ⑥ ⑤ ④, i and m share ③ ② ①. */
  THUMB_AND_TWO(
      Texts.of("handSchool.thumbAndTwo"),
      List.of(PickFinger.I, PickFinger.M),
      new double[] {3, 4.5},
      0.1),
  /** p on ⑥ ⑤ ④, i on ③, m on ②, a on ①. */
  THUMB_AND_THREE(
      Texts.of("handSchool.thumbAndThree"),
      List.of(PickFinger.I, PickFinger.M, PickFinger.A),
      new double[] {3, 4, 5},
      0.1),
  /** p on ⑥ ⑤, i on ④, m on ③, a on ②, c on ①. */
  THUMB_AND_FOUR(
      Texts.of("handSchool.thumbAndFour"),
      List.of(PickFinger.I, PickFinger.M, PickFinger.A, PickFinger.C),
      new double[] {2, 3, 4, 5},
      0.1),
  /** Single notes by strict alternation of i and m on any string; a helps in blocks. */
  LINE_PLAYING(
      Texts.of("handSchool.linePlaying"),
      List.of(PickFinger.I, PickFinger.M, PickFinger.A),
      new double[0],
      4),
  /**
   * Single notes by the order p a m i over and over, on any string. It starts with the thumb, so
   * that the hand arrives closed for a brush.
   */
  LINE_FROM_THUMB(
      Texts.of("handSchool.linePAM"),
      List.of(PickFinger.I, PickFinger.M, PickFinger.A),
      new double[0],
      4),
  /**
   * A pick between thumb and index finger strikes what the thumb had, m, a and c the rest: m on ③,
   * a on ②, c on ①. The index finger holds the pick and does nothing else.
   */
  PICK_AND_FINGERS(
      Texts.of("handSchool.pickAndFingers"),
      List.of(PickFinger.M, PickFinger.A, PickFinger.C),
      new double[] {3, 4, 5},
      0.1);

  /** In a line of two fingers the ring finger is for blocks only. */
  private static final double RING_IN_A_LINE = CostTerm.RING_IN_A_LINE.weight();

  /** The order in which a line is played from the thumb. */
  private static final List<PickFinger> ORDER =
      List.of(PickFinger.P, PickFinger.A, PickFinger.M, PickFinger.I);

  /** Cost of a note out of that order. */
  private static final double OUT_OF_ORDER = CostTerm.OUT_OF_ORDER.weight();

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

  /** What players call it. */
  public String words() {
    return words;
  }

  /** The fingers besides the thumb, index first. */
  public List<PickFinger> fingers() {
    return fingers;
  }

  /** Fingers that hold something and so do nothing else. */
  Set<PickFinger> holding() {
    return hasPick() ? Set.of(PickFinger.I) : Set.of();
  }

  /** Whether the thumb's strokes are those of a pick. */
  public boolean hasPick() {
    return this == PICK_AND_FINGERS;
  }

  /** The finger that is nearest to a string, 0 for ⑥ to 5 for ①. */
  public PickFinger atHome(int string) {
    return fingers.stream()
        .min(Comparator.comparingDouble(f -> away(f, string)))
        .orElse(PickFinger.M);
  }

  /** Whether the thumb also plays notes of a line. */
  boolean isThumbInLines() {
    return this == LINE_FROM_THUMB;
  }

  /** Whether a stroke of this finger counts for the order of those that follow. */
  boolean remembers(PickFinger finger) {
    return finger != PickFinger.P || isThumbInLines();
  }

  /**
   * Cost of a finger after those that struck last: dear for the same one where fingers alternate
   * strictly, and for one out of turn where there is an order.
   *
   * @param alone whether it strikes a single note
   */
  double follows(List<PickFinger> latest, PickFinger finger, boolean alone) {
    if (this == LINE_FROM_THUMB && alone) {
      PickFinger due =
          latest.size() == 1
              ? ORDER.get((ORDER.indexOf(latest.get(0)) + 1) % ORDER.size())
              : PickFinger.P;
      return finger == due ? 0 : OUT_OF_ORDER;
    }
    return latest.contains(finger) ? repeat : 0;
  }

  /**
   * How far a string (0 for ⑥ to 5 for ①) is from a finger's home, in strings. A finger that shares
   * two strings is at home half-way between them; one the school does not use is at home anywhere.
   */
  double away(PickFinger finger, int string) {
    if (this == LINE_PLAYING) {
      return finger == PickFinger.A ? RING_IN_A_LINE : 0;
    }
    int place = fingers.indexOf(finger);
    if (place < 0 || this == LINE_FROM_THUMB) {
      return 0;
    }
    double distance = Math.abs(string - home[place]);
    return Math.max(0, distance - sharing(place));
  }

  private double sharing(int place) {
    return home[place] == Math.rint(home[place]) ? 0 : 0.5;
  }
}
