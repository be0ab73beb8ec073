package phalanx.desktop.fills;

import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import phalanx.advice.FittedRun;
import phalanx.arrangement.Note;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.TypeFace;
import phalanx.instrument.Tuning;
import phalanx.theory.Ticks;

/** A fill as it is played, in a small picture: time across, a fret's number on its string. */
final class FillPicture extends Canvas {

  private static final double EDGE = 7;

  private final Palette palette;
  private final Lettering ink;

  FillPicture(double width, double height, Palette palette) {
    super(width, height);
    this.palette = palette;
    ink = new Lettering(getGraphicsContext2D(), palette);
  }

  /** Shows a fill; bare strings while it is not known how it is played. */
  void show(Optional<FittedRun> fitted) {
    GraphicsContext gc = getGraphicsContext2D();
    gc.clearRect(0, 0, getWidth(), getHeight());
    gc.setStroke(palette.get("string"));
    gc.setLineWidth(1);
    for (int s = 0; s < Tuning.STRINGS; s++) {
      gc.strokeLine(1, y(s), getWidth() - 1, y(s));
    }
    fitted.ifPresent(this::paint);
  }

  private void paint(FittedRun fitted) {
    List<Note> notes = fitted.notes();
    int length = fitted.beats() * Ticks.PER_QUARTER;
    GraphicsContext gc = getGraphicsContext2D();
    for (Note note : notes) {
      double share = (double) (note.tick() - fitted.fromTick()) / length;
      double x = EDGE + (getWidth() - 2 * EDGE) * share;
      double y = y(note.string());
      gc.setFill(palette.get("field"));
      gc.fillRect(x - 3.5, y - 4, 7, 8);
      ink.centre(String.valueOf(note.fret()), x, y + 3.2, TypeFace.bold(9), "text");
    }
  }

  private double y(int string) {
    return 5 + (getHeight() - 10) * (Tuning.STRINGS - 1 - string) / (Tuning.STRINGS - 1);
  }
}
