package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import phalanx.arrangement.Note;
import phalanx.engraving.Mark;

/**
 * What stands at one time of a bar, set around its own origin: the left edge of an undisplaced
 * head.
 */
final class Column {

  final int tick;
  final List<Mark> staff = new ArrayList<>();
  final List<Mark> tab = new ArrayList<>();

  /** Where the middle of each short note before the column stands. */
  final Map<Note, Double> graces = new HashMap<>();

  double shift;
  private double left;
  private double right = Measures.HEAD;

  Column(int tick) {
    this.tick = tick;
  }

  void staff(Mark mark) {
    staff.add(mark);
    reach(mark.box());
  }

  void tab(Mark mark) {
    tab.add(mark);
    reach(mark.box());
  }

  void reach(Mark.Box box) {
    left = Math.min(left, box.left());
    right = Math.max(right, box.right());
  }

  /** Makes room for what is drawn later. */
  void reachRight(double to) {
    right = Math.max(right, to);
  }

  /** How far it reaches to the left of its origin; 0 or less. */
  double left() {
    return left;
  }

  double right() {
    return right;
  }
}
