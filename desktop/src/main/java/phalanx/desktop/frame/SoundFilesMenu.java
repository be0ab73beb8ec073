package phalanx.desktop.frame;

import java.io.File;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.stage.FileChooser;
import phalanx.desktop.files.SoundPresetFile;
import phalanx.desktop.model.SoundPreset;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;

/** Keeps a sound as a file and takes one up; a body and a room of the player’s own. */
final class SoundFilesMenu extends MenuButton {

  private final Workspace workspace;

  /** Something that reads or writes a file. */
  private interface FileWork {
    void on(Path file) throws IOException;
  }

  SoundFilesMenu(Workspace workspace) {
    super(Texts.of("soundFilesMenu.thisSound"));
    this.workspace = workspace;
    setId("sound-files");
    getStyleClass().add("chip-button");
    setTooltip(new Tooltip(Texts.of("soundFilesMenu.keepItAsA")));
    getItems()
        .addAll(
            item(
                "sound-keep",
                Texts.of("soundFilesMenu.keepAsAFile"),
                () -> choose(true, "sound", this::keep)),
            item(
                "sound-take",
                Texts.of("soundFilesMenu.takeUpFromA"),
                () -> choose(false, "sound", this::take)),
            item(
                "own-body",
                Texts.of("soundFilesMenu.aBodyOfYour"),
                () -> choose(false, "wav", this::body)),
            item(
                "own-room",
                Texts.of("soundFilesMenu.aRoomOfYour"),
                () -> choose(false, "wav", this::hall)),
            item("sound-usual", Texts.of("soundFilesMenu.asItCame"), () -> use(SoundPreset.USUAL)));
  }

  private static MenuItem item(String id, String words, Runnable does) {
    MenuItem item = new MenuItem(words);
    item.setId(id);
    item.setOnAction(e -> does.run());
    return item;
  }

  private void choose(boolean saves, String kind, FileWork work) {
    FileChooser chooser = new FileChooser();
    boolean wave = kind.equals("wav");
    chooser
        .getExtensionFilters()
        .add(
            new FileChooser.ExtensionFilter(
                wave
                    ? Texts.of("soundFilesMenu.impulseResponses")
                    : Texts.of("soundFilesMenu.sounds"),
                wave ? "*.wav" : "*" + SoundPresetFile.ENDING));
    chooser.setInitialFileName(
        saves ? Texts.of("soundFilesMenu.mySound", SoundPresetFile.ENDING) : "");
    File chosen =
        saves
            ? chooser.showSaveDialog(getScene().getWindow())
            : chooser.showOpenDialog(getScene().getWindow());
    Optional.ofNullable(chosen).ifPresent(f -> tried(work, f.toPath()));
  }

  private void tried(FileWork work, Path file) {
    try {
      work.on(file);
    } catch (IOException e) {
      workspace.problems().add(e.getMessage());
    }
  }

  /** Writes what is heard now. */
  void keep(Path file) throws IOException {
    SoundPresetFile.write(file, workspace.models().sound().settings().preset());
  }

  /** Reads it, away from the interface. */
  void take(Path file) {
    read(() -> SoundPresetFile.read(file), this::use);
  }

  void body(Path file) {
    read(
        () -> SoundPresetFile.response(file),
        r -> workspace.models().sound().settings().bodyProperty().set(Optional.of(r)));
  }

  void hall(Path file) {
    read(
        () -> SoundPresetFile.response(file),
        r -> workspace.models().sound().settings().hallProperty().set(Optional.of(r)));
  }

  private void use(SoundPreset preset) {
    workspace.models().sound().settings().use(preset);
  }

  /** Something that is read from a file. */
  private interface Reading<T> {
    T get() throws IOException;
  }

  private <T> void read(Reading<T> reading, Consumer<T> answer) {
    workspace
        .models()
        .sound()
        .inBackground(
            () -> {
              try {
                T read = reading.get();
                return () -> answer.accept(read);
              } catch (IOException e) {
                return () -> workspace.problems().add(e.getMessage());
              }
            });
  }
}
