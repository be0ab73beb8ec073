package phalanx.findings;

import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;
import phalanx.performance.Performance;

/** Chords of which no shape can be held. */
public final class MissingShapes implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "no shape";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    return Found.remarked(a, NAME, Grade.CANNOT, Remark.Kind.NO_SHAPE);
  }
}
