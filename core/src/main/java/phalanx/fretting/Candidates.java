package phalanx.fretting;

import java.util.AbstractList;
import java.util.List;

/**
 * The shapes a slot may choose from, one object wherever the same chord comes again. Compared by
 * identity, so that what was worked out for it once is found again.
 */
public final class Candidates extends AbstractList<RatedShape> {

  private final List<RatedShape> shapes;
  private volatile HandState[] states;

  private Candidates(List<RatedShape> shapes) {
    this.shapes = List.copyOf(shapes);
  }

  /** Candidates, at least one; the same object if the list is one already. */
  public static Candidates of(List<RatedShape> shapes) {
    if (shapes.isEmpty()) {
      throw new IllegalArgumentException("a slot needs a candidate");
    }
    return shapes instanceof Candidates c ? c : new Candidates(shapes);
  }

  /** Where the fingers are in each; worked out at the first call, for one guitar and hand. */
  HandState[] states(ChangeCosts changes) {
    HandState[] known = states;
    if (known == null) {
      known = shapes.stream().map(r -> changes.state(r.shape())).toArray(HandState[]::new);
      states = known;
    }
    return known;
  }

  @Override
  public RatedShape get(int index) {
    return shapes.get(index);
  }

  @Override
  public int size() {
    return shapes.size();
  }

  @Override
  public boolean equals(Object other) {
    return this == other;
  }

  @Override
  public int hashCode() {
    return System.identityHashCode(this);
  }
}
