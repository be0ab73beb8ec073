package phalanx.desktop.model;

import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.collections.ObservableList;
import org.slf4j.LoggerFactory;
import phalanx.desktop.texts.Texts;

/**
 * Faults of the program's own: each becomes a notice for the player and a line in the log, and
 * nothing else happens. May be told from any thread.
 */
public final class FaultNotices {

  private final ObservableList<String> notices;
  private final Executor interfaceThread;
  private volatile Optional<Path> log = Optional.empty();

  FaultNotices(ObservableList<String> notices, Executor interfaceThread) {
    this.notices = notices;
    this.interfaceThread = interfaceThread;
  }

  /** Where the log lies, for the notices to say. */
  public void logLiesAt(Path file) {
    log = Optional.of(file);
  }

  /**
   * Tells of a fault.
   *
   * @param what what did not work, as the start of a sentence: {@code The song could not be
   *     planned}
   */
  public void tell(String what, Throwable fault) {
    // Asked for here: a log that nothing is written into costs a window its time to start.
    LoggerFactory.getLogger(FaultNotices.class).error(what, fault);
    String where = log.map(f -> Texts.of("faultNotices.whatWentWrongIs", f)).orElse("");
    String words = Texts.of("faultNotices.aFaultOfPhalanx", what, where);
    interfaceThread.execute(() -> say(words));
  }

  private void say(String words) {
    if (!notices.contains(words)) {
      notices.add(words);
    }
  }
}
