package phalanx.review;

import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;
import phalanx.performance.Performance;

/** Strings that the pattern or a brush asks for and the shape does not sound. */
final class DeadStrings implements Rule {

  static final String NAME = "dead string";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    return Found.remarked(a, NAME, Remark.Kind.DEAD_STRING);
  }
}
