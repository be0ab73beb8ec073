package phalanx.fretting;

/**
 * Where the fingers of one shape are, packed into a word: one is made for every shape that is
 * weighed. Each finger, by its code, has its fret, 0 for none, its lowest and its highest string.
 */
final class FingerPlaces {

  /** No finger is anywhere. */
  static final long NONE = 0;

  private static final int BITS = 12;
  private static final int MASK = 0xfff;
  private static final int FRET_MASK = 0x3f;
  private static final int LOW_SHIFT = 6;
  private static final int HIGH_SHIFT = 9;
  private static final int STRING_MASK = 0x7;

  private FingerPlaces() {}

  /** With a finger pressing one string more, higher than those before. */
  static long press(long places, int finger, int fret, int string) {
    int shift = shift(finger);
    int low = fret(places, finger) == 0 ? string : low(places, finger);
    long packed = fret | low << LOW_SHIFT | string << HIGH_SHIFT;
    return places & ~((long) MASK << shift) | packed << shift;
  }

  private static int shift(int finger) {
    return BITS * (finger - 1);
  }

  private static int packed(long places, int finger) {
    return (int) (places >>> shift(finger)) & MASK;
  }

  /** The fret a finger presses; 0 for none. */
  static int fret(long places, int finger) {
    return packed(places, finger) & FRET_MASK;
  }

  /** The lowest string of those it presses. */
  static int low(long places, int finger) {
    return packed(places, finger) >> LOW_SHIFT & STRING_MASK;
  }

  /** The highest string of those it presses. */
  static int high(long places, int finger) {
    return packed(places, finger) >> HIGH_SHIFT & STRING_MASK;
  }

  /** Whether a finger has the same place in both. */
  static boolean isSame(long places, long others, int finger) {
    return packed(places, finger) == packed(others, finger);
  }
}
