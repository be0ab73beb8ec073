package phalanx.desktop.files;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import phalanx.arrangement.Arrangement;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.engraving.SheetOptions;
import phalanx.formats.FileFormat;
import phalanx.formats.disk.AtomicFile;
import phalanx.formats.disk.DiskTrouble;
import phalanx.formats.disk.SafeTarget;
import phalanx.practicelog.LogCsv;

/** Writes what the player takes away: pages, scores, sound, the log. Never over a song. */
public final class Exports {

  private final Workspace workspace;
  private final DiskTasks tasks;
  private final PracticeStore practice;
  private final Supplier<Optional<Path>> songFile;

  /**
   * For a workspace.
   *
   * @param songFile where the song lies, if it does
   */
  Exports(
      Workspace workspace,
      DiskTasks tasks,
      PracticeStore practice,
      Supplier<Optional<Path>> songFile) {
    this.workspace = workspace;
    this.tasks = tasks;
    this.practice = practice;
    this.songFile = songFile;
  }

  /**
   * Writes the plan into a file in the format of its ending; the song stays unsaved as it was.
   *
   * @param sheet the paper and the parts, where it is a page
   * @param then runs once it lies there
   * @param other asks for another name: the file is a song, or the song was read from it
   */
  public void plan(
      Arrangement plan, SheetOptions sheet, Path file, Runnable then, Consumer<String> other) {
    Optional<FileFormat> format = FileFormat.toWrite(file);
    if (format.isEmpty() && !SafeTarget.isSongName(file)) {
      tasks.tell(
          Texts.of("exports.expectedANameEnding", file.getFileName(), FileFormat.endingsWritten()));
      return;
    }
    Optional<Path> song = songFile.get();
    tasks.run(
        Texts.of("exports.couldNotBeExported", file.getFileName()),
        () -> {
          try {
            SafeTarget.check(file, song);
          } catch (DiskTrouble e) {
            tasks.answer(() -> other.accept(file.getFileName() + " " + e.getMessage() + "."));
            return;
          }
          try {
            AtomicFile.write(file, format.orElseThrow().write(plan, sheet), false);
          } catch (IOException e) {
            String words = file + " " + DiskTrouble.writing(e) + ".";
            tasks.answer(() -> tasks.tell(words));
            return;
          }
          tasks.answer(then);
        });
  }

  /** Writes the practice log as a table; never over a song. */
  public void log(Path file, Runnable then) {
    Optional<Path> song = songFile.get();
    practice.read(
        entries ->
            tasks.run(
                Texts.of("exports.couldNotBeExported", file.getFileName()),
                () -> {
                  SafeTarget.check(file, song);
                  String table = LogCsv.of(entries, ZoneId.systemDefault());
                  AtomicFile.write(file, table.getBytes(StandardCharsets.UTF_8), false);
                  tasks.answer(then);
                }));
  }

  /** Writes the plan where it can be dragged from. */
  public void lend(Arrangement plan, SheetOptions sheet, FileFormat format, Consumer<Path> then) {
    String name =
        plan.song().title().toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\d]+", "-")
            + format.endings().get(0);
    tasks.run(
        Texts.of("exports.couldNotBeWritten", name),
        () -> {
          try {
            Path file = Files.createTempDirectory("phalanx").resolve(name);
            Files.write(file, format.write(plan, sheet));
            file.toFile().deleteOnExit();
            tasks.answer(() -> then.accept(file));
          } catch (IOException e) {
            String words = name + " " + DiskTrouble.writing(e) + ".";
            tasks.answer(() -> tasks.tell(words));
          }
        });
  }

  /** An export of the song as sound. */
  public SoundExport sound() {
    return new SoundExport(
        tasks::answer,
        songFile.get(),
        f -> workspace.faults().tell(Texts.of("exports.theSoundCouldNot"), f));
  }
}
