package phalanx.engraving;

import java.util.List;

/**
 * One page.
 *
 * @param number from 1
 * @param width points
 * @param height points
 * @param marks what stands on it
 */
public record Page(int number, double width, double height, List<Mark> marks) {
  public Page {
    marks = List.copyOf(marks);
  }
}
