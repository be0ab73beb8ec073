package phalanx.desktop.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import phalanx.song.Song;
import phalanx.theory.NoteNaming;

class RecoveryTest {

  /** No process has this number. */
  private static final long ENDED = 999_999_999_998L;

  @TempDir private Path folder;

  private Recovery recovery(long process) {
    return new Recovery(new PlayerFolder(folder), process);
  }

  private static Song song(String title) {
    return Song.untitled().withTitle(title);
  }

  @Test
  void whatAnEndedProgramKeptIsFoundWithTheFileItBelongsTo() throws IOException {
    Path origin = folder.resolve("song.phalanx.json");
    recovery(ENDED).keep(song("First"), Optional.of(origin));
    recovery(ENDED).keep(song("Second"), Optional.of(origin));
    List<Recovery.Left> left = recovery(ProcessHandle.current().pid()).left();
    assertThat(left).hasSize(1);
    assertThat(left.get(0).song().title()).isEqualTo("Second");
    assertThat(left.get(0).origin()).contains(origin);
    Recovery.discard(left.get(0).kept());
    assertThat(recovery(1).left()).isEmpty();
  }

  @Test
  void aRunningProgramKeepsItsOwn() throws IOException {
    long alive = ProcessHandle.current().pid();
    recovery(alive).keep(song("Open here"), Optional.empty());
    assertThat(recovery(ENDED).left()).isEmpty();
    recovery(alive).forget();
    assertThat(folder.resolve("recovery")).isEmptyDirectory();
  }

  @Test
  void whatCannotBeReadIsPassedOverAndStays() throws IOException {
    recovery(ENDED).keep(song("Whole"), Optional.empty());
    Path torn = folder.resolve("recovery").resolve((ENDED - 1) + ".phalanx.json");
    Files.writeString(torn, "{ torn");
    assertThat(recovery(2).left()).extracting(l -> l.song().title()).containsExactly("Whole");
    assertThat(torn).exists();
  }

  @Test
  void recentFilesComeNewestFirstOnceEachAndNotTooMany() {
    Preferences preferences = Preferences.NONE;
    for (int i = 0; i < 12; i++) {
      preferences = preferences.opened(folder.resolve("song-" + i % 10));
    }
    assertThat(preferences.recent()).hasSize(8).doesNotHaveDuplicates();
    assertThat(preferences.recent().get(0)).hasFileName("song-1");
    assertThat(preferences.recent().get(1)).hasFileName("song-0");
    assertThat(preferences.recent().get(2)).hasFileName("song-9");
  }

  @Test
  void tornPreferencesAreTheUsualOnes() throws IOException {
    PlayerFolder player = new PlayerFolder(folder);
    Preferences.NONE.withNaming(NoteNaming.GERMAN).opened(folder.resolve("a")).write(player);
    assertThat(Preferences.read(player).naming()).isEqualTo(NoteNaming.GERMAN);
    Files.writeString(folder.resolve("preferences.json"), "{\"recent\": [");
    assertThat(Preferences.read(player)).isEqualTo(Preferences.NONE);
  }
}
