package phalanx.fretting;

/**
 * Where the fingers of one shape are, by finger code, in plain arrays: private to who asked for it.
 */
final class FingerPlaces {

  /** The fret each presses; 0 for none. */
  final int[] fret = new int[FingerCode.THUMB + 1];

  /** The lowest string of those that press some. */
  final int[] low = new int[FingerCode.THUMB + 1];

  /** The highest string of those that press some. */
  final int[] high = new int[FingerCode.THUMB + 1];

  /** A finger presses one string more, higher than those before. */
  void press(int finger, int atFret, int string) {
    low[finger] = fret[finger] == 0 ? string : low[finger];
    high[finger] = string;
    fret[finger] = atFret;
  }
}
