package phalanx.formats;

import java.util.function.Function;
import java.util.function.Supplier;
import org.slf4j.LoggerFactory;
import phalanx.song.SongBounds;

/**
 * The edge of every reader: whatever goes wrong in it that nobody foresaw ends as an answer and as
 * a line in the log, never as an exception. Where {@code -Dphalanx.strict=true} is set, as in the
 * tests, it fails there and then instead.
 */
public final class ReaderGuard {

  /** What a player reads of it. */
  static final String WORDS = Texts.of("readerGuard.thisCouldNotBe");

  private static final boolean STRICT = Boolean.getBoolean("phalanx.strict");

  private ReaderGuard() {}

  /**
   * What a reader makes of its input.
   *
   * @param reader its name in the log
   * @param otherwise makes an answer of a problem
   */
  public static <T> T guarded(String reader, Supplier<T> read, Function<FileProblem, T> otherwise) {
    try {
      return read.get();
    } catch (SongBounds.TooLarge e) {
      return otherwise.apply(new FileProblem(1, 1, e.getMessage()));
    } catch (RuntimeException | StackOverflowError | OutOfMemoryError e) {
      if (STRICT) {
        throw e;
      }
      LoggerFactory.getLogger(ReaderGuard.class).error("the reader of {} failed", reader, e);
      return otherwise.apply(new FileProblem(1, 1, WORDS));
    }
  }
}
