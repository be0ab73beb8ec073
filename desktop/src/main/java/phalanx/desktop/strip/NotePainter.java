package phalanx.desktop.strip;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Note;
import phalanx.arrangement.board.OtherString;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.TechniqueSigns;
import phalanx.desktop.drawing.TypeFace;
import phalanx.desktop.strip.StripLayout.StripSystem;
import phalanx.performance.Sounded;
import phalanx.picking.Force;
import phalanx.picking.PickFinger;

/** Draws what sounds on the strings of a system: notes, how long they ring, who plucks them. */
final class NotePainter {

  private static final double TAIL = 5;

  /** Room for one letter beside another. */
  private static final double LETTER = 10;

  private final GraphicsContext gc;
  private final Palette palette;
  private final Lettering ink;
  private final TechniqueSigns techniques;
  private Arrangement arrangement;
  private StripLayout layout;
  private StripChoice choice;

  NotePainter(GraphicsContext gc, Palette palette) {
    this.gc = gc;
    this.palette = palette;
    ink = new Lettering(gc, palette);
    techniques = new TechniqueSigns(gc, palette);
  }

  /** Draws tails, damps, slurs, notes; the letters below follow the marks. */
  void paint(Arrangement painted, StripLayout where, StripChoice chosen, StripSystem system) {
    arrangement = painted;
    layout = where;
    choice = chosen;
    List<Note> notes = arrangement.notesFrom(system.startTick(), system.endTick());
    layout.tails(system).stream()
        .filter(n -> !choice.later().contains(n.note()))
        .forEach(n -> paintTail(system, n));
    arrangement.dampsFrom(system.startTick(), system.endTick()).forEach(d -> paintDamp(system, d));
    notes.forEach(n -> paintSlur(system, notes, n));
    for (Note note : notes) {
      gc.setGlobalAlpha(choice.shows(note) ? 1 : StripPainter.FAINT);
      paintNote(system, note);
    }
    gc.setGlobalAlpha(1);
    paintDragged(system);
  }

  private void paintTail(StripSystem system, Sounded sounded) {
    Note note = sounded.note();
    double x = layout.x(system, Math.max(note.tick(), system.startTick()));
    double end = layout.x(system, Math.min(sounded.endTick(), system.endTick()) - 1);
    Color tint = palette.stroke(note.pick());
    double strength = note.part() == Note.Part.TUNE ? 0.38 : 0.18;
    gc.setFill(tint.deriveColor(0, 1, 1, strength));
    double y = layout.stringY(note.string()) - TAIL / 2;
    gc.fillRoundRect(x, y, end - x, TAIL, TAIL, TAIL);
  }

  /** A bar across the strings that are stopped, and what is laid on them. */
  private void paintDamp(StripSystem system, Damp damp) {
    double x = layout.x(system, damp.tick());
    gc.setStroke(palette.get("text"));
    gc.setLineWidth(2.6);
    for (int string : damp.strings()) {
      double y = layout.stringY(string);
      gc.strokeLine(x - 3.5, y - 4.5, x - 3.5, y + 4.5);
      gc.strokeLine(x + 0.5, y - 4.5, x + 0.5, y + 4.5);
    }
    double y = layout.stringY(damp.strings().get(0)) + 12;
    ink.centre(damp.by().word(), x - 1.5, y, TypeFace.boldItalic(10), "text");
  }

  /** The fingers of each instant side by side; a brush has a letter of its own. */
  void paintLetters(StripSystem system) {
    Map<Integer, List<Note>> fingers = new TreeMap<>();
    for (Note note : arrangement.notesFrom(system.startTick(), system.endTick())) {
      if (!note.isBrushed() && note.isPickedBy(PickFinger.P)) {
        paintLetter(note, layout.x(system, note.tick()), layout.thumbY());
      } else if (!note.isBrushed()) {
        fingers.computeIfAbsent(note.tick(), t -> new ArrayList<>()).add(note);
      }
    }
    fingers.forEach(
        (tick, together) -> {
          double x = layout.x(system, tick) - LETTER * (together.size() - 1) / 2;
          for (int n = 0; n < together.size(); n++) {
            paintLetter(together.get(n), x + n * LETTER, layout.lettersY());
          }
        });
  }

  private void paintLetter(Note note, double x, double y) {
    gc.setGlobalAlpha(choice.shows(note) ? 1 : StripPainter.FAINT);
    String letter = note.letter();
    boolean soft = note.force() == Force.SOFT;
    Color pick = palette.stroke(note.pick());
    ink.centre(soft ? "(" + letter + ")" : letter, x, y, TypeFace.boldItalic(12.5), pick);
    if (note.force() == Force.ACCENTED) {
      ink.centre(">", x, layout.lettersY() - 12, TypeFace.bold(11), "text");
    }
    gc.setGlobalAlpha(1);
  }

  /** An arc from the note a slur starts on, as tablature has it. */
  private void paintSlur(StripSystem system, List<Note> notes, Note note) {
    if (!note.attack().isSlur()) {
      return;
    }
    double to = layout.x(system, note.tick());
    double from =
        notes.stream()
            .filter(n -> n.string() == note.string() && n.tick() < note.tick())
            .reduce((a, b) -> b)
            .map(n -> layout.x(system, n.tick()))
            .orElse(to - 24);
    double y = layout.stringY(note.string()) - StripPainter.RING;
    gc.setStroke(palette.get("text"));
    gc.setLineWidth(1.4);
    gc.beginPath();
    gc.moveTo(from + 3, y);
    gc.quadraticCurveTo((from + to) / 2, y - 9, to - 3, y);
    gc.stroke();
  }

  private void paintNote(StripSystem system, Note note) {
    double x = layout.x(system, note.tick());
    double y = layout.stringY(note.string());
    boolean tune = note.part() == Note.Part.TUNE;
    if (choice.note().filter(note::equals).isPresent()) {
      gc.setFill(palette.get("accent"));
      gc.fillOval(
          x - StripPainter.RING - 3.5,
          y - StripPainter.RING - 3.5,
          2 * StripPainter.RING + 7,
          2 * StripPainter.RING + 7);
    }
    gc.setFill(palette.get("paper"));
    gc.setStroke(palette.stroke(note.pick()));
    gc.setLineWidth(tune ? 2.4 : 1.3);
    if (note.harmonic().isPresent()) {
      diamond(x, y);
    } else {
      double around = 2 * StripPainter.RING;
      gc.fillOval(x - StripPainter.RING, y - StripPainter.RING, around, around);
      gc.strokeOval(x - StripPainter.RING, y - StripPainter.RING, around, around);
    }
    techniques.paint(note.techniques(), x, y, endOf(system, note));
    Font font = tune ? TypeFace.bold(10.5) : TypeFace.plain(10.5);
    ink.centre(String.valueOf(note.fret()), x, y + 3.8, font, "text");
    if (OtherString.isWanted(arrangement.song(), note)) {
      gc.setFill(palette.get("attention"));
      gc.fillOval(x + StripPainter.RING - 2, y - StripPainter.RING - 2, 5, 5);
    }
  }

  /** A touched string, as everywhere where music is written down. */
  private void diamond(double x, double y) {
    double half = StripPainter.RING + 3;
    double[] across = {x - half, x, x + half, x};
    double[] down = {y, y - half, y, y + half};
    gc.fillPolygon(across, down, 4);
    gc.strokePolygon(across, down, 4);
  }

  private double endOf(StripSystem system, Note note) {
    return layout.x(system, Math.min(note.endTick(), system.endTick()) - 1);
  }

  /** Where a dragged note would be. */
  private void paintDragged(StripSystem system) {
    if (choice.dragged().isEmpty() || choice.note().isEmpty()) {
      return;
    }
    Note note = choice.note().get();
    if (StripPainter.in(system, note.tick())) {
      double x = layout.x(system, note.tick());
      double y = layout.stringY(choice.dragged().get().string());
      gc.setFill(palette.get("accent"));
      gc.fillOval(
          x - StripPainter.RING - 1,
          y - StripPainter.RING - 1,
          2 * StripPainter.RING + 2,
          2 * StripPainter.RING + 2);
      String fret = String.valueOf(choice.dragged().get().fret());
      ink.centre(fret, x, y + 3.8, TypeFace.bold(10.5), "paper");
    }
  }
}
