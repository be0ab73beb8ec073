package phalanx.engraving.score;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.engraving.font.Sign;
import phalanx.picking.Force;
import phalanx.technique.Technique;

/** Draws the staff of five lines of a system: heads, stems, beams, ties, slurs, hits. */
final class StaffDrawing {

  private final Arrangement arrangement;
  private final List<Placed> bars;
  private final double left;
  private final double right;
  private final Drawing drawing = new Drawing();
  private final Map<Stroke, Double> ends = new HashMap<>();

  private StaffDrawing(Arrangement arrangement, List<Placed> bars, double left, double right) {
    this.arrangement = arrangement;
    this.bars = bars;
    this.left = left;
    this.right = right;
  }

  /**
   * The staff.
   *
   * @param left where music begins, behind clef and key
   * @param right the end of the system
   */
  static Drawing of(Arrangement arrangement, List<Placed> bars, double left, double right) {
    StaffDrawing staff = new StaffDrawing(arrangement, bars, left, right);
    bars.forEach(staff::columns);
    bars.forEach(b -> staff.ends.putAll(StemsAndBeams.draw(b, staff.drawing)));
    staff.curves();
    bars.forEach(staff::sweeps);
    bars.forEach(staff::marks);
    return staff.drawing;
  }

  private void columns(Placed bar) {
    bar.columns()
        .values()
        .forEach(c -> c.staff.forEach(m -> drawing.add(m.placed(bar.x(c.tick), 0, 1))));
  }

  /** Ties and slurs of both voices; what begins before the system or ends behind it is cut. */
  private void curves() {
    for (int b = 0; b < bars.size(); b++) {
      voice(b, bars.get(b).content().upper(), true);
      voice(b, bars.get(b).content().lower(), false);
    }
  }

  private void voice(int place, List<Stroke> voice, boolean upper) {
    Placed bar = bars.get(place);
    for (int s = 0; s < voice.size(); s++) {
      Stroke stroke = voice.get(s);
      if (stroke.isRest()) {
        continue;
      }
      boolean up = bar.content().hasTwoVoices() ? upper : !stroke.up();
      if (stroke.written().tiedFrom() && place == 0 && s == 0) {
        stroke
            .heads()
            .forEach(h -> drawing.add(tie(left - 0.6, bar.x(stroke.tick()) - 0.1, h, up)));
      }
      if (stroke.written().tiedTo()) {
        double from = bar.x(stroke.tick()) + bar.shift(stroke) + Measures.HEAD + 0.1;
        double to = nextX(place, voice, s, upper);
        stroke.heads().forEach(h -> drawing.add(tie(from, to, h, up)));
      }
      slur(place, stroke);
    }
  }

  private double nextX(int place, List<Stroke> voice, int s, boolean upper) {
    Placed bar = bars.get(place);
    if (s + 1 < voice.size()) {
      return bar.x(voice.get(s + 1).tick()) + bar.shift(voice.get(s + 1)) - 0.1;
    }
    if (place + 1 < bars.size()) {
      Placed next = bars.get(place + 1);
      List<Stroke> goes = upper ? next.content().upper() : next.content().lower();
      if (!goes.isEmpty()) {
        return next.x(goes.get(0).tick()) + next.shift(goes.get(0)) - 0.1;
      }
    }
    return right - 0.2;
  }

  /** A tie between two places at the height of a head. */
  static Mark tie(double from, double to, Head head, boolean up) {
    double y = head.y() + (up ? -0.65 : 0.65);
    double rise = Math.min(1.1, 0.35 + 0.06 * (to - from));
    return new Mark.Curve(
        Role.CURVE,
        from,
        y,
        Math.max(from + 0.8, to),
        y,
        up ? rise : -rise,
        Measures.FONT.measure("tieMidpointThickness"));
  }

  /** A slur from the note before on the same string to one the fretting hand makes. */
  private void slur(int place, Stroke stroke) {
    for (Head head : stroke.heads()) {
      if (!head.note().attack().isSlur() || stroke.written().tiedFrom()) {
        continue;
      }
      Placed bar = bars.get(place);
      if (stroke.graces().stream().anyMatch(g -> g.note().string() == head.note().string())) {
        graceSlur(bar, stroke);
        return;
      }
      double to = bar.stem(stroke);
      double from = left - 0.4;
      double fromY = Double.NaN;
      for (int b = place; b >= Math.max(0, place - 1); b--) {
        Stroke before = before(bars.get(b), head.note());
        if (before != null) {
          from = bars.get(b).stem(before);
          fromY = edge(before, stroke.up());
          break;
        }
      }
      double toY = edge(stroke, stroke.up());
      slur(from, Double.isNaN(fromY) ? toY : fromY, to, toY, stroke.up());
      return;
    }
  }

  /** From the first short note to the one they lead to, below the heads. */
  private void graceSlur(Placed bar, Stroke stroke) {
    Head first = stroke.graces().get(0);
    double from = bar.middle(first.note());
    double to = bar.x(stroke.tick()) + bar.shift(stroke) + Measures.HEAD / 2 - 0.2;
    double lowest = stroke.graces().stream().mapToDouble(Head::y).max().orElse(0);
    double y = Math.max(lowest, stroke.heads().get(0).y()) + 0.75;
    drawing.add(
        new Mark.Curve(
            Role.CURVE, from, y, to, y, -0.5, Measures.FONT.measure("slurMidpointThickness")));
  }

  /** Where a stroke ends on the side of its stem. */
  private double edge(Stroke stroke, boolean up) {
    double stem = ends.getOrDefault(stroke, stroke.tip().y());
    double head = up ? stroke.tip().y() - 0.6 : stroke.tip().y() + 0.6;
    return stroke.up() == up ? stem : head;
  }

  private void slur(double from, double fromY, double to, double toY, boolean up) {
    double way = up ? -0.35 : 0.35;
    double clear =
        up
            ? drawing.top(from, to, Math.min(fromY, toY))
            : drawing.bottom(from, to, Math.max(fromY, toY));
    double base = up ? Math.min(fromY, toY) : Math.max(fromY, toY);
    double rise = Math.min(1.4, 0.6 + Math.abs(clear - base) * 0.8 + 0.03 * (to - from));
    double lift = Math.max(0, Math.abs(clear - base) - rise * 0.6);
    double y = base + way + (up ? -lift : lift);
    drawing.add(
        new Mark.Curve(
            Role.CURVE,
            from,
            y,
            to,
            y,
            up ? rise : -rise,
            Measures.FONT.measure("slurMidpointThickness")));
  }

  /** The last stroke of a bar before a note that has a head on its string. */
  private static Stroke before(Placed bar, Note note) {
    Stroke last = null;
    for (List<Stroke> voice : List.of(bar.content().upper(), bar.content().lower())) {
      for (Stroke stroke : voice) {
        boolean there =
            stroke.tick() < note.tick()
                && stroke.heads().stream().anyMatch(h -> h.note().string() == note.string());
        if (there && (last == null || stroke.tick() > last.tick())) {
          last = stroke;
        }
      }
    }
    return last;
  }

  /** Arrows beside chords that are brushed or rolled. */
  private void sweeps(Placed bar) {
    for (Gesture gesture : bar.content().gestures()) {
      Column column = bar.columns().get(gesture.tick());
      List<Mark> heads =
          column.staff.stream()
              .filter(m -> m.role() == Role.HEAD)
              .filter(m -> ((Mark.Glyph) m).space() == 1)
              .toList();
      if (gesture instanceof Gesture.Hit || heads.isEmpty()) {
        continue;
      }
      double top = heads.stream().mapToDouble(m -> m.box().top()).min().orElse(0) - 0.4;
      double bottom = heads.stream().mapToDouble(m -> m.box().bottom()).max().orElse(4) + 0.4;
      double x = bar.x(gesture.tick()) + column.left() + 0.4;
      boolean towardsTreble =
          gesture instanceof Gesture.Brush b
              ? b.towardsTreble()
              : ((Gesture.Roll) gesture).towardsTreble();
      Sweep.draw(drawing, x, top, bottom, towardsTreble, gesture instanceof Gesture.Roll);
    }
  }

  /** Accents, staccato dots and crosses for hits, outside of everything else in their column. */
  private void marks(Placed bar) {
    for (List<Stroke> voice : List.of(bar.content().upper(), bar.content().lower())) {
      for (Stroke stroke : voice) {
        if (!stroke.isRest() && !stroke.written().tiedFrom()) {
          boolean accent =
              stroke.heads().stream().anyMatch(h -> h.note().force() == Force.ACCENTED);
          boolean stopped =
              stroke.heads().stream()
                  .anyMatch(h -> h.note().techniques().contains(Technique.Plain.STOPPED));
          if (accent) {
            outside(bar, stroke, Sign.ACCENT);
          }
          if (stopped) {
            outside(bar, stroke, Sign.STACCATO);
          }
        }
      }
    }
    for (Gesture gesture : bar.content().gestures()) {
      if (gesture instanceof Gesture.Hit) {
        double x = bar.x(gesture.tick());
        double y = Math.max(4, drawing.bottom(x - 0.2, x + Measures.HEAD + 0.2, 4)) + 0.9;
        drawing.add(new Mark.Glyph(Role.HEAD, Sign.HEAD_CROSS, x, y, 1));
      }
    }
  }

  private void outside(Placed bar, Stroke stroke, Sign sign) {
    var box = Measures.FONT.box(sign);
    double x =
        bar.x(stroke.tick()) + bar.shift(stroke) + (Measures.HEAD - box.width()) / 2 - box.left();
    double from = x + box.left() - 0.1;
    double to = x + box.right() + 0.1;
    double y =
        stroke.up()
            ? Math.min(0, drawing.top(from, to, 0)) - 0.35 - box.bottom()
            : Math.max(4, drawing.bottom(from, to, 4)) + 0.35 - box.top();
    drawing.add(new Mark.Glyph(Role.SIGN, sign, x, y, 1));
  }
}
