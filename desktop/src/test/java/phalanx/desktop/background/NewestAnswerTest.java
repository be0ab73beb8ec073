package phalanx.desktop.background;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;

class NewestAnswerTest {

  private final Deque<Runnable> waiting = new ArrayDeque<>();
  private final List<String> heard = new ArrayList<>();

  private void workAll() {
    while (!waiting.isEmpty()) {
      waiting.poll().run();
    }
  }

  @Test
  void onlyTheNewestQuestionIsAnswered() {
    NewestAnswer answers = new NewestAnswer(waiting::add, Runnable::run);
    answers.ask(() -> "old", heard::add, e -> heard.add("fault"));
    answers.ask(() -> "new", heard::add, e -> heard.add("fault"));
    workAll();
    assertThat(heard).containsExactly("new");
  }

  @Test
  void aFaultIsHandedOver() {
    NewestAnswer answers = new NewestAnswer(waiting::add, Runnable::run);
    answers.ask(
        () -> {
          throw new IllegalStateException("x");
        },
        a -> heard.add("answer"),
        e -> heard.add(e.getMessage()));
    workAll();
    assertThat(heard).containsExactly("x");
  }

  @Test
  void anErrorIsHandedOverAsWell() {
    NewestAnswer answers = new NewestAnswer(waiting::add, Runnable::run);
    answers.ask(
        () -> {
          throw new StackOverflowError("deep");
        },
        a -> heard.add("answer"),
        e -> heard.add(e.getMessage()));
    workAll();
    assertThat(heard).containsExactly("deep");
  }

  @Test
  void whatIsForgottenIsNotHeard() {
    NewestAnswer answers = new NewestAnswer(waiting::add, Runnable::run);
    answers.ask(() -> "old", heard::add, e -> heard.add("fault"));
    answers.forget();
    workAll();
    assertThat(heard).isEmpty();
  }

  /** A question that comes while the program ends is let go. */
  @Test
  void aClosedWindowAsksInVain() {
    ExecutorService closed = Executors.newSingleThreadExecutor();
    closed.shutdownNow();
    NewestAnswer answers = new NewestAnswer(closed, Runnable::run);
    answers.ask(() -> "late", heard::add, e -> heard.add("fault"));
    assertThat(heard).isEmpty();
  }
}
