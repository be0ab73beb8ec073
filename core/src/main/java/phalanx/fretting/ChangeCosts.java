package phalanx.fretting;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import phalanx.instrument.Finger;

/**
 * What it costs the fretting hand to go from one shape to the next.
 *
 * <p>A finger that stays costs nothing, one that slides along its string little, one that jumps its
 * way in mm; the hand's own shift and a change too fast for the tempo come on top. The time a
 * change needs has the form of Fitts's law.
 */
public final class ChangeCosts {

  /** Cost of a finger's way, per mm. A jump over two frets at the nut costs about 0.35. */
  static final double MOVE_PER_MM = 0.005;

  /** Share of the way's cost that remains when the finger slides along its string as a guide. */
  static final double GUIDE_SHARE = 0.4;

  /** Putting down or moving a finger, whatever the way. */
  static final double LANDING = 0.1;

  /** Lifting a finger that is not needed any more. */
  static final double LIFTING = 0.02;

  /** Laying a finger from one string across several at the same fret, or back. */
  static final double ROLLING = 0.06;

  /** Shift of the whole hand, per mm that the lowest held fret moves. */
  static final double SHIFT_PER_MM = 0.006;

  /** Per share of the available time by which a change is late. */
  static final double LATE = 1.5;

  /** Time to start a change, ms; from memory, adjustable later in the player's profile. */
  static final double REACTION_MS = 60;

  /** Time a doubling of the way takes, ms; from memory. */
  static final double MS_PER_DOUBLING = 90;

  /** The way the doubling starts from, mm: about a fingertip. */
  static final double TARGET_MM = 10;

  private final Reach reach;

  public ChangeCosts(Reach reach) {
    this.reach = reach;
  }

  /**
   * Time a change needs, ms.
   *
   * @param way what the furthest finger travels, mm
   * @param guided whether it slides along its string
   */
  public static double millisNeeded(double way, boolean guided) {
    double time = REACTION_MS + MS_PER_DOUBLING * Math.log(1 + way / TARGET_MM) / Math.log(2);
    return guided ? time / 2 : time;
  }

  /** Cost of a change for hands in a hurry: {@code available} is the time it may take, ms. */
  double cost(HandState from, HandState to, double available) {
    double cost = 0;
    double needed = 0;
    for (int f = 1; f <= FingerCode.THUMB; f++) {
      switch (from.motion(to, f)) {
        case NONE, STAYS -> {}
        case LIFTS -> cost += LIFTING;
        case LANDS -> cost += LANDING;
        case ROLLS -> cost += ROLLING;
        case SLIDES -> {
          double way = way(from, to, f);
          cost += GUIDE_SHARE * MOVE_PER_MM * way;
          needed = Math.max(needed, millisNeeded(way, true));
        }
        case MOVES -> {
          double way = way(from, to, f);
          cost += LANDING + MOVE_PER_MM * way;
          needed = Math.max(needed, millisNeeded(way, false));
        }
      }
    }
    return cost + shift(from, to) * SHIFT_PER_MM + late(needed, available);
  }

  private double way(HandState from, HandState to, int f) {
    return reach.distance(
        from.fret[f], from.low[f], from.high[f], to.fret[f], to.low[f], to.high[f]);
  }

  private double shift(HandState from, HandState to) {
    return from.lowestFret == 0 || to.lowestFret == 0
        ? 0
        : reach.along(from.lowestFret, to.lowestFret);
  }

  private static double late(double needed, double available) {
    return needed <= available ? 0 : LATE * (needed / available - 1);
  }

  /** The cost of a change, finger by finger in words; it sums to what the planner uses. */
  public Cost explain(Shape from, Shape to, double available) {
    HandState a = HandState.of(from);
    HandState b = HandState.of(to);
    List<Cost> terms = new ArrayList<>();
    double needed = 0;
    for (FingerMove move : moves(from, to)) {
      double cost =
          switch (move.motion()) {
            case NONE, STAYS -> 0;
            case LIFTS -> LIFTING;
            case LANDS -> LANDING;
            case ROLLS -> ROLLING;
            case SLIDES -> GUIDE_SHARE * MOVE_PER_MM * move.millimetres();
            case MOVES -> LANDING + MOVE_PER_MM * move.millimetres();
          };
      if (move.motion() == Motion.SLIDES || move.motion() == Motion.MOVES) {
        boolean guided = move.motion() == Motion.SLIDES;
        needed = Math.max(needed, millisNeeded(move.millimetres(), guided));
      }
      if (cost > 0) {
        terms.add(Cost.term(move.words(), cost));
      }
    }
    double shift = shift(a, b);
    if (shift > 0) {
      terms.add(Cost.term("hand shifts %.0f mm".formatted(shift), shift * SHIFT_PER_MM));
    }
    double late = late(needed, available);
    if (late > 0) {
      String words = "needs %.0f ms, has %.0f ms".formatted(needed, available);
      terms.add(Cost.term(words, late));
    }
    return Cost.sum(from.fretText() + " → " + to.fretText(), terms);
  }

  /** What each finger does in a change, thumb first; fingers in neither shape are left out. */
  public List<FingerMove> moves(Shape from, Shape to) {
    HandState a = HandState.of(from);
    HandState b = HandState.of(to);
    Map<Finger, Grip> before = from.grips();
    Map<Finger, Grip> after = to.grips();
    List<FingerMove> moves = new ArrayList<>();
    for (Finger finger : Finger.values()) {
      Motion motion = a.motion(b, FingerCode.of(finger));
      if (motion != Motion.NONE) {
        boolean travels = before.containsKey(finger) && after.containsKey(finger);
        double way = travels ? reach.distance(before.get(finger), after.get(finger)) : 0;
        moves.add(new FingerMove(finger, motion, way));
      }
    }
    return moves;
  }

  /** What one finger does between two shapes. */
  public enum Motion {
    /** It is in neither shape. */
    NONE,
    /** It keeps its place. */
    STAYS,
    /** It leaves the strings. */
    LIFTS,
    /** It comes down. */
    LANDS,
    /** It keeps its fret and lies across more or fewer strings. */
    ROLLS,
    /** It keeps its string as a guide finger and slides along it. */
    SLIDES,
    /** It jumps. */
    MOVES
  }

  /**
   * One finger's part in a change.
   *
   * @param finger the finger
   * @param motion what it does
   * @param millimetres how far its tip goes; 0 unless it slides or moves
   */
  public record FingerMove(Finger finger, Motion motion, double millimetres) {

    /** In the player's words. */
    public String words() {
      String name = finger == Finger.THUMB ? "thumb" : "finger " + finger.sign();
      return name
          + switch (motion) {
            case NONE -> " idle";
            case STAYS -> " stays";
            case LIFTS -> " lifts";
            case LANDS -> " lands";
            case ROLLS -> " rolls";
            case SLIDES -> " slides %.0f mm".formatted(millimetres);
            case MOVES -> " moves %.0f mm".formatted(millimetres);
          };
    }
  }
}
