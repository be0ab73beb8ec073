package phalanx.testing;

import java.util.Iterator;
import java.util.List;

/**
 * A row of choices from which a test builds something. It is drawn by an {@code Arbitrary}, so that
 * a failure shrinks: the row becomes shorter and its choices the first ones. Once the row is used
 * up every choice is the first. Mutable: what is built is built in one go.
 */
public final class Draws {

  private final List<Integer> row;
  private final Iterator<Integer> left;

  /** A row of choices, each 0 or more. */
  public Draws(List<Integer> row) {
    this.row = List.copyOf(row);
    left = this.row.iterator();
  }

  /** A choice from 0 up to, but without, a number. */
  public int nextInt(int bound) {
    return left.hasNext() ? left.next() % bound : 0;
  }

  /** Yes or no. */
  public boolean nextBoolean() {
    return nextInt(2) == 1;
  }

  /** One of some values. */
  public <T> T of(List<T> values) {
    return values.get(nextInt(values.size()));
  }

  @Override
  public String toString() {
    return row.toString();
  }
}
