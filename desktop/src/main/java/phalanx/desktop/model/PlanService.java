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

  /**
   * Plans a song and hands the plan over, unless a newer question came meanwhile.
   *
   * @param answer takes the plan
   * @param fault takes what went wrong instead
   */
  public void plan(Song song, Consumer<Arrangement> answer, Consumer<RuntimeException> fault) {
    long question = newest.incrementAndGet();
    worker.execute(
        () -> {
          if (newest.get() != question) {
            return;
          }
          try {
            Arrangement arrangement = arranger.arrange(song);
            deliver(question, () -> answer.accept(arrangement));
          } catch (RuntimeException e) {
            deliver(question, () -> fault.accept(e));
          }
        });
  }

  private void deliver(long question, Runnable news) {
    interfaceThread.execute(
        () -> {
          if (newest.get() == question) {
            news.run();
          }
        });
  }
}
