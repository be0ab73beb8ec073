package phalanx.desktop.files;

import java.io.Closeable;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.StandardOpenOption;
import java.util.concurrent.locks.ReentrantLock;
import org.slf4j.LoggerFactory;

/**
 * Lets one window at a time look at a file and write it, among all windows of the player: without
 * it two that save into one file could both find it as they know it.
 */
final class SaveLock {

  /** Another window that saves longer than this has other trouble, ns. */
  private static final long LONGEST_WAIT = 5_000_000_000L;

  private static final long STEP_MS = 20;
  private static final ReentrantLock HERE = new ReentrantLock();

  private final PlayerFolder folder;

  SaveLock(PlayerFolder folder) {
    this.folder = folder;
  }

  /** The lock while it is held. */
  interface Held extends Closeable {
    @Override
    void close();
  }

  /**
   * Waits for it. Where the player's folder cannot be written, only this program's windows wait.
   */
  Held take() {
    HERE.lock();
    FileChannel channel = open();
    return () -> {
      try {
        if (channel != null) {
          channel.close();
        }
      } catch (IOException e) {
        LoggerFactory.getLogger(SaveLock.class).warn("the lock of saving was not given back", e);
      } finally {
        HERE.unlock();
      }
    };
  }

  private FileChannel open() {
    FileChannel channel = null;
    try {
      channel =
          FileChannel.open(
              folder.file("saving.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
      for (long end = System.nanoTime() + LONGEST_WAIT; channel.tryLock() == null; ) {
        if (System.nanoTime() > end) {
          LoggerFactory.getLogger(SaveLock.class).warn("another window does not stop saving");
          break;
        }
        Thread.sleep(STEP_MS);
      }
      return channel;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return channel;
    } catch (IOException | UnsupportedOperationException e) {
      // Saving goes before being careful of another window.
      LoggerFactory.getLogger(SaveLock.class).warn("the lock of saving cannot be had", e);
      return channel;
    }
  }
}
