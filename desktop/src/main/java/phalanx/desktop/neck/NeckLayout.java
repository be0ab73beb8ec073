package phalanx.desktop.neck;

import java.util.Optional;
import phalanx.fretting.Shape;
import phalanx.instrument.Fretboard;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;

/**
 * Where frets and strings lie in a picture of the neck, true to scale along and across. For a
 * left-handed player the picture is turned round, nut to the right.
 */
final class NeckLayout {

  static final double EDGE = 10;

  /** Room below the wood for the numbers of the frets. */
  static final double FOOT = 14;

  private static final double END = 4;

  /** Wood outside the outer strings, besides the edge. */
  private static final double BEYOND = 4;

  private final Fretboard board;
  private final double top;
  private final double left;
  private final double width;
  private final double height;
  private final double across;
  private final double originX;
  private final double scale;
  private final int lastFret;
  private final boolean turned;

  /**
   * Lays out the part of a neck from the capo to a fret.
   *
   * @param wanted highest fret that must show, as far as the neck has it
   * @param margin room beside the nut for the strings' names, px
   * @param width of the picture, px
   * @param height of the picture, px
   * @param turned whether the nut is to the right
   */
  NeckLayout(
      Guitar guitar, int wanted, double margin, double width, double height, boolean turned) {
    board = new Fretboard(guitar);
    this.width = width;
    this.height = height;
    this.turned = turned;
    left = margin;
    lastFret = Math.min(board.highestFret(), wanted);
    originX = board.fretX(0);
    scale = (width - left - END) / (board.fretX(lastFret) - originX);
    double neck = board.stringY(Tuning.STRINGS - 1, originX) * 2;
    double widest = board.stringY(Tuning.STRINGS - 1, board.fretX(lastFret)) * 2;
    // Across, strings stand at least far enough apart for a finger's ring.
    double room = (height - FOOT - 2 * EDGE) * neck / widest;
    across = Math.min(room / neck, Math.max(scale, 5 * 19 / neck));
    top = (height - FOOT) / 2;
  }

  static int highest(Shape shape) {
    return shape.grips().values().stream().mapToInt(g -> g.fret()).max().orElse(0);
  }

  int lastFret() {
    return lastFret;
  }

  /** A place along the picture for a place counted from the nut's side. */
  double turn(double x) {
    return turned ? width - x : x;
  }

  boolean isTurned() {
    return turned;
  }

  private double along(double millimetres) {
    return turn(left + (millimetres - originX) * scale);
  }

  /** Where the wood ends. */
  double end() {
    return turn(width - END);
  }

  double nut() {
    return turn(left);
  }

  double fretX(int fret) {
    return along(board.fretX(fret));
  }

  /** Where a string is touched between frets. */
  double touchX(double fret) {
    return along(board.touchX(fret));
  }

  double tipX(int fret) {
    return along(board.fingertipX(fret));
  }

  /** A string's height at a place along the picture; string ① on top. */
  double stringY(int string, double x) {
    double millimetres = originX + (turn(x) - left) / scale;
    return top - board.stringY(string, millimetres) * across;
  }

  /** Length on the picture of a distance on the neck, mm. */
  double length(double millimetres) {
    return millimetres * scale;
  }

  /** The upper edge of the wood at a place along the picture. */
  double woodTop(double x) {
    return Math.max(0, stringY(Tuning.STRINGS - 1, x) - EDGE - BEYOND);
  }

  /** The lower edge of the wood at a place along the picture. */
  double woodBottom(double x) {
    return Math.min(height - FOOT, stringY(0, x) + EDGE + BEYOND);
  }

  /** The string at a point; empty outside the neck. */
  Optional<Integer> stringAt(double x, double y) {
    double gap = stringY(0, x) - stringY(1, x);
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (Math.abs(y - stringY(s, x)) <= gap / 2) {
        return Optional.of(s);
      }
    }
    return Optional.empty();
  }

  /** The fret whose space a point is in; 0 beside the nut. */
  int fretAt(double x) {
    for (int fret = 0; fret <= lastFret; fret++) {
      if (turn(x) <= turn(fretX(fret))) {
        return fret;
      }
    }
    return lastFret;
  }
}
