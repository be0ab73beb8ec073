package phalanx.review;

import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;
import phalanx.performance.Performance;

/**
 * Strokes that are left out because no finger can be back in time, or because there are not enough.
 */
final class FingersTooSoon implements Rule {

  static final String NAME = "finger too soon";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    return Found.remarked(a, NAME, Remark.Kind.TOO_SOON, Remark.Kind.TOO_MANY);
  }
}
