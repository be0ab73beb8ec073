package phalanx.findings;

import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;
import phalanx.performance.Performance;

/** Notes of the tune that lie where no finger reaches. */
public final class TuneReach implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "tune out of reach";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    return Found.remarked(a, NAME, Grade.CANNOT, Remark.Kind.TUNE_REACH);
  }
}
