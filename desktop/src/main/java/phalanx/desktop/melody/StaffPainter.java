package phalanx.desktop.melody;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.canvas.GraphicsContext;
import phalanx.arrangement.Note;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.TechniqueSigns;
import phalanx.desktop.drawing.TypeFace;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.song.ChordChange;
import phalanx.technique.TechniqueText;
import phalanx.theory.Meter;
import phalanx.theory.NoteNaming;
import phalanx.theory.Pitch;
import phalanx.theory.Ticks;

/** Draws bars with the tune on five lines. Knows colours and lines, decides nothing. */
final class StaffPainter {

  private static final double HEAD_WIDTH = 11;
  private static final double HEAD_HEIGHT = 8;
  private static final double STEM = 28;

  /** How long the wave of a vibrato is. */
  private static final double WAVE = 32;

  private final GraphicsContext gc;
  private final Palette palette;
  private final Lettering ink;
  private final TechniqueSigns signs;

  /**
   * What is drawn of a bar.
   *
   * @param chords its chords
   * @param tune its tune, every note by its pitch
   * @param meter its metre
   * @param caret where the next note comes; empty where the player is in another bar
   * @param missed ticks of notes the hand does not reach
   * @param frets where the notes lie on the strings; empty where the staff is shown
   */
  record Picture(
      List<ChordChange> chords,
      BarTune tune,
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
        .ifPresent(h -> ink.left(h, cell.x() - 32, cell.y() - 8, TypeFace.bold(14), "text"));
    double right = cell.x() + layout.barWidth();
    gc.setFill(palette.get(picture.selected() ? "selection" : "paper"));
    gc.fillRect(cell.x(), cell.y(), layout.barWidth(), StaffLayout.ROW - 8);
    if (picture.selected()) {
      gc.setStroke(palette.get("accent"));
      gc.setLineWidth(2);
      gc.strokeRect(cell.x() + 1, cell.y() + 1, layout.barWidth() - 2, StaffLayout.ROW - 10);
    }
    paintLines(layout, cell, picture.frets().isPresent(), right);
    ink.left(
        String.valueOf(cell.number()), cell.x() + 4, cell.y() + 13, TypeFace.plain(10), "muted");
    int ticks = picture.meter().barTicks();
    for (ChordChange change : picture.chords()) {
      double x = layout.noteX(cell, Math.min(change.tick(), ticks), ticks) - 6;
      ink.left(change.harmony().label(naming), x, cell.y() + 28, TypeFace.bold(15), "text");
    }
    if (picture.tune().heldTicks() > 0) {
      double until = layout.noteX(cell, Math.min(picture.tune().heldTicks(), ticks), ticks);
      ink.left("tied", cell.x() + 5, layout.lineY(cell, 4) + 24, TypeFace.plain(10), "muted");
      gc.strokeLine(
          cell.x() + 4, layout.lineY(cell, 4) + 12, until - 10, layout.lineY(cell, 4) + 12);
    }
    picture.caret().ifPresent(t -> paintCaret(layout, cell, Math.min(t, ticks), ticks));
    for (TuneNote note : picture.tune().notes()) {
      boolean onStaff = picture.frets().isEmpty() || picture.missed().contains(note.tick());
      if (note.tick() < ticks && onStaff) {
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
    for (int line = 0; line < count; line++) {
      double y = strings ? layout.stringY(cell, line) : layout.lineY(cell, line);
      gc.strokeLine(cell.x(), y, right, y);
      if (strings && cell.x() < 40) {
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
    boolean missed = picture.missed().contains(note.tick());
    String shade = missed ? "attention" : "text";
    sounds(note.wants()).forEach(s -> paintPitch(layout, cell, note, s.pitch(), x, shade));
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
    List<Want.Sound> graces = sounds(note.graces()).toList();
    for (int g = 0; g < graces.size(); g++) {
      double before = x - 10 - 8 * (graces.size() - g);
      paintGrace(before, layout.noteY(cell, StaffLayout.step(graces.get(g).pitch())));
    }
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

  /** A short note before another: small, with a stroke through its stem. */
  private void paintGrace(double x, double y) {
    gc.setFill(palette.get("text"));
    gc.setStroke(palette.get("text"));
    gc.setLineWidth(1);
    gc.fillOval(x - HEAD_WIDTH / 4, y - HEAD_HEIGHT / 4, HEAD_WIDTH / 2, HEAD_HEIGHT / 2);
    double stem = x + HEAD_WIDTH / 4 - 0.5;
    gc.strokeLine(stem, y, stem, y - STEM / 2);
    gc.strokeLine(stem - 3, y - STEM / 2 + 7, stem + 4, y - STEM / 2 + 1);
  }

  private void paintPitch(
      StaffLayout layout,
      StaffLayout.Cell cell,
      TuneNote note,
      Pitch pitch,
      double x,
      String shade) {
    int step = StaffLayout.step(pitch);
    double y = layout.noteY(cell, step);
    gc.setStroke(palette.get("edge"));
    gc.setLineWidth(1);
    // Lines of its own for what lies above or below the five.
    for (int line = 10; line <= step; line += 2) {
      gc.strokeLine(x - 9, layout.noteY(cell, line), x + 9, layout.noteY(cell, line));
    }
    for (int line = -2; line >= step; line -= 2) {
      gc.strokeLine(x - 9, layout.noteY(cell, line), x + 9, layout.noteY(cell, line));
    }
    gc.setFill(palette.get(shade));
    gc.setStroke(palette.get(shade));
    gc.setLineWidth(1.5);
    boolean open = note.lengthTicks() >= 2 * Ticks.PER_QUARTER;
    if (note.techniques().stream().anyMatch(TechniqueText::isHarmonic)) {
      diamond(x, y);
    } else if (open) {
      gc.strokeOval(x - HEAD_WIDTH / 2, y - HEAD_HEIGHT / 2, HEAD_WIDTH, HEAD_HEIGHT);
    } else {
      gc.fillOval(x - HEAD_WIDTH / 2, y - HEAD_HEIGHT / 2, HEAD_WIDTH, HEAD_HEIGHT);
    }
    if (note.lengthTicks() < Ticks.PER_WHOLE) {
      boolean up = step < 4;
      double stem = up ? x + HEAD_WIDTH / 2 - 0.7 : x - HEAD_WIDTH / 2 + 0.7;
      double end = up ? y - STEM : y + STEM;
      gc.strokeLine(stem, y, stem, end);
      flags(note.lengthTicks(), stem, end, up ? 1 : -1);
    }
    if (isDotted(note.lengthTicks())) {
      gc.fillOval(x + HEAD_WIDTH / 2 + 3, y - 4, 3, 3);
    }
    int alteration = pitch.name().alteration();
    if (alteration != 0) {
      ink.centre(alteration > 0 ? "♯" : "♭", x - 12, y + 4, TypeFace.plain(13), shade);
    }
  }

  /** The head of a harmonic, whatever its length, as in scores. */
  private void diamond(double x, double y) {
    double half = HEAD_WIDTH / 2;
    gc.strokePolygon(
        new double[] {x - half, x, x + half, x}, new double[] {y, y - half, y, y + half}, 4);
  }

  private void flags(int length, double x, double y, double down) {
    int longest = Ticks.PER_QUARTER;
    for (int flag = 0; length < longest && flag < 3; flag++) {
      double at = y + flag * 7 * down;
      gc.strokeLine(x, at, x + 7, at + 9 * down);
      longest /= 2;
    }
  }

  /** Whether the length is a plain one and a half of it. */
  private static boolean isDotted(int length) {
    return length % 3 == 0 && Integer.bitCount(length / 3 * 2 / 315) == 1;
  }
}
