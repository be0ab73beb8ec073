package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.List;
import phalanx.engraving.Mark;

/** Marks as they are set, with what is already taken above and below. */
final class Drawing {

  private final List<Mark> marks = new ArrayList<>();
  private final List<Mark.Box> boxes = new ArrayList<>();

  void add(Mark mark) {
    marks.add(mark);
    switch (mark.role()) {
      case STAFF, BARLINE, HOLD -> {}
      default -> boxes.add(mark.box());
    }
  }

  void addAll(Drawing other, double dy) {
    other.marks.forEach(m -> add(m.placed(0, dy, 1)));
  }

  List<Mark> marks() {
    return marks;
  }

  /** Where what stands between two places begins from above; a default where nothing does. */
  double top(double from, double to, double otherwise) {
    double top = otherwise;
    for (Mark.Box box : boxes) {
      if (box.left() < to && from < box.right()) {
        top = Math.min(top, box.top());
      }
    }
    return top;
  }

  /** Where what stands between two places ends below; a default where nothing does. */
  double bottom(double from, double to, double otherwise) {
    double bottom = otherwise;
    for (Mark.Box box : boxes) {
      if (box.left() < to && from < box.right()) {
        bottom = Math.max(bottom, box.bottom());
      }
    }
    return bottom;
  }

  /** Whether a place is taken. */
  boolean isTaken(Mark.Box wanted) {
    return boxes.stream().anyMatch(b -> b.overlaps(wanted, 0));
  }

  /** The rectangle around everything. */
  Mark.Box box() {
    Mark.Box all = new Mark.Box(0, 0, 0, 0);
    for (Mark mark : marks) {
      all = all.and(mark.box());
    }
    return all;
  }
}
