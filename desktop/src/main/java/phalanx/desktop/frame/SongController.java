package phalanx.desktop.frame;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.ProgressBar;
import phalanx.desktop.document.LeftCopy;
import phalanx.desktop.document.OpenDocument;
import phalanx.desktop.document.Question;
import phalanx.desktop.document.Request;
import phalanx.desktop.document.Save;
import phalanx.desktop.files.Documents;
import phalanx.desktop.files.SoundExport;
import phalanx.desktop.frame.NoticeBar.Answer;
import phalanx.desktop.model.Screen;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.share.SongExchange;
import phalanx.desktop.texts.Texts;
import phalanx.engraving.SheetOptions;
import phalanx.formats.FileFormat;
import phalanx.formats.SongFiles;
import phalanx.performance.Performance;
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
  private final Restart restart;
  private Runnable started = () -> {};
  private Runnable typed = () -> {};
  private Runnable closed = () -> {};
  private Optional<Question> shown = Optional.empty();

  public SongController(
      Workspace workspace, Documents documents, NoticeBar notices, FileAsker asker) {
    this.workspace = workspace;
    this.documents = documents;
    this.notices = notices;
    this.asker = asker;
    restart = new Restart(notices, documents);
    documents.shownBy(this);
    documents.documentProperty().addListener((o, before, now) -> follow(before, now));
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

  private void follow(OpenDocument before, OpenDocument now) {
    if (!now.question().equals(shown)) {
      shown.ifPresent(q -> notices.forget(id(q)));
      shown = now.question();
      shown.ifPresent(this::ask);
    }
    if (before.id() != now.id()) {
      notices.forget("imported");
    }
  }

  private static String id(Question question) {
    if (question instanceof Question.Unsaved) {
      return "unsaved";
    } else if (question instanceof Question.ReadOnly) {
      return "read-only";
    }
    return question instanceof Question.Changed ? "changed" : "taken";
  }

  private void ask(Question question) {
    if (question instanceof Question.Unsaved) {
      notices.ask(
          id(question),
          Texts.of("songController.hasChangesThatAre", workspace.song().title()),
          List.of(
              answer(
                  question, "unsaved-save", Texts.of("songController.save"), Question.Answer.SAVE),
              answer(
                  question,
                  "unsaved-drop",
                  Texts.of("songController.donTSave"),
                  Question.Answer.DROP),
              answer(
                  question,
                  "unsaved-keep",
                  Texts.of("songController.goOnEditing"),
                  Question.Answer.LEAVE)));
    } else if (question instanceof Question.ReadOnly readOnly) {
      notices.ask(
          id(question),
          Texts.of("songController.isMarkedAsA", name(readOnly.save())),
          List.of(
              answer(
                  question,
                  "read-only-as",
                  Texts.of("songController.saveUnderAnotherName"),
                  Question.Answer.OTHER_NAME),
              answer(
                  question,
                  "read-only-over",
                  Texts.of("songController.saveOverIt"),
                  Question.Answer.OVER),
              answer(
                  question,
                  "read-only-not",
                  Texts.of("songController.donTSave"),
                  Question.Answer.LEAVE)));
    } else if (question instanceof Question.Changed changed) {
      notices.ask(
          id(question),
          Texts.of("songController.wasChangedByAnother", name(changed.save())),
          List.of(
              answer(
                  question,
                  "changed-as",
                  Texts.of("songController.saveMineUnderAnother"),
                  Question.Answer.OTHER_NAME),
              answer(
                  question,
                  "changed-mine",
                  Texts.of("songController.saveMineOverIt"),
                  Question.Answer.OVER),
              answer(
                  question,
                  "changed-theirs",
                  Texts.of("songController.takeTheirs"),
                  Question.Answer.THEIRS),
              answer(
                  question,
                  "changed-later",
                  Texts.of("songController.later"),
                  Question.Answer.LEAVE)),
          changed.asked());
    } else if (question instanceof Question.Taken taken) {
      notices.ask(
          id(question),
          Texts.of("songController.thereIsAFile", name(taken.save())),
          List.of(
              answer(
                  question,
                  "taken-as",
                  Texts.of("songController.chooseAnotherName"),
                  Question.Answer.OTHER_NAME),
              answer(
                  question,
                  "taken-over",
                  Texts.of("songController.replaceIt"),
                  Question.Answer.OVER),
              answer(
                  question,
                  "taken-not",
                  Texts.of("songController.donTSave"),
                  Question.Answer.LEAVE)));
    }
  }

  private Answer answer(Question question, String id, String words, Question.Answer answer) {
    return new Answer(id, words, () -> documents.answer(question.number(), answer));
  }

  private static String name(Save save) {
    return save.file().getFileName().toString();
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
    asker
        .toExport(workspace.song().title())
        .ifPresent(
            f ->
                export(
                    f,
                    FileFormat.toWrite(f).filter(FileFormat::isSound).isPresent(),
                    SheetOptions.USUAL));
  }

  @Override
  public void exportAs(FileFormat format, SheetOptions sheet) {
    asker
        .toExport(workspace.song().title(), format)
        .ifPresent(f -> export(f, format.isSound(), sheet));
  }

  /** Of the song as it stands, though its plan may still be on its way. */
  private void export(Path file, boolean sound, SheetOptions sheet) {
    workspace.whenPlanned(
        plan -> {
          if (sound) {
            exportSound(plan.performance(), file);
          } else {
            documents
                .exports()
                .plan(plan.arrangement(), sheet, file, () -> written(file), this::askOtherName);
          }
        },
        () ->
            workspace.problems().add(Texts.of("songController.isNotWritten", file.getFileName())));
  }

  /** Asks where to write the practice log as a table; says when it lies there. */
  void exportLog() {
    asker
        .toExport(Texts.of("songController.practiceLog"), FileFormat.TABLE)
        .ifPresent(f -> documents.exports().log(f, () -> written(f)));
  }

  private void askOtherName(String why) {
    notices.ask(
        "export-refused",
        why,
        List.of(
            new Answer("export-other", Texts.of("songController.chooseAnotherName"), this::export),
            new Answer("export-not", Texts.of("songController.donTExport"), () -> {})));
  }

  private void written(Path file) {
    notices.ask(
        "exported",
        Texts.of("songController.isWritten", file.getFileName()),
        List.of(new Answer("exported-good", Texts.of("songController.good"), () -> {})));
  }

  /** Sound takes its time: it is shown how far it is, and it can be cancelled. */
  private void exportSound(Performance performance, Path file) {
    SoundExport export = documents.exports().sound();
    Answer cancel =
        new Answer("rendering-cancel", Texts.of("songController.cancel"), export::cancel);
    String words = Texts.of("songController.isBeingWritten", file.getFileName());
    ProgressBar bar = notices.progress("rendering", words, cancel);
    export.write(
        performance,
        workspace.models().sound().settings().fileOptions(),
        file,
        new SoundExport.Watcher() {
          @Override
          public void share(double done) {
            bar.setProgress(done);
          }

          @Override
          public void written() {
            notices.forget("rendering");
            SongController.this.written(file);
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
