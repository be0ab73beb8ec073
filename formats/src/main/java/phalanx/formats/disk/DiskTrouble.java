package phalanx.formats.disk;

import java.io.FileNotFoundException;
import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.AccessDeniedException;
import java.nio.file.DirectoryNotEmptyException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.FileSystemLoopException;
import java.nio.file.NoSuchFileException;
import java.nio.file.NotDirectoryException;
import java.util.Map;
import org.slf4j.LoggerFactory;

/** What went wrong with a file, in words; the message of such an exception is one of ours. */
public final class DiskTrouble extends IOException {

  private static final long serialVersionUID = 1;

  /** What systems say, by a part of it; the words are those of the POSIX standard's errors. */
  private static final Map<String, String> REASONS =
      Map.of(
          "No space left", "the disk is full",
          "quota", "the disk space allowed is used up",
          "Is a directory", "it is a folder",
          "Not a directory", "a part of its path is no folder",
          "Read-only file system", "the disk can only be read",
          "Too many open files", "too many files are open",
          "File name too long", "its name is too long",
          "Too many levels of symbolic links", "its links lead in a circle",
          "Input/output error", "the disk reports an error",
          "Permission denied", "there is no permission to");

  /** A fault that is told in these words. */
  public DiskTrouble(String words) {
    super(words);
  }

  /** Why a file cannot be read. */
  public static String reading(IOException e) {
    return e instanceof DiskTrouble ? e.getMessage() : "cannot be read: " + why(e);
  }

  /** Why a file cannot be written. */
  public static String writing(IOException e) {
    return e instanceof DiskTrouble ? e.getMessage() : "cannot be written: " + why(e);
  }

  /** The reason alone. */
  public static String why(IOException e) {
    if (e instanceof DiskTrouble) {
      return e.getMessage();
    } else if (e instanceof NoSuchFileException || e instanceof FileNotFoundException) {
      return "there is no such file or folder";
    } else if (e instanceof AccessDeniedException) {
      return "there is no permission to";
    } else if (e instanceof NotDirectoryException) {
      return "a part of its path is no folder";
    } else if (e instanceof FileAlreadyExistsException || e instanceof DirectoryNotEmptyException) {
      return "something of this name is there already";
    } else if (e instanceof FileSystemLoopException) {
      return "its links lead in a circle";
    } else if (e instanceof CharacterCodingException) {
      return "it is not text in UTF-8";
    }
    return fromSystem(e);
  }

  private static String fromSystem(IOException e) {
    String said = e instanceof FileSystemException f ? f.getReason() : e.getMessage();
    String reason = said == null ? "" : said;
    return REASONS.entrySet().stream()
        .filter(r -> reason.contains(r.getKey()))
        .map(Map.Entry::getValue)
        .findFirst()
        .orElseGet(
            () -> {
              LoggerFactory.getLogger(DiskTrouble.class).warn("a file could not be used", e);
              return "the system refused it";
            });
  }
}
