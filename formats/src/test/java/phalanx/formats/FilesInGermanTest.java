package phalanx.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.text.Language;

/**
 * What the program writes and reads does not hang on the language it speaks: a German player's file
 * is the same, or differs in its remarks alone. A program of its own speaks German and writes.
 */
class FilesInGermanTest {

  private static final Path DEMO = Path.of("..", "demo");

  private static final List<String> SONGS =
      List.of("harbour-lamp.cho", "slate-roof-rain.cho", "low-tide-reel.phalanx.json");

  @TempDir static Path folder;

  /** Writes every format of every song into a folder. */
  public static final class Writer {

    private Writer() {}

    /** The folder is the first argument. */
    public static void main(String[] args) throws IOException {
      if (args.length > 1) {
        assertThat(Language.spoken().code()).isEqualTo(args[1]);
      }
      for (String name : SONGS) {
        Song song = SongFiles.open(DEMO.resolve(name)).song().orElseThrow();
        for (FileFormat format : FileFormat.values()) {
          if (Set.of(FileFormat.WAVE, FileFormat.PNG).contains(format)) {
            continue;
          }
          Files.write(
              file(Path.of(args[0]), name, format), format.write(new Arranger().arrange(song)));
        }
      }
    }
  }

  private static Path file(Path in, String song, FileFormat format) {
    return in.resolve(song + "-" + format.name());
  }

  @BeforeAll
  static void written() throws Exception {
    Path english = Files.createDirectory(folder.resolve("english"));
    Path german = Files.createDirectory(folder.resolve("german"));
    Writer.main(new String[] {english.toString()});
    Process other =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-D" + Language.PROPERTY + "=de",
                "-Duser.language=de",
                "-cp",
                System.getProperty("java.class.path"),
                Writer.class.getName(),
                german.toString(),
                "de")
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    assertThat(other.waitFor()).isZero();
  }

  @ParameterizedTest
  @EnumSource(names = {"SONG_FILE", "MIDI", "CHORDPRO", "ABC"})
  void areTheSameByteByByte(FileFormat format) throws IOException {
    for (String song : SONGS) {
      assertThat(file(folder.resolve("german"), song, format))
          .as(song)
          .hasSameBinaryContentAs(file(folder.resolve("english"), song, format));
    }
  }

  /** A score has words for players among its marks; what is played is the same. */
  @Test
  void aScoreIsReadAlike() throws IOException {
    for (String song : SONGS) {
      Song english = read(folder.resolve("english"), song);
      assertThat(read(folder.resolve("german"), song)).as(song).isEqualTo(english);
    }
  }

  private static Song read(Path in, String song) throws IOException {
    Path score = in.resolve(song + ".musicxml");
    Files.copy(file(in, song, FileFormat.MUSICXML), score);
    return SongFiles.open(score).song().orElseThrow();
  }
}
