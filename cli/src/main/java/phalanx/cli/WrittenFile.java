package phalanx.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import phalanx.formats.disk.AtomicFile;
import phalanx.formats.disk.DiskTrouble;
import phalanx.formats.disk.SafeTarget;

/** A file that a command writes: never over a song, whole or not at all. */
final class WrittenFile {

  private WrittenFile() {}

  /** Refuses a file that must stay, before anything is worked out. */
  static void check(Path out, Path song) throws UnusableInput {
    try {
      SafeTarget.check(out, Optional.of(song));
    } catch (DiskTrouble e) {
      throw new UnusableInput(out + ": " + e.getMessage());
    }
  }

  /** Writes it. */
  static void write(Path out, AtomicFile.Content content) throws UnusableInput {
    try {
      AtomicFile.write(out, content, false);
    } catch (IOException e) {
      throw new UnusableInput(out + ": " + DiskTrouble.writing(e));
    }
  }
}
