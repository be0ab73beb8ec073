package phalanx.desktop.chart;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.TypeFace;
import phalanx.desktop.texts.Texts;
import phalanx.song.Bar;
import phalanx.song.BarLyrics;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.song.Ritard;
import phalanx.song.Section;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TempoMark;
import phalanx.theory.Borrowing;
import phalanx.theory.Chord;
import phalanx.theory.Interval;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.NoteNaming;

/** Draws the rows of a lead sheet that can be seen. Knows colours and lines, decides nothing. */
final class ChartPainter {

  private static final double BASE = 42;
  private static final double NUMERAL = 60;
  private static final double SOURCE = 76;

  /** Height of the arc over a phrase. */
  private static final double ARC = 7;

  private static final Font CHORD = TypeFace.bold(19);
  private static final Font SMALL = TypeFace.plain(10.5);
  private static final Font WORDS = TypeFace.plain(12);

  private final GraphicsContext gc;
  private final Palette palette;
  private final Lettering ink;
  private Sheet sheet;
  private ChartLayout layout;
  private Map<Integer, Meter> meters = Map.of();
  private Map<Integer, Integer> numbers = Map.of();
  private Map<Integer, Integer> following = Map.of();
  private Optional<Integer> slower = Optional.empty();

  /**
   * What is drawn.
   *
   * @param song the song
   * @param naming what notes are called
   * @param up the interval that what is shown lies above what is meant
   * @param cursor identity of the bar the cursor is on
   * @param selection identities of the selected bars
   * @param focused whether keys go to the sheet
   * @param phrases the bars with which phrases begin
   */
  record Sheet(
      Song song,
      NoteNaming naming,
      Interval up,
      int cursor,
      Set<Integer> selection,
      boolean focused,
      Set<Integer> phrases) {}

  ChartPainter(GraphicsContext gc, Palette palette) {
    this.gc = gc;
    this.palette = palette;
    ink = new Lettering(gc, palette);
  }

  /** Takes over what does not change while scrolling. */
  void prepare(Song song) {
    meters = song.chart().meters(song.meter());
    List<Bar> bars = song.chart().bars();
    numbers = new HashMap<>();
    slower = Ritard.begins(song);
    int first = song.firstBarNumber();
    following = new HashMap<>();
    for (Bar bar : bars) {
      if (!numbers.isEmpty()) {
        following.put(bars.get(numbers.size() - 1).id(), bar.id());
      }
      numbers.put(bar.id(), first + numbers.size());
    }
  }

  /** Draws what lies between two heights of the sheet. */
  void paint(Sheet painted, ChartLayout where, double top, double width, double height) {
    sheet = painted;
    layout = where;
    gc.clearRect(0, 0, width, height);
    gc.save();
    gc.translate(0, -top);
    for (ChartLayout.Row row : layout.visible(top, top + height)) {
      row.heading().ifPresent(s -> paintHeading(s, row.y()));
      for (int c = 0; c < row.cells().size(); c++) {
        Set<Integer> before = c == 0 ? Set.of() : row.cells().get(c - 1).bar().passes();
        paintCell(row.cells().get(c), c == row.cells().size() - 1, before);
      }
      paintPhrases(row);
    }
    gc.restore();
  }

  /** A thin arc over the bars of each phrase; it is open where the phrase goes on in a row. */
  private void paintPhrases(ChartLayout.Row row) {
    List<ChartLayout.Cell> cells = row.cells();
    int from = 0;
    for (int c = 1; c <= cells.size(); c++) {
      boolean ends = c == cells.size() || isBeginning(cells.get(c));
      if (ends) {
        boolean goesOn = c == cells.size() && goesOnAfter(cells.get(c - 1).bar());
        paintArc(cells.get(from), cells.get(c - 1), isBeginning(cells.get(from)), !goesOn);
        from = c;
      }
    }
  }

  private boolean isBeginning(ChartLayout.Cell cell) {
    return sheet.phrases().contains(cell.bar().id());
  }

  /** Whether the phrase of a bar goes on in the next written bar. */
  private boolean goesOnAfter(Bar bar) {
    Integer next = following.get(bar.id());
    return next != null && !sheet.phrases().contains(next);
  }

  private void paintArc(
      ChartLayout.Cell first, ChartLayout.Cell last, boolean begins, boolean ends) {
    double y = first.y() - 4;
    double left = first.x() + (begins ? 5 : 0);
    double right = last.x() + layout.barWidth() - (ends ? 5 : 0);
    double top = y - ARC;
    gc.setStroke(palette.get("string"));
    gc.setLineWidth(1.3);
    gc.beginPath();
    gc.moveTo(left, begins ? y : top);
    if (begins) {
      gc.quadraticCurveTo(left + 4, top, left + 16, top);
    }
    gc.lineTo(right - (ends ? 16 : 0), top);
    if (ends) {
      gc.quadraticCurveTo(right - 4, top, right, y);
    }
    gc.stroke();
  }

  private void paintHeading(Section section, double y) {
    String label =
        section.label().isEmpty() ? Texts.of("chartPainter.partWithoutAName") : section.label();
    String shade = section.label().isEmpty() ? "muted" : "text";
    ink.left(label, 4, y - 19, TypeFace.bold(14), shade);
    section
        .borrows()
        .flatMap(sheet.song().chart()::section)
        .ifPresent(
            s -> {
              double x = 4 + Lettering.width(label, TypeFace.bold(14)) + 10;
              ink.left(
                  Texts.of("chartPainter.likeExceptWhatIs", s.label()), x, y - 19, SMALL, "muted");
            });
  }

  private void paintCell(ChartLayout.Cell cell, boolean lastOfRow, Set<Integer> passesBefore) {
    Bar bar = cell.bar();
    double w = layout.barWidth();
    boolean selected = sheet.selection().contains(bar.id());
    boolean here = bar.id() == sheet.cursor();
    gc.setFill(palette.get(selected ? "selection" : "paper"));
    gc.fillRect(cell.x(), cell.y(), w, cell.height());
    paintBeats(cell);
    paintSigns(cell, lastOfRow);
    if (!bar.passes().isEmpty()) {
      paintEnding(cell, !bar.passes().equals(passesBefore));
    }
    double left = cell.x() + (bar.repeatStart() ? 12 : 7);
    ink.left(String.valueOf(cell.number()), left, cell.y() + 14, SMALL, "muted");
    bar.borrows()
        .map(numbers::get)
        .ifPresent(
            n ->
                ink.right(
                    Texts.of("chartPainter.asBar", n),
                    cell.x() + w - 10,
                    cell.y() + 14,
                    SMALL,
                    "accent"));
    double signs = cell.x() + 32;
    if (bar.meter().isPresent()) {
      String metre = bar.meter().get().toString();
      ink.left(metre, signs, cell.y() + 15, TypeFace.bold(12), "accent");
      signs += Lettering.width(metre, TypeFace.bold(12)) + 8;
    }
    if (bar.tempo().isPresent()) {
      String tempo = TempoMark.of(bar.tempo().get());
      ink.left(tempo, signs, cell.y() + 15, TypeFace.bold(12), "accent");
      signs += Lettering.width(tempo, TypeFace.bold(12)) + 8;
    }
    if (slower.equals(Optional.of(bar.id()))) {
      ink.left(Ritard.SIGN, signs, cell.y() + 15, TypeFace.bold(12), "accent");
    }
    paintChords(cell);
    paintWords(cell);
    if (here) {
      gc.setStroke(palette.get(sheet.focused() ? "accent" : "edge"));
      gc.setLineWidth(2);
      gc.strokeRect(cell.x() + 2, cell.y() + 2, w - 4, cell.height() - 4);
    }
  }

  /** The words of each verse, each piece from its chord on. */
  private void paintWords(ChartLayout.Cell cell) {
    Meter meter = meters.getOrDefault(cell.bar().id(), Meter.FOUR_FOUR);
    List<List<BarLyrics.Piece>> verses = sheet.song().words().at(cell.bar().id()).verses();
    double y = cell.y() + ChartLayout.ROW;
    for (List<BarLyrics.Piece> verse : verses) {
      if (y + 2 > cell.y() + cell.height()) {
        return;
      }
      y += ChartLayout.WORDS;
      for (int p = 0; p < verse.size(); p++) {
        double from =
            layout.x(cell, Math.min(verse.get(p).tick(), meter.barTicks()), meter.barTicks()) - 12;
        double to =
            p + 1 < verse.size()
                ? layout.x(cell, verse.get(p + 1).tick(), meter.barTicks()) - 16
                : cell.x() + layout.barWidth() - 4;
        ink.left(cut(verse.get(p).text(), to - from), from, y - 5, WORDS, "text-2");
      }
    }
  }

  /** As much of a text as has room. */
  private static String cut(String text, double room) {
    if (Lettering.width(text, WORDS) <= room) {
      return text;
    }
    String cut = text;
    while (!cut.isEmpty() && Lettering.width(cut + "…", WORDS) > room) {
      cut = cut.substring(0, cut.offsetByCodePoints(cut.length(), -1));
    }
    return cut.strip() + "…";
  }

  private void paintBeats(ChartLayout.Cell cell) {
    Meter meter = meters.getOrDefault(cell.bar().id(), Meter.FOUR_FOUR);
    gc.setStroke(palette.get("edge"));
    gc.setLineWidth(1);
    for (int beat = 0; beat < meter.beats(); beat++) {
      double x = layout.x(cell, beat * meter.beatTicks(), meter.barTicks());
      gc.strokeLine(x, cell.y() + BASE + 5, x, cell.y() + BASE + 8);
    }
  }

  private void paintSigns(ChartLayout.Cell cell, boolean lastOfRow) {
    Bar bar = cell.bar();
    double left = cell.x();
    double right = cell.x() + layout.barWidth();
    double y = cell.y();
    if (bar.repeatStart()) {
      thick(left + 2, y);
      thin(left + 6.5, y);
      dots(left + 11, y);
    } else {
      thin(left + 0.5, y);
    }
    if (bar.plays() > 1) {
      dots(right - 11, y);
      thin(right - 6.5, y);
      thick(right - 2, y);
      boolean said = !bar.passes().isEmpty() || bar.plays() == 2;
      if (!said) {
        ink.right(Texts.of("chartPainter.times", bar.plays()), right - 14, y + 14, SMALL, "text-2");
      }
    } else if (lastOfRow) {
      thin(right - 0.5, y);
    }
  }

  /** The bracket of a first or second ending; its number stands where it opens. */
  private void paintEnding(ChartLayout.Cell cell, boolean opens) {
    double y = cell.y();
    gc.setStroke(palette.get("text-2"));
    gc.setLineWidth(1.4);
    gc.strokeLine(cell.x() + 1, y - 3, cell.x() + layout.barWidth() - 4, y - 3);
    if (opens) {
      gc.strokeLine(cell.x() + 1, y - 3, cell.x() + 1, y + 10);
      String times =
          new TreeSet<>(cell.bar().passes())
              .stream().map(p -> p + ".").collect(Collectors.joining(" "));
      ink.left(times, cell.x() + 34, y + 14, TypeFace.bold(11), "text-2");
    }
  }

  private void thin(double x, double y) {
    gc.setStroke(palette.get("string"));
    gc.setLineWidth(1.2);
    gc.strokeLine(x, y, x, y + ChartLayout.ROW);
  }

  private void thick(double x, double y) {
    gc.setStroke(palette.get("text-2"));
    gc.setLineWidth(3.5);
    gc.strokeLine(x, y, x, y + ChartLayout.ROW);
  }

  private void dots(double x, double y) {
    gc.setFill(palette.get("text-2"));
    gc.fillOval(x - 2, y + ChartLayout.ROW / 2 - 9, 4, 4);
    gc.fillOval(x - 2, y + ChartLayout.ROW / 2 + 5, 4, 4);
  }

  private void paintChords(ChartLayout.Cell cell) {
    Bar bar = cell.bar();
    int barTicks = meters.getOrDefault(bar.id(), Meter.FOUR_FOUR).barTicks();
    List<ChordChange> changes = sheet.song().chart().changes(bar);
    if (changes.isEmpty()) {
      ink.left("–", layout.x(cell, 0, barTicks), cell.y() + BASE, CHORD, "muted");
      return;
    }
    double limit = cell.x() + layout.barWidth() - 6;
    double free = 0;
    double freeBelow = 0;
    int hidden = 0;
    for (ChordChange change : changes) {
      double x = layout.x(cell, Math.min(change.tick(), barTicks - 1), barTicks);
      String label = change.harmony().up(sheet.up()).label(sheet.naming());
      double end = x + Lettering.width(label, CHORD);
      if (x < free || end > limit + 4) {
        hidden++;
        continue;
      }
      boolean own = bar.borrows().isEmpty() || bar.changes().contains(change);
      boolean wrong = change.harmony() instanceof Harmony.Unread;
      ink.left(label, x, cell.y() + BASE, CHORD, wrong ? "attention" : own ? "text" : "muted");
      if (sheet.song().pins().holds(new SlotRef(bar.id(), change.tick()))) {
        paintPin(end + 3, cell.y() + BASE - 15);
      }
      free = end + 6;
      freeBelow = paintDegree(cell, change.harmony(), x, freeBelow, limit);
    }
    if (hidden > 0) {
      String words = Texts.of("chartPainter.andMore", hidden);
      ink.right(words, limit - 4, cell.y() + SOURCE, SMALL, "attention");
    }
  }

  private void paintPin(double x, double y) {
    gc.setFill(palette.get("attention"));
    gc.fillOval(x, y, 6, 6);
    gc.fillRect(x + 2.4, y + 5, 1.2, 6);
  }

  /** The roman numeral, and for a foreign chord where it comes from; says how far it reaches. */
  private double paintDegree(
      ChartLayout.Cell cell, Harmony harmony, double x, double free, double limit) {
    Optional<Key> key = sheet.song().key();
    if (key.isEmpty() || !(harmony instanceof Harmony.Sounding sounding)) {
      return free;
    }
    Chord chord = sounding.chord();
    Optional<Borrowing> borrowing = Borrowing.of(key.get(), chord);
    String numeral = key.get().numeral(chord);
    Font font = borrowing.isPresent() ? TypeFace.bold(12) : TypeFace.plain(12);
    ink.left(numeral, x, cell.y() + NUMERAL, font, borrowing.isPresent() ? "attention" : "text-2");
    if (borrowing.isEmpty() || x < free) {
      return free;
    }
    String words = fitting(borrowing.get().words(), limit - x);
    ink.left(words, x, cell.y() + SOURCE, SMALL, "attention");
    return x + Lettering.width(words, SMALL) + 8;
  }

  /** As many of the words as there is room for. */
  private static String fitting(String words, double room) {
    String shown = words;
    while (Lettering.width(shown, SMALL) > room && shown.contains(" ")) {
      shown = shown.substring(0, shown.lastIndexOf(' '));
    }
    return shown.equals(words) ? words : shown + " …";
  }
}
