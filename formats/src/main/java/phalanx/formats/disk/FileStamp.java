package phalanx.formats.disk;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;
import java.util.Optional;
import java.util.zip.CRC32C;

/**
 * What a file was like at a time, to tell whether another program has written it since.
 *
 * @param size bytes
 * @param changed when it was written last
 * @param key what tells it apart from a file that took its name, as the system has it
 * @param sum checksum of what is in it
 */
public record FileStamp(long size, FileTime changed, String key, long sum) {

  /** The stamp of a file now; empty where there is none or it cannot be read. */
  public static Optional<FileStamp> of(Path file) {
    try {
      BasicFileAttributes is = Files.readAttributes(file, BasicFileAttributes.class);
      if (!is.isRegularFile()) {
        // Looking into a pipe would wait without end.
        return Optional.empty();
      }
      CRC32C sum = new CRC32C();
      sum.update(Files.readAllBytes(file));
      return Optional.of(
          new FileStamp(
              is.size(), is.lastModifiedTime(), String.valueOf(is.fileKey()), sum.getValue()));
    } catch (IOException | OutOfMemoryError e) {
      // A file that cannot be looked at now is told of when it is read or written.
      return Optional.empty();
    }
  }

  /** Whether another stamp is of the same contents; none is of none. */
  public boolean hasContentOf(Optional<FileStamp> other) {
    return other.filter(o -> o.sum == sum && o.size == size).isPresent();
  }

  /**
   * The stamp of a file if it has other contents now; looks into it only where it was written at
   * all. Where it is gone nothing of another program’s would be lost.
   */
  public Optional<FileStamp> outdatedBy(Path file) {
    try {
      BasicFileAttributes is = Files.readAttributes(file, BasicFileAttributes.class);
      boolean untouched =
          is.size() == size
              && is.lastModifiedTime().equals(changed)
              && String.valueOf(is.fileKey()).equals(key);
      return untouched
          ? Optional.empty()
          : of(file).filter(now -> !now.hasContentOf(Optional.of(this)));
    } catch (IOException e) {
      return Optional.empty();
    }
  }
}
