package phalanx.formats;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;

/**
 * Writes files that appear whole or not at all: to a neighbour first, which is flushed to the disk
 * and then takes the file's name. Whoever is stopped in between leaves the old file as it was.
 */
public final class WholeFile {

  private WholeFile() {}

  /** Puts text into a file as UTF-8, replacing what was there. */
  public static void write(Path file, String text) throws IOException {
    Path target = file.toAbsolutePath();
    // Always the same neighbour, so that a draft left behind by a crash is not left for good.
    Path draft = target.resolveSibling("." + target.getFileName() + ".part");
    try {
      try (FileChannel channel =
          FileChannel.open(
              draft,
              StandardOpenOption.CREATE,
              StandardOpenOption.TRUNCATE_EXISTING,
              StandardOpenOption.WRITE)) {
        ByteBuffer bytes = ByteBuffer.wrap(text.getBytes(StandardCharsets.UTF_8));
        while (bytes.hasRemaining()) {
          channel.write(bytes);
        }
        channel.force(true);
      }
      Files.move(
          draft, target, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
      flushFolder(target.getParent());
    } finally {
      Files.deleteIfExists(draft);
    }
  }

  /** Makes the new name last through a power cut, on systems that let a folder be opened. */
  private static void flushFolder(Path folder) {
    try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
      channel.force(true);
    } catch (IOException e) {
      // Some systems cannot; the file itself is whole all the same.
      return;
    }
  }
}
