package phalanx.fretting;

import java.util.ArrayList;
import java.util.List;
import phalanx.instrument.Hand;
import phalanx.instrument.Tuning;
import phalanx.theory.ChordTone;

/**
 * Finds every shape of a chord that a hand can hold, and ranks them.
 *
 * <p>Depth-first over the strings, ⑥ to ①: each string is left silent, rings open or is held at a
 * fret within reach of the lowest finger, and only chord tones sound. A branch ends as soon as the
 * bass is wrong, the remaining strings cannot bring the essential tones any more, or the strings
 * held apart outnumber the fingers. Complete shapes go to the {@link FingerSearch}. Work grows with
 * the number of frets; for fifteen frets it is some ten thousand branches.
 */
public final class ShapeSearch {

  /** A chord of fewer strings is a double stop. */
  private static final int FEWEST_SOUNDING = 3;

  /** More silent strings than this between sounding ones cannot be kept quiet with care. */
  private static final int MOST_MUTED_INSIDE = 2;

  private final ShapeQuery query;
  private final Reach reach;
  private final ShapeMeasure measure;
  private final FingerSearch fingers;
  private final int fingerCount;
  private final int highestFret;
  private final int essential;
  private final int bassBit;
  private final int[][] midi;
  private final int[][] toneBits;
  private final boolean[] mustSound = new boolean[Tuning.STRINGS];
  private final ChordUnits chordUnits;
  private final int[] frets = new int[Tuning.STRINGS];
  private final PackedShapes found = new PackedShapes();
  private int low;
  private int high;
  private double chordCost;

  private ShapeSearch(ShapeQuery query, Reach reach) {
    this.query = query;
    this.reach = reach;
    measure = new ShapeMeasure(reach);
    fingers = new FingerSearch(measure, query.thumb());
    fingerCount = FingerCode.LITTLE - query.hand().missing().size();
    highestFret = Math.min(query.highestFret(), reach.highestFret());
    midi = new int[Tuning.STRINGS][reach.highestFret() + 1];
    toneBits = new int[Tuning.STRINGS][reach.highestFret() + 1];
    int required = 0;
    List<ChordTone> tones = query.chord().tones();
    int[] toneBit = new int[12];
    for (int t = 0; t < tones.size(); t++) {
      ChordTone tone = tones.get(t);
      toneBit[Math.floorMod(query.chord().root().chroma() + tone.interval().chroma(), 12)] |=
          1 << t;
      boolean mayGo = t == 0 && query.rootless();
      required |= tone.essential() && !mayGo ? 1 << t : 0;
    }
    bassBit = query.bass().isPresent() ? 1 << tones.size() : 0;
    query.bass().ifPresent(b -> toneBit[b.chroma()] |= bassBit);
    essential = required | bassBit;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      for (int fret = 0; fret <= reach.highestFret(); fret++) {
        midi[s][fret] = query.guitar().midi(s, fret);
        toneBits[s][fret] = toneBit[Math.floorMod(query.guitar().shapeMidi(s, fret), 12)];
      }
      mustSound[s] = query.sounding().contains(s);
    }
    chordUnits = new ChordUnits(query.chord(), query.guitar(), midi);
  }

  /** Every shape that answers the query, cheapest first; empty if the hand can hold none. */
  public static RankedShapes find(ShapeQuery query) {
    return find(query, new Reach(query.guitar(), query.hand()));
  }

  /** The same with distances already worked out for the query's guitar and hand. */
  public static RankedShapes find(ShapeQuery query, Reach reach) {
    ShapeSearch search = new ShapeSearch(query, reach);
    search.allPositions();
    return new RankedShapes(search.found);
  }

  /** What a shape costs as this query sees it, term by term. */
  public static Cost explain(ShapeQuery query, Shape shape) {
    return new ShapeSearch(query, new Reach(query.guitar(), query.hand())).explained(shape);
  }

  private void allPositions() {
    low = 0;
    high = 0;
    descend(0, 0, 0, 0, false);
    for (low = 1; low <= highestFret; low++) {
      high = low;
      while (high < highestFret && reach.along(low, high + 1) <= widest()) {
        high++;
      }
      descend(0, 0, 0, 0, false);
    }
  }

  private double widest() {
    double limit = reach.limit(FingerCode.INDEX, FingerCode.LITTLE);
    return reach.hand().stretches() ? limit * Hand.STRETCH : limit;
  }

  /**
   * Decides one string.
   *
   * @param covered bits of the tones that sound so far
   * @param sounding strings that sound so far
   * @param held strings held above the lowest fret so far
   * @param touched whether a string is held at the lowest fret yet
   */
  private void descend(int string, int covered, int sounding, int held, boolean touched) {
    int left = Tuning.STRINGS - string;
    int missing = essential & ~covered;
    if (Integer.bitCount(missing) > left + sharedTones()) {
      return;
    }
    if (string == Tuning.STRINGS) {
      if (missing == 0 && sounding >= FEWEST_SOUNDING && (touched || low == 0)) {
        complete(covered);
      }
      return;
    }
    if (!mustSound[string] && FEWEST_SOUNDING - sounding < left
        || !mustSound[string] && sounding >= FEWEST_SOUNDING) {
      frets[string] = Shape.SILENT;
      descend(string + 1, covered, sounding, held, touched);
    }
    sound(string, 0, covered, sounding, held, touched);
    for (int fret = Math.max(1, low); fret <= high; fret++) {
      boolean atLow = fret == low;
      if (atLow || held < FingerCode.THUMB) {
        sound(string, fret, covered, sounding, held + (atLow ? 0 : 1), touched || atLow);
      }
    }
  }

  /** The bass and a chord tone may be one note, so one string can bring two missing bits. */
  private int sharedTones() {
    return bassBit != 0 ? 1 : 0;
  }

  private void sound(int string, int fret, int covered, int sounding, int held, boolean touched) {
    int bits = toneBits[string][fret];
    if (bits == 0 || bassBit != 0 && sounding == 0 && (bits & bassBit) == 0) {
      return;
    }
    frets[string] = fret;
    descend(string + 1, covered | bits, sounding + 1, held, touched);
  }

  private void complete(int covered) {
    if (query.top().isPresent() && highestSounding() != query.top().getAsInt()) {
      return;
    }
    if (query.below().isPresent() && !leavesAbove(query.below().getAsInt())) {
      return;
    }
    if (mutedInside() > MOST_MUTED_INSIDE) {
      return;
    }
    chordCost = 0;
    chordUnits.measure(frets, covered, (term, units) -> chordCost += units * term.weight());
    long packed = PackedShapes.frets(frets);
    fingers.search(
        frets,
        (grips, cost) -> {
          if (query.below().isEmpty() || leavesFinger(grips)) {
            found.add(PackedShapes.pack(packed, frets, grips), cost + chordCost);
          }
        });
  }

  /** Whether a note is higher than all that sounds and has a place where the hand is. */
  private boolean leavesAbove(int note) {
    if (highestSounding() >= note) {
      return false;
    }
    for (int s = 0; s < Tuning.STRINGS; s++) {
      int fret = note - midi[s][0];
      if (frets[s] < fret && fret <= reach.highestFret() && isAtHand(fret)) {
        return true;
      }
    }
    return false;
  }

  /** Whether a finger reaches a fret from the lowest one held, along the neck. */
  private boolean isAtHand(int fret) {
    return low == 0 || low <= fret && reach.along(low, fret) <= widest();
  }

  /** Whether a finger is free for one more note, or presses the highest string and can move. */
  private boolean leavesFinger(GripTable grips) {
    int pressing = 0;
    for (int g = 0; g < grips.count; g++) {
      boolean moves = grips.high[g] == grips.low[g] && grips.high[g] == Tuning.STRINGS - 1;
      pressing += moves || grips.finger[g] == FingerCode.THUMB ? 0 : 1;
    }
    return pressing < fingerCount;
  }

  private int highestSounding() {
    int top = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      top = frets[s] == Shape.SILENT ? top : Math.max(top, midi[s][frets[s]]);
    }
    return top;
  }

  private int mutedInside() {
    int muted = 0;
    for (int s = ChordUnits.lowest(frets); s < ChordUnits.highest(frets); s++) {
      muted += frets[s] == Shape.SILENT ? 1 : 0;
    }
    return muted;
  }

  private Cost explained(Shape shape) {
    if (shape.soundingStrings().isEmpty()) {
      return Cost.sum(shape.fretText(), List.of());
    }
    int[] f = new int[Tuning.STRINGS];
    int covered = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      f[s] = shape.fret(s).orElse(Shape.SILENT);
      if (shape.sounds(s)) {
        covered |= toneBits[s][f[s]];
      }
    }
    double[] units = new double[CostTerm.values().length];
    chordUnits.measure(f, covered, (term, amount) -> units[term.ordinal()] = amount);
    GripTable grips = GripTable.of(shape);
    double[] fingerUnits = measure.fingeringUnits(grips);
    List<Cost> terms = new ArrayList<>();
    for (CostTerm term : CostTerm.values()) {
      double value = (units[term.ordinal()] + fingerUnits[term.ordinal()]) * term.weight();
      if (value != 0) {
        terms.add(Cost.term(term.words(), value));
      }
    }
    return Cost.sum(shape.fretText(), terms);
  }
}
