package phalanx.desktop.neck;

import java.util.Map;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import phalanx.desktop.Palette;
import phalanx.desktop.TypeFace;
import phalanx.fretting.Grip;
import phalanx.fretting.Shape;
import phalanx.fretting.StringSign;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.Tuning;

/** Draws a neck with a shape on it, the reach of the hand, and where the fingers go next. */
final class NeckPainter {

  private static final double DOT = 9;
  private static final int[] MARKED_FRETS = {3, 5, 7, 9, 12, 15, 17, 19};

  private final GraphicsContext gc;
  private final Palette palette;
  private NeckLayout layout;

  NeckPainter(GraphicsContext gc, Palette palette) {
    this.gc = gc;
    this.palette = palette;
  }

  void paint(Guitar guitar, Hand hand, Shape shape, Optional<Shape> next, double w, double h) {
    int highest = Math.max(NeckLayout.highest(shape), next.map(NeckLayout::highest).orElse(0));
    layout = new NeckLayout(guitar, highest, w, h);
    gc.clearRect(0, 0, w, h);
    paintWood(guitar, h);
    paintReach(shape, hand, h);
    paintFrets(h);
    paintStrings(shape, h);
    next.ifPresent(n -> paintNext(shape, n));
    shape.grips().forEach(this::paintGrip);
  }

  private void paintWood(Guitar guitar, double h) {
    gc.setFill(palette.get("neck"));
    gc.fillRoundRect(NeckLayout.LEFT, 0, layout.right() - NeckLayout.LEFT, h - 14, 6, 6);
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
  private void paintReach(Shape shape, Hand hand, double h) {
    shape.grips().entrySet().stream()
        .filter(g -> g.getKey() != Finger.THUMB)
        .min(Map.Entry.comparingByKey())
        .ifPresent(
            lowest -> {
              int index = lowest.getValue().fret() - lowest.getKey().ordinal() + 1;
              double from = index >= 1 ? layout.tipX(index) : NeckLayout.LEFT;
              double ease = hand.comfortable(Finger.INDEX, Finger.LITTLE);
              double to = Math.min(layout.right(), from + layout.length(ease));
              gc.setFill(palette.get("reach"));
              gc.fillRect(from - 4, 0, to - from + 4, h - 14);
            });
  }

  private void paintFrets(double h) {
    for (int fret = 0; fret <= layout.lastFret(); fret++) {
      double x = layout.fretX(fret);
      gc.setStroke(palette.get(fret == 0 ? "nut" : "fret"));
      gc.setLineWidth(fret == 0 ? 5 : 1.5);
      gc.strokeLine(x, 0, x, h - 14);
      if (fret > 0) {
        double middle = (x + layout.fretX(fret - 1)) / 2;
        text(String.valueOf(fret), middle, h - 2, TypeFace.plain(10), palette.get("muted"));
      }
    }
  }

  private void paintStrings(Shape shape, double h) {
    for (int s = 0; s < Tuning.STRINGS; s++) {
      double left = layout.stringY(s, NeckLayout.LEFT);
      double right = layout.stringY(s, layout.right());
      boolean silent = !shape.sounds(s);
      gc.setStroke(palette.get(silent ? "neck-mark" : "neck-string"));
      gc.setLineWidth(0.9 + (Tuning.STRINGS - 1 - s) * 0.26);
      gc.setLineDashes(silent ? new double[] {3, 4} : new double[0]);
      gc.strokeLine(NeckLayout.LEFT, left, layout.right(), right);
      gc.setLineDashes();
      boolean open = shape.fret(s).orElse(Shape.SILENT) == 0;
      Color ink = palette.get(silent ? "muted" : "text");
      text(StringSign.of(s), 8, left + 4, TypeFace.plain(11), ink);
      text(silent ? "×" : open ? "○" : "", 23, left + 4, TypeFace.bold(11), ink);
    }
  }

  private void paintGrip(Finger finger, Grip grip) {
    double x = layout.tipX(grip.fret());
    double low = layout.stringY(grip.lowString(), x);
    double high = layout.stringY(grip.highString(), x);
    gc.setStroke(palette.get("finger"));
    gc.setLineCap(StrokeLineCap.ROUND);
    gc.setLineWidth(2 * DOT);
    gc.strokeLine(x, low, x, high);
    gc.setLineCap(StrokeLineCap.BUTT);
    text(finger.sign(), x, (low + high) / 2 + 4, TypeFace.bold(11.5), palette.get("finger-text"));
  }

  /** The fingers that come from elsewhere, dashed where they land. */
  private void paintNext(Shape shape, Shape next) {
    gc.setStroke(palette.get("ghost"));
    gc.setLineWidth(1.6);
    gc.setLineDashes(3, 2);
    next.grips()
        .forEach(
            (finger, grip) -> {
              Grip now = shape.grips().get(finger);
              if (!grip.equals(now)) {
                double x = layout.tipX(grip.fret());
                double low = layout.stringY(grip.lowString(), x);
                double high = layout.stringY(grip.highString(), x);
                double middle = (low + high) / 2;
                gc.strokeRoundRect(
                    x - DOT + 1, high - DOT + 1, 2 * DOT - 2, low - high + 2 * DOT - 2, 16, 16);
                if (now != null) {
                  double fromX = layout.tipX(now.fret());
                  gc.strokeLine(fromX, layout.stringY(now.lowString(), fromX), x, middle);
                }
                Color ghost = palette.get("ghost");
                text(finger.sign(), x, middle + 4, TypeFace.bold(10), ghost);
              }
            });
    gc.setLineDashes();
  }

  private void text(String text, double x, double y, Font font, Color ink) {
    gc.setFont(font);
    gc.setFill(ink);
    gc.setTextAlign(TextAlignment.CENTER);
    gc.fillText(text, x, y);
  }
}
