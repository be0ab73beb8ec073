package phalanx.engraving.sheet;

import java.util.List;
import phalanx.engraving.Mark;

/**
 * Something that stands on one page, a system as a rule.
 *
 * @param marks from its left edge and its top, points
 * @param height points
 * @param gap wanted between it and the one above, points
 * @param begins whether a section begins with it, so that a page rather ends before it
 */
public record Block(List<Mark> marks, double height, double gap, boolean begins) {
  public Block {
    marks = List.copyOf(marks);
  }
}
