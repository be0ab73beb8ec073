package phalanx.practice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;

/**
 * Matches what was heard to what was expected: dynamic programming over both in time, in which the
 * tempo may drift, moments may be missed, sounds may be extra, the player may stop, and may go back
 * to the beginning of a bar or on to another.
 */
final class MomentAlignment {

  /** How well something heard fits what is expected. */
  interface Fit {
    /** 0, not at all, to 1. */
    double of(int moment, int heard);
  }

  /** A moment and what was heard for it. */
  record Pair(int moment, int heard) {}

  private static final int REACH = 7;
  private static final int JUMP_REACH = 64;
  private static final double GAIN = 0.3;
  private static final double FIT_GAIN = 3.6;
  private static final double MISSED = 0.9;
  private static final double EXTRA = 0.45;
  private static final double JUMP = 3.5;
  private static final double START = 0.25;
  private static final double MOST_START = 4;

  /** A gap that is out of time costs no more than this: the player stopped and went on. */
  private static final double STOPPED = 4.5;

  /** Time varies by this much, s, and by this share of what lies between. */
  private static final double UNEVEN = 0.022;

  private static final double FLEXIBLE = 0.07;

  /** How fast the tempo that is expected next follows what was heard. */
  private static final double FOLLOWS = 0.18;

  /** So many of the best places are followed at once. */
  private static final int BEAM = 400;

  private final double[] expected;
  private final boolean[] entries;
  private final Fit fit;
  private final double slowness;
  private final List<Column> columns = new ArrayList<>();
  private double[] heard = new double[64];
  private final double[] score;
  private final float[] ratio;
  private final int[] fromHeard;
  private final int[] fromSlot;

  /** The best ways that end with one thing heard. */
  private static final class Column {
    private int[] moments = {};
    private double[] scores = {};
    private float[] ratios = {};
    private int[] fromHeard = {};
    private int[] fromSlot = {};
  }

  /**
   * Nothing was heard yet.
   *
   * @param expected when each moment is expected, s, rising
   * @param entries at which of them a player may begin again
   * @param slowness seconds heard for a second expected, about
   */
  MomentAlignment(double[] expected, boolean[] entries, Fit fit, double slowness) {
    this.expected = expected;
    this.entries = entries;
    this.fit = fit;
    this.slowness = slowness;
    score = new double[expected.length];
    ratio = new float[expected.length];
    fromHeard = new int[expected.length];
    fromSlot = new int[expected.length];
  }

  /** The best match of all that was heard, s, rising. */
  static List<Pair> of(
      double[] expected, boolean[] entries, double[] heard, Fit fit, double slowness) {
    MomentAlignment alignment = new MomentAlignment(expected, entries, fit, slowness);
    for (double seconds : heard) {
      alignment.hear(seconds);
    }
    return alignment.pairs();
  }

  /** Goes on with something that was heard later than all before, s. */
  void hear(double seconds) {
    int j = columns.size();
    if (j == heard.length) {
      heard = Arrays.copyOf(heard, 2 * j);
    }
    heard[j] = seconds;
    Arrays.fill(score, Double.NEGATIVE_INFINITY);
    for (int i = 0; i < expected.length; i++) {
      start(i, j);
    }
    for (int back = 1; back <= REACH && back <= j; back++) {
      goOn(j, j - back);
    }
    if (j > 0) {
      jump(j);
    }
    columns.add(kept());
  }

  private double gain(int i, int j) {
    return GAIN + FIT_GAIN * fit.of(i, j);
  }

  private void start(int i, int j) {
    if (j >= 40 && !entries[i]) {
      return;
    }
    double late = Math.min(MOST_START, START * i);
    score[i] = gain(i, j) - late - Math.min(2 * MOST_START, EXTRA * j);
    ratio[i] = (float) slowness;
    fromHeard[i] = -1;
    fromSlot[i] = -1;
  }

  private void goOn(int j, int before) {
    Column from = columns.get(before);
    double extra = EXTRA * (j - before - 1);
    double gap = heard[j] - heard[before];
    for (int s = 0; s < from.moments.length; s++) {
      int i0 = from.moments[s];
      double base = from.scores[s] - extra;
      for (int i = i0 + 1; i <= i0 + REACH && i < expected.length; i++) {
        double written = expected[i] - expected[i0];
        double now = base - MISSED * (i - i0 - 1) - uneven(gap, written * from.ratios[s]);
        if (now + GAIN + FIT_GAIN > score[i]) {
          now += gain(i, j);
          if (now > score[i]) {
            score[i] = now;
            ratio[i] = followed(from.ratios[s], gap, written);
            fromHeard[i] = before;
            fromSlot[i] = s;
          }
        }
      }
    }
  }

  private static double uneven(double gap, double wanted) {
    double off = (gap - wanted) / (UNEVEN + FLEXIBLE * wanted);
    return Math.min(STOPPED, off * off / 2);
  }

  private static float followed(float ratio, double gap, double written) {
    double now = gap / written;
    if (written < 1e-6 || now < 0.6 * ratio || now > 1.6 * ratio) {
      return ratio;
    }
    double weight = FOLLOWS * Math.min(1, written / 0.5);
    return (float) (ratio + weight * (now - ratio));
  }

  /** Back to the beginning of a bar, or on to a later one. */
  private void jump(int j) {
    Column from = columns.get(j - 1);
    for (int s = 0; s < from.moments.length; s++) {
      int i0 = from.moments[s];
      double base = from.scores[s] - JUMP;
      int low = Math.max(0, i0 - JUMP_REACH);
      int high = Math.min(expected.length - 1, i0 + JUMP_REACH);
      for (int i = low; i <= high; i++) {
        if (entries[i] && base + GAIN + FIT_GAIN > score[i]) {
          double now = base + gain(i, j);
          if (now > score[i]) {
            score[i] = now;
            ratio[i] = from.ratios[s];
            fromHeard[i] = j - 1;
            fromSlot[i] = s;
          }
        }
      }
    }
  }

  /** The best places; the others are not followed any more. */
  private Column kept() {
    double least = Double.NEGATIVE_INFINITY;
    if (score.length > BEAM) {
      double[] sorted = score.clone();
      Arrays.sort(sorted);
      least = sorted[sorted.length - BEAM];
    }
    int count = 0;
    for (double s : score) {
      count += s >= least && s > Double.NEGATIVE_INFINITY ? 1 : 0;
    }
    Column column = new Column();
    column.moments = new int[count];
    column.scores = new double[count];
    column.ratios = new float[count];
    column.fromHeard = new int[count];
    column.fromSlot = new int[count];
    int at = 0;
    for (int i = 0; i < score.length; i++) {
      if (score[i] >= least && score[i] > Double.NEGATIVE_INFINITY) {
        column.moments[at] = i;
        column.scores[at] = score[i];
        column.ratios[at] = ratio[i];
        column.fromHeard[at] = fromHeard[i];
        column.fromSlot[at] = fromSlot[i];
        at++;
      }
    }
    return column;
  }

  /** The best match so far, in the order of what was heard. */
  List<Pair> pairs() {
    double most = Double.NEGATIVE_INFINITY;
    int bestHeard = -1;
    int bestSlot = -1;
    for (int j = 0; j < columns.size(); j++) {
      double[] scores = columns.get(j).scores;
      for (int s = 0; s < scores.length; s++) {
        if (scores[s] > most) {
          most = scores[s];
          bestHeard = j;
          bestSlot = s;
        }
      }
    }
    List<Pair> pairs = new ArrayList<>();
    while (bestHeard >= 0) {
      Column column = columns.get(bestHeard);
      pairs.add(new Pair(column.moments[bestSlot], bestHeard));
      int before = column.fromHeard[bestSlot];
      bestSlot = column.fromSlot[bestSlot];
      bestHeard = before;
    }
    Collections.reverse(pairs);
    return pairs;
  }
}
