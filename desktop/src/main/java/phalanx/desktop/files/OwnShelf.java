package phalanx.desktop.files;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import phalanx.formats.DiskTrouble;
import phalanx.formats.patterns.OwnPatterns;
import phalanx.picking.WrittenPattern;

/** The player's own patterns, in a folder of the player's folder. */
public final class OwnShelf {

  private static final String FOLDER = "patterns";

  private final PlayerFolder folder;
  private final Executor disk;
  private final Executor interfaceThread;
  private final Consumer<String> trouble;
  private final ReadOnlyObjectWrapper<OwnPatterns> patterns =
      new ReadOnlyObjectWrapper<>(OwnPatterns.NONE);

  /**
   * Reads the shelf.
   *
   * @param disk reads and writes, one thing at a time
   * @param interfaceThread takes what came of it
   * @param trouble hears what could not be read or written
   */
  OwnShelf(PlayerFolder folder, Executor disk, Executor interfaceThread, Consumer<String> trouble) {
    this.folder = folder;
    this.disk = disk;
    this.interfaceThread = interfaceThread;
    this.trouble = trouble;
    change(place -> {});
  }

  /** What is on it. */
  public ReadOnlyObjectProperty<OwnPatterns> patternsProperty() {
    return patterns.getReadOnlyProperty();
  }

  /** Puts a pattern on it, in place of one of the same name. */
  public void put(WrittenPattern pattern) {
    change(place -> OwnPatterns.save(place, pattern));
  }

  /** Takes a pattern from it. */
  public void remove(String title) {
    change(place -> OwnPatterns.remove(place, title));
  }

  private interface Change {
    void in(Path place) throws IOException;
  }

  private void change(Change change) {
    disk.execute(
        () -> {
          try {
            Path place = folder.file(FOLDER);
            change.in(place);
            OwnPatterns read = OwnPatterns.read(place);
            interfaceThread.execute(() -> show(read));
          } catch (IOException e) {
            String words = "Your patterns could not be saved: " + DiskTrouble.why(e);
            interfaceThread.execute(() -> trouble.accept(words));
          }
        });
  }

  private void show(OwnPatterns read) {
    patterns.set(read);
    List<OwnPatterns.Fault> faults = read.problems();
    faults.forEach(f -> trouble.accept(f.toString()));
  }
}
