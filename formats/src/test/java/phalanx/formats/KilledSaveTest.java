package phalanx.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import phalanx.song.Song;

/** A process that is killed while it saves leaves the old song or the new one, whole. */
class KilledSaveTest {

  private static final int KILLS = 40;

  private static Process start(Path file) throws IOException {
    return new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-XX:TieredStopAtLevel=1",
            "-XX:+UseSerialGC",
            "-cp",
            System.getProperty("java.class.path"),
            SavingLoop.class.getName(),
            file.toString())
        .redirectError(ProcessBuilder.Redirect.INHERIT)
        .start();
  }

  @Test
  void leavesTheOldOrTheNewSongWhole(@TempDir Path folder) throws Exception {
    Path file = folder.resolve("song" + SongFiles.ENDING);
    List<Song> songs = List.of(SavingLoop.song(0), SavingLoop.song(1));
    Random random = new Random(20_261_124);
    int drafts = 0;
    int[] found = new int[2];
    for (int kill = 0; kill < KILLS; kill++) {
      Process process = start(file);
      try (BufferedReader out = process.inputReader()) {
        assertThat(out.readLine()).isEqualTo("saving");
        Thread.sleep(random.nextInt(12), random.nextInt(1_000_000));
        // SIGKILL: nothing in the process gets to run any more.
        process.destroyForcibly().waitFor();
      }
      SongFiles.Opened opened = SongFiles.open(file);
      assertThat(opened.problems()).isEmpty();
      int which = songs.indexOf(opened.song().orElseThrow());
      assertThat(which).as("kill %d", kill).isNotNegative();
      found[which]++;
      try (Stream<Path> files = Files.list(folder)) {
        drafts += files.anyMatch(f -> f.toString().endsWith(".part")) ? 1 : 0;
      }
    }
    System.out.printf(
        "killed while saving: %d times; found one song %d times, the other %d times; %d times a"
            + " draft lay beside%n",
        KILLS, found[0], found[1], drafts);
    // Otherwise no kill fell into the middle of a save and nothing was proved.
    assertThat(drafts).isPositive();
    SongFiles.save(songs.get(0), file);
    try (Stream<Path> files = Files.list(folder)) {
      assertThat(files).containsExactly(file);
    }
  }
}
