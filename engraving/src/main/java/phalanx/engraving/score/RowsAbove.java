package phalanx.engraving.score;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.engraving.Texts;
import phalanx.engraving.font.Face;
import phalanx.engraving.font.Sign;
import phalanx.notation.WrittenForm.WrittenBar;
import phalanx.song.Harmony;
import phalanx.song.Ritard;
import phalanx.song.Timeline;
import phalanx.text.Phrase;
import phalanx.theory.Meter;
import phalanx.theory.Ticks;

/**
 * What stands above a system, a row each, from the staff upwards: chords, endings, tempo and
 * section. Each row is as low as what lies under it allows, and level.
 */
final class RowsAbove {

  private static final double PAD = 0.7;
  private static final double SECTION_SIZE = 2.2;

  private final Arrangement arrangement;
  private final List<Placed> bars;
  private final Drawing all;

  RowsAbove(Arrangement arrangement, List<Placed> bars, Drawing all) {
    this.arrangement = arrangement;
    this.bars = bars;
    this.all = all;
  }

  void draw() {
    level(numbers(), 0.3);
    level(chords(), PAD);
    endings();
    level(sections(), PAD + 0.3, all.top(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, 0));
  }

  /** A word that waits for its row's height. */
  private record Waiting(Role role, String text, double x, Face face, double size) {
    double right() {
      return x + face.width(text, size);
    }
  }

  private void level(List<Waiting> row, double pad) {
    level(row, pad, 0);
  }

  /** Sets a row no lower than a height and clear of everything under it. */
  private void level(List<Waiting> row, double pad, double from) {
    double base = Math.min(-1.2, from - pad);
    for (Waiting word : row) {
      base = Math.min(base, all.top(word.x - 0.3, word.right() + 0.3, base + pad) - pad);
    }
    for (Waiting word : row) {
      all.add(new Mark.Text(word.role, word.text, word.x, base, word.face, word.size));
    }
  }

  /** The number of the first bar. */
  private List<Waiting> numbers() {
    int number = bars.get(0).written().number();
    return number < 1
        ? List.of()
        : List.of(
            new Waiting(Role.COUNT, String.valueOf(number), 0, Face.PLAIN, Measures.COUNT_SIZE));
  }

  private List<Waiting> chords() {
    List<Waiting> row = new ArrayList<>();
    for (Placed bar : bars) {
      for (Slot slot : bar.content().slots()) {
        if (isNew(slot, bar)) {
          String label = slot.played().harmony().label();
          row.add(
              new Waiting(
                  Role.CHORD,
                  Face.BOLD.shown(label),
                  bar.x(slot.played().tick()),
                  Face.BOLD,
                  Measures.CHORD_SIZE));
        }
      }
    }
    return row;
  }

  /** A chord is named where it comes, and again where a system begins. */
  private boolean isNew(Slot slot, Placed bar) {
    if (slot.played().harmony().label().isEmpty()) {
      return false;
    }
    boolean first = bar == bars.get(0) && slot.played().tick() == bar.written().bar().startTick();
    int place = arrangement.slots().indexOf(slot);
    Harmony before = place > 0 ? arrangement.slots().get(place - 1).played().harmony() : null;
    boolean rests = slot.played().harmony() instanceof Harmony.NoChord;
    return first && !rests
        || bar.written().opens()
            && slot.played().tick() == bar.written().bar().startTick()
            && !rests
        || !slot.played().harmony().equals(before) && (before != null || !rests);
  }

  private void endings() {
    for (int b = 0; b < bars.size(); b++) {
      WrittenBar written = bars.get(b).written();
      if (written.passes().isEmpty() || b > 0 && !written.endingOpens()) {
        continue;
      }
      int to = b;
      while (!bars.get(to).written().endingCloses() && to + 1 < bars.size()) {
        to++;
      }
      String text =
          written.passes().stream().sorted().map(p -> p + ".").collect(Collectors.joining(" "));
      double left = bars.get(b).left() + 0.2;
      double right = bars.get(to).right() - 0.3;
      double y = all.top(left, right, -1.5) - 2.6;
      all.add(new Mark.Line(Role.CURVE, left, y, right, y, 0.16));
      if (written.endingOpens()) {
        all.add(new Mark.Line(Role.CURVE, left, y, left, y + 1.8, 0.16));
        all.add(
            new Mark.Text(Role.SIGN, text, left + 0.5, y + 1.6, Face.PLAIN, Measures.SMALL_SIZE));
      }
      if (bars.get(to).written().endingCloses() && bars.get(to).written().plays() > 1) {
        all.add(new Mark.Line(Role.CURVE, right, y, right, y + 1.8, 0.16));
      }
    }
  }

  private List<Waiting> sections() {
    List<Waiting> row = new ArrayList<>();
    double free = 0;
    for (Placed bar : bars) {
      double x = Math.max(bar.left() - (bar == bars.get(0) ? bar.left() : 0), free);
      if (bar.written().opens()) {
        String label = arrangement.song().sections().get(bar.written().bar().section()).label();
        if (!label.isBlank()) {
          Waiting word =
              new Waiting(Role.SECTION, Face.BOLD.shown(label), x, Face.BOLD, SECTION_SIZE);
          row.add(word);
          x = word.right() + 1.5;
        }
      }
      Timeline timeline = arrangement.timeline();
      boolean first = bar.written().bar().startTick() == 0;
      if (first || timeline.beginsTempo(bar.written().bar())) {
        x = tempo(row, bar, x);
      }
      if (Ritard.beginsIn(arrangement.song(), timeline, bar.written().bar())) {
        Waiting slower =
            new Waiting(Role.SIGN, Ritard.SIGN, x, Face.BOLD_ITALIC, Measures.WORD_SIZE);
        row.add(slower);
        x = slower.right() + 1;
      }
      if (first && !arrangement.song().feel().swing().isStraight()) {
        Waiting swing = new Waiting(Role.SIGN, "swing", x, Face.BOLD_ITALIC, Measures.WORD_SIZE);
        row.add(swing);
        x = swing.right() + 1;
      }
      if (bar.written().plays() > 2) {
        String times = Texts.of("rowsAbove.times", bar.written().plays());
        double width = Face.BOLD_ITALIC.width(times, Measures.WORD_SIZE);
        x = Math.max(x, bar.right() - width - 0.5);
        row.add(new Waiting(Role.SIGN, times, x, Face.BOLD_ITALIC, Measures.WORD_SIZE));
        x += width + 1;
      }
      free = x;
    }
    return row;
  }

  /** The tempo in felt beats: dotted quarters in a compound metre. */
  private double tempo(List<Waiting> row, Placed bar, double x) {
    Meter meter = bar.written().bar().meter();
    double beats = bar.written().bar().tempo();
    boolean dotted = meter.isCompound();
    double shown = dotted ? beats * Ticks.PER_QUARTER / meter.beatTicks() : beats;
    String text = Phrase.of(dotted ? "♩. = %.0f" : "♩ = %.0f", shown);
    Waiting word = new Waiting(Role.SIGN, text, x, Face.PLAIN, Measures.WORD_SIZE);
    row.add(word);
    return word.right() + 1.5;
  }

  /** Whether the type face has a note for the tempo; all signs of it are tested. */
  static boolean hasNote() {
    return Face.PLAIN.has('♩') && Sign.QUARTER.codePoint() > 0;
  }
}
