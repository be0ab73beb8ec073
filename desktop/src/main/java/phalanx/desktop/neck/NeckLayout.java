package phalanx.desktop.neck;

import phalanx.fretting.Grip;
import phalanx.fretting.Shape;
import phalanx.instrument.Fretboard;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;

/** Where frets and strings lie in a picture of the neck, true to scale along and across. */
final class NeckLayout {

  static final double LEFT = 34;
  static final double EDGE = 10;
  private static final int FEWEST_FRETS = 5;
  private static final int FRETS_BEYOND = 2;

  private final Fretboard board;
  private final double top;
  private final double width;
  private final double across;
  private final double originX;
  private final double scale;
  private final int lastFret;

  /**
   * Lays out the part of a neck that shapes up to a fret need.
   *
   * @param highest highest fret that must show
   * @param width of the picture, px
   * @param height of the picture, px
   */
  NeckLayout(Guitar guitar, int highest, double width, double height) {
    board = new Fretboard(guitar);
    this.width = width;
    lastFret = Math.min(board.highestFret(), Math.max(FEWEST_FRETS, highest + FRETS_BEYOND));
    originX = board.fretX(0);
    scale = (width - LEFT - 4) / (board.fretX(lastFret) - originX);
    double neck = board.stringY(Tuning.STRINGS - 1, originX) * 2;
    // Across, strings stand at least far enough apart for a finger's ring.
    double room = height - 2 * EDGE;
    across = Math.min(room / neck, Math.max(scale, 5 * 19 / neck));
    top = height / 2;
  }

  static int highest(Shape shape) {
    return shape.grips().values().stream().mapToInt(Grip::fret).max().orElse(0);
  }

  int lastFret() {
    return lastFret;
  }

  double right() {
    return width - 4;
  }

  double fretX(int fret) {
    return LEFT + (board.fretX(fret) - originX) * scale;
  }

  double tipX(int fret) {
    return LEFT + (board.fingertipX(fret) - originX) * scale;
  }

  /** A string's height at a place along the picture; string ① on top. */
  double stringY(int string, double x) {
    double along = originX + (x - LEFT) / scale;
    return top - board.stringY(string, along) * across;
  }

  /** Length on the picture of a distance on the neck, mm. */
  double length(double millimetres) {
    return millimetres * scale;
  }
}
