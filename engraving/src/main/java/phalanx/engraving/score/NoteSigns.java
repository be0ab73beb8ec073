package phalanx.engraving.score;

import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Note;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.engraving.font.Face;
import phalanx.engraving.font.Sign;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
import phalanx.technique.Technique;

/**
 * Words, waves and string numbers outside of a staff, each beyond the last one at its place: above
 * the tablature, or above the notation where it stands alone.
 */
final class NoteSigns {

  private final Drawing drawing;
  private final List<Placed> bars;
  private final double music;

  /**
   * Signs of a system.
   *
   * @param music where music begins, behind the clef
   */
  NoteSigns(Drawing drawing, List<Placed> bars, double music) {
    this.drawing = drawing;
    this.bars = bars;
    this.music = music;
  }

  /**
   * What is special about the notes, above them.
   *
   * @param tablature whether it is the tablature, in which bends are drawn from their figures
   */
  void techniques(boolean tablature) {
    for (Placed bar : bars) {
      for (Column column : bar.columns().values()) {
        bar.content().notes().stream()
            .filter(n -> n.tick() == column.tick && !bar.content().graces().containsKey(n))
            .forEach(n -> techniques(bar, column, n, tablature));
      }
    }
  }

  private void techniques(Placed bar, Column column, Note note, boolean tablature) {
    double x = bar.x(column.tick);
    Optional<Technique.Bend> bend =
        note.techniques().stream()
            .filter(t -> tablature && t instanceof Technique.Bend)
            .map(Technique.Bend.class::cast)
            .findFirst();
    bend.ifPresent(b -> bend(bar, note, b));
    for (String word : TabSigns.above(note, bend.isPresent())) {
      double width = Face.PLAIN.width(word, Measures.SMALL_SIZE);
      double middle =
          note.attack().isSlur() && word.length() < 4 ? slurMiddle(bar, note) : x + width / 2;
      word(word, middle - width / 2);
    }
    note.techniques().stream()
        .filter(Technique.Vibrato.class::isInstance)
        .forEach(t -> wave(x, ((Technique.Vibrato) t).wide()));
  }

  private void bend(Placed bar, Note note, Technique.Bend bend) {
    double width = Face.BOLD.width(TabSigns.figure(note), Measures.FIGURE_SIZE);
    double y = (Tuning.STRINGS - 1 - note.string()) * Measures.STRING_GAP;
    BendArrow.draw(
        drawing, bar.middle(note) + width / 2, y, bend, TabSigns.amount(bend.quarters()));
  }

  private void word(String word, double left) {
    double width = Face.PLAIN.width(word, Measures.SMALL_SIZE);
    double base = Math.min(-0.6, drawing.top(left - 0.3, left + width + 0.3, -0.5) - 0.4);
    drawing.add(new Mark.Text(Role.SIGN, word, left, base, Face.PLAIN, Measures.SMALL_SIZE));
  }

  private double slurMiddle(Placed bar, Note note) {
    return (before(note).orElse(music - 0.8) + bar.middle(note)) / 2;
  }

  /** Where the last note before another on its string stands in this system. */
  Optional<Double> before(Note note) {
    Optional<Double> last = Optional.empty();
    int at = Integer.MIN_VALUE;
    for (Placed bar : bars) {
      for (Note other : bar.content().notes()) {
        if (other.string() == note.string() && other.tick() < note.tick() && other.tick() >= at) {
          last = Optional.of(bar.middle(other));
          at = other.tick();
        }
      }
    }
    return last;
  }

  private void wave(double x, boolean wide) {
    Sign sign = wide ? Sign.VIBRATO_WIDE : Sign.VIBRATO;
    var box = Measures.FONT.box(sign);
    double width = box.width();
    double base = drawing.top(x, x + 4 * width, -0.5) - 0.4 - box.bottom();
    for (int k = 0; k < 4; k++) {
      drawing.add(new Mark.Glyph(Role.SIGN, sign, x + k * width - box.left(), base, 1));
    }
  }

  /**
   * The strings of notes that a reader would look for elsewhere: each that a higher string has too.
   * Above the staff for the upper voice, below it for the lower.
   */
  void strings(Tuning tuning) {
    for (Placed bar : bars) {
      strings(bar, bar.content().upper(), true, tuning);
      strings(bar, bar.content().lower(), false, tuning);
    }
  }

  private void strings(Placed bar, List<Stroke> voice, boolean above, Tuning tuning) {
    for (Stroke stroke : voice) {
      for (Head head : stroke.heads()) {
        if (!stroke.written().tiedFrom() && isElsewhere(head.note(), tuning)) {
          string(bar.x(stroke.tick()) + bar.shift(stroke), head.note().string(), above);
        }
      }
    }
  }

  private void string(double x, int string, boolean above) {
    String sign = StringSign.of(string);
    double size = Measures.SMALL_SIZE * 0.9;
    double width = Face.PLAIN.width(sign, size);
    double left = x + (Measures.HEAD - width) / 2;
    double right = left + width;
    double base =
        above
            ? Math.min(-0.6, drawing.top(left - 0.2, right + 0.2, -0.5) - 0.4)
                - size * Mark.Text.CIRCLE_BOTTOM
            : Math.max(4.6, drawing.bottom(left - 0.2, right + 0.2, 4) + 0.4)
                + size * Mark.Text.CIRCLE_TOP;
    drawing.add(new Mark.Text(Role.SIGN, sign, left, base, Face.PLAIN, size));
  }

  /** Whether a higher string has the pitch of a note, at a lower fret. */
  static boolean isElsewhere(Note note, Tuning tuning) {
    int pitch = tuning.midi(note.string()) + note.fret();
    for (int string = note.string() + 1; string < Tuning.STRINGS; string++) {
      if (tuning.midi(string) <= pitch) {
        return true;
      }
    }
    return false;
  }
}
