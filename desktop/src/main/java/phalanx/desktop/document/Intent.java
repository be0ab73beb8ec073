package phalanx.desktop.document;

import java.nio.file.Path;
import java.util.Optional;

/** What puts the open song away, and therefore waits until nothing of it can be lost. */
public sealed interface Intent {

  /** Begins a new song. */
  record New() implements Intent {}

  /**
   * Reads a file and shows its song.
   *
   * @param part the part of the file that its tune is taken from, if the player chose one
   */
  record Open(Path file, Optional<String> part) implements Intent {
    /** The part is as the file has it. */
    public Open(Path file) {
      this(file, Optional.empty());
    }
  }

  /** Shows a song that was read already. */
  record Show(OpenedSong song) implements Intent {}

  /** Takes up a song that was left behind. */
  record Recover(LeftCopy left) implements Intent {}

  /** Closes the window. */
  record Close() implements Intent {}
}
