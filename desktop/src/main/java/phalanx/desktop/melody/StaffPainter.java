package phalanx.desktop.melody;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.canvas.GraphicsContext;
import phalanx.arrangement.Note;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.MarkPainter;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.TechniqueSigns;
import phalanx.desktop.drawing.TypeFace;
import phalanx.engraving.Mark;
import phalanx.engraving.score.TuneStaff;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.song.ChordChange;
import phalanx.theory.Meter;
import phalanx.theory.NoteNaming;

/** Draws bars with the tune on five lines. Knows colours and lines, decides nothing. */
final class StaffPainter {

  /** How long the wave of a vibrato is. */
  private static final double WAVE = 32;

  private final GraphicsContext gc;
  private final Palette palette;
  private final Lettering ink;
  private final TechniqueSigns signs;
  private final MarkPainter engraved;
  private final MarkPainter missed;

  /**
   * What is drawn of a bar.
   *
   * @param chords its chords
   * @param tune its tune, every note by its pitch
   * @param engraved its tune as it stands on paper
   * @param signature clef and key, and the metre where it begins, before the first bar of a row
   * @param meter its metre
   * @param caret where the next note comes; empty where the player is in another bar
   * @param missed ticks of notes the hand does not reach
   * @param frets where the notes lie on the strings; empty where the staff is shown
   */
  record Picture(
      List<ChordChange> chords,
      BarTune tune,
      TuneStaff.Engraved engraved,
      List<Mark> signature,
      Meter meter,
      Optional<Integer> caret,
      List<Integer> missed,
      Optional<List<Note>> frets) {

    boolean selected() {
      return caret.isPresent();
    }
  }

  StaffPainter(GraphicsContext gc, Palette palette) {
    this.gc = gc;
    this.palette = palette;
    ink = new Lettering(gc, palette);
    signs = new TechniqueSigns(gc, palette);
    engraved = new MarkPainter(gc, palette.get("text"), palette.get("edge"), palette.get("paper"));
    missed =
        new MarkPainter(gc, palette.get("attention"), palette.get("edge"), palette.get("paper"));
  }

  void paint(
      StaffLayout layout,
      List<StaffLayout.Cell> cells,
      Map<Integer, Picture> pictures,
      NoteNaming naming,
      double top,
      double width,
      double height) {
    gc.clearRect(0, 0, width, height);
    gc.save();
    gc.translate(0, -top);
    for (StaffLayout.Cell cell : cells) {
      paintBar(layout, cell, pictures.get(cell.bar().id()), naming);
    }
    gc.restore();
  }

  private void paintBar(
      StaffLayout layout, StaffLayout.Cell cell, Picture picture, NoteNaming naming) {
    cell.heading()
        .ifPresent(h -> ink.left(h, layout.rowStart(), cell.y() - 8, TypeFace.bold(14), "text"));
    double right = cell.x() + layout.barWidth();
    gc.setFill(palette.get(picture.selected() ? "selection" : "paper"));
    gc.fillRect(cell.x(), cell.y(), layout.barWidth(), StaffLayout.ROW - 8);
    if (picture.selected()) {
      gc.setStroke(palette.get("accent"));
      gc.setLineWidth(2);
      gc.strokeRect(cell.x() + 1, cell.y() + 1, layout.barWidth() - 2, StaffLayout.ROW - 10);
    }
    paintLines(layout, cell, picture.frets().isPresent(), right);
    if (picture.frets().isEmpty() && layout.beginsRow(cell)) {
      engraved.paint(
          picture.signature(), layout.rowStart(), layout.lineY(cell, 0), StaffLayout.LINE_GAP);
    }
    ink.left(
        String.valueOf(cell.number()), cell.x() + 4, cell.y() + 13, TypeFace.plain(10), "muted");
    int ticks = picture.meter().barTicks();
    for (ChordChange change : picture.chords()) {
      double x = layout.noteX(cell, Math.min(change.tick(), ticks), ticks) - 6;
      ink.left(change.harmony().label(naming), x, cell.y() + 28, TypeFace.bold(15), "text");
    }
    picture.caret().ifPresent(t -> paintCaret(layout, cell, Math.min(t, ticks), ticks));
    if (picture.frets().isEmpty()) {
      engraved.paint(picture.engraved().marks(), 0, layout.lineY(cell, 0), StaffLayout.LINE_GAP);
    }
    for (int tick : picture.missed()) {
      List<Mark> heads = picture.engraved().heads().getOrDefault(tick, List.of());
      missed.paint(heads, 0, layout.lineY(cell, 0), StaffLayout.LINE_GAP);
    }
    for (TuneNote note : picture.tune().notes()) {
      if (note.tick() < ticks && picture.frets().isEmpty()) {
        paintNote(layout, cell, picture, note);
      }
    }
    for (Note note : picture.frets().orElse(List.of())) {
      paintFret(layout, cell, note, ticks);
    }
  }

  /** Five lines, or six with their numbers. */
  private void paintLines(
      StaffLayout layout, StaffLayout.Cell cell, boolean strings, double right) {
    gc.setStroke(palette.get("edge"));
    gc.setLineWidth(1);
    int count = strings ? Tuning.STRINGS : 5;
    double left = !strings && layout.beginsRow(cell) ? layout.rowStart() : cell.x();
    for (int line = 0; line < count; line++) {
      double y = strings ? layout.stringY(cell, line) : layout.lineY(cell, line);
      gc.strokeLine(left, y, right, y);
      if (strings && layout.beginsRow(cell)) {
        ink.centre(StringSign.of(line), cell.x() - 12, y + 4, TypeFace.plain(10.5), "muted");
      }
    }
    double top = strings ? layout.stringY(cell, count - 1) : layout.lineY(cell, 0);
    double bottom = strings ? layout.stringY(cell, 0) : layout.lineY(cell, 4);
    gc.strokeLine(cell.x(), top, cell.x(), bottom);
    gc.strokeLine(right, top, right, bottom);
  }

  private void paintCaret(StaffLayout layout, StaffLayout.Cell cell, int tick, int ticks) {
    double x = layout.noteX(cell, tick, ticks);
    gc.setStroke(palette.get("accent"));
    gc.setLineWidth(1.5);
    gc.setLineDashes(3, 3);
    gc.strokeLine(x, layout.lineY(cell, 0) - 22, x, layout.lineY(cell, 4) + 22);
    gc.setLineDashes();
  }

  private void paintFret(StaffLayout layout, StaffLayout.Cell cell, Note note, int ticks) {
    double x = layout.noteX(cell, note.tick(), ticks);
    double y = layout.stringY(cell, note.string());
    gc.setFill(palette.get("paper"));
    gc.fillOval(x - 8, y - 7, 16, 14);
    String fret = note.harmonic().isPresent() ? "<" + note.fret() + ">" : "" + note.fret();
    ink.centre(fret, x, y + 4.5, TypeFace.bold(12.5), "text");
    signs.paint(note.techniques(), x, y, x + WAVE);
  }

  private void paintNote(
      StaffLayout layout, StaffLayout.Cell cell, Picture picture, TuneNote note) {
    double x = layout.noteX(cell, note.tick(), picture.meter().barTicks());
    String strings =
        sounds(note.wants())
            .flatMap(s -> s.string().stream())
            .map(StringSign::of)
            .collect(Collectors.joining());
    ink.centre(strings, x, cell.y() + 134, TypeFace.plain(11), "muted");
    double highest =
        sounds(note.wants())
            .mapToDouble(s -> layout.noteY(cell, StaffLayout.step(s.pitch())))
            .min()
            .orElse(layout.lineY(cell, 0));
    // On the side of the head where no stem is.
    boolean up = sounds(note.wants()).allMatch(s -> StaffLayout.step(s.pitch()) < 4);
    signs.paint(note.techniques(), x, highest, x + WAVE, up ? highest + 17 : highest - 8);
    note.slur()
        .ifPresent(
            s ->
                ink.centre(
                    s.words().substring(0, 1),
                    x - 9,
                    cell.y() + 44,
                    TypeFace.bold(10.5),
                    "accent"));
  }

  private static Stream<Want.Sound> sounds(List<Want> wants) {
    return wants.stream().filter(Want.Sound.class::isInstance).map(Want.Sound.class::cast);
  }
}
