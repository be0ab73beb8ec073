package phalanx.practice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;

/**
 * How much later than a click a tap arrives: what a device, a driver and the air add, measured by
 * tapping to even clicks. A player’s own habit of tapping a little ahead of a click (Aschersleben
 * 2002, Repp 2005, from memory) is in it: tapping as one always does is then on time.
 */
public final class TapLatency {

  /** So many taps are asked for, and at least so many are needed. */
  public static final int TAPS = 12;

  private static final int ENOUGH = 8;

  /** Taps that lie further apart on the whole than this, s, say nothing. */
  private static final double UNEVEN = 0.04;

  /** Nothing is later than this, s. */
  private static final double MOST = 0.5;

  private TapLatency() {}

  /**
   * The latency of taps, s; empty where there are too few or they are too uneven.
   *
   * @param taps when they came, s, the first click being at 0
   * @param period from one click to the next, s, more than 0
   */
  public static OptionalDouble of(List<Double> taps, double period) {
    List<Double> off = new ArrayList<>();
    // Nobody taps long before a click: what comes then is late for the one before.
    double early = period / 4;
    for (double tap : taps) {
      double late = tap + early - period * Math.floor((tap + early) / period) - early;
      if (late <= MOST) {
        off.add(late);
      }
    }
    if (off.size() < ENOUGH) {
      return OptionalDouble.empty();
    }
    double middle = median(off);
    double spread = median(off.stream().map(o -> Math.abs(o - middle)).toList());
    return spread > UNEVEN ? OptionalDouble.empty() : OptionalDouble.of(middle);
  }

  private static double median(List<Double> of) {
    List<Double> sorted = new ArrayList<>(of);
    Collections.sort(sorted);
    int n = sorted.size();
    return (sorted.get((n - 1) / 2) + sorted.get(n / 2)) / 2;
  }
}
