package phalanx.desktop.strip;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import phalanx.arrangement.Gesture;
import phalanx.desktop.drawing.HitSigns;
import phalanx.desktop.drawing.Lettering;
import phalanx.desktop.drawing.Palette;
import phalanx.desktop.drawing.RollSign;
import phalanx.desktop.drawing.TypeFace;
import phalanx.desktop.strip.StripLayout.StripSystem;
import phalanx.picking.Force;
import phalanx.picking.PickFinger;

/** Draws brushes, rolls and hits on the strip. */
final class GesturePainter {

  /** Left of the rings, so that the frets stay free. */
  private static final double ASIDE = 12;

  private final GraphicsContext gc;
  private final Palette palette;
  private final Lettering ink;
  private final HitSigns hits;
  private final RollSign rolls;

  GesturePainter(GraphicsContext gc, Palette palette) {
    this.gc = gc;
    this.palette = palette;
    ink = new Lettering(gc, palette);
    hits = new HitSigns(gc, palette);
    rolls = new RollSign(gc, palette);
  }

  /** The arrow of a brush beside the frets, broken where it is soft. */
  private void arrow(StripLayout layout, Gesture.Brush brush, double x) {
    double from = layout.stringY(brush.from());
    double to = layout.stringY(brush.to());
    double way = brush.towardsTreble() ? -1 : 1;
    Color tint = palette.pick(brush.touch().letter());
    double tip = to + way * 9;
    gc.setStroke(tint);
    gc.setLineWidth(2);
    if (brush.force() == Force.SOFT) {
      gc.setLineDashes(4, 3);
    }
    gc.strokeLine(x, from - way * 6, x, tip - way * 7);
    gc.setLineDashes();
    gc.setFill(tint);
    gc.fillPolygon(
        new double[] {x - 4.5, x + 4.5, x}, new double[] {tip - way * 8, tip - way * 8, tip}, 3);
  }

  void paint(StripLayout layout, StripSystem system, Gesture gesture) {
    double x = layout.x(system, gesture.tick());
    if (gesture instanceof Gesture.Hit hit) {
      hits.paint(hit.kind(), x, layout.hitsY() - 4, 5);
      if (hit.force() == Force.ACCENTED) {
        ink.left(">", x + 7, layout.hitsY(), TypeFace.bold(11), "text");
      }
    } else if (gesture instanceof Gesture.Roll roll) {
      wave(layout, roll, x - ASIDE);
    } else if (gesture instanceof Gesture.Brush brush) {
      arrow(layout, brush, x - ASIDE);
      boolean thumb = brush.touch().letter() == PickFinger.P;
      String letter = brush.touch().letter().letter() + (brush.towardsTreble() ? "↑" : "↓");
      ink.centre(
          brush.force() == Force.SOFT ? "(" + letter + ")" : letter,
          x,
          thumb ? layout.thumbY() : layout.lettersY(),
          TypeFace.boldItalic(12.5),
          palette.pick(brush.touch().letter()));
      if (brush.force() == Force.ACCENTED) {
        ink.centre(">", x, layout.lettersY() - 12, TypeFace.bold(11), "text");
      }
    }
  }

  private void wave(StripLayout layout, Gesture.Roll roll, double x) {
    double top = Math.min(layout.stringY(roll.from()), layout.stringY(roll.to())) - 6;
    double bottom = Math.max(layout.stringY(roll.from()), layout.stringY(roll.to())) + 6;
    rolls.paint(x, top, bottom, roll.towardsTreble(), 6);
  }
}
