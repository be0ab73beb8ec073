package phalanx.fretting;

import java.util.stream.Stream;
import phalanx.instrument.Hand;
import phalanx.instrument.Tuning;

/**
 * Measures a fingered shape in the units of {@link CostTerm} and weighs the measures.
 *
 * <p>Not for two threads: it keeps its running sum.
 */
final class ShapeMeasure {

  /** Cost of a fingering the hand cannot take; far above any cost it can. */
  static final double OUT_OF_REACH = 1e6;

  /** Cost of a span as wide as a hand that allows stretches goes. */
  static final double STRETCHED = 5;

  private static final CostTerm[] SMALL_BARRES = {
    CostTerm.MIDDLE_BARRE, CostTerm.RING_BARRE, CostTerm.LITTLE_BARRE
  };

  /** While searching, only the sum is wanted. */
  private static final double[] NOT_KEPT = {};

  private static final double[] WEIGHTS =
      Stream.of(CostTerm.values()).mapToDouble(CostTerm::weight).toArray();

  private final Reach reach;
  private double[] units = NOT_KEPT;
  private double cost;

  ShapeMeasure(Reach reach) {
    this.reach = reach;
  }

  /** The distances and limits it measures with. */
  Reach reach() {
    return reach;
  }

  /** What the fingers cost, their distances measured before, or {@link #OUT_OF_REACH}. */
  double fingeringCost(GripTable grips) {
    return measureFingers(grips) ? cost : OUT_OF_REACH;
  }

  /** The units of each term for a fingering, in the order of {@link CostTerm}. */
  double[] fingeringUnits(GripTable grips) {
    grips.measure(reach, grips.count);
    units = new double[WEIGHTS.length];
    measureFingers(grips);
    double[] taken = units;
    units = NOT_KEPT;
    return taken;
  }

  private void add(CostTerm term, double amount) {
    cost += amount * WEIGHTS[term.ordinal()];
    if (units != NOT_KEPT) {
      units[term.ordinal()] += amount;
    }
  }

  private boolean measureFingers(GripTable g) {
    cost = 0;
    // Most fingerings fail by their reach, so that is asked first.
    if (!measureReach(g)) {
      return false;
    }
    int previous = -1;
    for (int k = 0; k < g.count; k++) {
      add(CostTerm.FINGERS, 1);
      if (g.finger[k] == FingerCode.THUMB) {
        add(CostTerm.THUMB, 1);
        continue;
      }
      measureGrip(g, k);
      if (previous >= 0) {
        measureNeighbours(g, previous, k);
      }
      previous = k;
    }
    add(CostTerm.UNFAMILIAR, KnownForms.units(g));
    return true;
  }

  private boolean measureReach(GripTable g) {
    double stretches = 0;
    for (int k = g.count - 1; k > 0; k--) {
      for (int other = 0; other < k && g.finger[k] != FingerCode.THUMB; other++) {
        double stretch = stretch(g, other, k);
        if (stretch == OUT_OF_REACH) {
          return false;
        }
        stretches += stretch;
      }
    }
    add(CostTerm.STRETCH, stretches);
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

  /**
   * 0 up to the comfortable span, 1 at the limit; beyond it, where the hand allows stretches, up to
   * {@link #STRETCHED}.
   */
  private double stretch(GripTable g, int a, int b) {
    return stretch(g.finger[a], g.finger[b], g.apart[a][b]);
  }

  private double stretch(int a, int b, double distance) {
    return stretch(distance, reach.comfortable(a, b), reach.limit(a, b), reach.hand().stretches());
  }

  /** The same for a distance, what is comfortable and the limit, mm. */
  static double stretch(double distance, double comfortable, double limit, boolean stretches) {
    double over = distance - comfortable;
    if (over <= 0) {
      return 0;
    }
    if (distance > limit) {
      double beyond = (distance / limit - 1) / (Hand.STRETCH - 1);
      return beyond > 1 || !stretches ? OUT_OF_REACH : 1 + (STRETCHED - 1) * beyond;
    }
    double share = over / (limit - comfortable);
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
