package phalanx.desktop.files;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import phalanx.desktop.model.Viewing;
import phalanx.desktop.model.Workspace;
import phalanx.desktop.texts.Texts;

/** What is remembered from one start to the next, read once and written whenever it changes. */
public final class Remembered {

  private final Workspace workspace;
  private final PlayerFolder folder;
  private final DiskTasks disk;
  private final ReadOnlyObjectWrapper<Preferences> preferences =
      new ReadOnlyObjectWrapper<>(Preferences.NONE);
  private final List<UnaryOperator<Preferences>> early = new ArrayList<>();
  private boolean read;

  Remembered(Workspace workspace, PlayerFolder folder, DiskTasks disk) {
    this.workspace = workspace;
    this.folder = folder;
    this.disk = disk;
    disk.run(
        Texts.of("remembered.whatWasRememberedCould"),
        () -> {
          Preferences found = Preferences.read(folder);
          disk.answer(() -> recall(found));
        });
    Viewing viewing = workspace.viewing();
    viewing.namingProperty().addListener((o, before, now) -> keep(p -> p.withNaming(now)));
    viewing.leftHandedProperty().addListener((o, before, now) -> keep(p -> p.withLeftHanded(now)));
    viewing.appearanceProperty().addListener((o, before, now) -> keep(p -> p.withAppearance(now)));
    workspace
        .models()
        .hands()
        .playersProperty()
        .addListener((o, before, now) -> keep(p -> p.withHand(now)));
    workspace
        .models()
        .practice()
        .settingsProperty()
        .addListener((o, before, now) -> keep(p -> p.withPractice(now)));
    workspace
        .models()
        .sound()
        .settings()
        .a4Property()
        .addListener((o, before, now) -> keep(p -> p.withA4(now.doubleValue())));
  }

  /** Takes over what was remembered, with what the player has changed meanwhile. */
  private void recall(Preferences found) {
    Preferences now = found;
    for (UnaryOperator<Preferences> change : early) {
      now = change.apply(now);
    }
    read = true;
    // A new object, so that everybody looks who waits for it.
    preferences.set(now.copy());
    if (!now.equals(found)) {
      write(now);
    }
    workspace.viewing().namingProperty().set(now.naming());
    workspace.viewing().leftHandedProperty().set(now.leftHanded());
    workspace.viewing().appearanceProperty().set(now.appearance());
    workspace.models().hands().playersProperty().set(now.hand());
    workspace.models().sound().settings().a4Property().set(now.a4());
    workspace.models().practice().settingsProperty().set(now.practice());
  }

  /** What is changed before the disk has answered is put over what it says then. */
  private void keep(UnaryOperator<Preferences> change) {
    Preferences next = change.apply(preferences.get());
    if (!read) {
      early.add(change);
    }
    if (!next.equals(preferences.get())) {
      preferences.set(next);
      if (read) {
        write(next);
      }
    }
  }

  private void write(Preferences next) {
    disk.run(Texts.of("remembered.preferencesCouldNotBe"), () -> next.write(folder));
  }

  /** Whether the disk was asked; before that nothing is known. */
  public boolean isRead() {
    return read;
  }

  /** What is remembered now. */
  public ReadOnlyObjectProperty<Preferences> property() {
    return preferences.getReadOnlyProperty();
  }

  /** A file was opened or saved. */
  void opened(Path file) {
    keep(p -> p.opened(file));
  }

  /** How hard the song in a file is, 1 to 5. */
  void level(Path file, double level) {
    double rounded = Math.round(10 * level) / 10.0;
    boolean known = preferences.get().recent().contains(file.toAbsolutePath().normalize());
    if (known) {
      keep(p -> p.withLevel(file, rounded));
    }
  }

  /** The steps of a first start were done, or put away. */
  public void knowsSteps() {
    if (!preferences.get().knowsSteps()) {
      keep(Preferences::knowingSteps);
    }
  }
}
