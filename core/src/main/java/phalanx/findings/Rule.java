package phalanx.findings;

import java.util.List;
import phalanx.arrangement.Arrangement;
import phalanx.performance.Performance;

/** One thing that may be wrong with an arrangement. */
public interface Rule {

  /**
   * Every place where it is.
   *
   * @param performance the same arrangement in time
   */
  List<Found> in(Arrangement arrangement, Performance performance);
}
