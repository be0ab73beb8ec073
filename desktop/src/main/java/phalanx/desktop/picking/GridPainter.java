package phalanx.desktop.picking;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import phalanx.arrangement.board.PatternFall;
import phalanx.arrangement.board.PatternFall.Work;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.TypeFace;
import phalanx.desktop.texts.Texts;
import phalanx.picking.Pattern;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.picking.Stroke;
import phalanx.picking.WrittenPattern;
import phalanx.theory.Meter;

/** Draws the grid of a pattern. Knows colours and lines, decides nothing. */
final class GridPainter {

  /** A repeat of one finger that is shown with its time when it is quicker, ms. */
  private static final double WORTH_SAYING = 250;

  private final GraphicsContext gc;
  private final Palette palette;
  private final Lettering ink;
  private final StrokePainter strokes;

  /**
   * What is drawn.
   *
   * @param pattern the pattern
   * @param parts equal parts of a beat that can be struck
   * @param fall how it falls on the selected chord, for the fingers' letters
   * @param tempo quarter notes a minute
   * @param cursorRow the row the keyboard is on
   * @param cursorTick the time the keyboard is on
   * @param focused whether keys go to the grid
   */
  record Picture(
      WrittenPattern pattern,
      int parts,
      Optional<PatternFall> fall,
      double tempo,
      GridLayout.Row cursorRow,
      int cursorTick,
      boolean focused) {

    Meter meter() {
      return pattern.meter();
    }

    /** The finger of a role's stroke. */
    Optional<PickFinger> finger(Role role, int tick) {
      return fall.flatMap(f -> f.finger(role, tick));
    }
  }

  GridPainter(GraphicsContext gc, Palette palette) {
    this.gc = gc;
    this.palette = palette;
    ink = new Lettering(gc, palette);
    strokes = new StrokePainter(gc, palette);
  }

  void paint(Picture picture, GridLayout layout, double w, double h) {
    gc.clearRect(0, 0, w, h);
    gc.setFill(palette.get("paper"));
    gc.fillRoundRect(0.5, 0.5, w - 1, h - 1, 20, 20);
    double top = layout.y(GridLayout.row(Role.THUMB)) - GridLayout.ROW / 2;
    gc.setFill(palette.get("attention-back"));
    gc.fillRect(1, top, w - 2, 3 * GridLayout.ROW);
    paintTimes(picture, layout);
    paintRows(layout, w);
    List<Pattern.Step> steps =
        picture.pattern().pattern().steps().stream().filter(s -> layout.shows(s.tick())).toList();
    for (Pattern.Step step : steps) {
      strokes.paintBehind(step, layout);
    }
    for (Pattern.Step step : steps) {
      for (Stroke stroke : step.strokes()) {
        strokes.paint(picture, layout, stroke, step.tick());
      }
    }
    paintQuickest(picture, layout);
    if (picture.focused()) {
      paintCursor(picture, layout);
    }
    gc.setStroke(palette.get("line"));
    gc.setLineWidth(1);
    gc.strokeRoundRect(0.5, 0.5, w - 1, h - 1, 20, 20);
  }

  private void paintTimes(Picture picture, GridLayout layout) {
    Meter meter = picture.meter();
    for (int tick : layout.ticks()) {
      double x = layout.x(tick);
      boolean beat = tick % meter.beatTicks() == 0;
      gc.setStroke(palette.get(beat ? "edge" : "rule"));
      gc.setLineWidth(tick % meter.barTicks() == 0 ? 2 : 1);
      gc.strokeLine(x, GridLayout.TOP - 18, x, layout.bottom());
    }
    for (int bar = layout.from(); bar < layout.to(); bar += meter.barTicks()) {
      for (Meter.Syllable word : meter.syllables(picture.parts())) {
        double x = layout.x(bar + word.tick());
        String shade = word.onBeat() ? "text" : "muted";
        ink.centre(
            word.word(), x, layout.bottom() + 18, TypeFace.bold(word.onBeat() ? 14 : 12), shade);
      }
    }
    int bars = picture.pattern().bars();
    String where =
        bars > 1
            ? Texts.of(
                "gridPainter.barsOf",
                layout.from() / meter.barTicks() + 1,
                layout.to() / meter.barTicks(),
                bars)
            : Texts.of("gridPainter.rolesHighToLow");
    ink.left(where, 14, 20, TypeFace.plain(11), "muted");
  }

  private void paintRows(GridLayout layout, double w) {
    for (GridLayout.Row row : GridLayout.ROWS) {
      double y = layout.y(row);
      gc.setStroke(palette.get(row == GridLayout.HITS ? "rule" : "string"));
      gc.setLineWidth(row.isThumb() ? 1.6 : 1);
      gc.strokeLine(GridLayout.LEFT, y, w - 10, y);
      boolean main = row.role().filter(r -> r == Role.TUNE || r == Role.THUMB).isPresent();
      String shade = row.isThumb() ? "pick-p" : "text";
      ink.left(row.name(), 14, y + 4.5, main ? TypeFace.bold(13) : TypeFace.plain(13), shade);
      if (row.role().equals(Optional.of(Role.THUMB))) {
        double behind = 20 + Lettering.width(row.name(), TypeFace.bold(13));
        ink.left(Texts.of("gridPainter.route"), behind, y + 4.5, TypeFace.plain(10), shade);
      }
    }
  }

  /** Where one finger comes back soonest, with its time. */
  private void paintQuickest(Picture picture, GridLayout layout) {
    Map<PickFinger, Work> work = picture.fall().map(f -> f.work(picture.tempo())).orElse(Map.of());
    work.entrySet().stream()
        .filter(e -> e.getValue().quickestMillis() < WORTH_SAYING)
        .min((a, b) -> Double.compare(a.getValue().quickestMillis(), b.getValue().quickestMillis()))
        .ifPresent(
            e -> {
              Work w = e.getValue();
              int until = w.quickestTick() + w.quickestTicks();
              if (layout.shows(w.quickestTick()) && until <= layout.to()) {
                arc(
                    layout.x(w.quickestTick()),
                    layout.x(until),
                    Texts.of("gridPainter.ms", e.getKey().letter(), w.quickestMillis()),
                    palette.pick(e.getKey()));
              }
            });
  }

  private void arc(double from, double to, String words, Color tint) {
    double y = GridLayout.TOP - 17;
    gc.setStroke(tint);
    gc.setLineWidth(1.4);
    gc.beginPath();
    gc.moveTo(from, y);
    gc.quadraticCurveTo((from + to) / 2, y - 12, to, y);
    gc.stroke();
    ink.centre(words, (from + to) / 2, y - 10, TypeFace.bold(11), tint);
  }

  private void paintCursor(Picture picture, GridLayout layout) {
    double x = layout.x(picture.cursorTick());
    double y = layout.y(picture.cursorRow());
    double width = StrokePainter.chipWidth(layout) + 8;
    double height = StrokePainter.CHIP_HEIGHT + 6;
    gc.setStroke(palette.get("accent"));
    gc.setLineWidth(2);
    gc.strokeRoundRect(x - width / 2, y - height / 2, width, height, 14, 14);
  }
}
