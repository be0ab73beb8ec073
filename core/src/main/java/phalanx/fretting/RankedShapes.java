package phalanx.fretting;

import java.util.AbstractList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import phalanx.instrument.Tuning;

/**
 * Every shape a {@link ShapeSearch} found, cheapest first. Shapes are kept packed and made into
 * {@link Shape}s when they are looked at, because a search finds thousands and a player sees ten.
 */
public final class RankedShapes extends AbstractList<RatedShape> {

  private static final int FRET_BITS = 5;
  private static final int FINGER_BITS = 3;

  private final Found[] found;

  /** A shape in two words: frets plus one in five bits a string, fingers in three. */
  record Found(int frets, int fingers, double cost) implements Comparable<Found> {

    static Found pack(int[] frets, GripTable grips, double cost) {
      int packedFrets = 0;
      for (int s = 0; s < Tuning.STRINGS; s++) {
        packedFrets |= (frets[s] + 1) << (FRET_BITS * s);
      }
      int packedFingers = 0;
      for (int g = 0; g < grips.count; g++) {
        for (int s = grips.low[g]; s <= grips.high[g]; s++) {
          if (frets[s] == grips.fret[g]) {
            packedFingers |= grips.finger[g] << (FINGER_BITS * s);
          }
        }
      }
      return new Found(packedFrets, packedFingers, cost);
    }

    Shape shape() {
      int[] f = new int[Tuning.STRINGS];
      int[] g = new int[Tuning.STRINGS];
      for (int s = 0; s < Tuning.STRINGS; s++) {
        f[s] = ((frets >> (FRET_BITS * s)) & 31) - 1;
        g[s] = (fingers >> (FINGER_BITS * s)) & 7;
      }
      return Shape.of(f, g);
    }

    /** Cheapest first; equal costs in the order of frets and fingers, so that ranks are stable. */
    @Override
    public int compareTo(Found other) {
      int byCost = Double.compare(cost, other.cost);
      int byFrets = byCost != 0 ? byCost : Integer.compare(frets, other.frets);
      return byFrets != 0 ? byFrets : Integer.compare(fingers, other.fingers);
    }
  }

  RankedShapes(Found[] found) {
    this.found = found;
    Arrays.sort(this.found);
  }

  @Override
  public RatedShape get(int rank) {
    return new RatedShape(found[rank].shape(), found[rank].cost());
  }

  @Override
  public int size() {
    return found.length;
  }

  /** The cheapest fingering of the given frets (from the capo, {@link Shape#SILENT} for none). */
  public Optional<RatedShape> fingering(List<Integer> frets) {
    int packed = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      packed |= (frets.get(s) + 1) << (FRET_BITS * s);
    }
    int wanted = packed;
    return Arrays.stream(found)
        .filter(f -> f.frets() == wanted)
        .findFirst()
        .map(f -> new RatedShape(f.shape(), f.cost()));
  }

  /**
   * The cheapest shapes, with the best few fingerings of each set of frets.
   *
   * @param limit how many shapes
   * @param fingeringsEach how many fingerings of the same frets, 1 or more
   */
  public List<RatedShape> candidates(int limit, int fingeringsEach) {
    Map<Integer, Integer> seen = new HashMap<>();
    return Arrays.stream(found)
        .filter(f -> seen.merge(f.frets(), 1, Integer::sum) <= fingeringsEach)
        .limit(limit)
        .map(f -> new RatedShape(f.shape(), f.cost()))
        .collect(Collectors.toUnmodifiableList());
  }
}
