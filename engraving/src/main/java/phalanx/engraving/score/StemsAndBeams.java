package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.engraving.font.Face;
import phalanx.engraving.font.Sign;
import phalanx.notation.Rhythm;

/** Stems, flags, beams and the figures of tuplets of one bar. */
final class StemsAndBeams {

  private static final double SHORTEST_STEM = 2.5;
  private static final double CLEAR = 0.35;
  private static final double STEEPEST = 0.25;
  private static final double MOST_RISE = 1.0;

  private final Placed bar;
  private final Drawing drawing;
  private final Map<Stroke, Double> ends = new HashMap<>();

  private StemsAndBeams(Placed bar, Drawing drawing) {
    this.bar = bar;
    this.drawing = drawing;
  }

  /**
   * Draws them over what stands in the columns already.
   *
   * @return where the stem of each stroke ends
   */
  static Map<Stroke, Double> draw(Placed bar, Drawing drawing) {
    StemsAndBeams all = new StemsAndBeams(bar, drawing);
    bar.content().groups().forEach(g -> all.group(g));
    all.tuplets();
    return all.ends;
  }

  private void group(List<Stroke> group) {
    if (group.size() > 1) {
      beam(group);
    } else if (group.get(0).written().piece().value().hasStem()) {
      single(group.get(0));
    }
  }

  private void single(Stroke stroke) {
    int dir = stroke.up() ? -1 : 1;
    int flags = stroke.written().piece().value().flags();
    double length = Measures.STEM_LENGTH + Math.max(0, flags - 2) * 0.75;
    // A hanging flag curls back towards its head.
    length += flags > 0 && !stroke.up() ? 0.45 : 0;
    double end = stroke.tip().y() + dir * length;
    // A stem of a note far off the staff reaches its middle line.
    end = stroke.up() ? Math.min(end, 2) : Math.max(end, 2);
    stem(stroke, end);
    if (flags > 0) {
      drawing.add(
          new Mark.Glyph(
              Role.FLAG,
              Sign.flag(flags, stroke.up()),
              bar.stem(stroke) - Measures.STEM / 2,
              end,
              1));
    }
  }

  private void stem(Stroke stroke, double end) {
    double x = bar.stem(stroke);
    ends.put(stroke, end);
    double root = stroke.root().y() + (stroke.up() ? -0.17 : 0.17);
    drawing.add(new Mark.Line(Role.STEM, x, root, x, end, Measures.STEM));
  }

  /** The beam keeps clear of everything under it, the other voice included. */
  private void beam(List<Stroke> group) {
    boolean up = group.get(0).up();
    int dir = up ? -1 : 1;
    Stroke first = group.get(0);
    Stroke last = group.get(group.size() - 1);
    double x1 = bar.stem(first);
    double x2 = bar.stem(last);
    int most = group.stream().mapToInt(s -> s.written().piece().value().flags()).max().orElse(1);
    double depth = Measures.BEAM + (most - 1) * Measures.BEAM_STEP;
    double slope = (last.tip().y() - first.tip().y()) / (x2 - x1) * 0.5;
    double limit = Math.min(STEEPEST, MOST_RISE / (x2 - x1));
    slope = Math.max(-limit, Math.min(limit, slope));
    double offset = up ? Double.POSITIVE_INFINITY : Double.NEGATIVE_INFINITY;
    for (Stroke stroke : group) {
      double wanted = stroke.tip().y() + dir * Math.max(SHORTEST_STEM + depth, 3.25);
      wanted = up ? Math.min(wanted, 2) : Math.max(wanted, 2);
      offset = nearest(up, offset, wanted - slope * (bar.stem(stroke) - x1));
    }
    double left = x1 - Measures.HEAD;
    double right = x2 + Measures.HEAD;
    double free =
        up
            ? drawing.top(left, right, Double.POSITIVE_INFINITY) - CLEAR - depth
            : drawing.bottom(left, right, Double.NEGATIVE_INFINITY) + CLEAR + depth;
    double slack = Math.abs(slope) * (x2 - x1);
    boolean clear = up ? offset + slack < free : offset - slack > free;
    if (!clear) {
      offset =
          nearest(
              up,
              offset,
              up ? free - Math.max(0, slope) * (x2 - x1) : free - Math.min(0, slope) * (x2 - x1));
    }
    for (Stroke stroke : group) {
      stem(stroke, offset + slope * (bar.stem(stroke) - x1));
    }
    for (int level = 1; level <= most; level++) {
      level(group, level, offset, slope);
    }
  }

  private static double nearest(boolean up, double now, double wanted) {
    return up ? Math.min(now, wanted) : Math.max(now, wanted);
  }

  private void level(List<Stroke> group, int level, double offset, double slope) {
    boolean up = group.get(0).up();
    double x1 = bar.stem(group.get(0));
    double down = (level - 1) * Measures.BEAM_STEP;
    int from = 0;
    while (from < group.size()) {
      int to = from;
      while (to < group.size() && group.get(to).written().piece().value().flags() >= level) {
        to++;
      }
      if (to > from) {
        double a = bar.stem(group.get(from));
        double b = bar.stem(group.get(to - 1));
        if (to == from + 1) {
          // A beam of one note points to the note it belongs with.
          boolean left = from > 0;
          a = left ? a - 1.1 : a;
          b = left ? b : b + 1.1;
        }
        a -= Measures.STEM / 2;
        b += Measures.STEM / 2;
        double shift = up ? down : -down - Measures.BEAM;
        drawing.add(
            new Mark.Beam(
                Role.BEAM,
                a,
                offset + slope * (a - x1) + shift,
                b,
                offset + slope * (b - x1) + shift,
                Measures.BEAM));
      }
      from = to + 1;
    }
  }

  private void tuplets() {
    tuplets(bar.content().upper(), bar.content().hasTwoVoices() || isUp(bar.content().upper()));
    tuplets(bar.content().lower(), !bar.content().hasTwoVoices() && isUp(bar.content().lower()));
  }

  private static boolean isUp(List<Stroke> voice) {
    return voice.stream().filter(s -> !s.isRest()).findFirst().map(Stroke::up).orElse(true);
  }

  private void tuplets(List<Stroke> voice, boolean up) {
    List<Stroke> open = new ArrayList<>();
    for (Stroke stroke : voice) {
      Rhythm.Piece piece = stroke.written().piece();
      if (piece.ratio().isEmpty()) {
        continue;
      }
      if (piece.opens()) {
        open.clear();
      }
      open.add(stroke);
      if (piece.closes() && open.size() > 1) {
        tuplet(open, up, piece.ratio().get().actual());
      }
    }
  }

  private void tuplet(List<Stroke> strokes, boolean up, int figure) {
    double x1 = bar.x(strokes.get(0).tick()) - 0.1;
    double x2 = bar.x(strokes.get(strokes.size() - 1).tick()) + Measures.HEAD + 0.1;
    Stroke first = strokes.get(0);
    boolean beamed =
        bar.content().groups().stream()
            .anyMatch(g -> g.contains(first) && g.containsAll(strokes) && g.size() > 1);
    String text = String.valueOf(figure);
    double width = Face.BOLD_ITALIC.width(text, Measures.SMALL_SIZE);
    double middle = (x1 + x2) / 2;
    double height = Measures.SMALL_SIZE * Mark.Text.CAPITAL;
    double edge =
        up
            ? Math.min(-0.2, drawing.top(x1, x2, 0)) - 0.4
            : Math.max(4.2, drawing.bottom(x1, x2, 4)) + 0.4;
    double line = up ? edge - height / 2 : edge + height / 2;
    drawing.add(
        new Mark.Text(
            Role.SIGN,
            text,
            middle - width / 2,
            line + height / 2,
            Face.BOLD_ITALIC,
            Measures.SMALL_SIZE));
    if (!beamed) {
      double hook = line + (up ? 0.7 : -0.7);
      bracket(x1, middle - width / 2 - 0.3, line, hook, true);
      bracket(middle + width / 2 + 0.3, x2, line, hook, false);
    }
  }

  private void bracket(double x1, double x2, double y, double hook, boolean left) {
    if (x2 > x1) {
      double at = left ? x1 : x2;
      drawing.add(new Mark.Line(Role.CURVE, x1, y, x2, y, 0.14));
      drawing.add(new Mark.Line(Role.CURVE, at, y, at, hook, 0.14));
    }
  }
}
