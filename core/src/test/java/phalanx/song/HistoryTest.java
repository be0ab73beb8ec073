package phalanx.song;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

class HistoryTest {

  /** Against two plain stacks: 0 undoes, 1 redoes, anything else is an edit to that number. */
  @Property
  void behavesAsTwoStacksDo(@ForAll @Size(max = 40) List<@IntRange(max = 9) Integer> steps) {
    History<Integer> history = History.of(-1);
    Deque<Integer> past = new ArrayDeque<>();
    Deque<Integer> future = new ArrayDeque<>();
    int present = -1;
    for (int step : steps) {
      switch (step) {
        case 0 -> {
          history = history.undo();
          if (!past.isEmpty()) {
            future.push(present);
            present = past.pop();
          }
        }
        case 1 -> {
          history = history.redo();
          if (!future.isEmpty()) {
            past.push(present);
            present = future.pop();
          }
        }
        default -> {
          history = history.edit(n -> step);
          if (step != present) {
            past.push(present);
            present = step;
            future.clear();
          }
        }
      }
      assertThat(history.present()).isEqualTo(present);
      assertThat(history.canUndo()).isEqualTo(!past.isEmpty());
      assertThat(history.canRedo()).isEqualTo(!future.isEmpty());
    }
  }
}
