package phalanx.desktop.strip;

/**
 * How large a strip is drawn.
 *
 * @param zoom 1 for the usual size of a bar
 * @param barsALine so many bars are in a line, whatever the zoom; 0 for as many as fit
 * @param folded whether the lanes of the fretting fingers are left out
 */
record StripScale(double zoom, int barsALine, boolean folded) {

  static final StripScale USUAL = new StripScale(1, 0, false);

  private static final double SMALLEST = 0.4;
  private static final double LARGEST = 2.2;

  StripScale {
    zoom = Math.max(SMALLEST, Math.min(LARGEST, zoom));
  }

  /** Larger or smaller; bars fit as they do then. */
  StripScale times(double factor) {
    return new StripScale(zoom * factor, 0, folded);
  }

  StripScale lines(int bars) {
    return new StripScale(1, bars, folded);
  }

  StripScale folding(boolean other) {
    return new StripScale(zoom, barsALine, other);
  }
}
