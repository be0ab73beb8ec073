package phalanx.desktop.model;

import phalanx.performance.Performance;
import phalanx.song.Timeline.PlayedBar;

/**
 * Where the song is heard.
 *
 * @param performance of which plan
 * @param tick written ticks from the start of the song
 * @param countingIn whether the clicks before it are heard
 */
public record HeardPlace(Performance performance, int tick, boolean countingIn) {

  /** Sooner than this before the start it counts in, s. */
  private static final double EARLY = 0.001;

  /** The place of a time, seconds from the start. */
  static HeardPlace of(Performance performance, double seconds) {
    int tick = performance.clock().tickAt(Math.max(0, seconds));
    return new HeardPlace(performance, tick, seconds < -EARLY);
  }

  /** The bar it is in. */
  public PlayedBar bar() {
    return performance.arrangement().timeline().barAt(tick);
  }

  /** How much of the bar is over, 0 to 1. */
  public double share() {
    PlayedBar bar = bar();
    return (tick - bar.startTick()) / (double) bar.lengthTicks();
  }
}
