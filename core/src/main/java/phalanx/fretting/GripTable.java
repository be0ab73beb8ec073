package phalanx.fretting;

import java.util.Comparator;
import java.util.Map;
import java.util.OptionalInt;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;

/**
 * The grips of one fingering while it is being searched, in plain arrays: mutable, private to a
 * search, filled in order of fret and then of string.
 */
final class GripTable {

  /** Four fingers and the thumb. */
  static final int MOST = 5;

  final int[] fret = new int[MOST];
  final int[] low = new int[MOST];
  final int[] high = new int[MOST];
  final int[] finger = new int[MOST];
  final int[] silentUnder = new int[MOST];
  final boolean[] openAbove = new boolean[MOST];

  /** Distances between the grips placed so far, mm; the same however they are fingered. */
  final double[][] apart = new double[MOST][MOST];

  int count;

  /** The frets of all strings, and how players finger them; see {@link KnownForms#of}. */
  int[] frets = new int[0];

  int[] known = new int[0];

  /** Notes what is to be fingered. */
  void begin(int[] wanted) {
    frets = wanted;
    known = KnownForms.of(wanted);
  }

  /** Measures the distances between the first grips. */
  void measure(Reach reach, int grips) {
    for (int b = 1; b < grips; b++) {
      for (int a = 0; a < b; a++) {
        apart[a][b] = reach.distance(fret[a], low[a], high[a], fret[b], low[b], high[b]);
      }
    }
  }

  void set(int index, int gripFret, int lowString, int highString, int silent, boolean open) {
    fret[index] = gripFret;
    low[index] = lowString;
    high[index] = highString;
    silentUnder[index] = silent;
    openAbove[index] = open;
  }

  /** The finger that presses a string at a fret, or {@link FingerCode#NONE}. */
  int fingerOn(int string, int atFret) {
    for (int g = 0; g < count; g++) {
      if (fret[g] == atFret && low[g] <= string && string <= high[g]) {
        return finger[g];
      }
    }
    return FingerCode.NONE;
  }

  /** The grips of a finished shape, in the order a search would place them. */
  static GripTable of(Shape shape) {
    GripTable table = new GripTable();
    int[] frets = new int[Tuning.STRINGS];
    for (int s = 0; s < Tuning.STRINGS; s++) {
      frets[s] = shape.fretAt(s);
    }
    table.begin(frets);
    shape.grips().entrySet().stream()
        .sorted(
            Comparator.comparing((Map.Entry<Finger, Grip> e) -> e.getKey() == Finger.THUMB)
                .thenComparing(e -> e.getValue().fret())
                .thenComparing(e -> e.getValue().lowString()))
        .forEach(e -> table.append(e.getKey(), e.getValue(), shape));
    return table;
  }

  private void append(Finger by, Grip grip, Shape shape) {
    int silent = 0;
    for (int s = grip.lowString(); s <= grip.highString(); s++) {
      silent += shape.sounds(s) ? 0 : 1;
    }
    int above = grip.highString() + 1;
    boolean open =
        by != Finger.THUMB && above < Tuning.STRINGS && shape.fret(above).equals(OptionalInt.of(0));
    set(count, grip.fret(), grip.lowString(), grip.highString(), silent, open);
    finger[count++] = FingerCode.of(by);
  }

  boolean isBarre(int index) {
    return high[index] > low[index];
  }
}
