package phalanx.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The words {@code level} and {@code draft}, as they are answered. */
class DraftAndLevelTest {

  private static final String DEMO = Path.of("..", "demo", "harbour-lamp.phalanx.json").toString();

  @TempDir private Path folder;
  private final StringWriter out = new StringWriter();
  private final StringWriter err = new StringWriter();

  private int run(String... args) {
    out.getBuffer().setLength(0);
    return PhalanxCommand.run(new PrintWriter(out), new PrintWriter(err), args);
  }

  private JsonNode json(String... args) throws Exception {
    assertThat(run(args)).as(err.toString()).isZero();
    return new ObjectMapper().readTree(out.toString());
  }

  @Test
  void aLevelHasPartsThatAddUp() throws Exception {
    JsonNode level = json("level", DEMO, "--json");
    assertThat(level.get("level").asDouble()).isBetween(1.0, 5.0);
    double sum = 0;
    for (JsonNode part : level.get("parts")) {
      assertThat(part.fieldNames()).toIterable().containsExactly("what", "share", "bars", "words");
      sum += part.get("share").asDouble();
    }
    assertThat(sum).isCloseTo(1, org.assertj.core.data.Offset.offset(0.01));
    double slower = json("level", DEMO, "--json", "--tempo", "50").get("level").asDouble();
    assertThat(slower).isLessThanOrEqualTo(level.get("level").asDouble());
    assertThat(run("level", DEMO)).isZero();
    assertThat(out.toString()).startsWith("level ");
  }

  @Test
  void draftsAreListedAndTheFirstBecomesASong() throws Exception {
    Path song = folder.resolve("draft.phalanx.json");
    JsonNode drafts =
        json("draft", DEMO, "--json", "--limit", "2", "--level", "2", "--out", song.toString())
            .get("drafts");
    assertThat(drafts).hasSize(2);
    for (JsonNode draft : drafts) {
      assertThat(draft.fieldNames())
          .toIterable()
          .containsExactly("manner", "level", "tempoCeiling", "grades", "notesABeat", "sections");
      assertThat(draft.get("grades").get("cannot").asInt()).isZero();
      assertThat(draft.get("sections").get(0).get("label").asText()).isEqualTo("Intro");
    }
    double told = drafts.get(0).get("level").asDouble();
    assertThat(json("level", song.toString(), "--json").get("level").asDouble()).isEqualTo(told);
    JsonNode one = json("draft", DEMO, "--json", "--manner", "quiet roll");
    assertThat(one.get("drafts")).isNotEmpty();
    assertThat(one.get("drafts"))
        .allSatisfy(d -> assertThat(d.get("manner").asText()).isEqualTo("Quiet roll"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "--level|9|--level: expected 1 to 5",
        "--limit|-1|--limit: expected 0 or more",
        "--manner|Loud|--manner: expected one of Thumb and tune, One bass a bar, Quiet roll",
        "--manners|nowhere.manners|nowhere.manners",
        "--out|x.pdf|expected a name ending in .phalanx.json"
      })
  void whatCannotBeIsSaidInASentence(String option, String value, String said) {
    assertThat(run("draft", DEMO, option, value)).isEqualTo(2);
    assertThat(err.toString()).contains(said).doesNotContain("Usage:");
  }

  /** A player’s own manners come from a file; what is wrong in one is said with its line. */
  @Test
  void ownMannersAreReadFromAFile(@TempDir Path folder) throws Exception {
    Path file = folder.resolve("mine.manners");
    String rows = "metre: 4/4\nupper | . | o | . | o |\nthumb | o | . | o | . |\n";
    Files.writeString(file, "manner: Mine\n" + rows);
    JsonNode drafts =
        json("draft", DEMO, "--json", "--manners", file.toString(), "--manner", "mine");
    assertThat(drafts.get("drafts").get(0).get("manner").asText()).isEqualTo("Mine");
    Files.writeString(file, "manner: Mine\nthumb: sideways\n" + rows);
    assertThat(run("draft", DEMO, "--manners", file.toString())).isEqualTo(1);
    assertThat(err.toString()).contains("mine.manners:1: there is no way of the thumb sideways");
  }

  /** A level that no manner reaches is explained. */
  @Test
  void aDraftFarFromTheLevelSaysWhy() throws Exception {
    for (JsonNode draft : json("draft", DEMO, "--json", "--level", "5").get("drafts")) {
      double off = Math.abs(draft.get("level").asDouble() - 5);
      assertThat(draft.has("reason")).isEqualTo(off > 0.5);
    }
  }
}
