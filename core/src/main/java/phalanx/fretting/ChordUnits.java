package phalanx.fretting;

import java.util.List;
import java.util.function.ObjDoubleConsumer;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.theory.Chord;
import phalanx.theory.ChordTone;

/** Measures those terms of a shape's cost that do not depend on the fingers. */
final class ChordUnits {

  /** Frets up the neck that still cost; beyond, one fret is as good as the next. */
  private static final int COUNTED_FRETS = 5;

  /** Up to this fret open strings lie within a hand's usual place. */
  private static final int NEAR_OPEN = 4;

  /** Up to this fret bass strings that ring beside an open bass cost nothing. */
  private static final int NEAR_DRONES = 9;

  private static final int NEAR_NUT = 2;

  /** String ④, the highest the thumb takes for a bass. */
  private static final int LAST_BASS_STRING = 2;

  private final Guitar guitar;
  private final int[][] midi;
  private final int tones;
  private final int fifth;
  private final int bass;
  private final boolean rootOrFifth;

  /** Which bass strings have the chord's root or fifth when they are open. */
  private final boolean[] drones = new boolean[LAST_BASS_STRING + 1];

  private final boolean retuned;

  /**
   * For one chord on one guitar.
   *
   * @param midi sounding MIDI notes by string and fret
   */
  ChordUnits(Chord chord, Guitar guitar, int[][] midi) {
    this.guitar = guitar;
    this.midi = midi;
    List<ChordTone> row = chord.tones();
    tones = (1 << row.size()) - 1;
    int bits = 0;
    for (int t = 0; t < row.size(); t++) {
      boolean plainFifth = !row.get(t).essential() && row.get(t).interval().number() == 5;
      bits |= plainFifth ? 1 << t : 0;
    }
    fifth = bits;
    retuned = guitar.tuning().isOpen();
    bass = chord.bass().chroma();
    rootOrFifth = chord.isRootOrFifth(bass);
    for (int s = 0; s < drones.length; s++) {
      drones[s] = chord.isRootOrFifth(Math.floorMod(midi[s][0], 12));
    }
  }

  /** Hands each term with its units over. */
  void measure(int[] f, int covered, ObjDoubleConsumer<CostTerm> sink) {
    int first = lowest(f);
    int last = highest(f);
    int low = 0;
    int high = 0;
    int open = 0;
    int muted = 0;
    for (int s = first; s <= last; s++) {
      muted += f[s] == Shape.SILENT ? 1 : 0;
      open += f[s] == 0 ? 1 : 0;
      if (f[s] > 0) {
        low = low == 0 ? f[s] : Math.min(low, f[s]);
        high = Math.max(high, f[s]);
      }
    }
    sink.accept(CostTerm.MUTED_INSIDE, muted);
    sink.accept(CostTerm.NO_LOW_STRING, triangle(first));
    sink.accept(CostTerm.NO_BASS_STRING, first > LAST_BASS_STRING ? 1 : 0);
    sink.accept(CostTerm.NO_HIGH_STRING, triangle(Tuning.STRINGS - 1 - last));
    sink.accept(CostTerm.UNISON, unisons(f));
    sink.accept(CostTerm.POSITION, Math.min(COUNTED_FRETS, Math.max(0, low - 1)));
    sink.accept(CostTerm.FRET_SPREAD, high - low);
    // An open bass that is root or fifth is what high positions are played for.
    boolean firm = isFirmOpenBass(f, first);
    int drones = firm ? drones(f, first) : 0;
    int far = (open - drones) * Math.max(0, high - NEAR_OPEN);
    far += firm ? (drones - 1) * Math.max(0, high - NEAR_DRONES) : 0;
    sink.accept(CostTerm.OPEN_FAR_BELOW, far);
    sink.accept(CostTerm.OPEN_RINGS, open);
    sink.accept(CostTerm.NOTHING_RINGS, retuned && open == 0 ? 1 : 0);
    sink.accept(CostTerm.LOWER_OPEN_BASS, leavesOpenBass(first) ? 1 : 0);
    sink.accept(CostTerm.CLOSED_BY_NUT, open == 0 && low <= NEAR_NUT ? 1 : 0);
    sink.accept(CostTerm.pastBody(guitar), guitar.pastBody(high));
    int missing = tones & ~covered;
    sink.accept(CostTerm.NO_ROOT, missing & 1);
    sink.accept(CostTerm.NO_FIFTH, (missing & fifth) == 0 ? 0 : 1);
    sink.accept(CostTerm.MISSING, Integer.bitCount(missing & ~fifth & ~1));
  }

  /** How many open bass strings go on over the lowest as root or fifth. */
  private int drones(int[] f, int first) {
    int count = 0;
    for (int s = first; s < drones.length; s++) {
      count += f[s] == 0 && drones[s] ? 1 : 0;
    }
    return count;
  }

  private boolean isFirmOpenBass(int[] f, int first) {
    return rootOrFifth
        && first <= LAST_BASS_STRING
        && f[first] == 0
        && Math.floorMod(midi[first][0], 12) == bass;
  }

  /** Whether a string below the lowest that sounds has the chord's bass when it is open. */
  private boolean leavesOpenBass(int first) {
    for (int s = 0; s < first; s++) {
      if (Math.floorMod(midi[s][0], 12) == bass) {
        return true;
      }
    }
    return false;
  }

  static int lowest(int[] f) {
    int string = 0;
    while (f[string] == Shape.SILENT) {
      string++;
    }
    return string;
  }

  static int highest(int[] f) {
    int string = Tuning.STRINGS - 1;
    while (f[string] == Shape.SILENT) {
      string--;
    }
    return string;
  }

  private int unisons(int[] f) {
    int same = 0;
    for (int s = 1; s < Tuning.STRINGS; s++) {
      if (f[s] == Shape.SILENT) {
        continue;
      }
      boolean twice = false;
      for (int other = 0; other < s; other++) {
        twice |= f[other] != Shape.SILENT && midi[s][f[s]] == midi[other][f[other]];
      }
      same += twice ? 1 : 0;
    }
    return same;
  }

  /** Each further string missing weighs more than the one before. */
  private static double triangle(int strings) {
    return strings * (strings + 1) / 2.0;
  }
}
