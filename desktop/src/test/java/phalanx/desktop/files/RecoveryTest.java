package phalanx.desktop.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import phalanx.desktop.document.LeftCopy;
import phalanx.formats.disk.FileStamp;
import phalanx.melody.BarTune;
import phalanx.melody.TuneNote;
import phalanx.melody.Want;
import phalanx.song.Song;
import phalanx.song.Tune;
import phalanx.theory.NoteNaming;

class RecoveryTest {

  @TempDir private Path folder;

  private Recovery recovery() {
    return new Recovery(new PlayerFolder(folder));
  }

  /** What a window kept that ended without saying so. */
  private Optional<Path> left(Song song, Path origin) throws IOException {
    Recovery ended = recovery();
    Optional<Path> raw = ended.keep(song, Optional.ofNullable(origin), STAMP);
    ended.leave();
    return raw;
  }

  private static final Optional<FileStamp> STAMP =
      Optional.of(new FileStamp(12, FileTime.fromMillis(1_000), "key", 77));

  private static Song song(String title) {
    return Song.untitled().withTitle(title);
  }

  private static List<String> titles(List<LeftCopy> left) {
    return left.stream().map(l -> l.song().title()).toList();
  }

  @Test
  void whatAWindowLeftIsFoundWithTheFileItBelongsTo() throws IOException {
    Path origin = folder.resolve("song.phalanx.json");
    Recovery ended = recovery();
    ended.keep(song("First"), Optional.of(origin), Optional.empty());
    ended.keep(song("Second"), Optional.of(origin), STAMP);
    ended.leave();
    List<LeftCopy> left = recovery().left();
    assertThat(titles(left)).containsExactly("Second");
    assertThat(left.get(0).home()).contains(origin);
    assertThat(left.get(0).stamp()).isEqualTo(STAMP);
    recovery().discard(left.get(0).name());
    assertThat(folder.resolve("recovery")).isEmptyDirectory();
  }

  @Test
  void aWindowThatRunsKeepsItsOwn() throws IOException {
    Recovery open = recovery();
    open.keep(song("Open here"), Optional.empty(), Optional.empty());
    assertThat(recovery().left()).isEmpty();
    assertThat(open.left()).isEmpty();
    open.forget();
    assertThat(folder.resolve("recovery")).isEmptyDirectory();
  }

  @Test
  void whatCannotBeReadIsPassedOverAndStays() throws IOException {
    left(song("Whole"), null);
    Path torn = folder.resolve("recovery").resolve("torn.phalanx.json");
    Files.writeString(torn, "{ torn");
    assertThat(titles(recovery().left())).containsExactly("Whole");
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
    Optional<Path> raw = left(song, null);
    assertThat(raw).isPresent();
    assertThat(raw.get()).content().contains("Half").contains("77");
    List<LeftCopy> left = recovery().left();
    assertThat(left.get(0).song().title()).isEqualTo("Half");
    assertThat(left.get(0).raw()).isEqualTo(raw);
    recovery().discard(left.get(0).name());
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

  /** The system itself lets go of a copy when its program ends, however that happens. */
  @Test
  void whatAnotherProgramKeepsIsOfferedOnlyOnceItIsGone() throws Exception {
    Process program =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                KeepingProgram.class.getName(),
                folder.toString())
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    try (var said = program.inputReader()) {
      assertThat(said.readLine()).isEqualTo("kept");
      assertThat(recovery().left()).isEmpty();
    } finally {
      program.destroyForcibly().waitFor();
    }
    assertThat(titles(recovery().left())).containsExactly("Killed");
  }
}
