package phalanx.desktop.neck;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.Font;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.TypeFace;
import phalanx.desktop.texts.Texts;
import phalanx.fretting.ChangeCosts.FingerMove;
import phalanx.fretting.ChangeCosts.Motion;
import phalanx.fretting.Grip;
import phalanx.fretting.Muting;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;

/** Draws a neck with a shape on it, the reach of the hand, and where the fingers go next. */
final class NeckPainter {

  private static final int[] MARKED_FRETS = {3, 5, 7, 9, 12, 15, 17, 19};

  private final GraphicsContext gc;
  private final Palette palette;
  private final Lettering ink;
  private final NeckSize size;
  private NeckLayout layout;
  private NeckPicture picture;

  NeckPainter(GraphicsContext gc, Palette palette, NeckSize size) {
    this.gc = gc;
    this.palette = palette;
    ink = new Lettering(gc, palette);
    this.size = size;
  }

  void paint(NeckPicture painted, NeckLayout where, double w, double h) {
    picture = painted;
    layout = where;
    gc.clearRect(0, 0, w, h);
    paintWood();
    paintReach();
    paintFrets(h);
    paintStrings();
    picture.next().ifPresent(this::paintNext);
    picture.shape().grips().forEach(this::paintGrip);
    picture.marks().forEach(this::paintMark);
    picture.cursor().ifPresent(this::paintCursor);
  }

  private void band(double from, double to) {
    gc.fillPolygon(
        new double[] {from, to, to, from},
        new double[] {
          layout.woodTop(from), layout.woodTop(to), layout.woodBottom(to), layout.woodBottom(from)
        },
        4);
  }

  private void paintWood() {
    Guitar guitar = picture.guitar();
    gc.setFill(palette.get("neck"));
    band(layout.nut(), layout.end());
    int join = guitar.bodyJoin() - guitar.capo();
    if (join <= layout.lastFret()) {
      gc.setFill(palette.get("neck-body"));
      band(layout.fretX(join), layout.end());
    }
    gc.setFill(palette.get("neck-mark"));
    for (int fret : MARKED_FRETS) {
      int shown = fret - guitar.capo();
      if (shown >= 1 && shown <= layout.lastFret()) {
        double x = (layout.fretX(shown) + layout.fretX(shown - 1)) / 2;
        double y = (layout.stringY(2, x) + layout.stringY(3, x)) / 2;
        gc.fillOval(x - 4, y - 4, 8, 8);
      }
    }
  }

  /** From the index finger, or where it would be, as far as the little finger comes at ease. */
  private void paintReach() {
    Optional<Map.Entry<Finger, Grip>> lowest =
        picture.shape().grips().entrySet().stream()
            .filter(g -> g.getKey() != Finger.THUMB)
            .min(Map.Entry.comparingByKey());
    if (lowest.isEmpty()) {
      return;
    }
    Hand hand = picture.hand();
    int index = lowest.get().getValue().fret() - lowest.get().getKey().ordinal() + 1;
    double from = layout.turn(index >= 1 ? layout.tipX(index) : layout.nut());
    double ease = layout.length(hand.comfortable(Finger.INDEX, Finger.LITTLE));
    double limit = layout.length(hand.limit(Finger.INDEX, Finger.LITTLE));
    double end = layout.turn(layout.end());
    gc.setFill(palette.get("reach"));
    band(layout.turn(from - 4), layout.turn(Math.min(end, from + ease)));
    if (size.explains()) {
      gc.setFill(palette.get("reach-limit"));
      band(layout.turn(Math.min(end, from + ease)), layout.turn(Math.min(end, from + limit)));
    }
  }

  private void paintFrets(double h) {
    for (int fret = 0; fret <= layout.lastFret(); fret++) {
      double x = layout.fretX(fret);
      gc.setStroke(palette.get(fret == 0 ? "nut" : "fret"));
      gc.setLineWidth(fret == 0 ? 5 : 1.5);
      gc.strokeLine(x, layout.woodTop(x), x, layout.woodBottom(x));
      if (fret > 0) {
        double middle = (x + layout.fretX(fret - 1)) / 2;
        ink.centre(String.valueOf(fret), middle, h - 2, TypeFace.plain(10), palette.get("muted"));
      }
    }
  }

  private void paintStrings() {
    Shape shape = picture.shape();
    Map<Integer, Muting.Muted> muted = new HashMap<>();
    Muting.of(shape).forEach(m -> muted.put(m.string(), m));
    for (int s = 0; s < Tuning.STRINGS; s++) {
      double nut = layout.stringY(s, layout.nut());
      double end = layout.stringY(s, layout.end());
      boolean silent = !shape.sounds(s);
      gc.setStroke(palette.get(silent ? "neck-mark" : "neck-string"));
      gc.setLineWidth(0.9 + (Tuning.STRINGS - 1 - s) * 0.26);
      gc.setLineDashes(silent ? new double[] {3, 4} : new double[0]);
      gc.strokeLine(layout.nut(), nut, layout.end(), end);
      gc.setLineDashes();
      boolean open = shape.fret(s).orElse(Shape.SILENT) == 0;
      String shade = silent ? "muted" : "text";
      double beside = layout.turn(layout.nut());
      ink.centre(StringSign.of(s), layout.turn(8), nut + 4, TypeFace.plain(11.5), shade);
      String sign = silent ? "×" : open ? "○" : "";
      ink.centre(sign, layout.turn(beside - 11), nut + 4, TypeFace.bold(12), shade);
      if (size.explains() && silent) {
        String why = muted.get(s).words().replace(Texts.of("neckPainter.mutedByThe"), "");
        ink.centre(why, layout.turn(18 + (beside - 38) / 2), nut + 4, TypeFace.plain(10), shade);
      }
    }
  }

  private void paintGrip(Finger finger, Grip grip) {
    double dot = size.dot();
    double x = layout.tipX(grip.fret());
    double low = layout.stringY(grip.lowString(), x);
    double high = layout.stringY(grip.highString(), x);
    gc.setStroke(palette.get("finger"));
    gc.setLineCap(StrokeLineCap.ROUND);
    gc.setLineWidth(2 * dot);
    gc.strokeLine(x, low, x, high);
    boolean rests = picture.resting().contains(finger);
    if (rests) {
      gc.setStroke(palette.get("neck"));
      gc.setLineWidth(2 * dot - 3);
      gc.strokeLine(x, low, x, high);
    }
    gc.setLineCap(StrokeLineCap.BUTT);
    Font font = TypeFace.bold(dot + 2.5);
    String shade = rests ? "finger" : "finger-text";
    ink.centre(finger.sign(), x, (low + high) / 2 + dot * 0.45, font, palette.get(shade));
  }

  /** The fingers that come from elsewhere, dashed where they land. */
  private void paintNext(Shape next) {
    gc.setStroke(palette.get("ghost"));
    gc.setLineWidth(1.6);
    gc.setLineDashes(3, 2);
    next.grips().forEach(this::paintLanding);
    gc.setLineDashes();
  }

  private void paintLanding(Finger finger, Grip grip) {
    Grip now = picture.shape().grips().get(finger);
    if (grip.equals(now) || grip.fret() > layout.lastFret()) {
      return;
    }
    double dot = size.dot() - 1;
    double x = layout.tipX(grip.fret());
    double low = layout.stringY(grip.lowString(), x);
    double high = layout.stringY(grip.highString(), x);
    double middle = (low + high) / 2;
    gc.strokeRoundRect(
        x - dot, high - dot, 2 * dot, low - high + 2 * dot, 2 * dot - 2, 2 * dot - 2);
    Color ghost = palette.get("ghost");
    if (now != null) {
      double fromX = layout.tipX(now.fret());
      double fromY = layout.stringY(now.lowString(), fromX);
      gc.strokeLine(fromX, fromY, x, middle);
      way(finger)
          .filter(m -> size.explains())
          .ifPresent(
              m -> {
                String words = Texts.of("neckPainter.mm", m.millimetres());
                double aside = Math.abs(fromX - x) < 12 ? 30 : 0;
                double y = (fromY + middle) / 2 + (aside > 0 ? 4 : -4);
                ink.centre(words, (fromX + x) / 2 + aside, y, TypeFace.bold(10), ghost);
              });
    }
    ink.centre(finger.sign(), x, middle + dot * 0.45, TypeFace.bold(dot + 1.5), ghost);
  }

  private Optional<FingerMove> way(Finger finger) {
    return picture.moves().stream()
        .filter(m -> m.finger() == finger)
        .filter(m -> m.motion() == Motion.MOVES || m.motion() == Motion.SLIDES)
        .findFirst();
  }

  /** A place within reach with its note; on a finger of the shape the finger stays to be seen. */
  private void paintMark(NeckPicture.Mark mark) {
    if (mark.fret() > layout.lastFret() || mark.fret() == 0) {
      return;
    }
    double x = layout.tipX(mark.fret());
    double y = layout.stringY(mark.string(), x);
    gc.setFill(palette.get(mark.strong() ? "finger" : "neck"));
    gc.fillOval(x - 8, y - 8, 16, 16);
    gc.setStroke(palette.get("ghost"));
    gc.setLineWidth(1.3);
    gc.strokeOval(x - 8, y - 8, 16, 16);
    String shade = mark.strong() ? "finger-text" : "ghost";
    ink.centre(mark.word(), x, y + 3.6, TypeFace.bold(9.5), palette.get(shade));
  }

  private void paintCursor(int place) {
    int fret = place % 100;
    double x = fret == 0 ? layout.turn(layout.turn(layout.nut()) - 11) : layout.tipX(fret);
    double y = layout.stringY(place / 100, x);
    double r = size.dot() + 3;
    gc.setStroke(palette.get(fret == 0 ? "accent" : "ghost"));
    gc.setLineWidth(2);
    gc.strokeRect(x - r, y - r, 2 * r, 2 * r);
  }
}
