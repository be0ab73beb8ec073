package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;

/** Draws the six lines of the tablature of a system, with gaps where figures stand. */
final class TabDrawing {

  private static final double GAP = 0.22;

  private final Arrangement arrangement;
  private final List<Placed> bars;
  private final double from;
  private final double music;
  private final double right;
  private final NoteSigns signs;
  private final Drawing drawing = new Drawing();

  private TabDrawing(
      Arrangement arrangement, List<Placed> bars, double from, double music, double right) {
    this.arrangement = arrangement;
    this.bars = bars;
    this.from = from;
    this.music = music;
    this.right = right;
    signs = new NoteSigns(drawing, bars, music);
  }

  static Drawing of(
      Arrangement arrangement, List<Placed> bars, double from, double music, double right) {
    TabDrawing tab = new TabDrawing(arrangement, bars, from, music, right);
    bars.forEach(tab::columns);
    tab.lines();
    bars.forEach(tab::slurs);
    bars.forEach(tab::sweeps);
    tab.signs.techniques(true);
    return tab.drawing;
  }

  private void columns(Placed bar) {
    bar.columns()
        .values()
        .forEach(c -> c.tab.forEach(m -> drawing.add(m.placed(bar.x(c.tick), 0, 1))));
  }

  /** Each line in the pieces between its figures. */
  private void lines() {
    List<Mark.Box> figures =
        drawing.marks().stream().filter(m -> m.role() == Role.FIGURE).map(Mark::box).toList();
    for (int line = 0; line < 6; line++) {
      double y = line * Measures.STRING_GAP;
      double x = from;
      for (Mark.Box figure : sorted(figures, y)) {
        if (figure.left() - GAP > x) {
          line(x, figure.left() - GAP, y);
        }
        x = Math.max(x, figure.right() + GAP);
      }
      line(x, right, y);
    }
  }

  private static List<Mark.Box> sorted(List<Mark.Box> figures, double y) {
    List<Mark.Box> on = new ArrayList<>(figures);
    on.removeIf(f -> f.top() > y || f.bottom() < y);
    on.sort(java.util.Comparator.comparingDouble(Mark.Box::left));
    return on;
  }

  private void line(double x1, double x2, double y) {
    drawing.add(new Mark.Line(Role.STAFF, x1, y, x2, y, Measures.STAFF_LINE));
  }

  private static double y(int string) {
    return (5 - string) * Measures.STRING_GAP;
  }

  /** Curves over hammered and pulled notes, slanted lines before slid ones. */
  private void slurs(Placed bar) {
    for (Note note : bar.content().notes()) {
      if (!note.attack().isSlur()) {
        continue;
      }
      double to = bar.middle(note) - 0.5;
      double start = signs.before(note).orElse(music - 0.8) + 0.5;
      double y = y(note.string());
      if (note.attack() == Attack.SLID) {
        boolean up = priorFret(note) <= note.fret();
        double x1 = Math.max(start + 0.35, to - 2.2);
        double x2 = to - 0.3;
        if (x2 > x1) {
          double tilt = up ? 0.4 : -0.4;
          drawing.add(new Mark.Line(Role.CURVE, x1, y + tilt, x2, y - tilt, 0.16));
        }
      }
      double top = y - Measures.FIGURE_SIZE * Mark.Text.CAPITAL / 2 - 0.1;
      double rise = Math.min(0.75, 0.35 + 0.03 * (to - start));
      drawing.add(new Mark.Curve(Role.CURVE, start, top, to, top, rise, 0.2));
    }
  }

  private int priorFret(Note note) {
    int at = Math.max(0, note.tick() - 4 * phalanx.theory.Ticks.PER_WHOLE);
    return arrangement.notesFrom(at, note.tick()).stream()
        .filter(n -> n.string() == note.string())
        .reduce((a, b) -> b)
        .map(Note::fret)
        .orElse(0);
  }

  private void sweeps(Placed bar) {
    for (Gesture gesture : bar.content().gestures()) {
      int low;
      int high;
      if (gesture instanceof Gesture.Brush b) {
        low = Math.min(b.from(), b.to());
        high = Math.max(b.from(), b.to());
      } else if (gesture instanceof Gesture.Roll r) {
        low = Math.min(r.from(), r.to());
        high = Math.max(r.from(), r.to());
      } else {
        continue;
      }
      boolean treble =
          gesture instanceof Gesture.Brush b
              ? b.towardsTreble()
              : ((Gesture.Roll) gesture).towardsTreble();
      Column column = bar.columns().get(gesture.tick());
      double x = bar.x(gesture.tick()) + column.left() + 0.4;
      // The tablature has the low string below, as the staff has.
      Sweep.draw(drawing, x, y(high) - 0.4, y(low) + 0.4, treble, gesture instanceof Gesture.Roll);
    }
  }
}
