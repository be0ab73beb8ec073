package phalanx.desktop.drawing;

import javafx.scene.canvas.GraphicsContext;
import phalanx.picking.HitKind;

/** The signs of percussive hits, the same wherever they are drawn. */
public final class HitSigns {

  private final GraphicsContext gc;
  private final Palette palette;

  public HitSigns(GraphicsContext gc, Palette palette) {
    this.gc = gc;
    this.palette = palette;
  }

  /**
   * A cross for every hit: plain for a click, on a line for the palm, small for a nail, in a ring
   * for fingertips, with a stroke beside it for the thumb; a bar for the heel, which sounds least.
   *
   * @param half half its size, px
   */
  public void paint(HitKind hit, double x, double y, double half) {
    gc.setStroke(palette.get("text"));
    gc.setLineWidth(1.8);
    if (hit == HitKind.HEEL_MUTE) {
      gc.strokeLine(x - half, y - 2, x + half, y - 2);
      gc.strokeLine(x - half, y + 2, x + half, y + 2);
      return;
    }
    double arm = hit == HitKind.NAIL_TAP || hit == HitKind.FINGERTIP_TAP ? half * 0.6 : half * 0.8;
    gc.strokeLine(x - arm, y - arm, x + arm, y + arm);
    gc.strokeLine(x - arm, y + arm, x + arm, y - arm);
    if (hit == HitKind.PALM) {
      gc.strokeLine(x - half, y + half, x + half, y + half);
    } else if (hit == HitKind.FINGERTIP_TAP) {
      gc.strokeOval(x - half, y - half, 2 * half, 2 * half);
    } else if (hit == HitKind.THUMB_SLAP) {
      gc.strokeLine(x - half, y - half, x - half, y + half);
    }
  }
}
