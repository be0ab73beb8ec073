package phalanx.fretting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
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
  private final int highestFret;
  private final int essential;
  private final int fifth;
  private final int[] toneBit = new int[12];
  private final int bassChroma;
  private final int[] frets = new int[Tuning.STRINGS];
  private final List<RankedShapes.Found> found = new ArrayList<>();
  private int low;
  private int high;
  private double chordCost;

  private ShapeSearch(ShapeQuery query, Reach reach) {
    this.query = query;
    this.reach = reach;
    measure = new ShapeMeasure(reach);
    fingers = new FingerSearch(measure, query.thumb());
    highestFret = Math.min(query.highestFret(), reach.highestFret());
    int required = 0;
    int fifthBit = 0;
    List<ChordTone> tones = query.chord().tones();
    for (int t = 0; t < tones.size(); t++) {
      ChordTone tone = tones.get(t);
      toneBit[Math.floorMod(query.chord().root().chroma() + tone.interval().chroma(), 12)] |=
          1 << t;
      boolean mayGo = t == 0 && query.rootless();
      required |= tone.essential() && !mayGo ? 1 << t : 0;
      fifthBit |= !tone.essential() && tone.interval().number() == 5 ? 1 << t : 0;
    }
    bassChroma = query.bass().map(b -> b.chroma()).orElse(-1);
    if (bassChroma >= 0) {
      toneBit[bassChroma] |= 1 << tones.size();
      required |= 1 << tones.size();
    }
    essential = required;
    fifth = fifthBit;
  }

  /** Every shape that answers the query, cheapest first; empty if the hand can hold none. */
  public static RankedShapes find(ShapeQuery query) {
    return find(query, new Reach(query.guitar(), query.hand()));
  }

  /** The same with distances already worked out for the query's guitar and hand. */
  public static RankedShapes find(ShapeQuery query, Reach reach) {
    ShapeSearch search = new ShapeSearch(query, reach);
    search.allPositions();
    return new RankedShapes(search.found.toArray(RankedShapes.Found[]::new));
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
    return reach.limit(FingerCode.INDEX, FingerCode.LITTLE);
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
    if (FEWEST_SOUNDING - sounding < left || sounding >= FEWEST_SOUNDING) {
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
    return bassChroma >= 0 ? 1 : 0;
  }

  private void sound(int string, int fret, int covered, int sounding, int held, boolean touched) {
    int chroma = Math.floorMod(query.guitar().shapeMidi(string, fret), 12);
    int bits = toneBit[chroma];
    if (bits == 0) {
      return;
    }
    if (bassChroma >= 0 && sounding == 0 && chroma != bassChroma) {
      return;
    }
    frets[string] = fret;
    descend(string + 1, covered | bits, sounding + 1, held, touched);
  }

  private void complete(int covered) {
    if (!query.top().isEmpty() && highestSounding(frets) != query.top().getAsInt()) {
      return;
    }
    if (mutedInside(frets) > MOST_MUTED_INSIDE) {
      return;
    }
    double[] units = chordUnits(frets, covered);
    chordCost = 0;
    for (CostTerm term : CostTerm.values()) {
      chordCost += units[term.ordinal()] * term.weight();
    }
    fingers.search(
        frets, (grips, cost) -> found.add(RankedShapes.Found.pack(frets, grips, cost + chordCost)));
  }

  private int highestSounding(int[] f) {
    int top = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      top = f[s] == Shape.SILENT ? top : Math.max(top, query.guitar().midi(s, f[s]));
    }
    return top;
  }

  private static int lowest(int[] f) {
    int string = 0;
    while (f[string] == Shape.SILENT) {
      string++;
    }
    return string;
  }

  private static int highest(int[] f) {
    int string = Tuning.STRINGS - 1;
    while (f[string] == Shape.SILENT) {
      string--;
    }
    return string;
  }

  private static int mutedInside(int[] f) {
    int muted = 0;
    for (int s = lowest(f); s < highest(f); s++) {
      muted += f[s] == Shape.SILENT ? 1 : 0;
    }
    return muted;
  }

  private int unisons(int[] f) {
    int same = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      boolean twice = false;
      for (int other = 0; other < s && f[s] != Shape.SILENT; other++) {
        twice |=
            f[other] != Shape.SILENT
                && query.guitar().midi(s, f[s]) == query.guitar().midi(other, f[other]);
      }
      same += twice ? 1 : 0;
    }
    return same;
  }

  /** The units of the terms that do not depend on the fingers. */
  private double[] chordUnits(int[] f, int covered) {
    double[] units = new double[CostTerm.values().length];
    int lowFret = Arrays.stream(f).filter(x -> x > 0).min().orElse(0);
    units[CostTerm.MUTED_INSIDE.ordinal()] = mutedInside(f);
    units[CostTerm.NO_LOW_STRING.ordinal()] = triangle(lowest(f));
    units[CostTerm.NO_HIGH_STRING.ordinal()] = triangle(Tuning.STRINGS - 1 - highest(f));
    units[CostTerm.UNISON.ordinal()] = unisons(f);
    units[CostTerm.POSITION.ordinal()] = Math.max(0, lowFret - 1);
    int tones = (1 << query.chord().tones().size()) - 1;
    int missing = tones & ~covered;
    units[CostTerm.NO_ROOT.ordinal()] = missing & 1;
    units[CostTerm.NO_FIFTH.ordinal()] = (missing & fifth) == 0 ? 0 : 1;
    units[CostTerm.MISSING.ordinal()] = Integer.bitCount(missing & ~fifth & ~1);
    return units;
  }

  /** Each further string missing weighs more than the one before. */
  private static double triangle(int strings) {
    return strings * (strings + 1) / 2.0;
  }

  private Cost explained(Shape shape) {
    int[] f = new int[Tuning.STRINGS];
    int covered = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      f[s] = shape.fret(s).orElse(Shape.SILENT);
      if (shape.sounds(s)) {
        covered |= toneBit[Math.floorMod(query.guitar().shapeMidi(s, f[s]), 12)];
      }
    }
    double[] units = chordUnits(f, covered);
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
