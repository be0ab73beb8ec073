package phalanx.desktop.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.song.Song;
import phalanx.song.Tune;
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

  /**
   * A song of which a part cannot be written: a chord that is nothing stands in for such a part.
   */
  @Test
  void ofASongThatCannotBeWrittenTheChartAndTheRawTextAreKept() throws IOException {
    Map<Integer, BarTune> broken = new HashMap<>();
    broken.put(77, BarTune.SILENT.placing(note()));
    Song song = song("Half").withTune(new Tune(broken, true));
    Optional<Path> raw = recovery(ENDED).keep(song, Optional.empty());
    assertThat(raw).isPresent();
    assertThat(raw.get()).content().contains("Half").contains("77");
    List<Recovery.Left> left = recovery(2).left();
    assertThat(left.get(0).song().title()).isEqualTo("Half");
    assertThat(left.get(0).raw()).isEqualTo(raw);
    Recovery.discard(left.get(0).kept());
    assertThat(folder.resolve("recovery")).isEmptyDirectory();
  }

  /** In a bar that is not in the chart, so that no metre is known for it. */
  private static TuneNote note() {
    Want want = new Want.Place(3, 2);
    return new TuneNote(0, 5040, List.of(want), Optional.empty(), List.of());
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
