package phalanx.fretting;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.text.Texts;

/**
 * What it costs the fretting hand to go from one shape to the next.
 *
 * <p>A finger that stays costs nothing, one that slides along its string little, one that jumps its
 * way in mm; the hand's own shift and a change too fast for the tempo come on top. The time a
 * change needs has the form of Fitts's law.
 */
public final class ChangeCosts {

  /** Cost of a finger's way, per mm. A jump over two frets at the nut costs about 0.7. */
  public static final double MOVE_PER_MM = CostTerm.MOVE.weight();

  /** Share of the way's cost that remains when the finger slides along its string as a guide. */
  public static final double GUIDE_SHARE = CostTerm.GUIDE.weight();

  /** Putting down or moving a finger, whatever the way. */
  static final double LANDING = CostTerm.LANDING.weight();

  /** Lifting a finger that is not needed any more. */
  static final double LIFTING = CostTerm.LIFTING.weight();

  /** Laying a finger from one string across several at the same fret, or back. */
  static final double ROLLING = CostTerm.ROLLING.weight();

  /** Shift of the whole hand, per mm that the lowest held fret moves. */
  static final double SHIFT_PER_MM = CostTerm.SHIFT.weight();

  /** Per share of the available time by which a change is late. */
  static final double LATE = CostTerm.LATE.weight();

  /** The widest fifth, sixth and seventh, semitones. */
  private static final int FIFTH = 7;

  /** Share of a leap’s cost that remains where one of the strings is open. */
  private static final double OPEN_LEAP = 0.28;

  private static final int SIXTH = 9;
  private static final int SEVENTH = 11;

  /** More time for each string that a barre lies across beyond the first, ms. */
  private static final double BARRE_MS = 22;

  /** More time for fingers stretched to the limit, ms. */
  private static final double STRETCH_MS = 120;

  /** How far a finger that comes down was above the strings, mm. */
  private static final double LIFTED = 15;

  private static final double HEARD = CostTerm.WILL_BE_HEARD.weight();

  /**
   * A finger gives up a note that sounds on under another finger, although the next shape can be
   * fingered so that it stays. More than two shapes with fingers out of order cost, because a relay
   * may stay so for a while.
   */
  static final double HANDOVER = CostTerm.HANDOVER.weight();

  /** A note of the tune that is to sound on over the change ends there. */
  static final double CUT_OFF = HEARD + CostTerm.CUT_OFF.weight();

  /** A slur of the tune that cannot be made, so that the note is plucked. */
  public static final double SLUR_LOST = HEARD + CostTerm.SLUR_LOST.weight();

  private final Reach reach;
  private final ChangeTables tables = new ChangeTables(this);
  private final RecentlyUsed<Integer, byte[]> keepable = new RecentlyUsed<>(20_000);

  public ChangeCosts(Reach reach) {
    this.reach = reach;
  }

  /** The guitar and hand they are for. */
  public Reach reach() {
    return reach;
  }

  /** Between two plans: lets go of what the last ones did not use. */
  public void forgetUnused() {
    tables.forgetUnused();
    keepable.turn();
    reach.forgetUnused();
  }

  ChangeTables tables() {
    return tables;
  }

  /**
   * Time a change needs, ms.
   *
   * @param way what the furthest finger travels, mm
   * @param guided whether it slides along its string, which takes half the time
   */
  public double millisNeeded(double way, boolean guided) {
    double time = reach.hand().pace().millis(way);
    return guided ? time / 2 : time;
  }

  /** Where the fingers are in a shape. */
  HandState state(Shape shape) {
    return state(Stance.of(shape));
  }

  /** Where the fingers are, and where a note sounds on. */
  HandState state(Stance stance) {
    Shape shape = stance.shape();
    double stretch = ShapeStretches.of(stance.asked(), reach).most();
    return HandState.of(
        stance, keepable.get(packed(shape), p -> keepable(shape)), Math.min(1, stretch));
  }

  private static int packed(Shape shape) {
    int packed = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      packed = packed << 5 | shape.fretAt(s) + 1;
    }
    return packed;
  }

  /** For each finger the strings it holds in some fingering of the shape's frets, as bits. */
  private byte[] keepable(Shape shape) {
    byte[] strings = new byte[FingerCode.THUMB + 1];
    int[] frets = new int[Tuning.STRINGS];
    for (int s = 0; s < Tuning.STRINGS; s++) {
      frets[s] = shape.fretAt(s);
    }
    new FingerSearch(new ShapeMeasure(reach), reach.hand().thumbOver())
        .search(
            frets,
            (grips, cost) -> {
              // Players give a note over without a thought where a shape they know by rote asks for
              // it.
              if (KnownForms.isNotByRote(grips)) {
                return;
              }
              for (int g = 0; g < grips.count; g++) {
                for (int s = grips.low[g]; s <= grips.high[g]; s++) {
                  strings[grips.finger[g]] |= (byte) (1 << s);
                }
              }
            });
    return strings;
  }

  /** What so many fingers cost that lift, and that land. */
  private static final double[] LIFTED_FINGERS = multiples(LIFTING);

  private static final double[] LANDED_FINGERS = multiples(LANDING);

  /** By sets of fingers as bits, what one finger costs as often as there are fingers in the set. */
  private static double[] multiples(double one) {
    double[] costs = new double[2 << FingerCode.THUMB];
    for (int fingers = 0; fingers < costs.length; fingers++) {
      costs[fingers] = Integer.bitCount(fingers) * one;
    }
    return costs;
  }

  /** So much less than a sum in another order at most, as a share. */
  private static final double ROUNDED = 1 - 1e-12;

  /**
   * What a change costs at least, soon found: what lifts and lands, the hand's way, a note cut off.
   * What the fingers do that stay down comes on top.
   */
  double atLeast(HandState from, HandState to) {
    double cost = LIFTED_FINGERS[from.lifted(to)] + LANDED_FINGERS[to.lifted(from)];
    cost += shift(from, to) * SHIFT_PER_MM + bassLeap(from, to);
    return (cost + (from.cutsOff(to) ? CUT_OFF : 0)) * ROUNDED;
  }

  /** Cost of a change for hands that have the time for it. */
  double unhurried(HandState from, HandState to) {
    double cost = 0;
    int goingOn = from.goingOn(to);
    for (int f = 1; f <= FingerCode.THUMB; f++) {
      Motion motion = from.motion(to, f);
      cost += motionCost(motion, motion.travels() ? way(from, to, f) : 0);
      cost += from.givesUp(to, f, goingOn) ? HANDOVER : 0;
    }
    cost += shift(from, to) * SHIFT_PER_MM;
    cost += bassLeap(from, to);
    return cost + (from.cutsOff(to) ? CUT_OFF : 0) + (from.losesSlur(to) ? SLUR_LOST : 0);
  }

  /**
   * What it costs that the bass leaps: steps, thirds, fourths and fifths are a line, and an open
   * string is taken wherever it lies.
   */
  private static double bassLeap(HandState from, HandState to) {
    int way = from.bassWay(to);
    double share = way > SEVENTH ? 1 : way > SIXTH ? 1.2 : way > FIFTH ? 0.2 : 0;
    if (share == 0) {
      return 0;
    }
    double open = from.hasOpenBass() || to.hasOpenBass() ? OPEN_LEAP : 1;
    return share * open * CostTerm.BASS_LEAP.weight();
  }

  private static double motionCost(Motion motion, double way) {
    return switch (motion) {
      case NONE, STAYS -> 0;
      case LIFTS -> LIFTING;
      case LANDS -> LANDING;
      case ROLLS -> ROLLING;
      case SLIDES -> GUIDE_SHARE * MOVE_PER_MM * way;
      case MOVES -> LANDING + MOVE_PER_MM * way;
    };
  }

  /** The time a change needs, ms. */
  public double millisNeeded(Stance from, Stance to) {
    return millisNeeded(state(from), state(to));
  }

  /**
   * The time a change needs, ms: that of its slowest finger. A barre takes longer to lie down the
   * more strings it lies across, is no guide that slides, and takes its time from the air too; a
   * stretch takes time to open (common practice, no source; the figures judged).
   */
  double millisNeeded(HandState from, HandState to) {
    double needed = 0;
    double furthest = -1;
    for (int f = 1; f <= FingerCode.THUMB; f++) {
      Motion motion = from.motion(to, f);
      int across = to.high(f) - to.low(f);
      if (motion == Motion.MOVES && across == 0) {
        // The further one takes longer: its time alone is worked out.
        furthest = Math.max(furthest, way(from, to, f));
      } else if (motion.travels()) {
        boolean guided = motion == Motion.SLIDES && across == 0;
        double way = millisNeeded(way(from, to, f), guided);
        needed = Math.max(needed, way + across * BARRE_MS);
      } else if (across > 0 && (motion == Motion.LANDS || motion == Motion.ROLLS)) {
        needed = Math.max(needed, millisNeeded(LIFTED, false) + across * BARRE_MS);
      }
    }
    if (furthest >= 0) {
      needed = Math.max(needed, millisNeeded(furthest, false));
    }
    return needed == 0 ? 0 : needed + to.stretch() * STRETCH_MS;
  }

  private double way(HandState from, HandState to, int f) {
    return reach.distance(
        from.fret(f), from.low(f), from.high(f), to.fret(f), to.low(f), to.high(f));
  }

  private double shift(HandState from, HandState to) {
    return from.lowestFret() == 0 || to.lowestFret() == 0
        ? 0
        : reach.along(from.lowestFret(), to.lowestFret());
  }

  /** What it costs to be late: it is heard, and more so the later. */
  static double late(double needed, double available) {
    return needed <= available ? 0 : HEARD + LATE * (needed / available - 1);
  }

  /** What of a change's cost is for findings: that it is late, a note cut off, a slur lost. */
  double found(HandState from, HandState to, double available) {
    boolean late = millisNeeded(from, to) > available;
    return (late ? HEARD : 0) + (from.cutsOff(to) ? HEARD : 0) + (from.losesSlur(to) ? HEARD : 0);
  }

  /** The cost of a change, finger by finger in words; it sums to what the planner uses. */
  public Cost explain(Stance from, Stance to, double available) {
    HandState a = state(from);
    HandState b = state(to);
    List<Cost> terms = new ArrayList<>();
    for (FingerMove move : moves(from, to)) {
      double cost = motionCost(move.motion(), move.millimetres());
      if (cost > 0) {
        terms.add(Cost.term(move.words(), cost));
      }
      if (a.givesUp(b, FingerCode.of(move.finger()), a.goingOn(b))) {
        String words = Texts.of("changeCosts.givesUpANote", move.name());
        terms.add(Cost.term(words, HANDOVER));
      }
    }
    double needed = millisNeeded(a, b);
    double shift = shift(a, b);
    if (shift > 0) {
      terms.add(Cost.term(Texts.of("changeCosts.handShiftsMm", shift), shift * SHIFT_PER_MM));
    }
    double leap = bassLeap(a, b);
    if (leap > 0) {
      terms.add(Cost.term(Texts.of("changeCosts.theBassLeapsSemitones", a.bassWay(b)), leap));
    }
    double late = late(needed, available);
    if (late > 0) {
      String words = Texts.of("changeCosts.needsMsHasMs", needed, available);
      terms.add(Cost.term(words, late));
    }
    if (a.cutsOff(b)) {
      terms.add(Cost.term(Texts.of("changeCosts.theTuneIsCut"), CUT_OFF));
    }
    if (a.losesSlur(b)) {
      terms.add(Cost.term(Texts.of("changeCosts.aSlurOverThe"), SLUR_LOST));
    }
    return Cost.sum(from.shape().fretText() + " → " + to.shape().fretText(), terms);
  }

  /** The same from one shape to another with nothing beside them. */
  public Cost explain(Shape from, Shape to, double available) {
    return explain(Stance.of(from), Stance.of(to), available);
  }

  /** What each finger does in a change, thumb first; fingers in neither shape are left out. */
  public List<FingerMove> moves(Shape from, Shape to) {
    return moves(Stance.of(from), Stance.of(to));
  }

  /** The same from one stance to another, those that may rest left out. */
  public List<FingerMove> moves(Stance from, Stance to) {
    HandState a = state(from);
    HandState b = state(to);
    Map<Finger, Grip> before = from.asked().grips();
    Map<Finger, Grip> after = to.asked().grips();
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
    MOVES;

    boolean travels() {
      return this == SLIDES || this == MOVES;
    }
  }

  /**
   * One finger's part in a change.
   *
   * @param finger the finger
   * @param motion what it does
   * @param millimetres how far its tip goes; 0 unless it slides or moves
   */
  public record FingerMove(Finger finger, Motion motion, double millimetres) {

    private String name() {
      return finger == Finger.THUMB
          ? Texts.of("changeCosts.thumb")
          : Texts.of("changeCosts.finger", finger.sign());
    }

    /** In the player's words. */
    public String words() {
      return name()
          + switch (motion) {
            case NONE -> Texts.of("changeCosts.idle");
            case STAYS -> Texts.of("changeCosts.stays");
            case LIFTS -> Texts.of("changeCosts.lifts");
            case LANDS -> Texts.of("changeCosts.lands");
            case ROLLS -> Texts.of("changeCosts.rolls");
            case SLIDES -> Texts.of("changeCosts.slidesMm", millimetres);
            case MOVES -> Texts.of("changeCosts.movesMm", millimetres);
          };
    }
  }
}
