package phalanx.desktop.frame;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import phalanx.desktop.document.LeftCopy;
import phalanx.desktop.document.OpenDocument;
import phalanx.desktop.document.Request;
import phalanx.desktop.files.Documents;
import phalanx.desktop.frame.NoticeBar.Answer;
import phalanx.desktop.model.Screen;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.share.SongExchange;
import phalanx.desktop.texts.Texts;
import phalanx.engraving.SheetOptions;
import phalanx.formats.FileFormat;
import phalanx.formats.SongFiles;
import phalanx.song.Song;

/** What a player does with songs as a whole: nothing unsaved goes without being asked about. */
public final class SongController implements Documents.Window, SongExchange {

  /** Asks the player for a file. */
  public interface FileAsker {

    /** A file to open; empty if the player thinks better of it. */
    Optional<Path> toOpen();

    /** A file to take a tune from; empty if the player thinks better of it. */
    Optional<Path> toImport();

    /** A file to write the plan of this title into; empty if the player thinks better of it. */
    Optional<Path> toExport(String title);

    /** The same in one format. */
    default Optional<Path> toExport(String title, FileFormat format) {
      return toExport(title);
    }

    /** A file to save a song of this title into; empty if the player thinks better of it. */
    Optional<Path> toSave(String title);
  }

  private final Workspace workspace;
  private final Documents documents;
  private final NoticeBar notices;
  private final FileAsker asker;
  private final ExportController exports;
  private final Restart restart;
  private Runnable started = () -> {};
  private Runnable typed = () -> {};
  private Runnable closed = () -> {};

  public SongController(
      Workspace workspace, Documents documents, NoticeBar notices, FileAsker asker) {
    this.workspace = workspace;
    this.documents = documents;
    this.notices = notices;
    this.asker = asker;
    restart = new Restart(notices, documents);
    documents.shownBy(this);
    exports = new ExportController(workspace, documents, notices, asker);
    new DocumentQuestions(workspace, documents, notices);
    documents.documentProperty().addListener((o, before, now) -> forgetImport(before, now));
  }

  /** Starts the program once more. */
  public Restart restart() {
    return restart;
  }

  /** What closes the window. */
  public void whenClosed(Runnable then) {
    closed = then;
  }

  /** What puts into the song what stands in a field: fields do so when they lose the keyboard. */
  void toFinishTyping(Runnable then) {
    typed = then;
  }

  /** What puts the keyboard where a new song is typed. */
  void whenStarted(Runnable then) {
    started = then;
  }

  @Override
  public void finishTyping() {
    typed.run();
  }

  @Override
  public void begin() {
    workspace.screenProperty().set(Screen.CHART);
    started.run();
  }

  @Override
  public void close() {
    closed.run();
  }

  private void forgetImport(OpenDocument before, OpenDocument now) {
    if (before.id() != now.id()) {
      notices.forget("imported");
    }
  }

  /** Opens a file. */
  public void open(Path file) {
    open(file, Optional.empty());
  }

  @Override
  public void open(Path file, Optional<String> part) {
    documents.open(file, part);
  }

  /** Lets the player choose a file to open. */
  public void chooseAndOpen() {
    asker.toOpen().ifPresent(this::open);
  }

  @Override
  public Optional<Path> chooseFile() {
    return asker.toOpen();
  }

  /** Lets the player choose a file to take a tune from. */
  void chooseAndImport() {
    asker.toImport().ifPresent(this::importTune);
  }

  /** Puts the tune of a file over the song and says what came of it. */
  public void importTune(Path file) {
    documents
        .imports()
        .intoSong(
            file,
            done -> {
              String words = Texts.of("songController.barsOfTuneAre", done.bars());
              String more =
                  done.remarks().isEmpty() ? "" : "; " + String.join("; ", done.remarks());
              notices.ask(
                  "imported",
                  words + more + ".",
                  List.of(
                      new Answer("imported-good", Texts.of("songController.good"), () -> {}),
                      new Answer(
                          "imported-undo",
                          Texts.of("songController.takeItOutAgain"),
                          () -> takeOut(done.song())),
                      new Answer("imported-close", "×", () -> {})));
            });
  }

  /** Only where nothing came after it. */
  private void takeOut(Song imported) {
    if (workspace.song().equals(imported)) {
      workspace.undo();
    } else {
      workspace.problems().add(Texts.of("songController.theSongWasChanged"));
    }
  }

  /** Begins a new song; asks first if that would lose changes. */
  void startNew() {
    documents.startNew();
  }

  /** Saves the song where it lies, or asks where. */
  void save() {
    documents.save();
  }

  /** Asks where to save the song. */
  void saveAs() {
    documents.saveAs();
  }

  @Override
  public void chooseName(Request.ChooseName naming) {
    asker
        .toSave(workspace.song().title())
        .ifPresent(
            chosen -> {
              Path file = ended(chosen);
              // What the chooser asked about is the name as it was typed there.
              documents.nameChosen(naming, file, file.equals(chosen));
            });
  }

  private static Path ended(Path file) {
    String name = file.getFileName().toString();
    return name.toLowerCase(Locale.ROOT).endsWith(".json")
        ? file
        : file.resolveSibling(name + SongFiles.ENDING);
  }

  /** Asks where to write the plan, and in which format; says when it lies there. */
  void export() {
    exports.export();
  }

  @Override
  public void exportAs(FileFormat format, SheetOptions sheet) {
    exports.exportAs(format, sheet);
  }

  /** Asks where to write the practice log as a table; says when it lies there. */
  void exportLog() {
    exports.exportLog();
  }

  /** Offers songs that were left behind by a program that ended without saying so. */
  public void offerLeft(List<LeftCopy> left) {
    for (LeftCopy song : left) {
      notices.ask(
          "left-" + song.name(),
          Texts.of(
              "songController.phalanxEndedBeforeWas",
              song.song().title(),
              song.raw().map(r -> Texts.of("songController.whatCouldNotBe", r)).orElse("")),
          List.of(
              new Answer(
                  "recover",
                  Texts.of("songController.takeItUpAgain"),
                  () -> documents.recover(song)),
              new Answer(
                  "recover-not",
                  Texts.of("songController.throwItAway"),
                  () -> documents.discard(song)),
              new Answer("recover-later", Texts.of("songController.later"), () -> {})));
    }
  }
}
