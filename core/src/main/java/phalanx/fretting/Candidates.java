package phalanx.fretting;

import java.util.AbstractList;
import java.util.List;

/**
 * The shapes a slot may choose from, one object wherever the same chord comes again. Compared by
 * identity, so that what was worked out for it once is found again.
 */
public final class Candidates extends AbstractList<RatedShape> {

  private final List<RatedShape> shapes;
  private final boolean all;
  private volatile HandState[] entries;
  private volatile HandState[] exits;

  private Candidates(List<RatedShape> shapes, boolean all) {
    if (shapes.isEmpty()) {
      throw new IllegalArgumentException("a slot needs a candidate");
    }
    this.shapes = List.copyOf(shapes);
    this.all = all;
  }

  /** All shapes there are, at least one; the same object if the list is one already. */
  public static Candidates of(List<RatedShape> shapes) {
    return of(shapes, true);
  }

  /**
   * Candidates, at least one; the same object if the list is one already.
   *
   * @param all whether these are all shapes there are, or only the cheapest
   * @throws IllegalArgumentException if there is none
   */
  public static Candidates of(List<RatedShape> shapes, boolean all) {
    return shapes instanceof Candidates c ? c : new Candidates(shapes, all);
  }

  /** Whether these are all shapes there are; otherwise dearer ones were left out. */
  public boolean all() {
    return all;
  }

  /** What the cheapest costs. */
  public double least() {
    return shapes.stream().mapToDouble(RatedShape::cost).min().orElseThrow();
  }

  /** Where the fingers come to; worked out at the first call, for one guitar and hand. */
  HandState[] entries(ChangeCosts changes) {
    HandState[] known = entries;
    if (known == null) {
      known = shapes.stream().map(r -> changes.state(r.entry())).toArray(HandState[]::new);
      entries = known;
    }
    return known;
  }

  /** Where the fingers go on from; worked out at the first call, for one guitar and hand. */
  HandState[] exits(ChangeCosts changes) {
    HandState[] known = exits;
    if (known == null) {
      known = shapes.stream().map(r -> changes.state(r.exit())).toArray(HandState[]::new);
      exits = known;
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
