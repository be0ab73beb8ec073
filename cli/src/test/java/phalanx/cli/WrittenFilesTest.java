package phalanx.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** No word of the command line ever writes over a song, and none waits for what is no file. */
class WrittenFilesTest {

  private static final String CHART = "{title: A}\n{sog}\n| C | G7 |\n{eog}\n";

  private final StringWriter out = new StringWriter();
  private final StringWriter err = new StringWriter();

  @TempDir private Path folder;
  private Path chart;
  private Path song;

  private int run(String... words) {
    return PhalanxCommand.run(new PrintWriter(out), new PrintWriter(err), words);
  }

  @BeforeEach
  void aChartAndASongOfIt() throws Exception {
    chart = Files.writeString(folder.resolve("a.cho"), CHART);
    song = folder.resolve("a.phalanx.json");
    assertThat(run("convert", chart.toString(), song.toString())).isZero();
  }

  private void refused(String... words) throws Exception {
    byte[] before = Files.readAllBytes(song);
    assertThat(run(words)).as(err.toString()).isEqualTo(1);
    assertThat(err.toString().strip()).contains("cannot be written: ").hasLineCount(1);
    assertThat(Files.readAllBytes(song)).isEqualTo(before);
    assertThat(out.toString()).isEmpty();
    assertThat(chart).hasContent(CHART);
    err.getBuffer().setLength(0);
  }

  @Test
  void aPlanNeverReplacesTheSongItIsOfHoweverItsPathIsSpelt() throws Exception {
    refused("plan", song.toString(), "--out", song.toString());
    refused("plan", song.toString(), "--out", folder + "/./x/../a.phalanx.json");
    refused("plan", song.toString(), "--out", folder + "/A.PHALANX.JSON");
    Path link = Files.createSymbolicLink(folder.resolve("link.json"), song);
    refused("plan", song.toString(), "--out", link.toString());
    refused("plan", chart.toString(), "--out", link.toString());
    Path hard = Files.createLink(folder.resolve("hard.json"), song);
    refused("plan", song.toString(), "--out", hard.toString());
  }

  @Test
  void aPlanNeverReplacesAnySongUnderAnyName() throws Exception {
    Path plain = Files.copy(song, folder.resolve("plain.json"));
    refused("plan", chart.toString(), "--out", plain.toString());
    refused("plan", chart.toString(), "--out", folder.resolve("new.phalanx.json").toString());
    Path marked = folder.resolve("marked.json");
    Files.writeString(marked, "\uFEFF" + Files.readString(song));
    refused("plan", chart.toString(), "--out", marked.toString());
    refused("convert", chart.toString(), song.toString());
    Path sound = Files.copy(song, folder.resolve("song.wav"));
    refused("render", chart.toString(), "--out", sound.toString());
  }

  @Test
  void aScoreThatIsReadIsNotWrittenOver() throws Exception {
    Path score = folder.resolve("a.musicxml");
    assertThat(run("plan", chart.toString(), "--out", score.toString())).isZero();
    String before = Files.readString(score);
    refused("plan", score.toString(), "--out", score.toString());
    assertThat(score).hasContent(before);
  }

  @Test
  void ofSeveralFilesNoneIsWrittenWhereOneMustStay() throws Exception {
    Path text = folder.resolve("a.txt");
    refused("plan", song.toString(), "--out", text.toString(), "--out", song.toString());
    assertThat(text).doesNotExist();
  }

  @Test
  void aPlanMayHaveAnyOtherNameAndMayBeWrittenAgain() throws Exception {
    Path plan = folder.resolve("a.json");
    assertThat(run("plan", song.toString(), "--out", plan.toString())).isZero();
    assertThat(run("plan", song.toString(), "--out", plan.toString(), "--tempo", "70")).isZero();
    assertThat(plan).content().contains("\"divisions\"");
  }

  @Test
  void aDeviceIsNotReplacedByAFile() throws Exception {
    Path device = Files.createSymbolicLink(folder.resolve("x.txt"), Path.of("/dev/null"));
    refused("plan", song.toString(), "--out", device.toString());
    assertThat(Files.isRegularFile(Path.of("/dev/null"))).isFalse();
  }

  @ParameterizedTest
  @ValueSource(strings = {"plan", "chord --batch"})
  @Timeout(value = 20, unit = TimeUnit.SECONDS, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
  void aPipeIsNotWaitedFor(String words) throws Exception {
    Path pipe = folder.resolve("pipe.phalanx.json");
    assertThat(new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor()).isZero();
    String[] line = Stream.of((words + " " + pipe).split(" ")).toArray(String[]::new);
    assertThat(run(line)).isEqualTo(1);
    assertThat(err.toString()).contains("it is a pipe or a device, no file").hasLineCount(1);
  }

  @Test
  void aWordThatBeginsWithAnAtSignIsNoFileOfWords() throws Exception {
    Path words = Files.writeString(folder.resolve("words"), "shapes secret-word\n");
    assertThat(run("@" + words)).isEqualTo(2);
    assertThat(run("plan", "@" + words)).isEqualTo(1);
    assertThat(out + err.toString()).doesNotContain("secret-word");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "plan",
        "shapes C --limit x",
        "nonsense",
        "plan a b c",
        "render x.cho",
        "name --x"
      })
  void wrongUsageIsOneSentenceThatNamesTheHelp(String words) {
    assertThat(run(words.split(" "))).isEqualTo(2);
    assertThat(err.toString().strip()).hasLineCount(1).contains("phalanx").contains("--help");
  }
}
