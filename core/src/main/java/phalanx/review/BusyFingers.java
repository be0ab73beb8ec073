package phalanx.review;

import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;

/** Hits and brushes whose fingers are in use. */
final class BusyFingers implements Rule {

  static final String NAME = "hit or brush";

  @Override
  public List<Found> in(Arrangement a) {
    return Found.remarked(a, NAME, Remark.Kind.GESTURE);
  }
}
