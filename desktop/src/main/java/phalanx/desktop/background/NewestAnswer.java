package phalanx.desktop.background;

import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * Answers questions of one kind away from the interface's thread; an answer that comes after a
 * newer question is dropped.
 */
public final class NewestAnswer {

  private final AtomicLong newest = new AtomicLong();
  private final Executor worker;
  private final Executor interfaceThread;

  /**
   * For one kind of question.
   *
   * @param worker works the answers out, one at a time
   * @param interfaceThread takes the answers
   */
  public NewestAnswer(Executor worker, Executor interfaceThread) {
    this.worker = worker;
    this.interfaceThread = interfaceThread;
  }

  /**
   * Works an answer out and hands it over, unless a newer question came meanwhile.
   *
   * @param answer takes the answer
   * @param fault takes what went wrong instead
   */
  public <T> void ask(Supplier<T> work, Consumer<T> answer, Consumer<Throwable> fault) {
    ask(outdated -> work.get(), answer, fault);
  }

  /**
   * Works an answer out and hands it over, unless a newer question came meanwhile.
   *
   * @param work is told whether there is a newer question, and may then end with any exception
   * @param answer takes the answer
   * @param fault takes what went wrong instead
   */
  public <T> void ask(
      Function<BooleanSupplier, T> work, Consumer<T> answer, Consumer<Throwable> fault) {
    long question = newest.incrementAndGet();
    try {
      work(question, work, answer, fault);
    } catch (RejectedExecutionException e) {
      // The window has been closed meanwhile: nobody waits for the answer any more.
      newest.incrementAndGet();
    }
  }

  private <T> void work(
      long question,
      Function<BooleanSupplier, T> work,
      Consumer<T> answer,
      Consumer<Throwable> fault) {
    worker.execute(
        () -> {
          if (newest.get() != question) {
            return;
          }
          try {
            T done = work.apply(() -> newest.get() != question);
            deliver(question, () -> answer.accept(done));
          } catch (RuntimeException | Error e) {
            // Also what the machine has too little of ends as an answer.
            deliver(question, () -> fault.accept(e));
          }
        });
  }

  /** Drops whatever is still on its way. */
  public void forget() {
    newest.incrementAndGet();
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
