package phalanx.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RenderCommandTest {

  private static final String DEMO = Path.of("..", "demo", "harbour-lamp.cho").toString();

  @TempDir private Path folder;
  private final StringWriter out = new StringWriter();
  private final StringWriter err = new StringWriter();

  private int run(String... args) {
    return PhalanxCommand.run(new PrintWriter(out), new PrintWriter(err), args);
  }

  private String wave() {
    return folder.resolve("song.wav").toString();
  }

  /** A program of its own for sound files, sox, reads what was written. */
  @ParameterizedTest
  @CsvSource({"44100,16", "48000,24"})
  void anotherProgramReadsTheFileAndAgrees(int rate, int bits) throws Exception {
    Assumptions.assumeTrue(isThere("sox"), "sox is not installed; ./check installs it");
    assertThat(
            run(
                "render", DEMO, "--out", wave(), "--json", "--bars", "1-2", "--rate", "" + rate,
                "--bits", "" + bits))
        .isZero();
    JsonNode told = new ObjectMapper().readTree(out.toString());
    assertThat(ask("sox", "--i", "-s", wave())).isEqualTo(told.get("frames").asText());
    assertThat(ask("sox", "--i", "-r", wave())).isEqualTo("" + rate);
    assertThat(ask("sox", "--i", "-b", wave())).isEqualTo("" + bits);
    assertThat(ask("sox", "--i", "-c", wave())).isEqualTo("2");
    assertThat(Double.parseDouble(ask("sox", "--i", "-D", wave())))
        .isCloseTo(told.get("seconds").asDouble(), org.assertj.core.data.Offset.offset(1e-4));
    double peak = soxPeak();
    assertThat(peak).isBetween(0.1, Math.pow(10, -1 / 20.0));
    assertThat(peak)
        .isCloseTo(told.get("peak").asDouble(), org.assertj.core.data.Offset.offset(1e-3));
  }

  private double soxPeak() throws Exception {
    String stat = ask("sox", wave(), "-n", "stat");
    return Stream.of("Maximum amplitude", "Minimum amplitude")
        .mapToDouble(
            name ->
                stat.lines()
                    .filter(l -> l.startsWith(name))
                    .mapToDouble(l -> Math.abs(Double.parseDouble(l.replaceAll(".*:\\s*", ""))))
                    .findFirst()
                    .orElseThrow())
        .max()
        .orElseThrow();
  }

  private static boolean isThere(String program) {
    try {
      return new ProcessBuilder(program, "--version").start().waitFor() == 0;
    } catch (IOException e) {
      return false;
    } catch (InterruptedException e) {
      throw new AssertionError(e);
    }
  }

  private static String ask(String... words) throws Exception {
    Process process = new ProcessBuilder(words).redirectErrorStream(true).start();
    String said = new String(process.getInputStream().readAllBytes()).strip();
    assertThat(process.waitFor()).as(said).isZero();
    return said;
  }

  @Test
  void countingInAndTempoChangeTheLength() throws Exception {
    assertThat(
            run(
                "render",
                DEMO,
                "--out",
                wave(),
                "--json",
                "--bars",
                "1",
                "--tempo",
                "120",
                "--count-in",
                "2",
                "--only",
                "thumb,click"))
        .isZero();
    JsonNode told = new ObjectMapper().readTree(out.toString());
    // Three bars of four quarters at 120 and the tail.
    assertThat(told.get("startSeconds").asDouble()).isEqualTo(4);
    assertThat(told.get("seconds").asDouble())
        .isCloseTo(9.5, org.assertj.core.data.Offset.offset(0.01));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "--only bass",
        "--bars 6-3",
        "--bars x",
        "--bars 900",
        "--rate 22050",
        "--bits 8",
        "--count-in 99",
        "--tempo 4000"
      })
  void whatCannotBeMeantIsRefusedWithoutAFile(String options) {
    String[] words = ("render " + DEMO + " --out " + wave() + " " + options).split(" ");
    assertThat(run(words)).isEqualTo(2);
    assertThat(err.toString()).isNotBlank();
    assertThat(Path.of(wave())).doesNotExist();
  }

  @Test
  void otherEndingsAndFoldersThatAreNotThereAreRefused() throws Exception {
    assertThat(run("render", DEMO, "--out", folder.resolve("x.mp3").toString())).isEqualTo(2);
    assertThat(err.toString()).contains(".wav");
    String nowhere = folder.resolve("nowhere").resolve("x.wav").toString();
    assertThat(run("render", DEMO, "--bars", "1", "--out", nowhere)).isEqualTo(1);
    try (Stream<Path> left = Files.list(folder)) {
      assertThat(left).isEmpty();
    }
  }

  private JsonNode rendered(String... more) throws Exception {
    out.getBuffer().setLength(0);
    List<String> args = new ArrayList<>(List.of("render", DEMO, "--out", wave(), "--json"));
    args.addAll(List.of(more));
    assertThat(run(args.toArray(String[]::new))).as(err.toString()).isZero();
    return new ObjectMapper().readTree(out.toString());
  }

  /** One channel, another loudness; the same file twice, another where it is played freely. */
  @Test
  void theSoundIsAsItIsAskedFor() throws Exception {
    JsonNode usual = rendered();
    byte[] first = Files.readAllBytes(Path.of(wave()));
    rendered();
    assertThat(Files.readAllBytes(Path.of(wave()))).isEqualTo(first);
    assertThat(usual.get("loudnessLufs").asDouble())
        .isCloseTo(-18, org.assertj.core.data.Offset.offset(0.7));
    assertThat(usual.get("truePeakDb").asDouble()).isLessThan(-1);
    JsonNode soft = rendered("--loudness", "-28", "--mono", "--dry", "--exact");
    assertThat(soft.get("loudnessLufs").asDouble())
        .isCloseTo(-28, org.assertj.core.data.Offset.offset(0.7));
    assertThat(soft.get("channels").asInt()).isEqualTo(1);
    rendered("--touch", "thumb=pick,fingers=flesh", "--place", "-60", "--levels", "tune=3");
    assertThat(Files.readAllBytes(Path.of(wave()))).isNotEqualTo(first);
  }

  /** Each finger has a touch of its own; what is said of all fingers is said of each. */
  @Test
  void aFingerHasATouchOfItsOwn() throws Exception {
    byte[] all = bytes("--touch", "fingers=flesh");
    assertThat(bytes("--touch", "i=flesh,m=flesh,a=flesh,c=flesh")).isEqualTo(all);
    assertThat(bytes("--touch", "i=flesh")).isNotEqualTo(all).isNotEqualTo(bytes());
    byte[] rested = bytes("--rest-strokes");
    assertThat(bytes("--rest-fingers", "i,m,a,c")).isEqualTo(rested).isNotEqualTo(bytes());
    assertThat(bytes("--rest-fingers", "p")).isNotEqualTo(rested).isNotEqualTo(bytes());
  }

  private byte[] bytes(String... more) throws Exception {
    rendered(Stream.concat(Stream.of("--bars", "1-2"), Stream.of(more)).toArray(String[]::new));
    return Files.readAllBytes(Path.of(wave()));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "--loudness|loud|--loudness: expected -40 to -6, or off, found loud",
        "--loudness|3|expected a loudness of -40 to -6 LUFS",
        "--room|200|--room and --freedom: expected 0 to 100",
        "--place|500|--place: expected -90 to 120",
        "--touch|foot=nail|--touch: expected thumb, fingers, p, i, m, a or c, found foot",
        "--rest-fingers|x|--rest-fingers: expected p, i, m, a or c, found x",
        "--touch|thumb=spoon|--touch: expected one of flesh, fingertip, nail, pick, found spoon",
        "--levels|brass=3|--levels: expected some of tune, fingers, thumb, hits, click, found brass",
        "--rate|8000|expected 44100, 48000 or 96000 frames a second",
      })
  void whatCannotBeAskedForIsSaidInASentence(String option, String value, String said) {
    assertThat(run("render", DEMO, "--out", wave(), option, value)).isEqualTo(2);
    assertThat(err.toString()).contains(said).doesNotContain("Usage:");
    assertThat(Path.of(wave())).doesNotExist();
  }

  /** A guitar’s own body and a room, as impulse responses; what is none is said. */
  @Test
  void aBodyAndARoomOfOnesOwnAreHeard() throws Exception {
    rendered("--bars", "1-2");
    byte[] ours = Files.readAllBytes(Path.of(wave()));
    Path blow = folder.resolve("blow.wav");
    Files.move(Path.of(wave()), blow);
    JsonNode told = rendered("--bars", "1-2", "--body-response", blow.toString());
    assertThat(Files.readAllBytes(Path.of(wave()))).isNotEqualTo(ours);
    assertThat(told.get("truePeakDb").asDouble()).isLessThan(-1);
    int none = run("render", DEMO, "--out", wave(), "--room-response", DEMO);
    assertThat(none).isEqualTo(1);
    assertThat(err.toString()).contains("expected an impulse response as a WAVE file");
  }
}
