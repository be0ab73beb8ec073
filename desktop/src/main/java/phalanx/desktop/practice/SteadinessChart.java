package phalanx.desktop.practice;

import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.TypeFace;
import phalanx.desktop.texts.Texts;
import phalanx.picking.PickFinger;
import phalanx.practice.MatchedStroke;
import phalanx.practice.Steadiness;
import phalanx.practice.StrokeReport;

/** The last strokes of the thumb: each a dot, late above the middle line and early below. */
final class SteadinessChart extends Canvas {

  private static final int STROKES = 32;
  private static final double MOST = 50;
  private static final double LEFT = 34;

  private final Palette palette;

  SteadinessChart(Palette palette) {
    super(280, 150);
    this.palette = palette;
    setId("steadiness-chart");
  }

  /** Draws what was tapped last; empty where nothing was. */
  void paint(Optional<StrokeReport> report) {
    GraphicsContext gc = getGraphicsContext2D();
    gc.clearRect(0, 0, getWidth(), getHeight());
    gc.setFill(palette.get("paper"));
    gc.fillRoundRect(0, 0, getWidth(), getHeight(), 12, 12);
    Lettering ink = new Lettering(gc, palette);
    for (int ms : new int[] {40, 20, 0, -20, -40}) {
      gc.setStroke(palette.get(ms == 0 ? "muted" : "rule"));
      gc.setLineWidth(1);
      gc.strokeLine(LEFT, y(ms), getWidth() - 6, y(ms));
      ink.right((ms > 0 ? "+" : "") + ms, LEFT - 5, y(ms) + 4, TypeFace.plain(10.5), "muted");
    }
    ink.left(Texts.of("steadinessChart.late"), LEFT + 4, 14, TypeFace.plain(10.5), "text-2");
    ink.left(
        Texts.of("steadinessChart.early"),
        LEFT + 4,
        getHeight() - 6,
        TypeFace.plain(10.5),
        "text-2");
    report.ifPresent(r -> strokes(gc, r));
  }

  private double y(double ms) {
    double middle = getHeight() / 2;
    return middle - Math.max(-MOST, Math.min(MOST, ms)) / MOST * (middle - 12);
  }

  private void strokes(GraphicsContext gc, StrokeReport report) {
    List<MatchedStroke> thumb =
        report.matched().stream().filter(m -> m.stroke().isThumbs()).toList();
    thumb = thumb.subList(Math.max(0, thumb.size() - STROKES), thumb.size());
    if (thumb.isEmpty()) {
      return;
    }
    Steadiness all = report.thumb();
    double mean = 1000 * all.mean();
    double spread = 1000 * all.spread();
    gc.setFill(palette.get("selection"));
    gc.fillRect(LEFT, y(mean + spread), getWidth() - LEFT - 6, y(mean - spread) - y(mean + spread));
    gc.setStroke(palette.get("accent"));
    gc.setLineWidth(1.6);
    gc.setLineDashes(5, 4);
    gc.strokeLine(LEFT, y(mean), getWidth() - 6, y(mean));
    gc.setLineDashes();
    double step = (getWidth() - LEFT - 16) / STROKES;
    gc.setFill(palette.pick(PickFinger.P));
    for (int k = 0; k < thumb.size(); k++) {
      double x = LEFT + 6 + k * step;
      gc.setGlobalAlpha(0.4 + 0.6 * (k + 1) / thumb.size());
      gc.fillOval(x - 3, y(1000 * thumb.get(k).late()) - 3, 6, 6);
    }
    gc.setGlobalAlpha(1);
  }
}
