package phalanx.desktop.frame;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.ProgressBar;
import phalanx.desktop.files.Documents;
import phalanx.desktop.files.SoundExport;
import phalanx.desktop.frame.NoticeBar.Answer;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.engraving.SheetOptions;
import phalanx.formats.FileFormat;
import phalanx.performance.Performance;

/**
 * Writes plan, sound and practice log into files of the player's choice, and says what came of it.
 */
final class ExportController {

  private final Workspace workspace;
  private final Documents documents;
  private final NoticeBar notices;
  private final SongController.FileAsker asker;

  ExportController(
      Workspace workspace, Documents documents, NoticeBar notices, SongController.FileAsker asker) {
    this.workspace = workspace;
    this.documents = documents;
    this.notices = notices;
    this.asker = asker;
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

  /** Asks where to write the plan in a format; says when it lies there. */
  void exportAs(FileFormat format, SheetOptions sheet) {
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
            workspace
                .problems()
                .add(Texts.of("exportController.isNotWritten", file.getFileName())));
  }

  /** Asks where to write the practice log as a table; says when it lies there. */
  void exportLog() {
    asker
        .toExport(Texts.of("exportController.practiceLog"), FileFormat.TABLE)
        .ifPresent(f -> documents.exports().log(f, () -> written(f)));
  }

  private void askOtherName(String why) {
    notices.ask(
        "export-refused",
        why,
        List.of(
            new Answer(
                "export-other", Texts.of("exportController.chooseAnotherName"), this::export),
            new Answer("export-not", Texts.of("exportController.donTExport"), () -> {})));
  }

  private void written(Path file) {
    notices.ask(
        "exported",
        Texts.of("exportController.isWritten", file.getFileName()),
        List.of(new Answer("exported-good", Texts.of("exportController.good"), () -> {})));
  }

  /** Sound takes its time: it is shown how far it is, and it can be cancelled. */
  private void exportSound(Performance performance, Path file) {
    SoundExport export = documents.exports().sound();
    Answer cancel =
        new Answer("rendering-cancel", Texts.of("exportController.cancel"), export::cancel);
    String words = Texts.of("exportController.isBeingWritten", file.getFileName());
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
            ExportController.this.written(file);
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
}
