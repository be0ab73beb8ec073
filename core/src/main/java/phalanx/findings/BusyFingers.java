package phalanx.findings;

import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;
import phalanx.performance.Performance;

/** Hits and brushes whose fingers are in use. */
public final class BusyFingers implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "hit or brush";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    return Found.remarked(a, NAME, Grade.CANNOT, Remark.Kind.GESTURE);
  }
}
