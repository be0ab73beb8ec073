package phalanx.findings;

import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;
import phalanx.performance.Performance;

/** Strings a brush crosses that nothing keeps quiet. */
public final class UnmutedStrings implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "unmuted string";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    return Found.remarked(a, NAME, Grade.HEARD, Remark.Kind.UNMUTED);
  }
}
