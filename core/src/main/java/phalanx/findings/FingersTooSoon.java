package phalanx.findings;

import java.util.ArrayList;
import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;
import phalanx.performance.Performance;

/**
 * Strokes that are left out because no finger can be back in time, or because there are not enough.
 */
public final class FingersTooSoon implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "finger too soon";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    List<Found> found = new ArrayList<>();
    found.addAll(Found.remarked(a, NAME, Grade.CANNOT, Remark.Kind.TOO_MANY));
    found.addAll(Found.remarked(a, NAME, Grade.HEARD, Remark.Kind.TOO_SOON));
    found.addAll(Found.remarked(a, NAME, Grade.NOTE, Remark.Kind.OTHER_FINGER));
    return found;
  }
}
