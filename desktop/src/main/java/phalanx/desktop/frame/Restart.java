package phalanx.desktop.frame;

import java.util.List;
import java.util.Optional;
import phalanx.desktop.files.Documents;
import phalanx.desktop.frame.NoticeBar.Answer;
import phalanx.desktop.texts.Texts;

/**
 * Starts the program once more for what holds from its next start on: its size and its language.
 * The song is left as when the window is closed: what is not saved is asked for first.
 */
public final class Restart {

  private final NoticeBar notices;
  private final Documents documents;
  private Optional<Runnable> program = Optional.empty();
  private boolean wanted;

  Restart(NoticeBar notices, Documents documents) {
    this.notices = notices;
    this.documents = documents;
  }

  /** What starts the program, where it is known how it was started. */
  public void by(Runnable start) {
    program = Optional.of(start);
  }

  /** Asks whether to start again now, after a choice that would wait for it. */
  void offer() {
    if (program.isPresent()) {
      notices.ask(
          "restart",
          Texts.of("restart.thisHoldsFrom"),
          List.of(
              new Answer("restart-now", Texts.of("restart.startAgainNow"), this::now),
              new Answer("restart-later", Texts.of("restart.later"), () -> {})));
    }
  }

  private void now() {
    wanted = true;
    documents.close();
  }

  /** The window is being closed for good, whatever was asked for before. */
  public void forget() {
    wanted = false;
  }

  /** Once the program has ended: starts it again if that was asked for. */
  public void ended() {
    if (wanted) {
      program.ifPresent(Runnable::run);
    }
  }
}
