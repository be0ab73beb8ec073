package phalanx.desktop.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Queue;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import phalanx.desktop.background.PlanService;
import phalanx.desktop.model.Workspace;
import phalanx.theory.NoteNaming;

class RememberedTest {

  @TempDir private Path folder;

  /** What the player changes before the disk has answered is put over what it remembers. */
  @Test
  void anEarlyChangeKeepsTheRest() throws IOException {
    PlayerFolder player = new PlayerFolder(folder);
    Path file = folder.resolve("a.phalanx.json").toAbsolutePath();
    Preferences.NONE.opened(file).withLeftHanded(true).withA4(432).write(player);
    Queue<Runnable> disk = new ArrayDeque<>();
    Workspace workspace =
        new Workspace(new PlanService(Runnable::run, Runnable::run, Runnable::run));
    Documents documents = new Documents(workspace, player, disk::add, Runnable::run, f -> false);
    workspace.viewing().namingProperty().set(NoteNaming.GERMAN);
    while (!disk.isEmpty()) {
      disk.remove().run();
    }
    Preferences kept = Preferences.read(player);
    assertThat(kept.naming()).isEqualTo(NoteNaming.GERMAN);
    assertThat(kept.leftHanded()).isTrue();
    assertThat(kept.a4()).isEqualTo(432);
    assertThat(kept.recent()).containsExactly(file);
    assertThat(workspace.viewing().leftHandedProperty().get()).isTrue();
    assertThat(workspace.viewing().namingProperty().get()).isEqualTo(NoteNaming.GERMAN);
    assertThat(documents.remembered().property().get()).isEqualTo(kept);
  }
}
