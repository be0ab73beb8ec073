package phalanx.desktop.files;

import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.LongSupplier;
import phalanx.chart.TuneImport;
import phalanx.desktop.background.NewestAnswer;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;
import phalanx.formats.SongFiles;
import phalanx.song.Bar;

/** Looks into files and takes tunes out of them; what was asked last counts. */
public final class TuneImports {

  private final Workspace workspace;
  private final DiskTasks tasks;
  private final NewestAnswer importing;
  private final LongSupplier documentId;

  /**
   * For a workspace.
   *
   * @param importing reads away from the interface's thread
   * @param documentId which document is open
   */
  TuneImports(
      Workspace workspace, DiskTasks tasks, NewestAnswer importing, LongSupplier documentId) {
    this.workspace = workspace;
    this.tasks = tasks;
    this.importing = importing;
    this.documentId = documentId;
  }

  /**
   * Puts the tune of a file over the song, from the selected bar on.
   *
   * @param then takes what came of it, once it is in the song
   */
  public void intoSong(Path file, Consumer<TuneImport> then) {
    long into = documentId.getAsLong();
    importing.ask(
        () -> SongFiles.open(file),
        opened -> putIn(into, file, opened, then),
        fault ->
            workspace
                .faults()
                .tell(Texts.of("tuneImports.couldNotBeRead", file.getFileName()), fault));
  }

  private void putIn(long into, Path file, SongFiles.Opened opened, Consumer<TuneImport> then) {
    String name = file.getFileName().toString();
    if (documentId.getAsLong() != into) {
      tasks.tell(Texts.of("tuneImports.anotherSongCameUp", name));
      return;
    }
    workspace.problems().setAll(opened.told().stream().map(p -> p.in(name)).toList());
    if (opened.song().isEmpty()) {
      return;
    }
    if (opened.song().get().tune().isEmpty()) {
      workspace.problems().add(Texts.of("tuneImports.thereIsNoTune", name));
      return;
    }
    int bar = workspace.chord().bar().map(Bar::id).orElse(0);
    TuneImport done = TuneImport.into(workspace.song(), opened.song().get(), bar);
    workspace.edit(song -> done.song());
    then.accept(done);
  }

  /** Looks into a file, its tune from one of its parts, without taking anything of it. */
  public void look(Path file, Optional<String> part, Consumer<SongFiles.Opened> then) {
    importing.ask(
        () -> SongFiles.open(file, part),
        then,
        fault ->
            workspace
                .faults()
                .tell(Texts.of("tuneImports.couldNotBeRead", file.getFileName()), fault));
  }
}
