package phalanx.desktop.files;

import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.List;
import java.util.Optional;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Predicate;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import phalanx.desktop.background.NewestAnswer;
import phalanx.desktop.document.DocumentEvent;
import phalanx.desktop.document.DocumentMachine;
import phalanx.desktop.document.Intent;
import phalanx.desktop.document.LeftCopy;
import phalanx.desktop.document.OpenDocument;
import phalanx.desktop.document.OpenedSong;
import phalanx.desktop.document.Question;
import phalanx.desktop.document.Request;
import phalanx.desktop.model.PracticeRecords;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.draft.Manner;
import phalanx.embellishment.Fill;
import phalanx.formats.SongFiles;
import phalanx.formats.fills.OwnFills;
import phalanx.formats.manners.OwnManners;
import phalanx.formats.patterns.OwnPatterns;
import phalanx.picking.WrittenPattern;
import phalanx.song.SongId;

/**
 * The open document between window and disk: what happens goes to {@link DocumentMachine}, which
 * decides; what it asks for is carried out here. Also keeps what is the player's own beside songs.
 * Used on the interface's thread.
 */
public final class Documents {

  private final Workspace workspace;
  private final SongDisk disk;
  private final DiskTasks tasks;
  private final PracticeStore practice;
  private final Predicate<Path> isPattern;

  /** The song that was read last; where the open one was read, and whether that is a demo song. */
  private Optional<OpenedSong> read = Optional.empty();

  private Optional<Path> origin = Optional.empty();
  private boolean demo;
  private final Remembered remembered;
  private final Exports exports;
  private final TuneImports imports;
  private final OwnShelf<OwnPatterns, WrittenPattern> shelf;
  private final OwnShelf<OwnFills, Fill> fills;
  private final OwnShelf<OwnManners, Manner> manners;
  private final ReadOnlyObjectWrapper<OpenDocument> document;
  private final Queue<DocumentEvent> events = new ArrayDeque<>();
  private boolean busy;
  private Window window = Window.NONE;

  /**
   * For a workspace.
   *
   * @param executor reads and writes, one thing at a time
   * @param interfaceThread takes what came of it
   * @param isPattern whether a file is one to start from, never saved into
   */
  public Documents(
      Workspace workspace,
      PlayerFolder folder,
      Executor executor,
      Executor interfaceThread,
      Predicate<Path> isPattern) {
    this.workspace = workspace;
    tasks = new DiskTasks(workspace, executor, interfaceThread);
    disk = new SongDisk(executor, interfaceThread, folder, isPattern, new Told());
    shelf = new OwnShelf<>(folder, OwnShelf.Kept.PATTERNS, executor, interfaceThread, tasks::tell);
    fills = new OwnShelf<>(folder, OwnShelf.Kept.FILLS, executor, interfaceThread, tasks::tell);
    manners = new OwnShelf<>(folder, OwnShelf.Kept.MANNERS, executor, interfaceThread, tasks::tell);
    remembered = new Remembered(workspace, folder, tasks);
    practice =
        new PracticeStore(
            folder,
            tasks,
            () -> demo && workspace.fileProperty().get().isEmpty(),
            () -> remembered.property().get().recent());
    workspace.levelProperty().addListener(o -> rememberLevel());
    workspace.unsaved().addListener(o -> rememberLevel());
    this.isPattern = isPattern;
    document = new ReadOnlyObjectWrapper<>(OpenDocument.begun(workspace.song()));
    exports = new Exports(workspace, tasks, practice, () -> document.get().file());
    imports =
        new TuneImports(
            workspace,
            tasks,
            new NewestAnswer(executor, interfaceThread),
            () -> document.get().id());
    workspace.faults().logLiesAt(folder.log());
    workspace
        .historyProperty()
        .addListener(o -> happened(new DocumentEvent.Edited(workspace.song())));
  }

  /** How hard the song is as it stands in its file, for the list of songs. */
  private void rememberLevel() {
    Optional<Path> file = workspace.fileProperty().get();
    if (!workspace.unsaved().get() && file.isPresent()) {
      workspace.levelProperty().get().ifPresent(l -> remembered.level(file.get(), l.level()));
    }
  }

  /** What only the window can do. */
  public interface Window {

    /** Nobody is there. */
    Window NONE =
        new Window() {
          @Override
          public void finishTyping() {}

          @Override
          public void chooseName(Request.ChooseName naming) {}

          @Override
          public void begin() {}

          @Override
          public void close() {}
        };

    /** Puts into the song what stands in a field and is not in it yet. */
    void finishTyping();

    /** Asks where to save, and answers with {@link Documents#nameChosen}. */
    void chooseName(Request.ChooseName naming);

    /** Puts the keyboard where a new song is typed. */
    void begin();

    /** Closes. */
    void close();
  }

  private final class Told implements SongDisk.Trouble {
    @Override
    public void tell(List<String> words) {
      words.forEach(tasks::tell);
    }

    @Override
    public void fault(String what, Throwable fault) {
      workspace.faults().tell(what, fault);
    }
  }

  /** Who shows what is asked. */
  public void shownBy(Window who) {
    window = who;
  }

  /** What is remembered from one start to the next. */
  public Remembered remembered() {
    return remembered;
  }

  /** The player's own patterns. */
  public OwnShelf<OwnPatterns, WrittenPattern> shelf() {
    return shelf;
  }

  /** The player's log. */
  public PracticeRecords practice() {
    return practice;
  }

  /** What writes plans, sound and the log into files. */
  public Exports exports() {
    return exports;
  }

  /** What takes tunes out of files. */
  public TuneImports imports() {
    return imports;
  }

  /** The window is gone: what was kept open is given back. */
  public void end() {
    practice.close();
  }

  /** The player's own manners of arranging. */
  public OwnShelf<OwnManners, Manner> manners() {
    return manners;
  }

  /** The player's own fills. */
  public OwnShelf<OwnFills, Fill> fills() {
    return fills;
  }

  /** The open document; its question is to be shown. */
  public ReadOnlyObjectProperty<OpenDocument> documentProperty() {
    return document.getReadOnlyProperty();
  }

  private static SongId fresh() {
    return SongId.of(UUID.randomUUID());
  }

  /** One event after the other, also those that come while one is carried out. */
  private void happened(DocumentEvent event) {
    events.add(event);
    if (busy) {
      return;
    }
    busy = true;
    try {
      while (!events.isEmpty()) {
        DocumentEvent next = events.remove();
        if (next instanceof DocumentEvent.Read done) {
          read = done.song();
        }
        DocumentMachine.Step step = DocumentMachine.on(document.get(), next);
        document.set(step.document());
        workspace.lies(step.document().file(), step.document().isUnsaved());
        step.requests().forEach(this::tryOut);
      }
    } finally {
      busy = false;
    }
  }

  /** Where the open song lies, or was read from without being saved there. */
  public Optional<Path> origin() {
    return document.get().file().or(() -> origin);
  }

  /** What fails of one request must not cost the others. */
  private void tryOut(Request request) {
    try {
      carryOut(request);
    } catch (RuntimeException e) {
      workspace.faults().tell(Texts.of("documents.somethingAboutTheSong"), e);
    }
  }

  private void carryOut(Request request) {
    if (request instanceof Request.OfDisk asked) {
      disk.carryOut(asked, this::answered);
    } else if (request instanceof Request.Show show) {
      origin = read.filter(o -> o.song() == show.song()).map(OpenedSong::from);
      demo = origin.filter(isPattern).isPresent();
      workspace.open(show.song(), show.told());
      if (read.filter(o -> o.song() == show.song() && !SongFiles.isOwn(o.from())).isPresent()) {
        workspace.models().melody().takeAtHand(tasks::tell);
      }
    } else if (request instanceof Request.Begin) {
      window.begin();
    } else if (request instanceof Request.Identify known) {
      workspace.identify(known.saved());
    } else if (request instanceof Request.Remember remember) {
      remembered.opened(remember.file());
    } else if (request instanceof Request.ChooseName naming) {
      window.chooseName(naming);
    } else if (request instanceof Request.Tell tell) {
      tasks.tell(tell.words());
    } else if (request instanceof Request.Close) {
      window.close();
    }
  }

  /** A file that was read puts the song away: what is being typed belongs to that song. */
  private void answered(DocumentEvent answer) {
    if (answer instanceof DocumentEvent.Read read && read.song().isPresent()) {
      window.finishTyping();
    }
    happened(answer);
  }

  private void asked(Intent intent) {
    window.finishTyping();
    happened(new DocumentEvent.Asked(intent));
  }

  /** Opens a file in place of the song; where it cannot be used the song stays and it says why. */
  public void open(Path file) {
    open(file, Optional.empty());
  }

  /** Opens a file with its tune from one of its parts. */
  public void open(Path file, Optional<String> part) {
    asked(new Intent.Open(file, part));
  }

  /** Begins a new song. */
  public void startNew() {
    asked(new Intent.New());
  }

  /** Closes the window. */
  public void close() {
    asked(new Intent.Close());
  }

  /** Opens a song that was left behind, as unsaved. */
  public void recover(LeftCopy left) {
    asked(new Intent.Recover(left));
  }

  /** Lets go of a song that was left behind. */
  public void discard(LeftCopy left) {
    disk.carryOut(new Request.Discard(left.name()), e -> {});
  }

  /** Saves the song where it lies, or asks where. */
  public void save() {
    window.finishTyping();
    happened(new DocumentEvent.SaveAsked(fresh()));
  }

  /** Asks where to save the song. */
  public void saveAs() {
    window.finishTyping();
    happened(new DocumentEvent.SaveAsAsked());
  }

  /**
   * Saves into the file that the player chose.
   *
   * @param confirmed whether the player was asked already if something lies there
   */
  public void nameChosen(Request.ChooseName naming, Path file, boolean confirmed) {
    Path whole = file.toAbsolutePath().normalize();
    happened(new DocumentEvent.NameChosen(naming, whole, confirmed, fresh()));
  }

  /** Saves the song into a file; what lies there is asked about. */
  public void saveInto(Path file) {
    window.finishTyping();
    nameChosen(new Request.ChooseName(document.get().id(), Optional.empty()), file, false);
  }

  /** Takes the answer to a question; one that is gone by now does nothing. */
  public void answer(long question, Question.Answer answer) {
    window.finishTyping();
    happened(new DocumentEvent.Answered(question, answer, fresh()));
  }

  /** Keeps the song for recovery and looks for other programs; called in turn. */
  public void keep() {
    happened(new DocumentEvent.Tick(workspace.typed()));
  }

  /** Finds what windows left behind that ended without saying so. */
  public void findLeft(Consumer<List<LeftCopy>> answer) {
    tasks.run(
        Texts.of("documents.songsLeftBehindCould"),
        () -> {
          List<LeftCopy> left = disk.recovery().left();
          tasks.answer(() -> answer.accept(left));
        });
  }
}
