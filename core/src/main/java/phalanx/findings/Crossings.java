package phalanx.findings;

import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;
import phalanx.performance.Performance;

/** Fingers asked for that would cross. */
public final class Crossings implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "crossing";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    return Found.remarked(a, NAME, Grade.CANNOT, Remark.Kind.CROSSING);
  }
}
