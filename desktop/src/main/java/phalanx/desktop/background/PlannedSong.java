package phalanx.desktop.background;

import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.findings.Review;
import phalanx.level.PlanLevel;
import phalanx.performance.Performance;

/**
 * One plan of a song with its time and what is hard in it: made and published together, so that
 * whoever paints or listens always meets one song.
 *
 * @param performance the plan in time
 * @param review what is hard in it; empty where that could not be found out
 * @param level how hard it is to play; empty where that could not be found out
 */
public record PlannedSong(
    Performance performance, Optional<Review> review, Optional<PlanLevel> level) {

  /** The plan. */
  public Arrangement arrangement() {
    return performance.arrangement();
  }
}
