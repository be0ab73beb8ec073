package phalanx.desktop.model;

import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Arranger;
import phalanx.song.Song;

/** Plans songs away from the interface's thread; only the newest question is answered. */
public final class PlanService {

  private final Arranger arranger = new Arranger();
  private final AtomicLong newest = new AtomicLong();
  private final Executor worker;
  private final Executor interfaceThread;

  /**
   * A planner.
   *
   * @param worker runs the planning, one at a time
   * @param interfaceThread takes the answers
   */
  public PlanService(Executor worker, Executor interfaceThread) {
    this.worker = worker;
    this.interfaceThread = interfaceThread;
  }

  /** Plans a song and hands the plan over, unless a newer question came meanwhile. */
  public void plan(Song song, Consumer<Arrangement> answer) {
    long question = newest.incrementAndGet();
    worker.execute(
        () -> {
          if (newest.get() != question) {
            return;
          }
          Arrangement arrangement = arranger.arrange(song);
          interfaceThread.execute(
              () -> {
                if (newest.get() == question) {
                  answer.accept(arrangement);
                }
              });
        });
  }
}
