package phalanx.desktop.files;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import phalanx.chart.TuneImport;
import phalanx.desktop.model.NewestAnswer;
import phalanx.desktop.model.Workspace;
import phalanx.formats.SongFiles;
import phalanx.song.Bar;
import phalanx.song.Song;

/**
 * Opens and saves the workspace's song, keeps it for recovery, remembers recent files. Files are
 * read and written away from the interface's thread, one after the other.
 */
public final class Documents {

  private final Workspace workspace;
  private final PlayerFolder folder;
  private final Recovery recovery;
  private final Executor disk;
  private final Executor interfaceThread;
  private final NewestAnswer opening;
  private final OwnShelf shelf;
  private final ReadOnlyObjectWrapper<Preferences> preferences;
  private Optional<Song> kept = Optional.empty();

  /**
   * For a workspace.
   *
   * @param disk reads and writes, one thing at a time
   * @param interfaceThread takes what came of it
   */
  public Documents(
      Workspace workspace, PlayerFolder folder, Executor disk, Executor interfaceThread) {
    this.workspace = workspace;
    this.folder = folder;
    this.disk = disk;
    this.interfaceThread = interfaceThread;
    recovery = new Recovery(folder, ProcessHandle.current().pid());
    opening = new NewestAnswer(disk, interfaceThread);
    shelf = new OwnShelf(folder, disk, interfaceThread, this::tell);
    preferences = new ReadOnlyObjectWrapper<>(Preferences.NONE);
    disk.execute(
        () -> {
          Preferences read = Preferences.read(folder);
          interfaceThread.execute(() -> recall(read));
        });
    workspace
        .namingProperty()
        .addListener((o, before, now) -> remember(preferences.get().withNaming(now)));
  }

  /** What is remembered from one start to the next. */
  public ReadOnlyObjectProperty<Preferences> preferencesProperty() {
    return preferences.getReadOnlyProperty();
  }

  /** The player's own patterns. */
  public OwnShelf shelf() {
    return shelf;
  }

  private void tell(String words) {
    if (!workspace.problems().contains(words)) {
      workspace.problems().add(words);
    }
  }

  /** Takes over what was remembered, unless the player was quicker. */
  private void recall(Preferences read) {
    if (preferences.get().equals(Preferences.NONE)) {
      preferences.set(read);
      workspace.namingProperty().set(read.naming());
    }
  }

  private void remember(Preferences next) {
    preferences.set(next);
    disk.execute(() -> quietly(() -> next.write(folder)));
  }

  /** Opens a file in place of the song; where it cannot be used the song stays and it says why. */
  public void open(Path file) {
    opening.ask(() -> SongFiles.open(file), opened -> show(file, opened), fault -> {});
  }

  /**
   * Puts the tune of a file over the song, from the selected bar on.
   *
   * @param then takes what came of it, once it is in the song
   */
  public void importTune(Path file, Consumer<TuneImport> then) {
    opening.ask(() -> SongFiles.open(file), opened -> putIn(file, opened, then), fault -> {});
  }

  private void putIn(Path file, SongFiles.Opened opened, Consumer<TuneImport> then) {
    String name = file.getFileName().toString();
    workspace.problems().setAll(opened.problems().stream().map(p -> p.in(name)).toList());
    if (opened.song().isEmpty()) {
      return;
    }
    if (opened.song().get().tune().isEmpty()) {
      workspace.problems().add(name + ": there is no tune in it");
      return;
    }
    int bar = workspace.selectedBar().map(Bar::id).orElse(0);
    TuneImport done = TuneImport.into(workspace.song(), opened.song().get(), bar);
    workspace.edit(song -> done.song());
    then.accept(done);
  }

  private void show(Path file, SongFiles.Opened opened) {
    String name = file.getFileName().toString();
    List<String> problems = opened.problems().stream().map(p -> p.in(name)).toList();
    if (opened.song().isEmpty()) {
      workspace.problems().setAll(problems);
      return;
    }
    Optional<Path> own = Optional.of(file).filter(SongFiles::isOwn);
    workspace.open(opened.song().get(), own, problems);
    remember(preferences.get().opened(file));
    forget();
  }

  /** Begins a new song. */
  public void startNew() {
    workspace.open(Song.untitled(), Optional.empty(), List.of());
    forget();
  }

  /**
   * Saves the song into a file.
   *
   * @param then runs once it lies there
   */
  public void save(Path file, Runnable then) {
    Song song = workspace.song();
    disk.execute(
        () -> {
          try {
            SongFiles.save(song, file);
            recovery.forget();
            interfaceThread.execute(() -> saved(song, file, then));
          } catch (IOException e) {
            String words = file + ": could not be saved (" + e.getMessage() + "); nothing is lost";
            interfaceThread.execute(() -> workspace.problems().setAll(words));
          }
        });
  }

  private void saved(Song song, Path file, Runnable then) {
    workspace.savedAs(song, file);
    kept = Optional.empty();
    remember(preferences.get().opened(file));
    then.run();
  }

  /** Keeps the song for recovery if it has changed since it was saved or kept; called in turn. */
  public void keep() {
    Song song = workspace.song();
    if (!workspace.unsaved().get() && kept.isPresent()) {
      // The player went back to what lies in the file.
      forget();
    }
    if (!workspace.unsaved().get() || kept.filter(song::equals).isPresent()) {
      return;
    }
    kept = Optional.of(song);
    Optional<Path> origin = workspace.fileProperty().get();
    disk.execute(() -> quietly(() -> recovery.keep(song, origin)));
  }

  /** Lets go of what is kept: the player saved it or does not want it. */
  public void forget() {
    kept = Optional.empty();
    disk.execute(() -> quietly(recovery::forget));
  }

  /** Finds what programs that ended without saying so left behind. */
  public void findLeft(Consumer<List<Recovery.Left>> answer) {
    disk.execute(
        () ->
            quietly(
                () -> {
                  List<Recovery.Left> left = recovery.left();
                  interfaceThread.execute(() -> answer.accept(left));
                }));
  }

  /** Opens a song that was left behind, as unsaved. */
  public void recover(Recovery.Left left) {
    workspace.recover(left.song(), left.origin());
    keep();
    discard(left);
  }

  /** Lets go of a song that was left behind. */
  public void discard(Recovery.Left left) {
    disk.execute(() -> quietly(() -> Recovery.discard(left.kept())));
  }

  private interface DiskWork {
    void run() throws IOException;
  }

  /** Work that the player did not ask for; when the disk refuses it, the song still is in hand. */
  private void quietly(DiskWork work) {
    try {
      work.run();
    } catch (IOException e) {
      String words = "The recovery copy could not be written: " + e.getMessage();
      interfaceThread.execute(() -> tell(words));
    }
  }
}
