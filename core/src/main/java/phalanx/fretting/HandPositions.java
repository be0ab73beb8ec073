package phalanx.fretting;

import java.util.List;
import java.util.function.Function;

/**
 * Where the hand is with each candidate of a row when it comes and when it goes on. Rows whose
 * candidates differ in what they cost alone share one of these; compared by identity, so that the
 * changes between two of them are worked out once.
 */
final class HandPositions {

  private final List<RatedShape> shapes;
  private volatile HandState[] entries;
  private volatile HandState[] exits;

  HandPositions(List<RatedShape> shapes) {
    this.shapes = shapes;
  }

  /** Where the fingers come to; worked out at the first call, for one guitar and hand. */
  HandState[] entries(ChangeCosts changes) {
    HandState[] known = entries;
    if (known == null) {
      known = states(changes, RatedShape::entry);
      entries = known;
    }
    return known;
  }

  /** Where the fingers go on from; worked out at the first call, for one guitar and hand. */
  HandState[] exits(ChangeCosts changes) {
    HandState[] known = exits;
    if (known == null) {
      known = states(changes, RatedShape::exit);
      exits = known;
    }
    return known;
  }

  private HandState[] states(ChangeCosts changes, Function<RatedShape, Stance> end) {
    HandState[] states = new HandState[shapes.size()];
    for (int c = 0; c < states.length; c++) {
      states[c] = changes.state(end.apply(shapes.get(c)));
    }
    return states;
  }
}
