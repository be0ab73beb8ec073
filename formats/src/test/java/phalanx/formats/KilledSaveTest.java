package phalanx.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import phalanx.formats.songfile.SongFileWriter;
import phalanx.song.Song;

/** Two programs that save one file, and are killed while they do, leave one song or the other. */
class KilledSaveTest {

  /** Each round kills two programs; with {@code -Dphalanx.kills=1000} a soak. */
  private static final int ROUNDS = Integer.getInteger("phalanx.kills", 25);

  @TempDir private Path folder;

  private final Random random = new Random(20_261_124);

  private Process start(Path file) throws IOException {
    return new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-XX:TieredStopAtLevel=1",
            "-XX:+UseSerialGC",
            "-Xshare:auto",
            "-cp",
            System.getProperty("java.class.path"),
            SavingLoop.class.getName(),
            file.toString(),
            folder.resolve("0.txt").toString(),
            folder.resolve("1.txt").toString())
        .redirectError(ProcessBuilder.Redirect.INHERIT)
        .start();
  }

  @Test
  void leaveTheOneOrTheOtherSongWhole() throws Exception {
    Path songs = Files.createDirectory(folder.resolve("songs"));
    Path file = songs.resolve("song" + SongFiles.ENDING);
    List<Song> both = List.of(SavingLoop.song(0), SavingLoop.song(1));
    for (int which = 0; which < 2; which++) {
      Files.writeString(folder.resolve(which + ".txt"), SongFileWriter.write(both.get(which)));
    }
    int torn = 0;
    int[] found = new int[2];
    int looks = 0;
    for (int round = 0; round < ROUNDS; round++) {
      List<Process> writers = List.of(start(file), start(file));
      for (Process writer : writers) {
        awaitSaving(writer);
      }
      looks += look(file, both, found);
      for (Process writer : writers) {
        Thread.sleep(random.nextInt(6), random.nextInt(1_000_000));
        // SIGKILL: nothing in the process gets to run any more.
        writer.destroyForcibly().waitFor();
        looks += look(file, both, found);
      }
      torn += drafts(songs).isEmpty() ? 0 : 1;
    }
    System.out.printf(
        "killed while saving: %d programs; %d looks found one song %d times, the other %d times;"
            + " after %d rounds a draft lay beside%n",
        2 * ROUNDS, looks, found[0], found[1], torn);
    // Otherwise no kill fell into the middle of a save and nothing was proved.
    assertThat(torn).isPositive();
    SongFiles.save(both.get(0), file);
    assertThat(drafts(songs)).isEmpty();
  }

  private static void awaitSaving(Process writer) throws IOException {
    BufferedReader out = writer.inputReader();
    assertThat(out.readLine()).isEqualTo("saving");
  }

  private static int look(Path file, List<Song> both, int[] found) {
    SongFiles.Opened opened = SongFiles.open(file);
    assertThat(opened.problems()).isEmpty();
    int which = both.indexOf(opened.song().orElseThrow());
    assertThat(which).isNotNegative();
    found[which]++;
    return 1;
  }

  private static List<Path> drafts(Path songs) throws IOException {
    try (Stream<Path> files = Files.list(songs)) {
      return new ArrayList<>(files.filter(f -> f.toString().endsWith(".part")).toList());
    }
  }
}
