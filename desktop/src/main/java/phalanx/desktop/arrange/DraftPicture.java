package phalanx.desktop.arrange;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.desktop.drawing.HitSigns;
import phalanx.desktop.drawing.Palette;
import phalanx.instrument.Tuning;
import phalanx.song.Timeline.PlayedBar;

/** Two bars of a draft as small tablature, in the colours of the fingers that pluck. */
final class DraftPicture extends Canvas {

  private static final double HEIGHT = 58;
  private static final double TOP = 6;
  private static final double GAP = 8;
  private static final double EDGE = 8;
  private static final double FRET = 9.5;

  /** Half of what a figure hides of its line. */
  private static final double HALO = 3.6;

  private final Palette palette;
  private final List<PlayedBar> bars;

  DraftPicture(Arrangement a, List<PlayedBar> bars, double width, Palette palette) {
    super(width, HEIGHT);
    this.palette = palette;
    this.bars = bars;
    GraphicsContext gc = getGraphicsContext2D();
    gc.setStroke(palette.get("string"));
    gc.setLineWidth(0.8);
    for (int string = 0; string < Tuning.STRINGS; string++) {
      gc.strokeLine(EDGE / 2, y(string), width - EDGE / 2, y(string));
    }
    gc.setFont(Font.font("Inter", FRET));
    gc.setTextAlign(TextAlignment.CENTER);
    gc.setTextBaseline(VPos.CENTER);
    for (PlayedBar bar : bars) {
      gc.strokeLine(x(bar.startTick()) - EDGE / 2, y(5), x(bar.startTick()) - EDGE / 2, y(0));
    }
    gc.strokeLine(width - EDGE / 2, y(5), width - EDGE / 2, y(0));
    for (Note note : a.notesFrom(from(), to())) {
      paint(gc, note);
    }
    for (Gesture gesture : a.gesturesFrom(from(), to())) {
      if (gesture instanceof Gesture.Hit hit) {
        new HitSigns(gc, palette).paint(hit.kind(), x(hit.tick()), HEIGHT - 4, 2.6);
      }
    }
  }

  private void paint(GraphicsContext gc, Note note) {
    double x = x(note.tick());
    double y = y(note.string());
    gc.setFill(palette.get("field"));
    gc.fillRect(x - HALO, y - HALO, 2 * HALO, 2 * HALO);
    gc.setFill(palette.stroke(note.pick()));
    gc.fillText(String.valueOf(note.fret()), x, y);
  }

  private int from() {
    return bars.isEmpty() ? 0 : bars.get(0).startTick();
  }

  private int to() {
    return bars.isEmpty() ? 1 : bars.get(bars.size() - 1).endTick();
  }

  private double x(int tick) {
    return EDGE + (getWidth() - 2 * EDGE) * (tick - from()) / (to() - from());
  }

  private static double y(int string) {
    return TOP + GAP * (Tuning.STRINGS - 1 - string);
  }
}
