package phalanx.desktop.files;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import phalanx.desktop.texts.Texts;
import phalanx.draft.Manner;
import phalanx.embellishment.Fill;
import phalanx.formats.NamedTexts;
import phalanx.formats.disk.DiskTrouble;
import phalanx.formats.fills.OwnFills;
import phalanx.formats.manners.OwnManners;
import phalanx.formats.patterns.OwnPatterns;
import phalanx.picking.WrittenPattern;

/**
 * The player's own patterns, fills or manners, in a folder of the player's folder.
 *
 * @param <S> what is on the shelf
 * @param <T> one thing of it
 */
public final class OwnShelf<S, T> {

  private final PlayerFolder folder;
  private final Kept<S, T> kept;
  private final Executor disk;
  private final Executor interfaceThread;
  private final Consumer<String> trouble;
  private final ReadOnlyObjectWrapper<S> things;

  /**
   * How things are kept on disk.
   *
   * @param name the folder's name, which is also what they are called
   * @param none an empty shelf
   */
  record Kept<S, T>(
      String name,
      S none,
      Function<Path, S> read,
      Function<S, List<NamedTexts.Fault>> problems,
      Writing<T> save,
      Writing<String> remove) {

    static final Kept<OwnPatterns, WrittenPattern> PATTERNS =
        new Kept<>(
            "patterns",
            OwnPatterns.NONE,
            OwnPatterns::read,
            OwnPatterns::problems,
            OwnPatterns::save,
            OwnPatterns::remove);

    static final Kept<OwnFills, Fill> FILLS =
        new Kept<>(
            "fills",
            OwnFills.NONE,
            OwnFills::read,
            OwnFills::problems,
            OwnFills::save,
            OwnFills::remove);

    static final Kept<OwnManners, Manner> MANNERS =
        new Kept<>(
            "manners",
            OwnManners.NONE,
            OwnManners::read,
            OwnManners::problems,
            OwnManners::save,
            OwnManners::remove);
  }

  /** Something done in a folder. */
  interface Writing<T> {
    void in(Path folder, T thing) throws IOException;
  }

  /**
   * Reads the shelf.
   *
   * @param disk reads and writes, one thing at a time
   * @param interfaceThread takes what came of it
   * @param trouble hears what could not be read or written
   */
  OwnShelf(
      PlayerFolder folder,
      Kept<S, T> kept,
      Executor disk,
      Executor interfaceThread,
      Consumer<String> trouble) {
    this.folder = folder;
    this.kept = kept;
    this.disk = disk;
    this.interfaceThread = interfaceThread;
    this.trouble = trouble;
    things = new ReadOnlyObjectWrapper<>(kept.none());
    change(place -> {});
  }

  /** What is on it. */
  public ReadOnlyObjectProperty<S> property() {
    return things.getReadOnlyProperty();
  }

  /** Puts a thing on it, in place of one of the same name. */
  public void put(T thing) {
    change(place -> kept.save().in(place, thing));
  }

  /** Takes a thing from it. */
  public void remove(String name) {
    change(place -> kept.remove().in(place, name));
  }

  private interface Change {
    void in(Path place) throws IOException;
  }

  private void change(Change change) {
    disk.execute(
        () -> {
          try {
            Path place = folder.file(kept.name());
            change.in(place);
            S read = kept.read().apply(place);
            interfaceThread.execute(() -> show(read));
          } catch (IOException e) {
            String words = Texts.of("ownShelf.yourCouldNotBe", kept.name(), DiskTrouble.why(e));
            interfaceThread.execute(() -> trouble.accept(words));
          }
        });
  }

  private void show(S read) {
    things.set(read);
    kept.problems().apply(read).forEach(f -> trouble.accept(f.toString()));
  }
}
