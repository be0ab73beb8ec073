package phalanx.desktop.files;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import phalanx.arrangement.Arrangement;
import phalanx.chart.TuneImport;
import phalanx.colour.Fill;
import phalanx.desktop.model.NewestAnswer;
import phalanx.desktop.model.Workspace;
import phalanx.formats.DiskTrouble;
import phalanx.formats.FileStamp;
import phalanx.formats.PlanFormat;
import phalanx.formats.SongFiles;
import phalanx.formats.WholeFile;
import phalanx.formats.fills.OwnFills;
import phalanx.formats.patterns.OwnPatterns;
import phalanx.picking.WrittenPattern;
import phalanx.song.Bar;
import phalanx.song.Song;
import phalanx.song.SongId;

/**
 * Opens and saves the workspace's song, keeps it for recovery, remembers recent files. Files are
 * read and written away from the interface's thread, one after the other.
 */
public final class Documents {

  private static final String RECOVERY = "The recovery copy could not be kept";

  private final Workspace workspace;
  private final Recovery recovery;
  private final DiskTasks tasks;
  private final Remembered remembered;
  private final NewestAnswer opening;
  private final OwnShelf<OwnPatterns, WrittenPattern> shelf;
  private final OwnShelf<OwnFills, Fill> fills;
  private Optional<Song> kept = Optional.empty();
  private Questions questions = Questions.NONE;

  /** What the open file was like when it was last read or written here. */
  private Optional<FileStamp> stamp = Optional.empty();

  private boolean told;

  /**
   * For a workspace.
   *
   * @param disk reads and writes, one thing at a time
   * @param interfaceThread takes what came of it
   */
  public Documents(
      Workspace workspace, PlayerFolder folder, Executor disk, Executor interfaceThread) {
    this.workspace = workspace;
    tasks = new DiskTasks(workspace, disk, interfaceThread);
    recovery = new Recovery(folder, ProcessHandle.current().pid());
    opening = new NewestAnswer(disk, interfaceThread);
    shelf = new OwnShelf<>(folder, OwnShelf.Kept.PATTERNS, disk, interfaceThread, tasks::tell);
    fills = new OwnShelf<>(folder, OwnShelf.Kept.FILLS, disk, interfaceThread, tasks::tell);
    remembered = new Remembered(workspace, folder, tasks);
    workspace.faults().logLiesAt(folder.log());
  }

  /** What is remembered from one start to the next. */
  public Remembered remembered() {
    return remembered;
  }

  /** The player's own patterns. */
  public OwnShelf<OwnPatterns, WrittenPattern> shelf() {
    return shelf;
  }

  /** The player's own fills. */
  public OwnShelf<OwnFills, Fill> fills() {
    return fills;
  }

  /** What only the player can decide about a file. */
  public interface Questions {

    /** Nobody to ask: files stay as they are. */
    Questions NONE =
        new Questions() {
          @Override
          public void readOnly(Path file, Runnable overwrite) {}

          @Override
          public void changed(Path file, Runnable keepMine) {}
        };

    /** A file that may only be read is to be saved into. */
    void readOnly(Path file, Runnable overwrite);

    /** Another program has written the open file. */
    void changed(Path file, Runnable keepMine);
  }

  /** Who is asked. */
  public void asks(Questions who) {
    questions = who;
  }

  /** A file as it was read, and what it was like then. */
  private record Read(SongFiles.Opened opened, Optional<FileStamp> stamp) {

    static Read of(Path file) {
      Optional<FileStamp> stamp = FileStamp.of(file);
      return new Read(SongFiles.open(file), stamp);
    }
  }

  private Consumer<Throwable> unread(Path file) {
    return fault -> workspace.faults().tell(file.getFileName() + " could not be read", fault);
  }

  /** Opens a file in place of the song; where it cannot be used the song stays and it says why. */
  public void open(Path file) {
    opening.ask(() -> Read.of(file), read -> show(file, read), unread(file));
  }

  /**
   * Puts the tune of a file over the song, from the selected bar on.
   *
   * @param then takes what came of it, once it is in the song
   */
  public void importTune(Path file, Consumer<TuneImport> then) {
    opening.ask(() -> SongFiles.open(file), opened -> putIn(file, opened, then), unread(file));
  }

  private void putIn(Path file, SongFiles.Opened opened, Consumer<TuneImport> then) {
    String name = file.getFileName().toString();
    workspace.problems().setAll(opened.told().stream().map(p -> p.in(name)).toList());
    if (opened.song().isEmpty()) {
      return;
    }
    if (opened.song().get().tune().isEmpty()) {
      workspace.problems().add(name + ": there is no tune in it");
      return;
    }
    int bar = workspace.chord().bar().map(Bar::id).orElse(0);
    TuneImport done = TuneImport.into(workspace.song(), opened.song().get(), bar);
    workspace.edit(song -> done.song());
    then.accept(done);
  }

  private void show(Path file, Read read) {
    SongFiles.Opened opened = read.opened();
    String name = file.getFileName().toString();
    List<String> told = new ArrayList<>(opened.told().stream().map(p -> p.in(name)).toList());
    if (opened.song().isEmpty()) {
      workspace.problems().setAll(told);
      return;
    }
    boolean whole = opened.problems().isEmpty();
    if (SongFiles.isOwn(file) && !whole) {
      // Saved over, it would lose what could not be read of it.
      told.add(0, name + " was read in part and stays as it is: saving asks for another name.");
    }
    if (opened.song().get().isTuneAlone()) {
      told.add(0, name + ": there are no chords in it: the tune is planned alone.");
    }
    Optional<Path> own = Optional.of(file).filter(f -> SongFiles.isOwn(f) && whole);
    workspace.open(opened.song().get(), own, told);
    remembered.opened(file);
    keepStamp(read.stamp().filter(s -> own.isPresent()));
    forget();
  }

  private void keepStamp(Optional<FileStamp> now) {
    stamp = now;
    told = false;
  }

  /** Begins a new song. */
  public void startNew() {
    workspace.open(Song.untitled(), Optional.empty(), List.of());
    keepStamp(Optional.empty());
    forget();
  }

  /**
   * Saves the song into a file, unless the player has to be asked first: where it may only be read,
   * or where another program has written it meanwhile.
   *
   * @param then runs once it lies there
   */
  public void save(Path file, Runnable then) {
    save(file, then, false);
  }

  private void save(Path file, Runnable then, boolean overReadOnly) {
    Song song = identified(file);
    Optional<FileStamp> before =
        workspace.fileProperty().get().filter(file::equals).flatMap(f -> stamp);
    tasks.run(
        file.getFileName() + " could not be saved",
        () -> {
          if (before.filter(s -> s.isOutdated(file)).isPresent()) {
            tasks.answer(() -> askChanged(file, then));
            return;
          }
          try {
            SongFiles.save(song, file, overReadOnly);
          } catch (WholeFile.ReadOnly e) {
            tasks.answer(() -> questions.readOnly(file, () -> save(file, then, true)));
            return;
          } catch (IOException e) {
            String words = file + " " + DiskTrouble.writing(e) + "; nothing is lost.";
            tasks.answer(() -> workspace.problems().setAll(words));
            return;
          }
          Optional<FileStamp> after = FileStamp.of(file);
          tasks.answer(() -> saved(song, file, after, then));
          recovery.forget();
        });
  }

  /** The song with what it is known by; a copy under another name is another song. */
  private Song identified(Path file) {
    Song song = workspace.song();
    boolean copied = workspace.fileProperty().get().filter(f -> !f.equals(file)).isPresent();
    return song.id().isEmpty() || copied ? song.withId(SongId.of(UUID.randomUUID())) : song;
  }

  /**
   * Writes the plan into a file in the format of its ending; the song stays unsaved as it was.
   *
   * @param then runs once it lies there
   */
  public void export(Arrangement plan, Path file, Runnable then) {
    Optional<PlanFormat> format = PlanFormat.of(file);
    if (format.isEmpty()) {
      tasks.tell(file.getFileName() + ": expected a name ending in " + PlanFormat.allEndings());
      return;
    }
    tasks.run(
        file.getFileName() + " could not be exported",
        () -> {
          try {
            WholeFile.write(file, format.get().write(plan), false);
          } catch (IOException e) {
            String words = file + " " + DiskTrouble.writing(e) + ".";
            tasks.answer(() -> tasks.tell(words));
            return;
          }
          tasks.answer(then);
        });
  }

  /** An export of the song as sound. */
  public SoundExport soundExport() {
    return new SoundExport(
        tasks::answer, f -> workspace.faults().tell("The sound could not be written", f));
  }

  private void saved(Song song, Path file, Optional<FileStamp> after, Runnable then) {
    workspace.savedAs(song, file);
    keepStamp(after);
    kept = Optional.empty();
    remembered.opened(file);
    then.run();
  }

  private void askChanged(Path file, Runnable then) {
    told = true;
    questions.changed(
        file,
        () -> {
          // From now on what lies there counts as known, so that the next save writes over it.
          keepStamp(Optional.empty());
          save(file, then);
        });
  }

  /** Notices once where another program has written the open file; called in turn. */
  private void lookForOthers() {
    Optional<Path> file = workspace.fileProperty().get();
    Optional<FileStamp> known = stamp;
    if (file.isEmpty() || known.isEmpty() || told) {
      return;
    }
    tasks.run(
        file.get().getFileName() + " could not be looked at",
        () -> {
          if (known.get().isOutdated(file.get())) {
            tasks.answer(() -> noticeOther(file.get(), known));
          }
        });
  }

  private void noticeOther(Path file, Optional<FileStamp> known) {
    boolean still = !told && stamp.equals(known);
    if (still && workspace.fileProperty().get().filter(file::equals).isPresent()) {
      askChanged(file, () -> {});
    }
  }

  /** Keeps the song for recovery if it has changed since it was saved or kept; called in turn. */
  public void keep() {
    lookForOthers();
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
    tasks.run(
        RECOVERY,
        () -> {
          Optional<Path> raw = recovery.keep(song, origin);
          raw.ifPresent(
              r ->
                  tasks.answer(
                      () ->
                          tasks.tell(
                              "This song cannot be saved as it is; what of it cannot be is kept as text in "
                                  + r
                                  + ".")));
        });
  }

  /** Lets go of what is kept: the player saved it or does not want it. */
  public void forget() {
    kept = Optional.empty();
    tasks.run(RECOVERY, recovery::forget);
  }

  /** Finds what programs that ended without saying so left behind. */
  public void findLeft(Consumer<List<Recovery.Left>> answer) {
    tasks.run(
        "Songs left behind could not be looked for",
        () -> {
          List<Recovery.Left> left = recovery.left();
          tasks.answer(() -> answer.accept(left));
        });
  }

  /** Opens a song that was left behind, as unsaved. */
  public void recover(Recovery.Left left) {
    workspace.recover(left.song(), left.origin());
    keepStamp(Optional.empty());
    keep();
    if (left.raw().isEmpty()) {
      discard(left);
    }
  }

  /** Lets go of a song that was left behind. */
  public void discard(Recovery.Left left) {
    tasks.run(RECOVERY, () -> Recovery.discard(left.kept()));
  }
}
