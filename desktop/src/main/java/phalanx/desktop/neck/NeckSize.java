package phalanx.desktop.neck;

import phalanx.fretting.Shape;

/** How much of the neck is drawn and how much is said on it. */
public enum NeckSize {
  /** Beside a screen: the frets that matter. */
  SMALL(34, 9, 5),
  /** Along the foot of a screen: most of the neck, to be touched. */
  LONG(44, 9, 15),
  /** The middle of a screen: most of the neck, with reasons and distances. */
  LARGE(112, 11, 15);

  private static final int FRETS_BEYOND = 2;

  private final double margin;
  private final double dot;
  private final int fewestFrets;

  NeckSize(double margin, double dot, int fewestFrets) {
    this.margin = margin;
    this.dot = dot;
    this.fewestFrets = fewestFrets;
  }

  double margin() {
    return margin;
  }

  /** Radius of a finger, px. */
  double dot() {
    return dot;
  }

  boolean explains() {
    return this == LARGE;
  }

  /** Highest fret to show for a shape and the one after. */
  int lastFret(Shape shape, Shape next) {
    int highest = Math.max(NeckLayout.highest(shape), NeckLayout.highest(next));
    return Math.max(fewestFrets, highest + FRETS_BEYOND);
  }
}
