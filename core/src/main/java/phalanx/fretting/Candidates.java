package phalanx.fretting;

import java.util.AbstractList;
import java.util.ArrayList;
import java.util.List;

/**
 * The shapes a slot may choose from, one object wherever the same chord comes again. Compared by
 * identity, so that what was worked out for it once is found again.
 */
public final class Candidates extends AbstractList<RatedShape> {

  private final List<RatedShape> shapes;
  private final boolean all;
  private final HandPositions hands;

  private Candidates(List<RatedShape> shapes, boolean all, HandPositions hands) {
    this.shapes = shapes;
    this.all = all;
    this.hands = hands;
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
    if (shapes instanceof Candidates c) {
      return c;
    }
    if (shapes.isEmpty()) {
      throw new IllegalArgumentException("a slot needs a candidate");
    }
    List<RatedShape> copy = List.copyOf(shapes);
    return new Candidates(copy, all, new HandPositions(copy));
  }

  /** Whether these are all shapes there are; otherwise dearer ones were left out. */
  public boolean all() {
    return all;
  }

  /** What the cheapest costs. */
  public double least() {
    return shapes.stream().mapToDouble(RatedShape::cost).min().orElseThrow();
  }

  /** The same with another candidate in the place of one. */
  Candidates with(int candidate, RatedShape other) {
    List<RatedShape> more = new ArrayList<>(shapes);
    RatedShape old = more.set(candidate, other);
    List<RatedShape> copy = List.copyOf(more);
    boolean same = old.entry().equals(other.entry()) && old.exit().equals(other.exit());
    return new Candidates(copy, all, same ? hands : new HandPositions(copy));
  }

  /** Where the hand is with each of them. */
  HandPositions hands() {
    return hands;
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
