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
import phalanx.formats.Texts;

/** What went wrong with a file, in words; the message of such an exception is one of ours. */
public final class DiskTrouble extends IOException {

  private static final long serialVersionUID = 1;

  /** What systems say, by a part of it; the words are those of the POSIX standard's errors. */
  private static final Map<String, String> REASONS =
      Map.of(
          "No space left", Texts.of("diskTrouble.theDiskIsFull"),
          "quota", Texts.of("diskTrouble.theDiskSpaceAllowed"),
          "Is a directory", Texts.of("diskTrouble.itIsAFolder"),
          "Not a directory", Texts.of("diskTrouble.aPartOfIts"),
          "Read-only file system", Texts.of("diskTrouble.theDiskCanOnly"),
          "Too many open files", Texts.of("diskTrouble.tooManyFilesAre"),
          "File name too long", Texts.of("diskTrouble.itsNameIsToo"),
          "Too many levels of symbolic links", Texts.of("diskTrouble.itsLinksLeadIn"),
          "Input/output error", Texts.of("diskTrouble.theDiskReportsAn"),
          "Permission denied", Texts.of("diskTrouble.thereIsNoPermission"));

  /** A fault that is told in these words. */
  public DiskTrouble(String words) {
    super(words);
  }

  /** Why a file cannot be read. */
  public static String reading(IOException e) {
    return e instanceof DiskTrouble ? e.getMessage() : Texts.of("diskTrouble.cannotBeRead", why(e));
  }

  /** Why a file cannot be written. */
  public static String writing(IOException e) {
    return e instanceof DiskTrouble
        ? e.getMessage()
        : Texts.of("diskTrouble.cannotBeWritten", why(e));
  }

  /** The reason alone. */
  public static String why(IOException e) {
    if (e instanceof DiskTrouble) {
      return e.getMessage();
    } else if (e instanceof NoSuchFileException || e instanceof FileNotFoundException) {
      return Texts.of("diskTrouble.thereIsNoSuch");
    } else if (e instanceof AccessDeniedException) {
      return Texts.of("diskTrouble.thereIsNoPermission");
    } else if (e instanceof NotDirectoryException) {
      return Texts.of("diskTrouble.aPartOfIts");
    } else if (e instanceof FileAlreadyExistsException || e instanceof DirectoryNotEmptyException) {
      return Texts.of("diskTrouble.somethingOfThisName");
    } else if (e instanceof FileSystemLoopException) {
      return Texts.of("diskTrouble.itsLinksLeadIn");
    } else if (e instanceof CharacterCodingException) {
      return Texts.of("diskTrouble.itIsNotText");
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
              return Texts.of("diskTrouble.theSystemRefusedIt");
            });
  }
}
