package phalanx.desktop.picking;

import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import phalanx.arrangement.PatternFall;
import phalanx.desktop.Lettering;
import phalanx.desktop.Palette;
import phalanx.desktop.TypeFace;
import phalanx.picking.Pattern;
import phalanx.picking.PatternEdits;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.theory.Meter;

/** Draws the grid of a pattern. Knows colours and lines, decides nothing. */
final class GridPainter {

  private static final double CHIP_WIDTH = 32;
  private static final double CHIP_HEIGHT = 25;

  private final GraphicsContext gc;
  private final Palette palette;
  private final Lettering ink;

  /**
   * What is drawn.
   *
   * @param meter its metre
   * @param pattern the pattern
   * @param fall how it falls on the selected chord, for the fingers' letters
   * @param cursorRole the row the keyboard is on
   * @param cursorTick the time the keyboard is on
   * @param focused whether keys go to the grid
   */
  record Picture(
      Meter meter,
      Pattern pattern,
      Optional<PatternFall> fall,
      Role cursorRole,
      int cursorTick,
      boolean focused) {}

  GridPainter(GraphicsContext gc, Palette palette) {
    this.gc = gc;
    this.palette = palette;
    ink = new Lettering(gc, palette);
  }

  void paint(Picture picture, GridLayout layout, double w, double h) {
    gc.clearRect(0, 0, w, h);
    gc.setFill(palette.get("paper"));
    gc.fillRoundRect(0.5, 0.5, w - 1, h - 1, 20, 20);
    gc.setFill(palette.get("attention-back"));
    gc.fillRect(1, layout.y(Role.ROOT) - 24, w - 2, 48);
    paintTimes(picture, layout);
    paintRows(layout, w);
    for (Pattern.Step step : picture.pattern().steps()) {
      paintPinch(step, layout);
      for (Role role : step.roles()) {
        paintChip(picture, layout, role, step.tick());
      }
    }
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
    int bars = picture.pattern().lengthTicks() / meter.barTicks();
    for (int bar = 0; bar < bars; bar++) {
      for (Meter.Syllable word : meter.syllables()) {
        double x = layout.x(bar * meter.barTicks() + word.tick());
        String shade = word.onBeat() ? "text" : "muted";
        ink.centre(
            word.word(), x, layout.bottom() + 20, TypeFace.bold(word.onBeat() ? 14 : 12), shade);
      }
    }
  }

  private void paintRows(GridLayout layout, double w) {
    for (Role role : GridLayout.ROWS) {
      double y = layout.y(role);
      gc.setStroke(palette.get("string"));
      gc.setLineWidth(role.isThumb() ? 1.8 : 1);
      gc.strokeLine(GridLayout.LEFT, y, w - 10, y);
      String name = role.isThumb() ? "thumb" : role.name().toLowerCase();
      String shade = role.isThumb() ? "pick-p" : "text";
      boolean tune = role == Role.TUNE;
      ink.left(name, 14, y + 4.5, tune ? TypeFace.bold(13) : TypeFace.plain(13), shade);
    }
    ink.left("roles, high to low", 14, 20, TypeFace.plain(11), "muted");
  }

  private void paintPinch(Pattern.Step step, GridLayout layout) {
    List<Double> heights = step.roles().stream().map(layout::y).sorted().toList();
    if (heights.size() > 1) {
      double x = layout.x(step.tick());
      gc.setStroke(palette.get("text"));
      gc.setLineWidth(1.6);
      gc.strokeLine(x, heights.get(0), x, heights.get(heights.size() - 1));
    }
  }

  private void paintChip(Picture picture, GridLayout layout, Role role, int tick) {
    double x = layout.x(tick);
    double y = layout.y(role);
    Optional<PickFinger> finger = picture.fall().flatMap(f -> f.finger(role, tick));
    Color tint = finger.map(palette::pick).orElse(palette.get("muted"));
    gc.setFill(palette.get("field"));
    gc.fillRoundRect(
        x - CHIP_WIDTH / 2, y - CHIP_HEIGHT / 2, CHIP_WIDTH, CHIP_HEIGHT, CHIP_HEIGHT, CHIP_HEIGHT);
    gc.setStroke(tint);
    gc.setLineWidth(role == Role.TUNE ? 2.4 : 1.5);
    gc.strokeRoundRect(
        x - CHIP_WIDTH / 2, y - CHIP_HEIGHT / 2, CHIP_WIDTH, CHIP_HEIGHT, CHIP_HEIGHT, CHIP_HEIGHT);
    String letter = finger.map(PickFinger::letter).orElse("×");
    ink.centre(letter, x, y + 5, TypeFace.boldItalic(15), tint);
  }

  private void paintCursor(Picture picture, GridLayout layout) {
    double x = layout.x(picture.cursorTick());
    double y = layout.y(picture.cursorRole());
    boolean struck =
        PatternEdits.struck(picture.pattern(), picture.cursorRole(), picture.cursorTick());
    gc.setStroke(palette.get("accent"));
    gc.setLineWidth(2);
    double grow = struck ? 5 : 0;
    gc.strokeRoundRect(
        x - CHIP_WIDTH / 2 - grow,
        y - CHIP_HEIGHT / 2 - grow,
        CHIP_WIDTH + 2 * grow,
        CHIP_HEIGHT + 2 * grow,
        14,
        14);
  }
}
