package phalanx.formats;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/** Writes files that appear whole or not at all: to a neighbour first, then renamed. */
public final class WholeFile {

  private WholeFile() {}

  /** Puts text into a file as UTF-8, replacing what was there. */
  public static void write(Path file, String text) throws IOException {
    Path folder = file.toAbsolutePath().getParent();
    Path draft = Files.createTempFile(folder, "." + file.getFileName(), ".part");
    try {
      Files.write(draft, text.getBytes(StandardCharsets.UTF_8));
      Files.move(draft, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
    } finally {
      Files.deleteIfExists(draft);
    }
  }
}
