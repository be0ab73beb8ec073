package phalanx.desktop.files;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.Executor;
import java.util.concurrent.ForkJoinPool;
import java.util.function.Consumer;
import phalanx.formats.disk.AtomicFile;
import phalanx.formats.disk.DiskTrouble;
import phalanx.formats.disk.SafeTarget;
import phalanx.performance.Performance;
import phalanx.sound.render.RenderOptions;
import phalanx.sound.render.Rendering;

/** Writes the song as sound, away from the interface's thread and from what keeps songs safe. */
public final class SoundExport {

  /** Is told on the interface's thread how it goes. */
  public interface Watcher {

    /** How much is done, 0 to 1. */
    void share(double done);

    /** The file lies there. */
    void written();

    /** It was cancelled: there is no file, or still the old one. */
    void cancelled();

    /** It could not be written; in the player's words. */
    void refused(String words);
  }

  private final Executor interfaceThread;
  private final Optional<Path> song;
  private final Consumer<Throwable> faults;
  private volatile boolean cancelled;

  /**
   * One export.
   *
   * @param song the file that the song lies in, which is never written over
   * @param faults takes faults of the program's own
   */
  public SoundExport(Executor interfaceThread, Optional<Path> song, Consumer<Throwable> faults) {
    this.interfaceThread = interfaceThread;
    this.song = song;
    this.faults = faults;
  }

  /** Stops it; the file is left as it was. */
  public void cancel() {
    cancelled = true;
  }

  /** Writes a performance into a file. */
  public void write(Performance performance, RenderOptions options, Path file, Watcher watcher) {
    ForkJoinPool.commonPool().execute(() -> render(performance, options, file, watcher));
  }

  private void render(Performance performance, RenderOptions options, Path file, Watcher watcher) {
    try {
      SafeTarget.check(file, song);
      Rendering rendering = new Rendering(performance, options);
      int[] told = {-1};
      AtomicFile.write(
          file,
          out ->
              rendering.write(
                  out,
                  share -> {
                    int percent = (int) (100 * share);
                    if (percent > told[0]) {
                      told[0] = percent;
                      then(() -> watcher.share(share));
                    }
                    return !cancelled;
                  }),
          false);
      then(watcher::written);
    } catch (CancellationException e) {
      then(watcher::cancelled);
    } catch (IOException e) {
      then(() -> watcher.refused(file + " " + DiskTrouble.writing(e) + "."));
    } catch (RuntimeException | Error e) {
      then(watcher::cancelled);
      faults.accept(e);
    }
  }

  private void then(Runnable news) {
    interfaceThread.execute(news);
  }
}
