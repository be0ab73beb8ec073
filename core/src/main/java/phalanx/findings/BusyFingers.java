package phalanx.findings;

import java.util.ArrayList;
import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;
import phalanx.performance.Performance;

/** Hits and brushes whose fingers are in use, all of them or some. */
public final class BusyFingers implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "hit or brush";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    List<Found> found = new ArrayList<>(Found.remarked(a, NAME, Grade.CANNOT, Remark.Kind.GESTURE));
    found.addAll(Found.remarked(a, NAME, Grade.NOTE, Remark.Kind.LIGHTER_HIT));
    return found;
  }
}
