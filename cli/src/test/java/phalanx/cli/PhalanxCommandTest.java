package phalanx.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PhalanxCommandTest {

  private static final Path DEMO = Path.of("..", "demo", "harbour-lamp.cho");

  @TempDir private Path folder;
  private final StringWriter out = new StringWriter();
  private final StringWriter err = new StringWriter();

  private int run(String... args) {
    return PhalanxCommand.run(new PrintWriter(out), new PrintWriter(err), args);
  }

  private JsonNode json(String text) throws Exception {
    return new ObjectMapper().readTree(text);
  }

  @Test
  void chordAnswersInTheDocumentedForm() throws Exception {
    assertThat(run("chord", "F7", "--json")).isZero();
    assertThat(out.toString().strip())
        .isEqualTo(
            "{\"symbol\":\"F7\",\"canonical\":\"F7\",\"notes\":[\"F\",\"A\",\"C\",\"Eb\"],"
                + "\"intervals\":[\"1P\",\"3M\",\"5P\",\"7m\"]}");
  }

  @Test
  void shapesKeepsToItsLimitAndSaysHowManyThereAre() throws Exception {
    assertThat(run("shapes", "C", "--limit", "5", "--json")).isZero();
    JsonNode answer = json(out.toString());
    assertThat(answer.get("shapes")).hasSize(5);
    assertThat(answer.get("count").asInt()).isGreaterThan(100);
    JsonNode first = answer.get("shapes").get(0);
    assertThat(first.fieldNames())
        .toIterable()
        .containsExactly("frets", "fingers", "midi", "cost", "widestSpanMm", "barre");
    assertThat(first.get("frets").toString()).isEqualTo("[\"x\",3,2,0,1,0]");
    assertThat(first.get("fingers").toString()).isEqualTo("[\"\",\"3\",\"2\",\"\",\"1\",\"\"]");
  }

  /** How D is fingered in the open position: common practice, no source. */
  @Test
  void shapesToChooseFromDifferInTheirFretsAndAllHaveEveryFingering() throws Exception {
    assertThat(run("shapes", "D", "--limit", "5", "--json")).isZero();
    JsonNode few = json(out.toString()).get("shapes");
    assertThat(few.findValues("frets")).hasSize(5).doesNotHaveDuplicates();
    assertThat(few.get(0).get("fingers").toString())
        .isEqualTo("[\"\",\"\",\"\",\"1\",\"3\",\"2\"]");
    out.getBuffer().setLength(0);
    assertThat(run("shapes", "D", "--limit", "0", "--json")).isZero();
    JsonNode all = json(out.toString());
    assertThat(all.get("shapes")).hasSize(all.get("count").asInt());
    assertThat(
            all.get("shapes").findValues("frets").stream().filter(few.get(0).get("frets")::equals))
        .hasSizeGreaterThan(3);
  }

  @Test
  void shapesObeysTuneBassAndFrets() throws Exception {
    assertThat(
            run(
                "shapes", "C", "--tune", "G4", "--bass", "E", "--frets", "5", "--limit", "0",
                "--json"))
        .isZero();
    for (JsonNode shape : json(out.toString()).get("shapes")) {
      assertThat(shape.get("midi").get(0).asInt() % 12).isEqualTo(4);
      assertThat(shape.get("midi").get(shape.get("midi").size() - 1).asInt()).isEqualTo(67);
      shape.get("frets").forEach(f -> assertThat(f.asInt(0)).isLessThanOrEqualTo(5));
    }
  }

  /** Pitches of equal temperament: ISO 16. */
  @Test
  void tuningGivesPitchesPullAndTheWayThere() throws Exception {
    assertThat(run("tuning", "D G D G B E", "--scale", "645", "--json")).isZero();
    JsonNode answer = json(out.toString());
    JsonNode low = answer.get("strings").get(0);
    assertThat(low.fieldNames())
        .toIterable()
        .containsExactly("string", "note", "hz", "semitones", "tensionN", "standardN", "zone");
    assertThat(low.get("note").asText()).isEqualTo("D2");
    assertThat(low.get("hz").asDouble()).isEqualTo(73.416);
    assertThat(low.get("semitones").asInt()).isEqualTo(-2);
    assertThat(low.get("zone").asText()).isEqualTo("fit");
    assertThat(answer.get("totalN").asDouble()).isLessThan(answer.get("standardTotalN").asDouble());
    assertThat(answer.get("caution").isNull()).isTrue();
    out.getBuffer().setLength(0);
    assertThat(run("tuning", "E A D G B F", "--json")).isZero();
    assertThat(json(out.toString()).get("caution").asText()).contains("keep the face away");
    assertThat(answer.get("order")).hasSize(6);
    assertThat(answer.get("steps")).hasSize(5);
    for (JsonNode step : answer.get("steps")) {
      assertThat(step.get("how").asText()).isIn("octave", "fret", "harmonic");
      assertThat(step.get("cents").asDouble()).isZero();
    }
    out.getBuffer().setLength(0);
    assertThat(run("tuning", "open-e-minor")).isZero();
    assertThat(out.toString()).contains("E2", "kgf", "begin with", "strain the guitar");
  }

  @Test
  void harmonicsOfAPitchAreAmongAll() throws Exception {
    assertThat(run("harmonics", "--pitch", "E5", "--json")).isZero();
    JsonNode some = json(out.toString()).get("nodes");
    out.getBuffer().setLength(0);
    assertThat(run("harmonics", "--json")).isZero();
    JsonNode all = json(out.toString()).get("nodes");
    assertThat(all).hasSize(102).containsAll(some);
    assertThat(some).isNotEmpty().allMatch(n -> n.get("midi").asInt() == 76);
    // ⑤ over fret 7 sounds E4, so E5 is ① at 12 and ⑤ at its sixth part.
    assertThat(some).extracting(n -> n.get("string").asInt()).contains(1, 5);
    out.getBuffer().setLength(0);
    assertThat(run("harmonics", "--pitch", "C1")).isZero();
    assertThat(out.toString()).contains("no natural harmonic sounds C1");
  }

  /** Sixths from E to A over the open sixth string, and the way down; what is no way is refused. */
  @Test
  void walksClimbToTheNextChord() throws Exception {
    assertThat(run("walk", "E", "A", "--key", "E", "--in", "sixths", "--json")).isZero();
    JsonNode walk = json(out.toString()).get("walks").get(0);
    assertThat(walk.get("in").asText()).isEqualTo("sixths");
    int beats = walk.get("beats").asInt();
    assertThat(beats).isBetween(2, 4);
    assertThat(walk.get("findings").asInt()).isZero();
    assertThat(walk.get("notes").size()).isEqualTo(3 * beats);
    out.getBuffer().setLength(0);
    assertThat(run("walk", "G", "C", "--in", "tenths", "--eighths", "--way", "up", "--json"))
        .isZero();
    JsonNode tenths = json(out.toString()).get("walks").get(0);
    assertThat(tenths.get("notes").get(0).get("midi").asInt()).isEqualTo(43);
    assertThat(run("walk", "E", "A", "--in", "fifths")).isNotZero();
    assertThat(run("walk", "E", "A", "--way", "round")).isNotZero();
  }

  @Test
  void fillsAreFingeredOverAChord() throws Exception {
    assertThat(run("fills", "G", "--beats", "1", "--json")).isZero();
    JsonNode fills = json(out.toString()).get("fills");
    assertThat(fills.size()).isGreaterThanOrEqualTo(4);
    for (JsonNode fill : fills) {
      assertThat(fill.get("beats").asInt()).isEqualTo(1);
      assertThat(fill.get("colour").asText()).isIn("major", "bluesy");
      assertThat(fill.get("findings").asInt()).isZero();
      assertThat(fill.get("notes").size()).isGreaterThan(1);
      assertThat(fill.get("widestSpanMm").isNumber()).isTrue();
    }
    assertThat(run("fills", "Q")).isEqualTo(1);
    assertThat(run("fills", "G", "--beats", "0")).isEqualTo(2);
  }

  @Test
  void aHarpRunNamesItsNotesAndItsScale() throws Exception {
    assertThat(run("harp", "5 5 5 5 5 5", "--order", "4 6* 3 5* 2 4* 1 3*", "--json")).isZero();
    JsonNode answer = json(out.toString());
    assertThat(answer.get("scale").asText()).isEqualTo("A minor pentatonic");
    JsonNode first = answer.get("notes").get(0);
    assertThat(first.get("string").asInt()).isEqualTo(4);
    assertThat(first.get("midi").asInt()).isEqualTo(55);
    assertThat(first.get("pick").asText()).isEqualTo("a");
    assertThat(first.get("touchFret").isNull()).isTrue();
    assertThat(answer.get("notes").get(1).get("touchFret").asInt()).isEqualTo(17);
    out.getBuffer().setLength(0);
    assertThat(run("harp", "x54555")).isZero();
    assertThat(out.toString()).contains("touched over");
    assertThat(run("harp", "x32010", "--order", "4 6*")).isEqualTo(2);
    assertThat(err.toString()).contains("string 6 does not sound");
  }

  @Test
  void adviceIsRankedAndSaysHowItIsNow(@TempDir Path folder) throws Exception {
    Path chart =
        Files.writeString(
            folder.resolve("a.cho"), "{title: A}\n{key: F}\n{sog}\n| F | Bb |\n{eog}\n");
    assertThat(run("advise", chart.toString(), "--capos", "0,1-3", "--keep-sound", "--json"))
        .isZero();
    JsonNode answer = json(out.toString());
    assertThat(answer.get("now").get("key").asText()).isEqualTo("F");
    assertThat(answer.get("ways")).hasSize(4);
    double last = 0;
    for (JsonNode way : answer.get("ways")) {
      assertThat(way.get("sameSound").asBoolean()).isTrue();
      assertThat(way.get("cost").asDouble()).isGreaterThanOrEqualTo(last);
      last = way.get("cost").asDouble();
    }
    assertThat(err.toString()).contains("4 of 4 ways weighed");
    out.getBuffer().setLength(0);
    assertThat(run("advise", chart.toString(), "--capos", "0-3", "--best", "5", "--json")).isZero();
    JsonNode any = json(out.toString());
    assertThat(any.get("ways")).hasSizeBetween(5, 47).allMatch(w -> w.get("planned").asBoolean());
    assertThat(any.get("ways").size() + any.get("outdone").size()).isEqualTo(4 * 12);
    double fifth = any.get("ways").get(4).get("cost").asDouble();
    assertThat(any.get("outdone")).allMatch(w -> w.get("costAtLeast").asDouble() >= fifth);
  }

  @Test
  void aConvertedSongIsPlannedAsTheChartItCameFrom(@TempDir Path folder) throws Exception {
    Path chart =
        Files.writeString(folder.resolve("a.cho"), "{title: A}\n{sog}\n|: C |1 F :|2 G |\n{eog}\n");
    Path song = folder.resolve("a.phalanx.json");
    assertThat(run("convert", chart.toString(), song.toString())).isZero();
    assertThat(run("plan", chart.toString())).isZero();
    String fromChart = out.toString();
    out.getBuffer().setLength(0);
    assertThat(run("plan", song.toString())).isZero();
    assertThat(out).hasToString(fromChart);
  }

  @Test
  void aScoreIsPlannedAndADamagedOneIsRefusedWithItsPlace(@TempDir Path folder) throws Exception {
    Path chart =
        Files.writeString(folder.resolve("a.cho"), "{title: A}\n{sog}\n| C | F |\n{eog}\n");
    Path score = folder.resolve("a.musicxml");
    assertThat(run("plan", chart.toString(), "--out", score.toString())).isZero();
    Path song = folder.resolve("a.phalanx.json");
    assertThat(run("convert", score.toString(), song.toString())).isZero();
    JsonNode read = json(Files.readString(song));
    assertThat(
            read.get("sections")
                .get(0)
                .get("bars")
                .get(1)
                .get("chords")
                .get(0)
                .get("chord")
                .asText())
        .isEqualTo("F");
    Files.writeString(score, Files.readString(score).replace("</part>", "<part>"));
    assertThat(run("plan", score.toString())).isEqualTo(1);
    assertThat(err.toString()).startsWith(score + ":").contains("this is not XML");
  }

  @Test
  void aDamagedSongFileIsRefusedWithItsPlaceAndNothingIsWritten(@TempDir Path folder)
      throws Exception {
    Path song =
        Files.writeString(
            folder.resolve("b.phalanx.json"),
            "{\n  \"format\": \"phalanx-song\",\n  \"version\": 9\n}");
    Path copy = folder.resolve("c.phalanx.json");
    assertThat(run("convert", song.toString(), copy.toString())).isEqualTo(1);
    assertThat(err.toString()).startsWith(song + ":3:14: this song was written by a newer Phalanx");
    assertThat(copy).doesNotExist();
    assertThat(run("convert", song.toString(), "d.odd")).isEqualTo(2);
  }

  @Test
  void nameRanksTheUsualNameFirst() throws Exception {
    assertThat(run("name", "x 3 2 0 1 0", "--json")).isZero();
    assertThat(json(out.toString()).get("names").get(0).get("symbol").asText()).isEqualTo("C");
  }

  @Test
  void aBatchAnswersLineByLineAndGoesOnAfterABadOne() throws Exception {
    Path batch = Files.writeString(folder.resolve("q.txt"), "C\nQx\n\nAm7\n");
    assertThat(run("chord", "--batch", batch.toString())).isZero();
    List<String> lines = out.toString().lines().toList();
    assertThat(lines).hasSize(3);
    assertThat(json(lines.get(0)).get("canonical").asText()).isEqualTo("C");
    assertThat(json(lines.get(1)).get("error").asText()).contains("Qx");
    assertThat(json(lines.get(2)).get("canonical").asText()).isEqualTo("Am7");
  }

  @Test
  void planWritesEveryFormatAskedFor() throws Exception {
    Path xml = folder.resolve("x.musicxml");
    Path txt = folder.resolve("x.txt");
    Path js = folder.resolve("x.json");
    assertThat(
            run(
                "plan",
                DEMO.toString(),
                "--out",
                xml.toString(),
                "--out",
                txt.toString(),
                "--out",
                js.toString()))
        .isZero();
    assertThat(Files.readString(xml)).contains("<score-partwise");
    assertThat(Files.readString(txt)).startsWith("Harbour Lamp");
    assertThat(json(Files.readString(js)).get("capo").asInt()).isEqualTo(2);
    assertThat(out.toString()).isEmpty();
  }

  @Test
  void checkSaysUpToWhichTempoTheHandsHold(@TempDir Path folder) throws Exception {
    Path chart =
        Files.writeString(folder.resolve("a.cho"), "{title: A}\n{sog}\n| F | Bm |\n{eog}\n");
    assertThat(run("check", chart.toString())).isZero();
    assertThat(out.toString()).startsWith("hands hold to ");
    out.getBuffer().setLength(0);
    assertThat(run("check", chart.toString(), "--json")).isZero();
    JsonNode answer = json(out.toString());
    assertThat(answer.fieldNames())
        .toIterable()
        .containsExactly("tempoCeiling", "ceilingBar", "findings", "accepted");
    assertThat(answer.get("tempoCeiling").asDouble()).isBetween(20.0, 400.0);
    assertThat(answer.get("ceilingBar").asInt()).isBetween(1, 2);
    assertThat(run("check", folder.resolve("none.cho").toString())).isEqualTo(1);
  }

  /** At another tempo the plan is another one: shapes that hold at 60 are left for quicker ones. */
  @Test
  void checkTakesTempoAndTuning(@TempDir Path folder) throws Exception {
    Path chart =
        Files.writeString(folder.resolve("a.cho"), "{title: A}\n{sog}\n| F Bm F Bm |\n{eog}\n");
    assertThat(ceiling(chart, "--tempo", "60")).isBetween(60.0, 389.0);
    assertThat(ceiling(chart, "--tempo", "390")).isGreaterThanOrEqualTo(390);
    assertThat(ceiling(chart, "--tuning", "D A D G A D"))
        .isNotEqualTo(ceiling(chart, "--tuning", "E A D G B E"));
    assertThat(run("check", chart.toString(), "--tuning", "D A D")).isEqualTo(2);
  }

  private double ceiling(Path song, String option, String value) throws Exception {
    out.getBuffer().setLength(0);
    assertThat(run("check", song.toString(), option, value, "--json")).isZero();
    return json(out.toString()).get("tempoCeiling").asDouble();
  }

  @Test
  void planTakesSchoolPatternAndTempo() throws Exception {
    assertThat(
            run(
                "plan",
                DEMO.toString(),
                "--json",
                "--school",
                "two",
                "--pattern",
                "pinch-and-between",
                "--tempo",
                "70"))
        .isZero();
    JsonNode plan = json(out.toString());
    assertThat(plan.get("tempo").asDouble()).isEqualTo(70);
    assertThat(plan.get("notes")).noneMatch(n -> n.get("pick").asText().equals("a"));
  }

  @Test
  void aChartWithAFaultIsRefusedWithItsPlaceAndLeavesNoFile() throws Exception {
    Path chart = Files.writeString(folder.resolve("torn.cho"), "{sog}\n| C | Qx |\n{eog}\n");
    Path target = folder.resolve("x.txt");
    assertThat(run("plan", chart.toString(), "--out", target.toString())).isEqualTo(1);
    assertThat(err.toString()).contains("torn.cho:2:7: ").contains("Qx");
    assertThat(target).doesNotExist();
  }

  @Test
  void aMissingOrBinaryFileIsNamed() throws Exception {
    assertThat(run("plan", folder.resolve("none.cho").toString())).isEqualTo(1);
    assertThat(err.toString()).contains("none.cho:1:1: cannot be read");
    Path binary = Files.write(folder.resolve("b.cho"), new byte[] {(byte) 0xff, (byte) 0xfe, 0, 1});
    assertThat(run("plan", binary.toString())).isEqualTo(1);
    assertThat(err.toString()).contains("expected text in UTF-8");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "plan",
        "shapes",
        "nonsense",
        "plan x.cho --out x.doc",
        "shapes C --tuning E",
        "shapes C --capo 40",
        "shapes C --hand huge",
        "shapes C --without-fingers 5",
        "shapes C --without-fingers 1,2,3,4",
        "shapes C --frets 99",
        "tuning standard --strings rope",
        "tuning standard --scale 300",
        "tuning standard --a4 nan",
        "advise",
        "harmonics --pitch H9",
        "shapes C --limit -1",
        "name x32010 --limit -3",
        "shapes C --tuning E0,E0,E0,E0,E0,E0",
        "plan ../demo/harbour-lamp.cho --school five",
        "chord C --batch x"
      })
  void wrongUsageEndsWithTwoAndSaysSo(String line) {
    String[] words = line.split(" ");
    for (int w = 0; w < words.length; w++) {
      words[w] = words[w].replace(',', ' ');
    }
    assertThat(run(words)).isEqualTo(2);
    assertThat(err.toString()).isNotBlank().doesNotContain("Exception");
    assertThat(out.toString()).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"chord|H", "name|3 2 0", "name|x x x y 0 0", "name|99 0 0 0 0 0"})
  void aQueryThatCannotBeAnsweredEndsWithOne(String line) {
    assertThat(run(line.split("\\|"))).isEqualTo(1);
    assertThat(err.toString()).contains("expected");
  }

  @ParameterizedTest
  @ValueSource(strings = {"/", ".", "..", "../demo"})
  void aFolderIsNoSong(String path) {
    assertThat(run("plan", path)).isEqualTo(1);
    assertThat(err.toString()).contains("expected a file ending in").doesNotContain("Exception");
  }

  @Test
  void whyAFileCannotBeWrittenIsSaidByItsOwnName() {
    Path target = folder.resolve("missing").resolve("plan.txt");
    assertThat(run("plan", DEMO.toString(), "--out", target.toString())).isEqualTo(1);
    assertThat(err.toString().strip())
        .isEqualTo(target + ": cannot be written: there is no folder " + target.getParent());
  }

  @Test
  void aLineOfABatchThatIsNoTextCostsThatLineAlone() throws Exception {
    Path batch = folder.resolve("batch.txt");
    Files.write(batch, new byte[] {'C', '\n', 'D', (byte) 0xff, '\r', '\n', 'E', 'm'});
    assertThat(run("chord", "--batch", batch.toString())).isZero();
    String[] lines = out.toString().strip().split("\\R");
    assertThat(lines).hasSize(3);
    assertThat(json(lines[0]).get("canonical").asText()).isEqualTo("C");
    assertThat(json(lines[1]).get("error").asText()).isEqualTo("expected text in UTF-8");
    assertThat(json(lines[2]).get("canonical").asText()).isEqualTo("Em");
  }

  /** What of a score a song cannot carry is said, and the song is planned all the same. */
  @Test
  void aScoreWithoutChordsIsPlannedAndSaysSo() throws Exception {
    String note =
        "<note><pitch><step>%s</step><octave>5</octave></pitch><duration>%d</duration></note>";
    Path score = folder.resolve("bare.musicxml");
    Files.writeString(
        score,
        "<score-partwise><part-list><score-part id=\"P\"><part-name>x</part-name></score-part>"
            + "</part-list><part id=\"P\"><measure number=\"1\"><attributes><divisions>1</divisions>"
            + "</attributes>"
            + note.formatted("C", 4)
            + "<backup><duration>2</duration></backup>"
            + note.formatted("E", 2)
            + "</measure></part></score-partwise>");
    assertThat(run("plan", score.toString(), "--json")).isZero();
    assertThat(json(out.toString()).get("notes").size()).isGreaterThan(2);
    assertThat(err.toString().strip().split("\\R"))
        .containsExactly(
            score + ":1:1: bar 1, beat 3: two notes of the voice overlap: the first ends here",
            score + ":1:1: it has no chord symbols: the chords are proposed from its notes");
  }
}
