package phalanx.sound.play;

import java.util.concurrent.atomic.AtomicLong;

/** Time that passes only where somebody waits, and a little with every look at it. */
final class Steps implements SimulatedAudioDevice.Ticking {

  /** What the player's work between two blocks is taken to cost, ns. */
  private static final long WORK = 20_000;

  private final AtomicLong now = new AtomicLong();

  @Override
  public long nanos() {
    return now.addAndGet(WORK);
  }

  @Override
  public void pass(long nanos) throws InterruptedException {
    if (Thread.interrupted()) {
      throw new InterruptedException();
    }
    now.addAndGet(nanos);
  }

  double seconds() {
    return now.get() / 1e9;
  }
}
