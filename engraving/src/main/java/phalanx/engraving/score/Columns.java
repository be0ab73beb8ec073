package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.engraving.SheetOptions;
import phalanx.engraving.SheetOptions.Show;
import phalanx.engraving.font.Face;
import phalanx.engraving.font.MusicFont;
import phalanx.engraving.font.Sign;
import phalanx.instrument.Finger;
import phalanx.technique.Technique;

/** Sets what stands at each time of a bar: heads, accidentals, fingers, dots, rests, figures. */
final class Columns {

  private static final double NEAR = 0.25;
  private static final double FINGER_HEIGHT = 1.15;

  private final BarContent bar;
  private final SheetOptions options;
  private final TreeMap<Integer, Column> columns = new TreeMap<>();

  private Columns(BarContent bar, SheetOptions options) {
    this.bar = bar;
    this.options = options;
  }

  /** The columns of a bar by time. */
  static TreeMap<Integer, Column> of(BarContent bar, SheetOptions options) {
    Columns columns = new Columns(bar, options);
    columns.at(bar.written().bar().startTick());
    if (options.has(Show.NOTATION)) {
      columns.staff();
    }
    bar.slots().forEach(s -> columns.at(s.played().tick()));
    bar.gestures().forEach(g -> columns.at(g.tick()));
    if (options.has(Show.COUNT)) {
      bar.written().bar().count().forEach(c -> columns.at(c.tick()));
    }
    List<Note> notes = bar.notes().stream().filter(n -> !bar.graces().containsKey(n)).toList();
    notes.forEach(n -> columns.at(n.tick()));
    if (options.has(Show.TABLATURE)) {
      notes.forEach(columns::figure);
    }
    columns.graces();
    bar.gestures().forEach(columns::sweep);
    return columns.columns;
  }

  private Column at(int tick) {
    return columns.computeIfAbsent(tick, Column::new);
  }

  private void staff() {
    Set<Integer> ticks = new TreeSet<>();
    bar.upper().forEach(s -> ticks.add(s.tick()));
    bar.lower().forEach(s -> ticks.add(s.tick()));
    for (int tick : ticks) {
      List<Stroke> here = new ArrayList<>();
      Column column = at(tick);
      Stroke above = find(bar.upper(), tick);
      Stroke below = find(bar.lower(), tick);
      if (above != null && below != null) {
        column.shift = Heads.shift(above, below);
      }
      if (above != null) {
        here.add(above);
      }
      if (below != null) {
        here.add(below);
      }
      heads(column, here);
      here.forEach(s -> rest(column, s, here));
    }
    if (bar.upper().isEmpty() && bar.lower().isEmpty()) {
      Column column = at(bar.written().bar().startTick());
      column.staff(new Mark.Glyph(Role.REST, Sign.REST_WHOLE, 0, Head.y(6), 1));
    }
  }

  /** Short notes, to the left of everything else in their columns. */
  private void graces() {
    TreeMap<Integer, List<Note>> before = new TreeMap<>();
    bar.notes().stream()
        .filter(bar.graces()::containsKey)
        .forEach(n -> before.computeIfAbsent(bar.graces().get(n), t -> new ArrayList<>()).add(n));
    before.forEach(
        (tick, notes) -> {
          List<Head> heads = new ArrayList<>();
          if (options.has(Show.NOTATION)) {
            bar.upper().stream()
                .filter(s -> s.tick() == tick)
                .forEach(s -> heads.addAll(s.graces()));
          }
          GraceNotes.set(at(tick), notes, heads, options.has(Show.TABLATURE));
        });
  }

  private static Stroke find(List<Stroke> voice, int tick) {
    return voice.stream().filter(s -> s.tick() == tick).findFirst().orElse(null);
  }

  private void heads(Column column, List<Stroke> here) {
    List<Mark> heads = new ArrayList<>();
    List<Head> all = new ArrayList<>();
    for (Stroke stroke : here) {
      double shift = stroke.up() || here.size() == 1 ? 0 : column.shift;
      for (Head head : stroke.heads()) {
        Head there = head.at(head.dx() + shift);
        all.add(there);
        Mark mark = new Mark.Glyph(Role.HEAD, head.sign(), there.dx(), head.y(), 1);
        if (!heads.contains(mark)) {
          heads.add(mark);
          ledgers(column, there);
        }
      }
    }
    heads.forEach(column::staff);
    double right =
        all.stream().mapToDouble(h -> h.dx() + width(h.sign())).max().orElse(Measures.HEAD);
    for (Stroke stroke : here) {
      dots(column, stroke, right);
      if (stroke.flagged() && !stroke.isRest()) {
        double stem = (stroke.up() ? Measures.HEAD : stroke == here.get(0) ? 0 : column.shift);
        column.reachRight(stem + MusicFont.shipped().box(Sign.FLAG_8_UP).right() + 0.1);
      }
    }
    all.sort(Comparator.comparingInt(h -> -h.position()));
    double left =
        column.staff.stream()
            .filter(m -> m.role() == Role.HEAD || m.role() == Role.LEDGER)
            .mapToDouble(m -> m.box().left())
            .min()
            .orElse(0);
    left = accidentals(column, all, left);
    if (options.has(Show.FINGERS)) {
      fingers(column, all, left - NEAR);
    }
  }

  private static double width(Sign sign) {
    return MusicFont.shipped().box(sign).width();
  }

  /** Short lines of its own for a head above or below the five. */
  private static void ledgers(Column column, Head head) {
    double width = width(head.sign());
    for (int at = 10; at <= head.position(); at += 2) {
      ledger(column, head.dx(), width, at);
    }
    for (int at = -2; at >= head.position(); at -= 2) {
      ledger(column, head.dx(), width, at);
    }
  }

  private static void ledger(Column column, double x, double width, int position) {
    column.staff(
        new Mark.Line(
            Role.LEDGER,
            x - Measures.LEDGER_OUT,
            Head.y(position),
            x + width + Measures.LEDGER_OUT,
            Head.y(position),
            Measures.LEDGER));
  }

  private static void dots(Column column, Stroke stroke, double right) {
    if (!stroke.written().piece().value().dotted()) {
      return;
    }
    Set<Integer> spaces = new TreeSet<>();
    for (Head head : stroke.heads()) {
      int line = head.position();
      spaces.add(Math.floorMod(line, 2) == 0 ? line + (stroke.up() ? 1 : -1) : line);
    }
    double clear = stroke.flagged() && stroke.up() ? 1.2 : 0.4;
    for (int space : spaces) {
      column.staff(new Mark.Glyph(Role.DOT, Sign.DOT, right + clear, Head.y(space), 1));
    }
  }

  /** Accidentals from above, each as near as it finds room; where they end on the left. */
  private static double accidentals(Column column, List<Head> all, double left) {
    List<Mark.Box> set = new ArrayList<>();
    double reached = left;
    Set<Integer> done = new TreeSet<>();
    for (Head head : all) {
      if (head.accidental().isEmpty() || !done.add(head.position())) {
        continue;
      }
      Sign sign = Sign.accidental(head.accidental().get());
      double width = width(sign);
      double x = left - NEAR - width;
      Mark.Glyph mark = new Mark.Glyph(Role.ACCIDENTAL, sign, x, head.y(), 1);
      while (isTaken(set, mark.box())) {
        x -= 0.2;
        mark = new Mark.Glyph(Role.ACCIDENTAL, sign, x, head.y(), 1);
      }
      set.add(mark.box());
      column.staff(mark);
      reached = Math.min(reached, mark.box().left());
    }
    return reached;
  }

  private static boolean isTaken(List<Mark.Box> set, Mark.Box wanted) {
    return set.stream().anyMatch(b -> b.overlaps(wanted, -0.1));
  }

  /** Fingers before the heads, spread so that none lies on another. */
  private static void fingers(Column column, List<Head> all, double right) {
    double last = Double.NEGATIVE_INFINITY;
    Set<String> done = new TreeSet<>();
    for (Head head : all) {
      if (!head.finger() || !done.add(head.note().string() + " " + head.position())) {
        continue;
      }
      Sign sign = finger(head.note().fretFinger().orElseThrow());
      double middle = Math.max(last + FINGER_HEIGHT, head.y());
      MusicFont.Box box = MusicFont.shipped().box(sign);
      double x = right - box.right();
      column.staff(new Mark.Glyph(Role.FINGER, sign, x, middle + box.height() / 2, 1));
      last = middle;
    }
  }

  private static Sign finger(Finger finger) {
    return switch (finger) {
      case THUMB -> Sign.FINGER_T;
      case INDEX -> Sign.FINGER_1;
      case MIDDLE -> Sign.FINGER_2;
      case RING -> Sign.FINGER_3;
      case LITTLE -> Sign.FINGER_4;
    };
  }

  /** A rest of one voice keeps clear of what the other strikes at the same time. */
  private void rest(Column column, Stroke stroke, List<Stroke> here) {
    if (!stroke.isRest()) {
      return;
    }
    Sign sign = rest(stroke.written().piece().value().ticks());
    boolean two = bar.hasTwoVoices();
    double middle = two ? (stroke.up() ? 0 : 4) : 2;
    double y = sign == Sign.REST_WHOLE ? middle - 1 : middle;
    double step = stroke.up() ? -1 : 1;
    Mark.Glyph mark = new Mark.Glyph(Role.REST, sign, 0, y, 1);
    while (isInWay(column, mark)) {
      y += step;
      mark = mark(mark, y);
    }
    column.staff(mark);
    if (stroke.written().piece().value().dotted()) {
      double dot = Math.floor(y) == y ? y - 0.5 : y;
      column.staff(new Mark.Glyph(Role.DOT, Sign.DOT, width(sign) + 0.3, dot, 1));
    }
  }

  private static boolean isInWay(Column column, Mark mark) {
    Mark.Box wanted = grown(mark.box());
    return column.staff.stream().anyMatch(m -> m.box().overlaps(wanted, 0));
  }

  private static Mark.Box grown(Mark.Box box) {
    return new Mark.Box(box.left(), box.top() - 0.3, box.right() + 0.6, box.bottom() + 0.3);
  }

  private static Mark.Glyph mark(Mark.Glyph glyph, double y) {
    return new Mark.Glyph(glyph.role(), glyph.sign(), glyph.x(), y, 1);
  }

  private static Sign rest(int ticks) {
    int quarter = phalanx.theory.Ticks.PER_QUARTER;
    Sign[] signs = {
      Sign.REST_WHOLE,
      Sign.REST_HALF,
      Sign.REST_QUARTER,
      Sign.REST_8,
      Sign.REST_16,
      Sign.REST_32,
      Sign.REST_64
    };
    int value = 4 * quarter;
    int at = 0;
    while (at + 1 < signs.length && value > ticks) {
      value /= 2;
      at++;
    }
    return signs[at];
  }

  /** A fret on its line of the tablature, in the middle of its column. */
  private void figure(Note note) {
    Column column = at(note.tick());
    String text = TabSigns.figure(note);
    double width = Face.BOLD.width(text, Measures.FIGURE_SIZE);
    double y = (5 - note.string()) * Measures.STRING_GAP;
    column.tab(
        new Mark.Text(
            Role.FIGURE,
            text,
            Measures.HEAD / 2 - width / 2,
            y + Measures.FIGURE_SIZE * Mark.Text.CAPITAL / 2,
            Face.BOLD,
            Measures.FIGURE_SIZE));
    note.techniques().stream()
        .filter(Technique.Bend.class::isInstance)
        .forEach(
            b ->
                column.reachRight(
                    Measures.HEAD / 2 + width / 2 + BendArrow.width((Technique.Bend) b)));
  }

  /** Room on the left for the arrow of a brush or a roll. */
  private void sweep(Gesture gesture) {
    if (!(gesture instanceof Gesture.Hit)) {
      Column column = at(gesture.tick());
      column.reach(new Mark.Box(column.left() - 0.9, 0, 0, 0));
    }
  }
}
