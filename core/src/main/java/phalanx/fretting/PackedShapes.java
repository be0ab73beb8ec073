package phalanx.fretting;

import java.util.Arrays;
import phalanx.instrument.Tuning;

/**
 * Shapes as plain numbers while a search finds thousands: a shape in one word, its frets plus one
 * in five bits a string above its fingers in three. Mutable, private to a search.
 */
final class PackedShapes {

  private static final int FRET_BITS = 5;
  private static final int FINGER_BITS = 3;
  private static final int FRETS_FROM = FINGER_BITS * Tuning.STRINGS;

  /** Costs closer than this count as equal. */
  private static final double EQUAL_COST = 1e-9;

  /** A search finds fewer than a million shapes, and costs stay far below a thousand. */
  private static final int PLACE_BITS = 20;

  private long[] shapes = new long[1024];
  private double[] costs = new double[1024];
  private int size;

  /** The frets of a shape, low string to high, for {@link #add}. */
  static long frets(int[] frets) {
    long packed = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      packed |= (long) (frets[s] + 1) << (FRETS_FROM + FRET_BITS * s);
    }
    return packed;
  }

  /** The frets alone of a packed shape. */
  static long fretsOf(long shape) {
    return shape >>> FRETS_FROM << FRETS_FROM;
  }

  /** A shape from its packed frets and its grips. */
  static long pack(long packedFrets, int[] frets, GripTable grips) {
    long packed = packedFrets;
    for (int g = 0; g < grips.count; g++) {
      for (int s = grips.low[g]; s <= grips.high[g]; s++) {
        if (frets[s] == grips.fret[g]) {
          packed |= (long) grips.finger[g] << (FINGER_BITS * s);
        }
      }
    }
    return packed;
  }

  /** The shape that was packed. */
  static Shape unpack(long packed) {
    int[] frets = new int[Tuning.STRINGS];
    int[] fingers = new int[Tuning.STRINGS];
    for (int s = 0; s < Tuning.STRINGS; s++) {
      frets[s] = (int) (packed >> (FRETS_FROM + FRET_BITS * s) & 31) - 1;
      fingers[s] = (int) (packed >> (FINGER_BITS * s) & 7);
    }
    return Shape.of(frets, fingers);
  }

  void add(long shape, double cost) {
    if (size == shapes.length) {
      shapes = Arrays.copyOf(shapes, 2 * size);
      costs = Arrays.copyOf(costs, 2 * size);
    }
    shapes[size] = shape;
    costs[size++] = cost;
  }

  int size() {
    return size;
  }

  long shape(int place) {
    return shapes[place];
  }

  double cost(int place) {
    return costs[place];
  }

  /**
   * The same, cheapest first, equals in the order they were added. Sorts numbers made of cost and
   * place, which takes a third of the time that comparing objects does.
   */
  PackedShapes sorted() {
    double least = 0;
    for (int i = 0; i < size; i++) {
      least = Math.min(least, costs[i]);
    }
    long[] keys = new long[size];
    for (int i = 0; i < size; i++) {
      keys[i] = Math.round((costs[i] - least) / EQUAL_COST) << PLACE_BITS | i;
    }
    Arrays.sort(keys);
    PackedShapes sorted = new PackedShapes();
    for (long key : keys) {
      int from = (int) (key & (1 << PLACE_BITS) - 1);
      sorted.add(shapes[from], costs[from]);
    }
    return sorted;
  }
}
