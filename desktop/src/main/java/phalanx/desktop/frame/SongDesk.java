package phalanx.desktop.frame;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.ProgressBar;
import phalanx.arrangement.Arrangement;
import phalanx.desktop.files.Documents;
import phalanx.desktop.files.Recovery;
import phalanx.desktop.files.SoundExport;
import phalanx.desktop.frame.NoticeBar.Answer;
import phalanx.desktop.model.Screen;
import phalanx.desktop.model.Workspace;
import phalanx.formats.SongFiles;
import phalanx.theory.Phrase;

/** What a player does with songs as a whole: nothing unsaved goes without being asked about. */
public final class SongDesk implements Documents.Questions {

  /** Asks the player for a file. */
  public interface FileAsker {

    /** A file to open; empty if the player thinks better of it. */
    Optional<Path> toOpen();

    /** A file to take a tune from; empty if the player thinks better of it. */
    Optional<Path> toImport();

    /** A file to write the plan of this title into; empty if the player thinks better of it. */
    Optional<Path> toExport(String title);

    /** A file to save a song of this title into; empty if the player thinks better of it. */
    Optional<Path> toSave(String title);
  }

  private final Workspace workspace;
  private Runnable started = () -> {};
  private final Documents documents;
  private final NoticeBar notices;
  private final FileAsker asker;

  public SongDesk(Workspace workspace, Documents documents, NoticeBar notices, FileAsker asker) {
    this.workspace = workspace;
    this.documents = documents;
    this.notices = notices;
    this.asker = asker;
    documents.asks(this);
  }

  @Override
  public void readOnly(Path file, Runnable overwrite) {
    notices.ask(
        "read-only",
        Phrase.of("%s is marked as a file that may only be read.", file.getFileName()),
        List.of(
            new Answer("read-only-as", "Save under another name", () -> saveAs(() -> {})),
            new Answer("read-only-over", "Save over it", overwrite),
            new Answer("read-only-not", "Don’t save", () -> {})));
  }

  @Override
  public void changed(Path file, Runnable keepMine) {
    notices.ask(
        "changed",
        Phrase.of("%s was changed by another program.", file.getFileName()),
        List.of(
            new Answer("changed-as", "Save mine under another name", () -> saveAs(() -> {})),
            new Answer("changed-mine", "Save mine over it", keepMine),
            new Answer("changed-theirs", "Take theirs", () -> documents.open(file)),
            new Answer("changed-later", "Later", () -> {})));
  }

  /** Opens a file; asks first if that would lose changes. */
  void open(Path file) {
    guarded(() -> documents.open(file));
  }

  /** Lets the player choose a file to open. */
  void chooseAndOpen() {
    asker.toOpen().ifPresent(this::open);
  }

  /** Lets the player choose a file to take a tune from. */
  void chooseAndImport() {
    asker.toImport().ifPresent(this::importTune);
  }

  /** Puts the tune of a file over the song and says what came of it. */
  void importTune(Path file) {
    documents.importTune(
        file,
        done -> {
          String words = Phrase.of("%d bars of tune are put in", done.bars());
          String more = done.remarks().isEmpty() ? "" : "; " + String.join("; ", done.remarks());
          notices.ask(
              "imported",
              words + more + ".",
              List.of(
                  new Answer("imported-good", "Good", () -> {}),
                  new Answer("imported-undo", "Take it out again", workspace::undo),
                  new Answer("imported-close", "×", () -> {})));
        });
  }

  /** What puts the keyboard where a new song is typed. */
  void whenStarted(Runnable then) {
    started = then;
  }

  /** Begins a new song; asks first if that would lose changes. */
  void startNew() {
    guarded(
        () -> {
          documents.startNew();
          workspace.screenProperty().set(Screen.CHART);
          started.run();
        });
  }

  /** Saves the song where it lies, or asks where. */
  void save(Runnable then) {
    workspace
        .fileProperty()
        .get()
        .ifPresentOrElse(f -> documents.save(f, then), () -> saveAs(then));
  }

  /** Asks where to write the plan, and in which format; says when it lies there. */
  void export() {
    Arrangement plan = workspace.arrangementProperty().get();
    if (plan == null) {
      return;
    }
    Optional<Path> file = asker.toExport(workspace.song().title());
    if (file.filter(SoundExport::isSound).isPresent()) {
      exportSound(file.get());
    } else {
      file.ifPresent(f -> documents.export(plan, f, () -> written(f)));
    }
  }

  private void written(Path file) {
    notices.ask(
        "exported",
        file.getFileName() + " is written.",
        List.of(new Answer("exported-good", "Good", () -> {})));
  }

  /** Sound takes its time: it is shown how far it is, and it can be cancelled. */
  private void exportSound(Path file) {
    SoundExport export = documents.soundExport();
    Answer cancel = new Answer("rendering-cancel", "Cancel", export::cancel);
    String words = file.getFileName() + " is being written …";
    ProgressBar bar = notices.progress("rendering", words, cancel);
    export.write(
        workspace.performanceProperty().get(),
        workspace.desks().sound().settings().fileOptions(),
        file,
        new SoundExport.Watcher() {
          @Override
          public void share(double done) {
            bar.setProgress(done);
          }

          @Override
          public void written() {
            notices.forget("rendering");
            SongDesk.this.written(file);
          }

          @Override
          public void cancelled() {
            notices.forget("rendering");
          }

          @Override
          public void refused(String why) {
            notices.forget("rendering");
            workspace.problems().add(why);
          }
        });
  }

  /** Asks where to save the song. */
  void saveAs(Runnable then) {
    asker
        .toSave(workspace.song().title())
        .map(SongDesk::ended)
        .ifPresent(f -> documents.save(f, then));
  }

  private static Path ended(Path file) {
    String name = file.getFileName().toString();
    return name.endsWith(".json") ? file : file.resolveSibling(name + SongFiles.ENDING);
  }

  /** Does something that puts the song away, once its changes are saved or given up. */
  public void guarded(Runnable action) {
    if (!workspace.unsaved().get()) {
      action.run();
      return;
    }
    notices.ask(
        "unsaved",
        Phrase.of("“%s” has changes that are not saved.", workspace.song().title()),
        List.of(
            new Answer("unsaved-save", "Save", () -> save(action)),
            new Answer(
                "unsaved-drop",
                "Don’t save",
                () -> {
                  documents.forget();
                  action.run();
                }),
            new Answer("unsaved-keep", "Go on editing", () -> {})));
  }

  /** Offers songs that were left behind by a program that ended without saying so. */
  public void offerLeft(List<Recovery.Left> left) {
    for (Recovery.Left song : left) {
      notices.ask(
          "left-" + song.kept().getFileName(),
          Phrase.of(
              "Phalanx ended before “%s” was saved.%s",
              song.song().title(),
              song.raw()
                  .map(r -> " What could not be kept as a song lies as text in " + r + ".")
                  .orElse("")),
          List.of(
              new Answer(
                  "recover", "Take it up again", () -> guarded(() -> documents.recover(song))),
              new Answer("recover-not", "Throw it away", () -> documents.discard(song)),
              new Answer("recover-later", "Later", () -> {})));
    }
  }
}
