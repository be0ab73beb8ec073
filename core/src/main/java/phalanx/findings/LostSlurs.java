package phalanx.findings;

import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;
import phalanx.performance.Performance;

/** Slurs over two strings, the wrong way, or from a note that is not there. */
public final class LostSlurs implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "slur";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    return Found.remarked(a, NAME, Grade.HEARD, Remark.Kind.SLUR);
  }
}
