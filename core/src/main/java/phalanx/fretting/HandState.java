package phalanx.fretting;

import phalanx.fretting.ChangeCosts.Motion;

/** Where each finger is, in plain arrays by finger code, for the planner's inner loop. */
final class HandState {

  final int[] fret = new int[FingerCode.THUMB + 1];
  final int[] low = new int[FingerCode.THUMB + 1];
  final int[] high = new int[FingerCode.THUMB + 1];

  /** Lowest fret a finger holds; 0 if none does. */
  final int lowestFret;

  private HandState(Shape shape) {
    int lowest = 0;
    for (var entry : shape.grips().entrySet()) {
      int f = FingerCode.of(entry.getKey());
      Grip grip = entry.getValue();
      fret[f] = grip.fret();
      low[f] = grip.lowString();
      high[f] = grip.highString();
      lowest = lowest == 0 ? grip.fret() : Math.min(lowest, grip.fret());
    }
    lowestFret = lowest;
  }

  static HandState of(Shape shape) {
    return new HandState(shape);
  }

  /** What a finger does on the way to another state. */
  Motion motion(HandState to, int f) {
    if (fret[f] == 0) {
      return to.fret[f] == 0 ? Motion.NONE : Motion.LANDS;
    }
    if (to.fret[f] == 0) {
      return Motion.LIFTS;
    }
    boolean sameStrings = low[f] == to.low[f] && high[f] == to.high[f];
    if (fret[f] == to.fret[f]) {
      boolean overlap = low[f] <= to.high[f] && to.low[f] <= high[f];
      return sameStrings ? Motion.STAYS : overlap ? Motion.ROLLS : Motion.MOVES;
    }
    return sameStrings ? Motion.SLIDES : Motion.MOVES;
  }
}
