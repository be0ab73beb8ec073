package phalanx.desktop.model;

import java.util.List;
import java.util.function.Consumer;
import phalanx.practice.PracticeEntry;

/** Where attempts are kept. Answers come on the interface's thread. */
public interface PracticeRecords {

  /** None: nothing is kept. */
  PracticeRecords NONE =
      new PracticeRecords() {
        @Override
        public void read(Consumer<List<PracticeEntry>> answer) {
          answer.accept(List.of());
        }

        @Override
        public void addAll(List<PracticeEntry> entries) {
          // Nothing is kept.
        }
      };

  /** Whether they are those at a demo song, which nobody made. */
  default boolean isDemo() {
    return false;
  }

  /** Reads all attempts. */
  void read(Consumer<List<PracticeEntry>> answer);

  /** Keeps attempts, all or none. */
  void addAll(List<PracticeEntry> entries);
}
