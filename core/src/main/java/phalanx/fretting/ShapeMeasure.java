package phalanx.fretting;

import java.util.Arrays;
import java.util.stream.Stream;
import phalanx.instrument.Tuning;

/**
 * Measures a fingered shape in the units of {@link CostTerm} and weighs the measures.
 *
 * <p>Not for two threads: it keeps its working array.
 */
final class ShapeMeasure {

  /** Cost of a fingering the hand cannot take; far above any cost it can. */
  static final double OUT_OF_REACH = 1e6;

  private static final CostTerm[] SMALL_BARRES = {
    CostTerm.MIDDLE_BARRE, CostTerm.RING_BARRE, CostTerm.LITTLE_BARRE
  };

  private static final int TERMS = CostTerm.values().length;

  private final Reach reach;
  private final double[] weights;
  private final double[] units = new double[TERMS];

  ShapeMeasure(Reach reach) {
    this.reach = reach;
    weights = Stream.of(CostTerm.values()).mapToDouble(CostTerm::weight).toArray();
  }

  /** What the fingers cost, or {@link #OUT_OF_REACH}. */
  double fingeringCost(GripTable grips) {
    if (!measureFingers(grips)) {
      return OUT_OF_REACH;
    }
    double cost = 0;
    for (int t = 0; t < TERMS; t++) {
      cost += units[t] * weights[t];
    }
    return cost;
  }

  /** The units of each term for a fingering, in the order of {@link CostTerm}. */
  double[] fingeringUnits(GripTable grips) {
    measureFingers(grips);
    return units.clone();
  }

  private void add(CostTerm term, double amount) {
    units[term.ordinal()] += amount;
  }

  private boolean measureFingers(GripTable g) {
    Arrays.fill(units, 0);
    int previous = -1;
    for (int k = 0; k < g.count; k++) {
      int finger = g.finger[k];
      add(CostTerm.FINGERS, 1);
      if (finger == FingerCode.THUMB) {
        add(CostTerm.THUMB, 1);
        continue;
      }
      measureGrip(g, k);
      for (int other = 0; other < k; other++) {
        double stretch = stretch(g, other, k);
        if (stretch > 1) {
          return false;
        }
        add(CostTerm.STRETCH, stretch);
      }
      if (previous >= 0) {
        measureNeighbours(g, previous, k);
      }
      previous = k;
    }
    return true;
  }

  private void measureGrip(GripTable g, int k) {
    int finger = g.finger[k];
    if (finger == 3) {
      boolean first = g.high[k] == Tuning.STRINGS - 1 && g.low[k] == g.high[k];
      add(CostTerm.RING_ON_FIRST, first && g.isBarre(0) ? 1 : 0);
    }
    if (g.isBarre(k)) {
      int width = g.high[k] - g.low[k] + 1;
      add(CostTerm.BARRE_OVER_SILENT, g.silentUnder[k]);
      add(CostTerm.BARRE_BY_OPEN, g.openAbove[k] ? 1 : 0);
      if (finger == FingerCode.INDEX) {
        add(CostTerm.BARRE, 1);
        add(CostTerm.BARRE_WIDTH, width - 2);
      } else {
        add(SMALL_BARRES[finger - 2], 1);
        add(CostTerm.SMALL_BARRE_WIDTH, width - 2);
      }
    }
  }

  /** 0 up to the comfortable span, 1 at the limit, more than 1 beyond it. */
  private double stretch(GripTable g, int a, int b) {
    double distance =
        reach.distance(g.fret[a], g.low[a], g.high[a], g.fret[b], g.low[b], g.high[b]);
    double limit = reach.limit(g.finger[a], g.finger[b]);
    double over = distance - reach.comfortable(g.finger[a], g.finger[b]);
    if (over <= 0) {
      return 0;
    }
    if (distance > limit) {
      return 2;
    }
    double share = over / (limit - reach.comfortable(g.finger[a], g.finger[b]));
    return share * share;
  }

  private void measureNeighbours(GripTable g, int a, int b) {
    int fingers = g.finger[b] - g.finger[a];
    int frets = g.fret[b] - g.fret[a];
    if (fingers < 0) {
      add(CostTerm.ORDER, 1);
      return;
    }
    if (frets == 0) {
      add(CostTerm.SKIPPED_ON_FRET, fingers - 1);
    } else {
      add(CostTerm.CROWDED, Math.max(0, fingers - frets));
    }
  }
}
