package phalanx.engraving.sheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.engraving.EngravedSheet;
import phalanx.engraving.Mark;
import phalanx.engraving.Role;
import phalanx.engraving.SheetOptions;
import phalanx.engraving.SheetOptions.Show;
import phalanx.engraving.Texts;
import phalanx.engraving.font.Face;
import phalanx.fretting.Shape;
import phalanx.notation.WrittenForm;
import phalanx.notation.WrittenForm.WrittenBar;
import phalanx.song.BarLyrics;
import phalanx.song.Harmony;
import phalanx.text.Phrase;
import phalanx.theory.Key;

/** The chart alone: sections, bars with their chords, the shapes used, the words. */
public final class ChartSheet {

  private static final int PER_LINE = 4;
  private static final double CHORD_SIZE = 14;

  /** Room for the dots of a repeat, points. */
  private static final double DOTS = 5;

  private static final double SMALL = 9;
  private static final double SECTION_SIZE = 12;

  private final Arrangement arrangement;
  private final SheetOptions options;
  private final double width;

  private ChartSheet(Arrangement arrangement, SheetOptions options) {
    this.arrangement = arrangement;
    this.options = options;
    width = Paging.width(options);
  }

  /** The pages of a chart. */
  public static EngravedSheet of(Arrangement arrangement, SheetOptions options) {
    ChartSheet sheet = new ChartSheet(arrangement, options);
    List<Block> blocks = new ArrayList<>();
    blocks.add(sheet.facts());
    blocks.addAll(ShapeRows.of(shapes(arrangement), sheet.width, options.has(Show.LEFT_HANDED)));
    blocks.addAll(sheet.bars());
    return Paging.pages(
        arrangement.song().title(), Heading.of(arrangement.song(), sheet.width), blocks, options);
  }

  /** The shapes of a song with their chords, each once, in the order in which they come. */
  static Map<Shape, String> shapes(Arrangement arrangement) {
    Map<Shape, String> shapes = new LinkedHashMap<>();
    for (Slot slot : arrangement.slots()) {
      if (slot.shape().isPresent() && slot.played().harmony() instanceof Harmony.Sounding) {
        shapes.putIfAbsent(slot.shape().get(), slot.played().harmony().label());
      }
    }
    return shapes;
  }

  private Block facts() {
    String key = arrangement.song().key().map(k -> Texts.of("chartSheet.key", k)).orElse("");
    String text =
        key
            + arrangement.song().meter()
            + Phrase.of("   %s", Tempo.of(arrangement.song().meter(), arrangement.song().tempo()));
    return new Block(
        List.of(new Mark.Text(Role.TEXT, Face.PLAIN.shown(text), 0, 10, Face.PLAIN, 10)),
        12,
        6,
        false);
  }

  private List<Block> bars() {
    List<WrittenBar> bars = WrittenForm.of(arrangement).bars();
    List<Block> blocks = new ArrayList<>();
    int from = 0;
    while (from < bars.size()) {
      int to = from + 1;
      while (to < bars.size() && to - from < PER_LINE && !bars.get(to).opens()) {
        to++;
      }
      blocks.add(line(bars.subList(from, to), to == bars.size()));
      from = to;
    }
    return blocks;
  }

  private Block line(List<WrittenBar> bars, boolean last) {
    List<Mark> marks = new ArrayList<>();
    double y = 0;
    boolean opens = bars.get(0).opens();
    String label = arrangement.song().sections().get(bars.get(0).bar().section()).label();
    if (opens && !label.isBlank()) {
      String cut = Lines.cut(Face.BOLD.shown(label), Face.BOLD, SECTION_SIZE, width);
      marks.add(new Mark.Text(Role.SECTION, cut, 0, SECTION_SIZE, Face.BOLD, SECTION_SIZE));
      y += SECTION_SIZE + 8;
    }
    if (bars.stream().anyMatch(b -> !b.passes().isEmpty())) {
      y += 14;
    }
    double cell = width / PER_LINE;
    double top = y;
    double bottom = y + 26 + (options.has(Show.NUMERALS) ? 12 : 0);
    for (int b = 0; b < bars.size(); b++) {
      cell(marks, bars.get(b), b * cell, cell, top, bottom, last && b + 1 == bars.size());
    }
    double deepest = bottom;
    if (options.has(Show.WORDS)) {
      for (int b = 0; b < bars.size(); b++) {
        deepest = Math.max(deepest, words(marks, bars.get(b), b * cell, cell, bottom));
      }
    }
    return new Block(marks, deepest, opens ? 16 : 8, opens);
  }

  private void cell(
      List<Mark> marks,
      WrittenBar bar,
      double x,
      double width,
      double top,
      double bottom,
      boolean end) {
    line(marks, x, top, bottom, bar.repeatStart() ? 2.4 : 0.8);
    line(marks, x + width, top, bottom, bar.plays() > 1 || end ? 2.4 : 0.8);
    double middle = (top + bottom) / 2;
    if (bar.repeatStart()) {
      dots(marks, x + 5, middle);
    }
    if (bar.plays() > 1) {
      dots(marks, x + width - 5, middle);
    }
    if (bar.plays() > 2) {
      String times = Texts.of("chartSheet.times", bar.plays());
      double w = Face.PLAIN.width(times, SMALL);
      marks.add(new Mark.Text(Role.SIGN, times, x + width - w - 4, top - 3, Face.PLAIN, SMALL));
    }
    if (bar.endingOpens()) {
      String text =
          bar.passes().stream().sorted().map(p -> p + ".").collect(Collectors.joining(" "));
      marks.add(new Mark.Line(Role.CURVE, x + 1, top - 12, x + width - 3, top - 12, 0.8));
      marks.add(new Mark.Line(Role.CURVE, x + 1, top - 12, x + 1, top - 2, 0.8));
      marks.add(new Mark.Text(Role.SIGN, text, x + 4, top - 3, Face.PLAIN, SMALL));
    }
    double dots = bar.repeatStart() ? DOTS : 0;
    chords(marks, bar, x + dots, width - dots, top);
  }

  private void chords(List<Mark> marks, WrittenBar bar, double x, double width, double top) {
    List<Slot> slots = named(bar);
    double inner = width - 16;
    double free = 0;
    for (int s = 0; s < slots.size(); s++) {
      Slot slot = slots.get(s);
      double share =
          (double) (slot.played().tick() - bar.bar().startTick()) / bar.bar().lengthTicks();
      double next =
          s + 1 < slots.size()
              ? (double) (slots.get(s + 1).played().tick() - bar.bar().startTick())
                  / bar.bar().lengthTicks()
              : 1;
      double at = x + 9 + Math.max(share * inner, free);
      String label = Face.BOLD.shown(slot.played().harmony().label());
      double room = x + 9 + next * inner - at - 3;
      double size = CHORD_SIZE;
      while (size > 7 && Face.BOLD.width(label, size) > room) {
        size -= 0.5;
      }
      label = Lines.cut(label, Face.BOLD, size, Math.max(room, 12));
      marks.add(new Mark.Text(Role.CHORD, label, at, top + 18, Face.BOLD, size));
      free = at - x - 9 + Face.BOLD.width(label, size) + 4;
      if (options.has(Show.NUMERALS)) {
        numeral(marks, slot, at, top + 30, room);
      }
    }
  }

  /** The chords of a bar, each where it comes. */
  private List<Slot> named(WrittenBar bar) {
    List<Slot> named = new ArrayList<>();
    for (Slot slot : arrangement.slotsFrom(bar.bar().startTick(), bar.bar().endTick())) {
      boolean goesOn =
          !named.isEmpty()
              && named.get(named.size() - 1).played().harmony().equals(slot.played().harmony());
      if (!goesOn) {
        named.add(slot);
      }
    }
    return named;
  }

  private void numeral(List<Mark> marks, Slot slot, double x, double y, double room) {
    Key key = arrangement.song().key().orElse(null);
    if (key != null && slot.played().harmony() instanceof Harmony.Sounding s) {
      String text =
          Lines.cut(Face.PLAIN.shown(key.numeral(s.chord())), Face.PLAIN, SMALL, Math.max(8, room));
      marks.add(new Mark.Text(Role.SIGN, text, x, y, Face.PLAIN, SMALL));
    }
  }

  private double words(List<Mark> marks, WrittenBar bar, double x, double width, double top) {
    BarLyrics words = arrangement.song().words().at(bar.bar().written());
    double y = top + 2;
    for (int v = 0; v < words.verses().size(); v++) {
      String text = words.verse(v);
      if (!text.isEmpty()) {
        for (String line : Lines.broken(text, Face.PLAIN, SMALL, width - 12)) {
          y += 11;
          marks.add(new Mark.Text(Role.WORDS, line, x + 8, y, Face.PLAIN, SMALL));
        }
      }
    }
    return y + 3;
  }

  private static void line(List<Mark> marks, double x, double top, double bottom, double width) {
    marks.add(new Mark.Line(Role.BARLINE, x, top, x, bottom, width));
  }

  private static void dots(List<Mark> marks, double x, double middle) {
    marks.add(new Mark.Circle(Role.BARLINE, x, middle - 4, 1.5, 0));
    marks.add(new Mark.Circle(Role.BARLINE, x, middle + 4, 1.5, 0));
  }
}
