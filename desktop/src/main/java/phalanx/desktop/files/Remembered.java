package phalanx.desktop.files;

import java.nio.file.Path;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import phalanx.desktop.model.Viewing;
import phalanx.desktop.model.Workspace;

/** What is remembered from one start to the next, read once and written whenever it changes. */
public final class Remembered {

  private final Workspace workspace;
  private final PlayerFolder folder;
  private final DiskTasks disk;
  private final ReadOnlyObjectWrapper<Preferences> preferences =
      new ReadOnlyObjectWrapper<>(Preferences.NONE);
  private boolean read;

  Remembered(Workspace workspace, PlayerFolder folder, DiskTasks disk) {
    this.workspace = workspace;
    this.folder = folder;
    this.disk = disk;
    disk.run(
        "What was remembered could not be read",
        () -> {
          Preferences found = Preferences.read(folder);
          disk.answer(() -> recall(found));
        });
    Viewing viewing = workspace.viewing();
    viewing
        .namingProperty()
        .addListener((o, before, now) -> keep(preferences.get().withNaming(now)));
    viewing
        .leftHandedProperty()
        .addListener((o, before, now) -> keep(preferences.get().withLeftHanded(now)));
    workspace
        .desks()
        .hands()
        .playersProperty()
        .addListener((o, before, now) -> keep(preferences.get().withHand(now)));
    workspace
        .desks()
        .sound()
        .settings()
        .a4Property()
        .addListener((o, before, now) -> keep(preferences.get().withA4(now.doubleValue())));
  }

  /** Takes over what was remembered, unless the player was quicker. */
  private void recall(Preferences found) {
    read = true;
    if (preferences.get().equals(Preferences.NONE)) {
      // A new object, so that everybody looks who waits for it.
      preferences.set(found.copy());
      workspace.viewing().namingProperty().set(found.naming());
      workspace.viewing().leftHandedProperty().set(found.leftHanded());
      workspace.desks().hands().playersProperty().set(found.hand());
      workspace.desks().sound().settings().a4Property().set(found.a4());
    }
  }

  private void keep(Preferences next) {
    preferences.set(next);
    disk.run("Recent files could not be remembered", () -> next.write(folder));
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
    keep(preferences.get().opened(file));
  }

  /** The steps of a first start were done, or put away. */
  public void knowsSteps() {
    if (!preferences.get().knowsSteps()) {
      keep(preferences.get().knowingSteps());
    }
  }
}
