package phalanx.desktop.model;

import java.util.List;
import java.util.function.Consumer;
import phalanx.practice.PracticeEntry;
import phalanx.song.Song;

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

  /** Other songs of the player’s, the ones used last first. */
  default void otherSongs(Consumer<List<Song>> answer) {
    answer.accept(List.of());
  }

  /** Reads all attempts. */
  void read(Consumer<List<PracticeEntry>> answer);

  /** Keeps attempts, all or none. */
  void addAll(List<PracticeEntry> entries);
}
