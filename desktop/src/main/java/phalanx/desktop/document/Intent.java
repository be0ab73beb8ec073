package phalanx.desktop.document;

import java.nio.file.Path;

/** What puts the open song away, and therefore waits until nothing of it can be lost. */
public sealed interface Intent {

  /** Begins a new song. */
  record New() implements Intent {}

  /** Reads a file and shows its song. */
  record Open(Path file) implements Intent {}

  /** Shows a song that was read already. */
  record Show(OpenedSong song) implements Intent {}

  /** Takes up a song that was left behind. */
  record Recover(LeftCopy left) implements Intent {}

  /** Closes the window. */
  record Close() implements Intent {}
}
