package phalanx.desktop.strip;

import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Slot;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.TypeFace;
import phalanx.desktop.strip.StripLayout.StripSystem;
import phalanx.desktop.texts.Texts;
import phalanx.findings.Grade;
import phalanx.instrument.Finger;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
import phalanx.song.Harmony;
import phalanx.song.Lyrics;
import phalanx.song.Ritard;
import phalanx.song.TempoMark;
import phalanx.song.Timeline.PlayedBar;
import phalanx.theory.Meter;
import phalanx.theory.NoteNaming;

/** Draws the systems of a strip that can be seen. Knows colours and lines, decides nothing. */
final class StripPainter {

  static final double RING = 7.4;
  private static final double HOLD = 16;

  /** Size of the words, and the least that is still read, px. */
  private static final double WORDS = 13;

  /** Sizes of chords' names, and the smallest that is read. */
  private static final double NAME = 17;

  private static final double PART = 12;
  private static final double LEAST_NAME = 9;

  private static final double LEAST_WORDS = 10;

  private final GraphicsContext gc;
  private final Palette palette;
  private final Lettering ink;
  private final NotePainter sounds;
  private final GesturePainter strokes;
  private Arrangement arrangement;
  private StripLayout layout;
  private NoteNaming naming = NoteNaming.ENGLISH;
  private StripChoice choice;

  /** What of a hand is drawn while another finger is looked at. */
  static final double FAINT = 0.28;

  StripPainter(GraphicsContext gc, Palette palette) {
    this.gc = gc;
    this.palette = palette;
    ink = new Lettering(gc, palette);
    sounds = new NotePainter(gc, palette);
    strokes = new GesturePainter(gc, palette);
  }

  /** Draws what lies between two heights of the strip. */
  void paint(
      StripLayout where,
      StripChoice chosen,
      NoteNaming names,
      double top,
      double width,
      double height) {
    // What is painted is what was laid out, whatever has been planned since.
    arrangement = where.arrangement();
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
    sounds.paint(arrangement, layout, choice, system);
    choice.marks().stream().filter(m -> in(system, m.tick())).forEach(m -> paintMark(system, m));
    sounds.paintLetters(system);
    arrangement
        .gesturesFrom(system.startTick(), system.endTick())
        .forEach(g -> strokes.paint(layout, system, g));
  }

  static boolean in(StripSystem system, int tick) {
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
    ink.left(Texts.of("stripPainter.fingers"), 7, layout.lettersY(), TypeFace.plain(10), "muted");
    ink.left(Texts.of("stripPainter.thumb"), 7, layout.thumbY(), TypeFace.plain(10), "muted");
    if (layout.hasHits()) {
      ink.left(Texts.of("stripPainter.hits"), 7, layout.hitsY(), TypeFace.plain(10), "muted");
    }
    ink.left(Texts.of("stripPainter.count"), 7, layout.countY(), TypeFace.plain(10), "muted");
    if (layout.hasWords()) {
      ink.left(Texts.of("stripPainter.words"), 7, layout.wordsY(), TypeFace.plain(10), "muted");
      layout.words(system).forEach(w -> paintWords(system, w, right));
    }
  }

  /** Words from where they begin, no further than the next; smaller where there is little room. */
  private void paintWords(StripSystem system, Lyrics.Line words, double edge) {
    double x = layout.x(system, words.tick()) - 6;
    boolean ends = words.endTick() < system.endTick();
    double room = (ends ? layout.x(system, words.endTick()) - 12 : edge) - x;
    String text = words.text();
    double size = WORDS;
    while (size > LEAST_WORDS && Lettering.width(text, TypeFace.plain(size)) > room) {
      size -= 0.5;
    }
    Font font = TypeFace.plain(size);
    while (text.length() > 2 && Lettering.width(text, font) > room) {
      text = text.substring(0, text.length() - 2).strip() + "…";
    }
    ink.left(text, x, layout.wordsY(), font, "text");
  }

  private void paintBarLine(StripSystem system, PlayedBar bar) {
    double x = layout.barX(system, bar);
    gc.setStroke(palette.get("line"));
    gc.setLineWidth(1);
    gc.strokeLine(x, 34, x, layout.systemHeight() - 10);
    if (choice.loops(bar.number())) {
      gc.setFill(palette.get("accent"));
      gc.fillRect(x, 1, layout.barWidth(), 3);
    }
    ink.left(String.valueOf(bar.number()), x + 4, 15, TypeFace.plain(10), "muted");
    if (arrangement.timeline().beginsTempo(bar)) {
      ink.left(TempoMark.of(bar.tempo()), x + 26, 11, TypeFace.bold(11), "accent");
    }
    if (Ritard.beginsIn(arrangement.song(), arrangement.timeline(), bar)) {
      ink.left(Ritard.SIGN, x + 26, 11, TypeFace.bold(11), "accent");
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
    boolean part = slot.played().isPart();
    String label =
        part ? Texts.of("stripPainter.then", harmony.label(naming)) : harmony.label(naming);
    double room = layout.x(system, Math.min(slot.toTick(), system.endTick())) - x - 16;
    Font font = fitting(label, part, room);
    ink.left(label, x + 8, 24, font, wrong ? "attention" : part ? "text-2" : "text");
    double after = x + 8 + Lettering.width(label, font) + 8;
    Optional<String> numeral =
        harmony instanceof Harmony.Sounding s && !part
            ? arrangement.song().key().map(k -> k.numeral(s.chord()))
            : Optional.empty();
    if (numeral.isPresent()
        && after + Lettering.width(numeral.get(), TypeFace.plain(11)) < x + room + 16) {
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
      ink.left(Texts.of("stripPainter.nothingHeld"), x + 8, y, TypeFace.plain(11), "attention");
    }
  }

  /** A chord's name is as large as the time that it has allows. */
  private static Font fitting(String label, boolean part, double room) {
    double size = part ? PART : NAME;
    while (size > LEAST_NAME && Lettering.width(label, font(part, size)) > room) {
      size--;
    }
    return font(part, size);
  }

  private static Font font(boolean part, double size) {
    return part ? TypeFace.plain(size) : TypeFace.bold(size);
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
}
