package phalanx.desktop.strip;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.arrangement.board.OtherString;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.TypeFace;
import phalanx.desktop.strip.StripLayout.StripSystem;
import phalanx.instrument.Finger;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
import phalanx.performance.Sounded;
import phalanx.picking.Force;
import phalanx.picking.PickFinger;
import phalanx.review.Grade;
import phalanx.song.Harmony;
import phalanx.song.TempoMark;
import phalanx.song.Timeline.PlayedBar;
import phalanx.theory.Meter;
import phalanx.theory.NoteNaming;

/** Draws the systems of a strip that can be seen. Knows colours and lines, decides nothing. */
final class StripPainter {

  private static final double RING = 7.4;
  private static final double TAIL = 5;
  private static final double HOLD = 16;

  /** Room for one letter beside another. */
  private static final double LETTER = 10;

  private final GraphicsContext gc;
  private final Palette palette;
  private final Lettering ink;
  private final GesturePainter strokes;
  private Arrangement arrangement;
  private StripLayout layout;
  private NoteNaming naming = NoteNaming.ENGLISH;
  private StripChoice choice;

  /** What of a hand is drawn while another finger is looked at. */
  private static final double FAINT = 0.28;

  StripPainter(GraphicsContext gc, Palette palette) {
    this.gc = gc;
    this.palette = palette;
    ink = new Lettering(gc, palette);
    strokes = new GesturePainter(gc, palette);
  }

  /** Draws what lies between two heights of the strip. */
  void paint(
      Arrangement painted,
      StripLayout where,
      StripChoice chosen,
      NoteNaming names,
      double top,
      double width,
      double height) {
    arrangement = painted;
    layout = where;
    naming = names;
    choice = chosen;
    gc.clearRect(0, 0, width, height);
    gc.save();
    gc.translate(0, -top);
    for (StripSystem system : layout.visible(top, top + height)) {
      gc.save();
      gc.translate(0, system.y());
      paintSystem(system, width);
      gc.restore();
    }
    gc.restore();
  }

  private void paintSystem(StripSystem system, double width) {
    system.label().ifPresent(l -> ink.left(l, 2, -9, TypeFace.bold(14), "text"));
    gc.setFill(palette.get("paper"));
    gc.fillRoundRect(0.5, 0.5, width - 1, layout.systemHeight() - 1, 20, 20);
    paintSelection(system);
    gc.setStroke(palette.get("line"));
    gc.setLineWidth(1);
    gc.strokeRoundRect(0.5, 0.5, width - 1, layout.systemHeight() - 1, 20, 20);
    paintRulings(system);
    for (PlayedBar bar : system.bars()) {
      paintBarLine(system, bar);
    }
    for (Slot slot : arrangement.slotsFrom(system.startTick(), system.endTick())) {
      paintChord(system, slot);
    }
    for (Hold hold : layout.holds(system)) {
      gc.setGlobalAlpha(choice.shows(hold.finger()) ? 1 : FAINT);
      paintHold(system, hold);
    }
    gc.setGlobalAlpha(1);
    List<Note> notes = arrangement.notesFrom(system.startTick(), system.endTick());
    layout.tails(system).forEach(n -> paintTail(system, n));
    arrangement.dampsFrom(system.startTick(), system.endTick()).forEach(d -> paintDamp(system, d));
    List<Gesture> gestures = arrangement.gesturesFrom(system.startTick(), system.endTick());
    notes.forEach(n -> paintSlur(system, notes, n));
    for (Note note : notes) {
      gc.setGlobalAlpha(choice.shows(note) ? 1 : FAINT);
      paintNote(system, note);
    }
    gc.setGlobalAlpha(1);
    paintDragged(system);
    choice.marks().stream().filter(m -> in(system, m.tick())).forEach(m -> paintMark(system, m));
    paintLetters(system, notes);
    gestures.forEach(g -> strokes.paint(layout, system, g));
  }

  private static boolean in(StripSystem system, int tick) {
    return tick >= system.startTick() && tick < system.endTick();
  }

  private void paintSelection(StripSystem system) {
    int last = Math.min(choice.slots().to(), arrangement.slots().size() - 1);
    for (int s = choice.slots().from(); s <= last; s++) {
      Slot slot = arrangement.slots().get(s);
      if (in(system, slot.played().tick())) {
        double from = layout.x(system, slot.played().tick()) - 14;
        double to = layout.x(system, slot.endTick() - 1) + 6;
        gc.setFill(palette.get("selection"));
        gc.fillRoundRect(from, 3, to - from, layout.systemHeight() - 6, 12, 12);
      }
    }
  }

  /** A sign over a finding, by its grade; filled for the one looked at. */
  private void paintMark(StripSystem system, StripChoice.Mark mark) {
    double x = layout.x(system, mark.tick());
    String shade = mark.grade().isHard() ? "attention" : "muted";
    double y = StripLayout.MARK_Y;
    boolean looked = choice.looked().contains(mark.tick());
    boolean full = looked || mark.grade() == Grade.CANNOT;
    gc.setFill(palette.get(full ? shade : "paper"));
    gc.fillOval(x - 6, y - 6, 12, 12);
    gc.setStroke(palette.get(shade));
    gc.setLineWidth(looked ? 2.4 : 1.4);
    gc.strokeOval(x - 6, y - 6, 12, 12);
    ink.centre(mark.grade().sign(), x, y + 3.8, TypeFace.bold(10), full ? "paper" : shade);
  }

  /** Where a dragged note would be. */
  private void paintDragged(StripSystem system) {
    if (choice.dragged().isEmpty() || choice.note().isEmpty()) {
      return;
    }
    Note note = choice.note().get();
    if (in(system, note.tick())) {
      double x = layout.x(system, note.tick());
      double y = layout.stringY(choice.dragged().get().string());
      gc.setFill(palette.get("accent"));
      gc.fillOval(x - RING - 1, y - RING - 1, 2 * RING + 2, 2 * RING + 2);
      String fret = String.valueOf(choice.dragged().get().fret());
      ink.centre(fret, x, y + 3.8, TypeFace.bold(10.5), "paper");
    }
  }

  private void paintRulings(StripSystem system) {
    double right = StripLayout.LEFT + system.bars().size() * layout.barWidth() - 8;
    gc.setLineWidth(1);
    for (Finger finger : layout.lanes()) {
      double y = layout.laneY(finger) + StripLayout.LANE / 2;
      gc.setStroke(palette.get("rule"));
      gc.strokeLine(StripLayout.LEFT, y, right, y);
      boolean looked = choice.finger().isPresent() && choice.shows(finger);
      Font font = looked ? TypeFace.bold(12) : TypeFace.plain(11);
      ink.centre(finger.sign(), 22, y + 4, font, looked ? "accent" : "muted");
    }
    for (int s = 0; s < Tuning.STRINGS; s++) {
      double y = layout.stringY(s);
      gc.setStroke(palette.get("string"));
      gc.setLineWidth(0.7 + (Tuning.STRINGS - 1 - s) * 0.18);
      gc.strokeLine(StripLayout.LEFT, y, right, y);
      ink.centre(StringSign.of(s), 22, y + 3.6, TypeFace.plain(10), "muted");
    }
    ink.left("fingers", 7, layout.lettersY(), TypeFace.plain(10), "muted");
    ink.left("thumb", 7, layout.thumbY(), TypeFace.plain(10), "muted");
    if (layout.hasHits()) {
      ink.left("hits", 7, layout.hitsY(), TypeFace.plain(10), "muted");
    }
    ink.left("count", 7, layout.countY(), TypeFace.plain(10), "muted");
  }

  private void paintBarLine(StripSystem system, PlayedBar bar) {
    double x = layout.barX(system, bar);
    gc.setStroke(palette.get("line"));
    gc.setLineWidth(1);
    gc.strokeLine(x, 34, x, layout.systemHeight() - 10);
    ink.left(String.valueOf(bar.number()), x + 4, 15, TypeFace.plain(10), "muted");
    if (arrangement.timeline().beginsTempo(bar)) {
      ink.left(TempoMark.of(bar.tempo()), x + 26, 11, TypeFace.bold(11), "accent");
    }
    for (Meter.Syllable word : bar.count()) {
      double at = layout.x(system, word.tick());
      String shade = word.onBeat() ? "text-2" : "muted";
      Font font = word.onBeat() ? TypeFace.bold(10.5) : TypeFace.plain(10);
      ink.centre(word.word(), at, layout.countY(), font, shade);
    }
  }

  private void paintChord(StripSystem system, Slot slot) {
    double x = layout.x(system, slot.played().tick()) - 6;
    Harmony harmony = slot.played().harmony();
    boolean wrong = harmony instanceof Harmony.Unread;
    if (slot.fromTick() < slot.played().tick() && slot.fromTick() >= system.startTick()) {
      double early = layout.x(system, slot.fromTick());
      gc.setStroke(palette.get("accent"));
      gc.setLineWidth(1.4);
      gc.strokeLine(early, 32, x + 4, 32);
      gc.strokeLine(early, 32, early, 42);
    }
    Font font = TypeFace.bold(17);
    String label = harmony.label(naming);
    ink.left(label, x + 8, 24, font, wrong ? "attention" : "text");
    double after = x + 8 + Lettering.width(label, font) + 8;
    Optional<String> numeral =
        harmony instanceof Harmony.Sounding s
            ? arrangement.song().key().map(k -> k.numeral(s.chord()))
            : Optional.empty();
    if (numeral.isPresent()) {
      ink.left(numeral.get(), after, 24, TypeFace.plain(11), "muted");
      after += Lettering.width(numeral.get(), TypeFace.plain(11)) + 8;
    }
    if (slot.pinned()) {
      gc.setFill(palette.get("attention"));
      gc.fillOval(after, 12, 7, 7);
      gc.fillRect(after + 2.9, 18, 1.3, 7);
    }
    if (!slot.remarks().isEmpty() && slot.shape().isEmpty()) {
      double y = layout.laneY(Finger.MIDDLE) + 14;
      ink.left("nothing held", x + 8, y, TypeFace.plain(11), "attention");
    }
  }

  private void paintHold(StripSystem system, Hold hold) {
    int from = Math.max(hold.fromTick(), system.startTick());
    int to = Math.min(hold.toTick(), system.endTick());
    double x = layout.x(system, from) - RING;
    boolean ends = hold.toTick() <= system.endTick();
    double edge = StripLayout.LEFT + system.bars().size() * layout.barWidth() - 3;
    double right = Math.min(edge, layout.x(system, to - 1) + (hold.guides() && ends ? 22 : 0));
    double y = layout.laneY(hold.finger()) + 2;
    gc.setFill(palette.get(hold.guides() ? "hold-guide" : "hold"));
    gc.fillRoundRect(x, y, right - x, HOLD, HOLD, HOLD);
    gc.setStroke(palette.get(hold.guides() ? "accent" : "hold-edge"));
    gc.setLineWidth(1);
    gc.strokeRoundRect(x, y, right - x, HOLD, HOLD, HOLD);
    String strings = StringSign.of(hold.lowString());
    if (hold.highString() > hold.lowString()) {
      strings += "–" + StringSign.of(hold.highString());
    }
    ink.left(strings + " " + hold.fret(), x + 6, y + 12, TypeFace.plain(11), "text");
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
  private void paintLetters(StripSystem system, List<Note> notes) {
    Map<Integer, List<Note>> fingers = new TreeMap<>();
    for (Note note : notes) {
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
    gc.setGlobalAlpha(choice.shows(note) ? 1 : FAINT);
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
    double y = layout.stringY(note.string()) - RING;
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
      gc.fillOval(x - RING - 3.5, y - RING - 3.5, 2 * RING + 7, 2 * RING + 7);
    }
    gc.setFill(palette.get("paper"));
    gc.fillOval(x - RING, y - RING, 2 * RING, 2 * RING);
    gc.setStroke(palette.stroke(note.pick()));
    gc.setLineWidth(tune ? 2.4 : 1.3);
    gc.strokeOval(x - RING, y - RING, 2 * RING, 2 * RING);
    Font font = tune ? TypeFace.bold(10.5) : TypeFace.plain(10.5);
    ink.centre(String.valueOf(note.fret()), x, y + 3.8, font, "text");
    if (OtherString.isWanted(arrangement.song(), note)) {
      gc.setFill(palette.get("attention"));
      gc.fillOval(x + RING - 2, y - RING - 2, 5, 5);
    }
  }
}
