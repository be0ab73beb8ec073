package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.List;
import phalanx.arrangement.Note;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.engraving.font.Face;
import phalanx.engraving.font.Sign;

/**
 * Short notes before a column: small heads with stems up, one alone with a flag that a stroke goes
 * through, more under two beams; small figures in the tablature (common practice, no source).
 */
final class GraceNotes {

  /** Beside heads and figures of full size. */
  private static final double SIZE = 0.65;

  private static final double FIGURE = Measures.FIGURE_SIZE * 0.8;
  private static final double GAP = 0.3;
  private static final double STEM_LENGTH = 2.5;
  private static final double BEAM = Measures.BEAM * SIZE;
  private static final double STEM = Measures.STEM * 0.8;

  private final Column column;
  private final List<Note> notes;
  private final boolean tablature;

  private GraceNotes(Column column, List<Note> notes, boolean tablature) {
    this.column = column;
    this.notes = notes;
    this.tablature = tablature;
  }

  /**
   * Sets them to the left of everything that stands in a column.
   *
   * @param notes in time
   * @param heads theirs on the staff, in the same order; empty where there is no staff
   */
  static void set(Column column, List<Note> notes, List<Head> heads, boolean tablature) {
    GraceNotes graces = new GraceNotes(column, notes, tablature);
    List<Double> lefts = graces.places(heads);
    if (!heads.isEmpty()) {
      graces.staff(heads, lefts);
    }
    if (tablature) {
      notes.forEach(graces::figure);
    }
  }

  /** From the last to the first, each as near as there is room; the left edges of their heads. */
  private List<Double> places(List<Head> heads) {
    List<Double> lefts = new ArrayList<>();
    double right = column.left() - GAP - (heads.size() == 1 ? width(Sign.FLAG_8_UP) : 0);
    for (int n = notes.size() - 1; n >= 0; n--) {
      Note note = notes.get(n);
      double head = Measures.HEAD * SIZE;
      double figure = tablature ? Face.BOLD.width(TabSigns.figure(note), FIGURE) : 0;
      double wide = Math.max(head, figure);
      double middle = right - wide / 2;
      column.graces.put(note, middle);
      lefts.add(0, middle - head / 2);
      double accidental =
          heads.isEmpty() || heads.get(n).accidental().isEmpty()
              ? 0
              : width(Sign.accidental(heads.get(n).accidental().get())) + GAP / 2;
      right = Math.min(middle - wide / 2, middle - head / 2 - accidental) - GAP;
    }
    return lefts;
  }

  private static double width(Sign sign) {
    return Measures.FONT.box(sign).width() * SIZE;
  }

  private static Mark.Box box(Sign sign) {
    return new Mark.Glyph(Role.HEAD, sign, 0, 0, SIZE).box();
  }

  private void staff(List<Head> heads, List<Double> lefts) {
    double top = heads.stream().mapToDouble(Head::y).min().orElse(0) - STEM_LENGTH;
    for (int n = 0; n < heads.size(); n++) {
      Head head = heads.get(n);
      double left = lefts.get(n);
      column.staff(new Mark.Glyph(Role.HEAD, head.sign(), left, head.y(), SIZE));
      ledgers(head.position(), left);
      head.accidental().map(Sign::accidental).ifPresent(a -> accidental(a, left, head.y()));
      double stem = stem(left);
      column.staff(new Mark.Line(Role.STEM, stem, head.y() - 0.1, stem, top, STEM));
    }
    double first = stem(lefts.get(0));
    if (heads.size() == 1) {
      column.staff(new Mark.Glyph(Role.FLAG, Sign.FLAG_8_UP, first - STEM / 2, top, SIZE));
      column.staff(
          new Mark.Line(Role.STEM, first - 0.55, top + 1.45, first + 0.75, top + 0.35, STEM));
      return;
    }
    double last = stem(lefts.get(heads.size() - 1));
    for (int beam = 0; beam < 2; beam++) {
      double y = top + beam * Measures.BEAM_STEP * SIZE;
      column.staff(new Mark.Beam(Role.BEAM, first - STEM / 2, y, last + STEM / 2, y, BEAM));
    }
  }

  private static double stem(double left) {
    return left + Measures.HEAD * SIZE - STEM / 2;
  }

  private void accidental(Sign sign, double headLeft, double y) {
    Mark.Box box = box(sign);
    double x = headLeft - GAP / 2 - box.right();
    column.staff(new Mark.Glyph(Role.ACCIDENTAL, sign, x, y, SIZE));
  }

  private void ledgers(int position, double left) {
    double out = Measures.LEDGER_OUT * SIZE;
    double right = left + Measures.HEAD * SIZE + out;
    for (int at = 10; at <= position; at += 2) {
      ledger(left - out, right, at);
    }
    for (int at = -2; at >= position; at -= 2) {
      ledger(left - out, right, at);
    }
  }

  private void ledger(double from, double to, int position) {
    double y = Head.y(position);
    column.staff(new Mark.Line(Role.LEDGER, from, y, to, y, Measures.LEDGER));
  }

  private void figure(Note note) {
    String text = TabSigns.figure(note);
    double width = Face.BOLD.width(text, FIGURE);
    double y = (5 - note.string()) * Measures.STRING_GAP;
    column.tab(
        new Mark.Text(
            Role.FIGURE,
            text,
            column.graces.get(note) - width / 2,
            y + FIGURE * Mark.Text.CAPITAL / 2,
            Face.BOLD,
            FIGURE));
  }
}
