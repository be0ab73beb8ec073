package phalanx.desktop.practice;

import java.util.List;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.TypeFace;
import phalanx.desktop.texts.Texts;
import phalanx.practice.Outcome;
import phalanx.practice.TempoLadder;
import phalanx.song.Pulse;
import phalanx.text.Phrase;

/**
 * The tempos of the attempts at a drill as bars, clean ones filled, under the tempo it leads to.
 */
final class LadderChart extends Canvas {

  private static final double LEFT = 44;
  private static final double BOTTOM = 26;
  private static final double TOP = 26;
  private static final int PLACES = 20;

  private final Palette palette;
  private Pulse pulse = new Pulse(false);

  LadderChart(Palette palette) {
    this.palette = palette;
    setId("ladder-chart");
  }

  /** Draws a ladder; the newest attempts where there are more than fit. */
  void paint(TempoLadder ladder, Pulse in) {
    pulse = in;
    GraphicsContext gc = getGraphicsContext2D();
    gc.clearRect(0, 0, getWidth(), getHeight());
    Lettering ink = new Lettering(gc, palette);
    double goal = ladder.goal().goal();
    List<TempoLadder.Attempt> all = ladder.attempts();
    int first = Math.max(0, all.size() + 1 - PLACES);
    double least = Math.min(ladder.goal().start(), ladder.tempo());
    for (TempoLadder.Attempt attempt : all) {
      least = Math.min(least, attempt.tempo());
    }
    Scale scale = new Scale(Math.max(0, least - 6), goal + 2, getHeight());
    rules(gc, ink, scale, goal);
    double width = (getWidth() - LEFT - 8) / PLACES;
    for (int a = first; a < all.size(); a++) {
      bar(gc, scale, LEFT + (a - first) * width, width, all.get(a));
      number(ink, LEFT + (a - first + 0.5) * width, a + 1, "muted");
    }
    double x = LEFT + (all.size() - first) * width;
    double y = scale.y(ladder.tempo());
    gc.setStroke(palette.get("accent"));
    gc.setLineWidth(1.4);
    gc.setLineDashes(4, 3);
    gc.strokeRect(x + 2, y, width - 4, getHeight() - BOTTOM - y);
    gc.setLineDashes();
    ink.centre(told(ladder.tempo()), x + width / 2, y - 5, TypeFace.bold(12), "text");
    number(ink, x + width / 2, all.size() + 1, "text");
  }

  private String told(double quarters) {
    return Phrase.of("%.0f", pulse.beats(quarters));
  }

  private void number(Lettering ink, double x, int number, String shade) {
    ink.centre(String.valueOf(number), x, getHeight() - 10, TypeFace.plain(11), shade);
  }

  private void rules(GraphicsContext gc, Lettering ink, Scale scale, double goal) {
    gc.setLineWidth(1);
    int step = goal - scale.low() > 60 ? 20 : 10;
    for (int t = (int) Math.ceil(scale.low() / step) * step; t < goal - step / 3.0; t += step) {
      gc.setStroke(palette.get("rule"));
      gc.strokeLine(LEFT, scale.y(t), getWidth() - 8, scale.y(t));
      ink.right(told(t), LEFT - 8, scale.y(t) + 4, TypeFace.plain(11), "muted");
    }
    gc.setStroke(palette.get("attention"));
    gc.setLineWidth(1.6);
    gc.setLineDashes(7, 5);
    gc.strokeLine(LEFT, scale.y(goal), getWidth() - 8, scale.y(goal));
    gc.setLineDashes();
    String words = told(goal);
    ink.right(words, LEFT - 8, scale.y(goal) + 4, TypeFace.bold(12), "attention");
    ink.right(
        Texts.of("ladderChart.goal", pulse.mark(goal)),
        getWidth() - 10,
        scale.y(goal) - 6,
        TypeFace.plain(11),
        "attention");
    gc.setStroke(palette.get("edge"));
    gc.setLineWidth(1);
    gc.strokeLine(LEFT, getHeight() - BOTTOM, getWidth() - 8, getHeight() - BOTTOM);
  }

  private void bar(
      GraphicsContext gc, Scale scale, double x, double width, TempoLadder.Attempt attempt) {
    double y = scale.y(attempt.tempo());
    double height = getHeight() - BOTTOM - y;
    gc.setStroke(palette.get("accent"));
    gc.setLineWidth(1.4);
    switch (attempt.outcome()) {
      case CLEAN -> {
        gc.setFill(palette.get("accent"));
        gc.setGlobalAlpha(0.72);
        gc.fillRect(x + 1, y, width - 2, height);
        gc.setGlobalAlpha(1);
        gc.fillRect(x + 1, y, width - 2, 3);
      }
      case MISSED -> gc.strokeRect(x + 2, y, width - 4, height);
      default -> {
        gc.setFill(palette.get("rule"));
        gc.fillRect(x + 1, y, width - 2, height);
      }
    }
  }

  /** What it shows, for those who do not see it. */
  static String words(TempoLadder ladder) {
    long clean = ladder.attempts().stream().filter(a -> a.outcome() == Outcome.CLEAN).count();
    return Texts.of(
        "ladderChart.attemptsCleanNowAt",
        ladder.attempts().size(),
        clean,
        ladder.tempo(),
        ladder.goal().goal());
  }

  /** From a tempo to a height. */
  private record Scale(double low, double high, double height) {
    double y(double tempo) {
      double share = (tempo - low) / Math.max(1, high - low);
      return height - BOTTOM - share * (height - BOTTOM - TOP);
    }
  }
}
