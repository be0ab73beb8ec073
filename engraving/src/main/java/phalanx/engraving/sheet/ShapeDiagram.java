package phalanx.engraving.sheet;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.engraving.font.Face;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.text.Phrase;

/**
 * The picture of a shape as chord books draw it: strings upright, the low string on the left, or on
 * the right for a left-handed player.
 */
public final class ShapeDiagram {

  /** How wide one is with its position, points. */
  public static final double WIDTH = 62;

  /** How high one is with its name, points. */
  public static final double HEIGHT = 74;

  private static final double STRING = 8;
  private static final double FRET = 10;
  private static final double LEFT = 14;
  private static final double TOP = 26;
  private static final int LEAST_FRETS = 4;
  private static final double NAME_SIZE = 11;
  private static final double SMALL = 7.5;

  private ShapeDiagram() {}

  /**
   * The marks of a shape with its name above.
   *
   * @param leftHanded whether it is drawn for a left-handed player
   */
  public static List<Mark> of(Shape shape, String name, boolean leftHanded) {
    List<Mark> marks = new ArrayList<>();
    int lowest = Integer.MAX_VALUE;
    int highest = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      int fret = shape.fret(s).orElse(0);
      if (fret > 0) {
        lowest = Math.min(lowest, fret);
        highest = Math.max(highest, fret);
      }
    }
    int first = highest <= LEAST_FRETS ? 1 : lowest;
    int frets = Math.max(LEAST_FRETS, highest - first + 1);
    double fret = Math.min(FRET, (HEIGHT - TOP - 4) / frets);
    String cut = Lines.cut(Face.BOLD.shown(name), Face.BOLD, NAME_SIZE, WIDTH - 4);
    double middle = LEFT + 2.5 * STRING;
    double left = Math.max(0, middle - Face.BOLD.width(cut, NAME_SIZE) / 2);
    marks.add(new Mark.Text(Role.CHORD, cut, left, NAME_SIZE, Face.BOLD, NAME_SIZE));
    grid(marks, first, frets, fret);
    if (first > 1) {
      String at = Phrase.of("%d", first);
      double w = Face.PLAIN.width(at, SMALL);
      marks.add(
          new Mark.Text(Role.COUNT, at, LEFT - 5 - w, TOP + fret / 2 + 2.8, Face.PLAIN, SMALL));
    }
    strings(marks, shape, leftHanded);
    barres(marks, shape, first, fret, leftHanded);
    dots(marks, shape, first, fret, leftHanded);
    return marks;
  }

  private static double x(int string, boolean leftHanded) {
    return LEFT + (leftHanded ? Tuning.STRINGS - 1 - string : string) * STRING;
  }

  private static void grid(List<Mark> marks, int first, int frets, double fret) {
    for (int s = 0; s < Tuning.STRINGS; s++) {
      double x = LEFT + s * STRING;
      marks.add(new Mark.Line(Role.DIAGRAM, x, TOP, x, TOP + frets * fret, 0.5));
    }
    for (int f = 0; f <= frets; f++) {
      double y = TOP + f * fret;
      double width = f == 0 && first == 1 ? 2 : 0.5;
      marks.add(new Mark.Line(Role.DIAGRAM, LEFT, y, LEFT + 5 * STRING, y, width));
    }
  }

  /** Circles over open strings, crosses over those that are not struck. */
  private static void strings(List<Mark> marks, Shape shape, boolean leftHanded) {
    double y = TOP - 5.5;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      double x = x(s, leftHanded);
      if (!shape.sounds(s)) {
        marks.add(new Mark.Line(Role.DIAGRAM, x - 2, y - 2, x + 2, y + 2, 0.7));
        marks.add(new Mark.Line(Role.DIAGRAM, x - 2, y + 2, x + 2, y - 2, 0.7));
      } else if (shape.fret(s).orElse(0) == 0) {
        marks.add(new Mark.Circle(Role.DIAGRAM, x, y, 2, 0.7));
      }
    }
  }

  private static void barres(
      List<Mark> marks, Shape shape, int first, double fret, boolean leftHanded) {
    Map<Finger, int[]> spans = new EnumMap<>(Finger.class);
    for (int s = 0; s < Tuning.STRINGS; s++) {
      int string = s;
      shape
          .finger(s)
          .ifPresent(
              f -> {
                int[] span = spans.computeIfAbsent(f, k -> new int[] {string, string});
                span[1] = string;
              });
    }
    spans.forEach(
        (finger, span) -> {
          if (span[1] > span[0]) {
            int at = shape.fret(span[0]).orElseThrow();
            double y = TOP + (at - first + 0.5) * fret;
            double x = x(leftHanded ? span[1] : span[0], leftHanded);
            marks.add(new Mark.Bar(Role.DIAGRAM, x, y - 2, (span[1] - span[0]) * STRING, 4, 2));
          }
        });
  }

  private static void dots(
      List<Mark> marks, Shape shape, int first, double fret, boolean leftHanded) {
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (shape.finger(s).isEmpty()) {
        continue;
      }
      double x = x(s, leftHanded);
      double y = TOP + (shape.fret(s).orElseThrow() - first + 0.5) * fret;
      marks.add(new Mark.Circle(Role.DIAGRAM, x, y, 3.6, 0));
      String sign = shape.finger(s).get().sign();
      double w = Face.BOLD.width(sign, 6.5);
      marks.add(new Mark.Text(Role.FINGER, sign, x - w / 2, y + 2.4, Face.BOLD, 6.5));
    }
  }
}
