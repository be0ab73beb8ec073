package phalanx.fretting;

import java.util.List;

/**
 * A cost that explains itself: a name in the player's words, a value, and the parts it is the sum
 * of. Costs have no unit; 1 is about what a stretch at the limit of the hand costs.
 *
 * @param name what it is for
 * @param value its size
 * @param parts what it is made of; empty for a single term
 */
public record Cost(String name, double value, List<Cost> parts) {

  public Cost {
    parts = List.copyOf(parts);
  }

  /** A single term. */
  public static Cost term(String name, double value) {
    return new Cost(name, value, List.of());
  }

  /** The sum of its parts. */
  public static Cost sum(String name, List<Cost> parts) {
    return new Cost(name, parts.stream().mapToDouble(Cost::value).sum(), parts);
  }

  /** The same for a share of it. */
  public Cost times(double share) {
    return share == 1
        ? this
        : new Cost(name, value * share, parts.stream().map(p -> p.times(share)).toList());
  }
}
