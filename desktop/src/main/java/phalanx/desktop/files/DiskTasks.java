package phalanx.desktop.files;

import java.io.IOException;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import org.slf4j.LoggerFactory;
import phalanx.desktop.model.Workspace;
import phalanx.formats.disk.DiskTrouble;

/** What is done on the disk, away from the interface's thread; trouble is told to the player. */
final class DiskTasks {

  private final Workspace workspace;
  private final Executor disk;
  private final Executor interfaceThread;

  DiskTasks(Workspace workspace, Executor disk, Executor interfaceThread) {
    this.workspace = workspace;
    this.disk = disk;
    this.interfaceThread = interfaceThread;
  }

  /** Work that the disk may refuse. */
  interface Work {
    void run() throws IOException;
  }

  /**
   * Does something in its turn; where it fails the song is in hand all the same, and it is said.
   *
   * @param what what did not work then, as the start of a sentence
   */
  void run(String what, Work work) {
    try {
      disk.execute(() -> done(what, work));
    } catch (RejectedExecutionException e) {
      // An answer that was on its way asked for more when the window had closed.
      LoggerFactory.getLogger(DiskTasks.class).warn("{}: the window has closed", what, e);
    }
  }

  private void done(String what, Work work) {
    try {
      work.run();
    } catch (IOException e) {
      answer(() -> tell(what + ": " + DiskTrouble.why(e) + "."));
    } catch (RuntimeException | Error e) {
      workspace.faults().tell(what, e);
    }
  }

  /** Does something on the interface's thread. */
  void answer(Runnable done) {
    interfaceThread.execute(done);
  }

  /** Tells the player, once; on the interface's thread. */
  void tell(String words) {
    if (!workspace.problems().contains(words)) {
      workspace.problems().add(words);
    }
  }
}
