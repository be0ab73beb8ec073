package phalanx.desktop.picking;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.arrangement.board.PatternFall;
import phalanx.desktop.drawing.CanvasWidth;
import phalanx.desktop.drawing.HitSigns;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.TypeFace;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
import phalanx.picking.PickFinger;
import phalanx.song.Harmony;
import phalanx.technique.Technique;
import phalanx.theory.Meter;

/** How the pattern falls on chords of the song: strings, fingers, the thumb's way. */
final class FallsView extends Canvas {

  private static final int BOXES = 4;
  private static final double GAP = 8;
  private static final double STRINGS_TOP = 44;
  private static final double STRING_GAP = 14;
  private static final double DOT = 3.8;
  private static final double RING = 7.4;

  private final Workspace workspace;
  private final Palette palette;
  private final Lettering ink;
  private final HitSigns hits;

  FallsView(Workspace workspace, double width, double height, Palette palette) {
    super(width, height);
    this.workspace = workspace;
    this.palette = palette;
    ink = new Lettering(getGraphicsContext2D(), palette);
    hits = new HitSigns(getGraphicsContext2D(), palette);
    setId("falls");
    workspace.models().patterns().fallsProperty().addListener(o -> repaint());
    workspace.viewing().namingProperty().addListener(o -> repaint());
    repaint();
  }

  /** Takes the width of what it lies in. */
  void fill(Region room, double beside) {
    CanvasWidth.follow(this, room, beside, this::repaint);
  }

  private void repaint() {
    getGraphicsContext2D().clearRect(0, 0, getWidth(), getHeight());
    List<PatternFall> falls = workspace.models().patterns().fallsProperty().get();
    double box = (getWidth() - (BOXES - 1) * GAP) / BOXES;
    for (int f = 0; f < Math.min(BOXES, falls.size()); f++) {
      paint(falls.get(f), f * (box + GAP), box);
    }
  }

  private void paint(PatternFall fall, double left, double width) {
    GraphicsContext gc = getGraphicsContext2D();
    gc.setFill(palette.get("paper"));
    gc.fillRoundRect(left + 0.5, 0.5, width - 1, getHeight() - 1, 20, 20);
    gc.setStroke(palette.get("line"));
    gc.setLineWidth(1);
    gc.strokeRoundRect(left + 0.5, 0.5, width - 1, getHeight() - 1, 20, 20);
    String chord = fall.harmony().label(workspace.viewing().namingProperty().get());
    ink.left(chord, left + 12, 23, TypeFace.bold(15), "text");
    ink.right(fall.shape().fretText(), left + width - 12, 22, TypeFace.plain(11), "muted");
    for (int s = 0; s < Tuning.STRINGS; s++) {
      double y = y(s);
      ink.centre(StringSign.of(s), left + 16, y + 4, TypeFace.plain(10), "muted");
      gc.setStroke(palette.get("string"));
      gc.setLineWidth(0.7 + (Tuning.STRINGS - 1 - s) * 0.18);
      gc.strokeLine(left + 28, y, left + width - 10, y);
    }
    paintNotes(fall, left, width);
    Optional<String> remark = fall.remarks().stream().findFirst();
    if (remark.isPresent()) {
      String words = shortened(remark.get(), width - 34);
      ink.left(words, left + 10, getHeight() - 11, TypeFace.plain(10), "attention");
    } else {
      paintThumb(fall, left, width);
    }
  }

  /** The strings the thumb takes in turn, with the notes they sound. */
  private void paintThumb(PatternFall fall, double left, double width) {
    double y = getHeight() - 15;
    ink.left(Texts.of("fallsView.thumb"), left + 12, y + 4, TypeFace.plain(11), "muted");
    double x = left + 56;
    List<Note> bass =
        fall.notes().stream().filter(n -> n.part() == Note.Part.BASS).limit(4).toList();
    for (Note note : bass) {
      String name = fall.harmony() instanceof Harmony.Sounding s ? name(s, note) : "";
      if (x < left + width - 34) {
        ink.left(StringSign.of(note.string()), x, y + 4, TypeFace.plain(12), "pick-p");
        ink.left(name, x + 19, y + 4, TypeFace.plain(11), "text");
        x += 38;
      }
    }
  }

  /** The note as fretted, in the chord's spelling. */
  private String name(Harmony.Sounding harmony, Note note) {
    int chroma = Math.floorMod(note.midi() - workspace.song().guitar().capo(), 12);
    return harmony
        .chord()
        .spelling(chroma)
        .map(n -> workspace.viewing().namingProperty().get().name(n))
        .orElse("");
  }

  private static String shortened(String words, double room) {
    String shown = words;
    while (Lettering.width(shown, TypeFace.plain(10)) > room && shown.contains(" ")) {
      shown = shown.substring(0, shown.lastIndexOf(' '));
    }
    return shown.equals(words) ? words : shown + " …";
  }

  private static double y(int string) {
    return STRINGS_TOP + (Tuning.STRINGS - 1 - string) * STRING_GAP;
  }

  private void paintNotes(PatternFall fall, double left, double width) {
    GraphicsContext gc = getGraphicsContext2D();
    double from = left + 40;
    double room = width - 56;
    double letters = y(0) + 24;
    Meter meter = workspace.models().patterns().shownProperty().get().meter();
    for (int bar = 0; bar * meter.barTicks() < fall.lengthTicks(); bar++) {
      for (Meter.Syllable word : meter.syllables()) {
        int tick = bar * meter.barTicks() + word.tick();
        double x = from + room * tick / fall.lengthTicks();
        String shade = word.onBeat() ? "text-2" : "muted";
        ink.centre(word.word(), x, letters + 32, TypeFace.plain(10), shade);
      }
    }
    paintGestures(fall, from, room, letters);
    TreeMap<Integer, Integer> fingers = new TreeMap<>();
    Set<String> written = new HashSet<>();
    for (Note note : fall.notes()) {
      if (note.isBrushed()) {
        continue;
      }
      double x = from + room * (note.tick() + note.delayTicks()) / fall.lengthTicks();
      boolean thumb = note.isPickedBy(PickFinger.P);
      if (thumb) {
        gc.setFill(palette.get("paper"));
        gc.fillOval(x - RING, y(note.string()) - RING, 2 * RING, 2 * RING);
        gc.setStroke(palette.stroke(note.pick()));
        gc.setLineWidth(1.5);
        gc.strokeOval(x - RING, y(note.string()) - RING, 2 * RING, 2 * RING);
        ink.centre(
            String.valueOf(note.fret()), x, y(note.string()) + 3.8, TypeFace.plain(10.5), "text");
      } else {
        gc.setFill(palette.stroke(note.pick()));
        gc.fillOval(x - DOT, y(note.string()) - DOT, 2 * DOT, 2 * DOT);
      }
      note.techniques().stream()
          .map(Technique::sign)
          .findFirst()
          .ifPresent(
              sign -> ink.left(sign, x + RING, y(note.string()) - 3, TypeFace.bold(8), "text-2"));
      if (!written.add(note.tick() + note.letter())) {
        continue;
      }
      int already = thumb ? 0 : fingers.merge(note.tick(), 1, Integer::sum) - 1;
      double row = thumb ? letters + 16 : letters;
      double aside = already * 7 + from + room * note.tick() / fall.lengthTicks();
      ink.centre(note.letter(), aside, row, TypeFace.boldItalic(12), palette.stroke(note.pick()));
    }
  }

  private void paintGestures(PatternFall fall, double from, double room, double letters) {
    GraphicsContext gc = getGraphicsContext2D();
    for (Gesture gesture : fall.gestures()) {
      double x = from + room * gesture.tick() / fall.lengthTicks();
      if (gesture instanceof Gesture.Hit hit) {
        hits.paint(hit.kind(), x, letters + 45, 4.5);
      } else if (gesture instanceof Gesture.Brush brush) {
        Color tint = palette.pick(brush.touch().letter());
        double back = brush.towardsTreble() ? 8 : -8;
        double tip = y(brush.to());
        gc.setFill(tint.deriveColor(0, 1, 1, 0.55));
        gc.fillRect(
            x - 2,
            Math.min(y(brush.from()), tip + back),
            4,
            Math.abs(y(brush.from()) - tip - back));
        gc.fillPolygon(
            new double[] {x - 6, x + 6, x},
            new double[] {tip + back, tip + back, tip - back / 4},
            3);
        boolean thumb = brush.touch().letter() == PickFinger.P;
        ink.centre(
            brush.touch().letter().letter(),
            x,
            thumb ? letters + 16 : letters,
            TypeFace.boldItalic(12),
            tint);
      }
    }
  }
}
