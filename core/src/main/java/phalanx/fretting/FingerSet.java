package phalanx.fretting;

import java.util.AbstractSet;
import java.util.Iterator;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.stream.IntStream;
import phalanx.instrument.Finger;

/**
 * Fingers of the fretting hand, the thumb first. There are few such sets and a plan has one for
 * every shape it weighs, so each is made once; none can be changed.
 */
public final class FingerSet extends AbstractSet<Finger> {

  private static final Finger[] FINGERS = Finger.values();

  private static final List<FingerSet> ALL =
      IntStream.range(0, 1 << FINGERS.length).mapToObj(FingerSet::new).toList();

  /** No finger. */
  public static final FingerSet NONE = ALL.get(0);

  private final int bits;

  private FingerSet(int bits) {
    this.bits = bits;
  }

  /** The fingers of some bits, 1 for the thumb, 2 for the index finger and so on. */
  static FingerSet ofBits(int bits) {
    return ALL.get(bits);
  }

  /** Some fingers. */
  public static FingerSet of(Set<Finger> fingers) {
    if (fingers instanceof FingerSet set) {
      return set;
    }
    int bits = 0;
    for (Finger finger : fingers) {
      bits |= bit(finger);
    }
    return ALL.get(bits);
  }

  /** These but one. */
  public FingerSet without(Finger finger) {
    return ALL.get(bits & ~bit(finger));
  }

  private static int bit(Finger finger) {
    return 1 << finger.ordinal();
  }

  /** The fingers as bits, 1 for the thumb, 2 for the index finger and so on. */
  int bits() {
    return bits;
  }

  /** Whether a finger is among them, by its place among all fingers. */
  boolean hasOrdinal(int finger) {
    return (bits >> finger & 1) > 0;
  }

  @Override
  public boolean contains(Object other) {
    return other instanceof Finger finger && hasOrdinal(finger.ordinal());
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof FingerSet ? other == this : super.equals(other);
  }

  @Override
  public int hashCode() {
    return super.hashCode();
  }

  @Override
  public int size() {
    return Integer.bitCount(bits);
  }

  @Override
  public Iterator<Finger> iterator() {
    return new Iterator<>() {
      private int left = bits;

      @Override
      public boolean hasNext() {
        return left != 0;
      }

      @Override
      public Finger next() {
        if (left == 0) {
          throw new NoSuchElementException();
        }
        Finger next = FINGERS[Integer.numberOfTrailingZeros(left)];
        left &= left - 1;
        return next;
      }
    };
  }
}
