package phalanx.findings;

import java.util.ArrayList;
import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;
import phalanx.performance.Performance;

/** Strings that the pattern or a brush asks for and the shape does not sound. */
public final class DeadStrings implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "dead string";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    List<Found> found = new ArrayList<>();
    found.addAll(Found.remarked(a, NAME, Grade.NOTE, Remark.Kind.DEAD_STRING));
    found.addAll(Found.remarked(a, NAME, Grade.HEARD, Remark.Kind.NO_STRING));
    return found;
  }
}
