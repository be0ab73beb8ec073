package phalanx.desktop.practice;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.TypeFace;
import phalanx.desktop.texts.Texts;
import phalanx.text.Language;
import phalanx.text.Phrase;

/** A figure over the days it was measured, as a line of dots, with a goal where it has one. */
final class WeeksChart extends Canvas {

  private static final double LEFT = 34;
  private static final double BOTTOM = 20;
  private static final double TOP = 12;
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern(Texts.of("weeksChart.dMmm"), Language.spoken().dates());

  private final Palette palette;

  WeeksChart(String id, Palette palette) {
    super(280, 150);
    this.palette = palette;
    setId(id);
  }

  /**
   * Draws a figure.
   *
   * @param figures by day
   * @param goal a line across, where it leads
   */
  void paint(Map<LocalDate, Double> figures, OptionalDouble goal) {
    GraphicsContext gc = getGraphicsContext2D();
    gc.clearRect(0, 0, getWidth(), getHeight());
    gc.setFill(palette.get("paper"));
    gc.fillRoundRect(0, 0, getWidth(), getHeight(), 12, 12);
    Lettering ink = new Lettering(gc, palette);
    TreeMap<LocalDate, Double> days = new TreeMap<>(figures);
    if (days.isEmpty()) {
      ink.left(
          Texts.of("weeksChart.nothingMeasuredYet"),
          LEFT,
          getHeight() / 2,
          TypeFace.plain(12),
          "text-2");
      setAccessibleText(Texts.of("weeksChart.nothingMeasuredYet"));
      return;
    }
    double low = days.values().stream().mapToDouble(d -> d).min().orElse(0);
    double high = days.values().stream().mapToDouble(d -> d).max().orElse(1);
    high = goal.isPresent() ? Math.max(high, goal.getAsDouble()) : high;
    double room = Math.max(1, (high - low) * 0.12);
    Scale scale = new Scale(low - room, high + room, days.firstKey(), days.lastKey());
    for (double figure : new double[] {low, high}) {
      gc.setStroke(palette.get("rule"));
      gc.setLineWidth(1);
      gc.strokeLine(LEFT, y(scale, figure), getWidth() - 6, y(scale, figure));
      String words = Phrase.of("%.0f", figure);
      ink.right(words, LEFT - 5, y(scale, figure) + 4, TypeFace.plain(10.5), "muted");
    }
    goal.ifPresent(g -> goal(gc, scale, g));
    line(gc, scale, days);
    double floor = getHeight() - 6;
    ink.left(DAY.format(days.firstKey()), LEFT, floor, TypeFace.plain(10.5), "text-2");
    if (days.size() > 1) {
      String last = DAY.format(days.lastKey());
      ink.right(last, getWidth() - 8, floor, TypeFace.plain(10.5), "text-2");
    }
    setAccessibleText(
        Texts.of(
            "weeksChart.fromOnToOn",
            days.firstEntry().getValue(),
            DAY.format(days.firstKey()),
            days.lastEntry().getValue(),
            DAY.format(days.lastKey())));
  }

  private void goal(GraphicsContext gc, Scale scale, double goal) {
    gc.setStroke(palette.get("attention"));
    gc.setLineWidth(1.4);
    gc.setLineDashes(6, 4);
    gc.strokeLine(LEFT, y(scale, goal), getWidth() - 6, y(scale, goal));
    gc.setLineDashes();
  }

  private void line(GraphicsContext gc, Scale scale, TreeMap<LocalDate, Double> days) {
    gc.setStroke(palette.get("accent"));
    gc.setFill(palette.get("accent"));
    gc.setLineWidth(1.6);
    double beforeX = Double.NaN;
    double beforeY = 0;
    for (Map.Entry<LocalDate, Double> day : days.entrySet()) {
      double x = x(scale, day.getKey());
      double y = y(scale, day.getValue());
      if (!Double.isNaN(beforeX)) {
        gc.strokeLine(beforeX, beforeY, x, y);
      }
      gc.fillOval(x - 3, y - 3, 6, 6);
      beforeX = x;
      beforeY = y;
    }
  }

  private double x(Scale scale, LocalDate day) {
    double all = Math.max(1, scale.to().toEpochDay() - scale.from().toEpochDay());
    double share = (day.toEpochDay() - scale.from().toEpochDay()) / all;
    return LEFT + 6 + share * (getWidth() - LEFT - 18);
  }

  private double y(Scale scale, double figure) {
    double share = (figure - scale.low()) / (scale.high() - scale.low());
    return getHeight() - BOTTOM - share * (getHeight() - BOTTOM - TOP);
  }

  private record Scale(double low, double high, LocalDate from, LocalDate to) {}
}
