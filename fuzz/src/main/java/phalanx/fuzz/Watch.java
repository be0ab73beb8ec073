package phalanx.fuzz;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.time.Duration;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Supplier;

/**
 * Runs one thing at a time and notices when it takes too long, and where it is then. Time is that
 * of the processor, so that a busy machine changes nothing.
 */
final class Watch implements AutoCloseable {

  /** What was watched took too long. */
  static final class TooLong extends RuntimeException {
    private static final long serialVersionUID = 1;

    TooLong(String what, Duration limit, StackTraceElement[] where) {
      super("%s took more than %d ms".formatted(what, limit.toMillis()));
      setStackTrace(where);
    }
  }

  private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();
  private static final long LOOK_MS = 20;

  /** So many times as long by the clock is too long whatever the processor does. */
  private static final int SLOWEST = 20;

  private ExecutorService worker = worker();
  private volatile Thread working;

  private ExecutorService worker() {
    return Executors.newSingleThreadExecutor(
        task -> {
          working = new Thread(task, "reader");
          working.setDaemon(true);
          return working;
        });
  }

  /**
   * Runs something.
   *
   * @throws TooLong if it takes longer; it is left to itself then
   */
  <T> T within(Duration limit, String what, Supplier<T> work) {
    AtomicLong began = new AtomicLong(-1);
    Future<T> answer =
        worker.submit(
            () -> {
              began.set(THREADS.getCurrentThreadCpuTime());
              return work.get();
            });
    try {
      for (int looks = 1; ; looks++) {
        try {
          return answer.get(LOOK_MS, TimeUnit.MILLISECONDS);
        } catch (TimeoutException e) {
          long used = THREADS.getThreadCpuTime(working.getId()) - began.get();
          boolean over = began.get() >= 0 && used > limit.toNanos();
          if (over || looks * LOOK_MS > SLOWEST * limit.toMillis()) {
            StackTraceElement[] where = working.getStackTrace();
            worker.shutdownNow();
            worker = worker();
            throw new TooLong(what, limit, where);
          }
        }
      }
    } catch (ExecutionException e) {
      if (e.getCause() instanceof RuntimeException fault) {
        throw fault;
      } else if (e.getCause() instanceof Error error) {
        throw error;
      }
      throw new IllegalStateException(e.getCause());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  @Override
  public void close() {
    worker.shutdownNow();
  }
}
