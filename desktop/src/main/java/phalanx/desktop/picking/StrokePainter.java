package phalanx.desktop.picking;

import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import phalanx.desktop.drawing.HitSigns;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.RollSign;
import phalanx.desktop.drawing.TypeFace;
import phalanx.desktop.texts.Texts;
import phalanx.picking.Force;
import phalanx.picking.Pattern;
import phalanx.picking.PickFinger;
import phalanx.picking.Role;
import phalanx.picking.Roll;
import phalanx.picking.Stroke;
import phalanx.technique.Technique;

/** Draws what happens at one instant of the grid: chips, pinches, rolls, brushes, hits. */
final class StrokePainter {

  static final double CHIP_HEIGHT = 23;

  private static final double CHIP_WIDTH = 32;
  private static final double BRUSH = 12;

  private final GraphicsContext gc;
  private final Palette palette;
  private final Lettering ink;
  private final HitSigns hits;
  private final RollSign rolls;

  StrokePainter(GraphicsContext gc, Palette palette) {
    this.gc = gc;
    this.palette = palette;
    ink = new Lettering(gc, palette);
    hits = new HitSigns(gc, palette);
    rolls = new RollSign(gc, palette);
  }

  /** Chips shrink where the columns are narrow. */
  static double chipWidth(GridLayout layout) {
    return Math.max(16, Math.min(CHIP_WIDTH, layout.columnWidth() - 4));
  }

  /** What lies behind the chips of a step: the line of a pinch or roll, the next chord's flag. */
  void paintBehind(Pattern.Step step, GridLayout layout) {
    double x = layout.x(step.tick());
    double[] heights =
        step.plucks().mapToDouble(p -> layout.y(GridLayout.row(p.role()))).sorted().toArray();
    if (step.early()) {
      gc.setStroke(palette.get("accent"));
      gc.setLineWidth(1.5);
      gc.setLineDashes(4, 3);
      gc.strokeLine(x - 9, GridLayout.TOP - 22, x - 9, layout.bottom());
      gc.setLineDashes();
      ink.left(
          Texts.of("strokePainter.nextChord"),
          x - 6,
          GridLayout.TOP - 24,
          TypeFace.bold(11),
          "accent");
    }
    if (heights.length < 2) {
      return;
    }
    gc.setStroke(palette.get("text"));
    gc.setLineWidth(1.6);
    double top = heights[0];
    double bottom = heights[heights.length - 1];
    if (step.roll().isPresent()) {
      roll(step.roll().get(), x + chipWidth(layout) / 2 + 5, top, bottom);
    } else {
      gc.strokeLine(x, top, x, bottom);
    }
  }

  private void roll(Roll roll, double x, double top, double bottom) {
    rolls.paint(x, top - 8, bottom + 8, roll.towardsTreble(), 8);
    if (roll.speed() > 1) {
      ink.left("1/" + 64 / roll.speed(), x + 6, top - 6, TypeFace.plain(10), "muted");
    }
  }

  void paint(GridPainter.Picture picture, GridLayout layout, Stroke stroke, int tick) {
    if (stroke instanceof Stroke.Brush brush) {
      brush(brush, layout, tick);
    } else if (stroke instanceof Stroke.Knock knock) {
      double y = layout.y(GridLayout.HITS);
      hits.paint(knock.hit(), layout.x(tick), y, 7);
      String words = knock.hit().words() + sign(knock.force());
      ink.left(words, layout.x(tick) + 12, y + 4, TypeFace.plain(11), "text-2");
    } else if (stroke instanceof Stroke.Stop stop) {
      double x = layout.x(tick);
      double y = layout.y(GridLayout.row(stop.role()));
      gc.setFill(palette.get("text"));
      gc.fillRect(x - 2, y - 8, 4, 16);
    } else if (stroke instanceof Stroke.OnRole on) {
      chip(picture, layout, on, tick);
    }
  }

  private static String sign(Force force) {
    return switch (force) {
      case SOFT -> " soft";
      case PLAIN -> "";
      case ACCENTED -> " !";
    };
  }

  private void chip(GridPainter.Picture picture, GridLayout layout, Stroke.OnRole on, int tick) {
    double x = layout.x(tick);
    double y = layout.y(GridLayout.row(on.role()));
    double width = chipWidth(layout);
    Optional<PickFinger> finger = picture.finger(on.role(), tick);
    Color tint = finger.map(palette::pick).orElse(palette.get("muted"));
    boolean wanted = on instanceof Stroke.Pluck p && p.finger().isPresent();
    gc.setFill(palette.get("field"));
    gc.fillRoundRect(x - width / 2, y - CHIP_HEIGHT / 2, width, CHIP_HEIGHT, 22, 22);
    if (wanted) {
      gc.setFill(tint.deriveColor(0, 1, 1, 0.22));
      gc.fillRoundRect(x - width / 2, y - CHIP_HEIGHT / 2, width, CHIP_HEIGHT, 22, 22);
    }
    gc.setStroke(tint);
    gc.setLineWidth(on.role() == Role.TUNE ? 2.4 : 1.5);
    if (on.force() == Force.SOFT) {
      gc.setLineDashes(3, 3);
    }
    gc.strokeRoundRect(x - width / 2, y - CHIP_HEIGHT / 2, width, CHIP_HEIGHT, 22, 22);
    gc.setLineDashes();
    String letter = finger.map(PickFinger::letter).orElse("×");
    ink.centre(letter, x, y + 4.5, TypeFace.boldItalic(width < 24 ? 12 : 14.5), tint);
    if (on.force() == Force.ACCENTED) {
      ink.centre(">", x, y - CHIP_HEIGHT / 2 - 1, TypeFace.bold(12), "text");
    }
    if (on instanceof Stroke.Pluck p && !p.techniques().isEmpty()) {
      String signs =
          p.techniques().stream().map(Technique::sign).sorted().collect(Collectors.joining(" "));
      ink.centre(signs, x, y + CHIP_HEIGHT / 2 + 9, TypeFace.bold(9), "text-2");
    }
    if (on instanceof Stroke.Tremolo t) {
      double right = layout.x(tick + (t.strokes() - 1) * picture.meter().beatTicks() / t.parts());
      gc.setFill(tint.deriveColor(0, 1, 1, 0.25));
      gc.fillRoundRect(x + width / 2, y - 3, Math.max(6, right - x - width / 2 + 8), 6, 6, 6);
      ink.left("×" + t.strokes(), x + width / 2 + 2, y - 5, TypeFace.plain(10.5), tint);
    }
  }

  private void brush(Stroke.Brush brush, GridLayout layout, int tick) {
    double x = layout.x(tick);
    double from = layout.stringY(brush.from());
    double to = layout.stringY(brush.to());
    double up = to < from ? -1 : 1;
    Color tint = palette.pick(brush.touch().letter());
    gc.setFill(tint.deriveColor(0, 1, 1, brush.force() == Force.SOFT ? 0.18 : 0.32));
    double neck = to - up * 16;
    double half = BRUSH / 2;
    gc.fillPolygon(
        new double[] {x - half, x + half, x + half, x + BRUSH, x, x - BRUSH, x - half},
        new double[] {from, from, neck, neck, to + up * 4, neck, neck},
        7);
    String range = (6 - brush.from()) + "–" + (6 - brush.to());
    boolean room = layout.columnWidth() > 78;
    String words = (room ? brush.touch().words() + " " : "") + range + sign(brush.force());
    // Between two rows, so that no line runs through it.
    double y = Math.min(from, to) + GridLayout.ROW * 1.5 + 4;
    ink.left(words, x + 10, y, TypeFace.plain(11), "text-2");
  }
}
