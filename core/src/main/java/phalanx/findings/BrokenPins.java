package phalanx.findings;

import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;
import phalanx.performance.Performance;

/** Pins that cannot be kept together with the rest. */
public final class BrokenPins implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "pin";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    return Found.remarked(a, NAME, Grade.CANNOT, Remark.Kind.PIN);
  }
}
