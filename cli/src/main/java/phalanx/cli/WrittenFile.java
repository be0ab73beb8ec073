package phalanx.cli;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
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

  /** The same for a song: over no other. */
  static void checkSong(Path out, Path song) throws UnusableInput {
    try {
      SafeTarget.checkSong(out, Optional.of(song));
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

  /** Writes it to standard output. */
  static void pipe(AtomicFile.Content content) throws UnusableInput {
    try {
      // Closed by whoever reads it, not by what writes it.
      OutputStream out = new BufferedOutputStream(System.out);
      content.into(out);
      out.flush();
    } catch (IOException e) {
      throw new UnusableInput("standard output: " + DiskTrouble.writing(e));
    }
  }
}
