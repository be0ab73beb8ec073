package phalanx.fretting;

import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;

/**
 * Finds every way to finger given frets: problem for one hand position, solved by trying all.
 *
 * <p>The held strings are cut into grips in order of fret and string; neighbouring strings of one
 * fret may share a finger as a barre. Fingers rise along the neck, so a row of k grips can take
 * only the k-subsets of four fingers, at most six. On one fret a pair of neighbours may also swap
 * fingers, as some players hold A. Work per set of frets is a few dozen spans.
 *
 * <p>Not for two threads: it keeps its working arrays.
 */
final class FingerSearch {

  /** Takes each allowed fingering; the arrays are reused after the call. */
  interface Sink {
    void accept(GripTable grips, double cost);
  }

  /**
   * How many strings a barre may cross, by finger code. A barre of the ring finger is the usual
   * one.
   */
  private static final int[] WIDEST_BARRE = {0, 6, 3, 4, 3};

  /** The thumb reaches this many frets below finger 1, towards the nut. */
  private static final int THUMB_BELOW = 2;

  /** The thumb reaches this many frets above finger 1. */
  private static final int THUMB_ABOVE = 1;

  private static final int[][][] SUBSETS = {
    {{}},
    {{1}, {2}, {3}, {4}},
    {{1, 2}, {1, 3}, {1, 4}, {2, 3}, {2, 4}, {3, 4}},
    {{1, 2, 3}, {1, 2, 4}, {1, 3, 4}, {2, 3, 4}},
    {{1, 2, 3, 4}}
  };

  private final ShapeMeasure measure;
  private final int[][][] subsets;
  private final boolean thumbAllowed;
  private final GripTable grips = new GripTable();
  private final int[] notes = new int[Tuning.STRINGS];
  private int noteCount;
  private int thumbFret;
  private int[] frets;
  private Sink sink;

  FingerSearch(ShapeMeasure measure, boolean thumbAllowed) {
    this.measure = measure;
    Set<Finger> missing = measure.reach().hand().missing();
    subsets = missing.isEmpty() ? SUBSETS : without(missing);
    this.thumbAllowed = thumbAllowed;
  }

  /** The rows of fingers of a hand that lacks some. */
  private static int[][][] without(Set<Finger> missing) {
    return Stream.of(SUBSETS)
        .map(
            rows ->
                Stream.of(rows)
                    .filter(
                        row ->
                            IntStream.of(row).noneMatch(f -> missing.contains(Finger.numbered(f))))
                    .toArray(int[][]::new))
        .toArray(int[][][]::new);
  }

  /** Hands every allowed fingering of the frets to the sink. */
  void search(int[] wantedFrets, Sink wantedSink) {
    frets = wantedFrets;
    grips.begin(wantedFrets);
    sink = wantedSink;
    thumbFret = 0;
    sortNotes(0);
    place(0, 0);
    if (thumbAllowed && frets[0] > 0) {
      thumbFret = frets[0];
      sortNotes(1);
      place(0, 0);
    }
  }

  private void sortNotes(int firstString) {
    noteCount = 0;
    for (int s = firstString; s < Tuning.STRINGS; s++) {
      if (frets[s] <= 0) {
        continue;
      }
      int at = noteCount++;
      while (at > 0 && frets[notes[at - 1]] > frets[s]) {
        notes[at] = notes[at - 1];
        at--;
      }
      notes[at] = s;
    }
  }

  private void place(int note, int grip) {
    if (note == noteCount) {
      assign(grip);
      return;
    }
    if (grip == FingerCode.LITTLE) {
      return;
    }
    int low = notes[note];
    int fret = frets[low];
    int silent = 0;
    int end = note;
    while (true) {
      int high = notes[end];
      boolean openAbove = high + 1 < Tuning.STRINGS && frets[high + 1] == 0;
      grips.set(grip, fret, low, high, silent, openAbove);
      place(end + 1, grip + 1);
      int next = end + 1;
      if (next == noteCount || frets[notes[next]] != fret) {
        return;
      }
      for (int s = high + 1; s < notes[next]; s++) {
        // Under a barre a string can sound only at the barre or higher up.
        if (frets[s] >= 0 && frets[s] < fret) {
          return;
        }
        silent += frets[s] == Shape.SILENT ? 1 : 0;
      }
      end = next;
    }
  }

  private void assign(int count) {
    grips.measure(measure.reach(), count);
    for (int[] subset : subsets[count]) {
      System.arraycopy(subset, 0, grips.finger, 0, count);
      tryFingers(count);
      for (int g = 0; g + 1 < count; g++) {
        if (canSwap(g)) {
          swapFingers(g);
          tryFingers(count);
          swapFingers(g);
        }
      }
    }
  }

  private boolean canSwap(int g) {
    return grips.fret[g] == grips.fret[g + 1] && !grips.isBarre(g) && !grips.isBarre(g + 1);
  }

  private void swapFingers(int g) {
    int kept = grips.finger[g];
    grips.finger[g] = grips.finger[g + 1];
    grips.finger[g + 1] = kept;
  }

  private void tryFingers(int count) {
    for (int g = 0; g < count; g++) {
      if (grips.high[g] - grips.low[g] >= WIDEST_BARRE[grips.finger[g]]) {
        return;
      }
    }
    grips.count = count;
    if (thumbFret > 0) {
      if (count > 0 && !thumbReaches()) {
        return;
      }
      grips.set(count, thumbFret, 0, 0, 0, false);
      grips.finger[count] = FingerCode.THUMB;
      grips.count = count + 1;
    }
    double cost = measure.fingeringCost(grips);
    if (cost < ShapeMeasure.OUT_OF_REACH) {
      sink.accept(grips, cost);
    }
  }

  private boolean thumbReaches() {
    int reference = grips.fret[0];
    return thumbFret >= reference - THUMB_BELOW && thumbFret <= reference + THUMB_ABOVE;
  }
}
