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

  /** The same place as it is at the beginning of its beat. */
  HeardPlace onBeat() {
    return new HeardPlace(performance, beat(performance, tick), countingIn);
  }

  /** Where the beat begins that a tick is in. */
  static int beat(Performance performance, int tick) {
    PlayedBar bar = performance.arrangement().timeline().barAt(tick);
    int beat = bar.meter().beatTicks();
    int since = tick - bar.startTick() + bar.metreTick();
    return Math.max(bar.startTick(), bar.startTick() + since / beat * beat - bar.metreTick());
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
