package phalanx.fretting;

import java.util.AbstractList;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Every shape a {@link ShapeSearch} found, cheapest first. Shapes are kept packed and made into
 * {@link Shape}s when they are looked at, because a search finds thousands and a player sees ten.
 */
public final class RankedShapes extends AbstractList<RatedShape> {

  private final PackedShapes found;

  RankedShapes(PackedShapes found) {
    this.found = found.sorted();
  }

  @Override
  public RatedShape get(int rank) {
    return new RatedShape(PackedShapes.unpack(found.shape(rank)), found.cost(rank));
  }

  @Override
  public int size() {
    return found.size();
  }

  /** The cheapest fingering of the given frets (from the capo, {@link Shape#SILENT} for none). */
  public Optional<RatedShape> fingering(List<Integer> frets) {
    long wanted = PackedShapes.frets(frets.stream().mapToInt(f -> f).toArray());
    for (int rank = 0; rank < size(); rank++) {
      if (PackedShapes.fretsOf(found.shape(rank)) == wanted) {
        return Optional.of(get(rank));
      }
    }
    return Optional.empty();
  }

  /**
   * The cheapest shapes, with the best few fingerings of each set of frets.
   *
   * @param limit how many shapes
   * @param fingeringsEach how many fingerings of the same frets, 1 or more
   */
  public List<RatedShape> candidates(int limit, int fingeringsEach) {
    Map<Long, Integer> seen = new HashMap<>();
    List<RatedShape> some = new ArrayList<>();
    for (int rank = 0; rank < size() && some.size() < limit; rank++) {
      long frets = PackedShapes.fretsOf(found.shape(rank));
      if (seen.merge(frets, 1, Integer::sum) <= fingeringsEach) {
        some.add(get(rank));
      }
    }
    return List.copyOf(some);
  }
}
