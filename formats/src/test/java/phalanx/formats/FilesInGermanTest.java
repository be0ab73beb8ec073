package phalanx.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import phalanx.arrangement.Arrangement;
import phalanx.planning.Arranger;
import phalanx.practice.CompoundDrill;
import phalanx.practice.Drill;
import phalanx.practice.Drills;
import phalanx.practice.PracticeOrder;
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
        Arrangement plan = new Arranger().arrange(song);
        Files.writeString(Path.of(args[0], name + "-drills"), drills(plan));
        for (FileFormat format : FileFormat.values()) {
          if (Set.of(FileFormat.WAVE, FileFormat.PNG).contains(format)) {
            continue;
          }
          Files.write(file(Path.of(args[0]), name, format), format.write(plan));
        }
      }
    }

    /** What the practice log knows the drills by. */
    private static String drills(Arrangement plan) {
      Stream<Drill> compound =
          CompoundDrill.of(plan).stream().map(c -> c.drill(new Arranger().arrange(c.song())));
      return Stream.concat(Drills.ofSong(plan, PracticeOrder.values()[0]).stream(), compound)
          .map(Drill::id)
          .collect(Collectors.joining("\n"));
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

  /**
   * A score and a tablature have words for players among their marks; what is played is the same.
   */
  @ParameterizedTest
  @CsvSource({"MUSICXML, .musicxml", "TEXT_TAB, .tab"})
  void areReadAlike(FileFormat format, String ending) throws IOException {
    for (String song : SONGS) {
      Song english = read(folder.resolve("english"), song, format, ending);
      Song german = read(folder.resolve("german"), song, format, ending);
      assertThat(german).as(song).isEqualTo(english);
    }
  }

  private static Song read(Path in, String song, FileFormat format, String ending)
      throws IOException {
    assertThat(format.endings()).contains(ending);
    Path file = in.resolve(song + ending);
    Files.copy(file(in, song, format), file);
    return SongFiles.open(file).song().orElseThrow();
  }
}
