package phalanx.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import phalanx.formats.SongFiles;
import phalanx.practice.Outcome;
import phalanx.practice.PracticeEntry;
import phalanx.practicelog.PracticeLog;

/** What there is to practise, and how a recording of it went. */
class PracticeAndListenTest {

  private static final Path LAMP = Path.of("../demo/harbour-lamp.phalanx.json");
  private static final Set<String> KINDS =
      Set.of("open-strings", "thumb", "layer", "slurs", "change", "join", "section", "song");

  @TempDir private Path folder;

  private final StringWriter out = new StringWriter();
  private final StringWriter err = new StringWriter();

  private int run(String... words) {
    out.getBuffer().setLength(0);
    err.getBuffer().setLength(0);
    return PhalanxCommand.run(new PrintWriter(out), new PrintWriter(err), words);
  }

  private JsonNode answer(String... words) throws Exception {
    assertThat(run(words)).as(err.toString()).isZero();
    return new ObjectMapper().readTree(out.toString());
  }

  @Test
  void aDaysPracticeIsInOrderAndNoLongerThanAsked() throws Exception {
    JsonNode plan = new ObjectMapper().readTree("{}");
    for (int minutes : new int[] {5, 25, 240}) {
      JsonNode day =
          answer("practice", LAMP.toString(), "--minutes", String.valueOf(minutes), "--json");
      int sum = 0;
      Set<String> ids = new HashSet<>();
      for (JsonNode drill : day.get("drills")) {
        sum += drill.get("minutes").asInt();
        assertThat(KINDS).contains(drill.get("kind").asText());
        assertThat(ids.add(drill.get("id").asText())).isTrue();
        assertThat(drill.get("startTempo").asDouble())
            .isLessThanOrEqualTo(drill.get("goalTempo").asDouble());
        assertThat(drill.get("notes")).isNotEmpty();
        assertThat(drill.get("bars")).isNotEmpty();
      }
      assertThat(sum).isBetween(1, minutes);
      plan = day;
    }
    assertThat(plan.get("drills").findValuesAsText("kind")).contains("thumb", "layer", "change");
  }

  /** What is practised is the song as it is asked for, not only as its file has it. */
  @Test
  void theDayIsOfTheSongAsItIsAskedFor() throws Exception {
    String song = LAMP.toString();
    String[] day = {
      "practice", song, "--minutes", "600", "--tuning", "DADGBE", "--tempo", "72", "--json"
    };
    JsonNode drills = answer(day).get("drills");
    JsonNode last = drills.get(drills.size() - 1);
    assertThat(last.get("goalTempo").asDouble()).isEqualTo(72);
    JsonNode plan = answer("plan", song, "--tuning", "DADGBE", "--tempo", "72", "--json");
    assertThat(last.get("notes")).isEqualTo(plan.get("notes"));
    assertThat(plan.get("tuning").get(0).asInt()).isEqualTo(38);
  }

  /** The notes of the whole song are those of the plan. */
  @Test
  void theLastDrillIsThePlan() throws Exception {
    JsonNode day = answer("practice", LAMP.toString(), "--minutes", "600", "--json");
    JsonNode last = day.get("drills").get(day.get("drills").size() - 1);
    assertThat(last.get("kind").asText()).isEqualTo("song");
    JsonNode plan = answer("plan", LAMP.toString(), "--json");
    assertThat(last.get("notes")).isEqualTo(plan.get("notes"));
  }

  @Test
  void aSectionIsPractisedAlone() throws Exception {
    JsonNode day = answer("practice", LAMP.toString(), "--section", "verse", "--json");
    assertThat(day.get("drills").findValuesAsText("kind")).contains("thumb");
    assertThat(run("practice", LAMP.toString(), "--section", "Nowhere")).isEqualTo(2);
    assertThat(err.toString()).contains("Nowhere").contains("Verse");
    assertThat(run("practice", LAMP.toString(), "--minutes", "0")).isEqualTo(2);
    assertThat(run("practice", LAMP.toString(), "--on", "2026-10-30")).isZero();
    assertThat(run("practice", LAMP.toString(), "--on", "tomorrow")).isEqualTo(2);
    assertThat(err.toString()).contains("--on tomorrow: expected a day such as");
  }

  /** What the log says was done comes again on the day it is due, and not before. */
  @Test
  void theLogSaysWhatIsDue() throws Exception {
    String song = LAMP.toString();
    JsonNode first = answer("practice", song, "--on", "2026-10-01", "--json").get("drills").get(1);
    Path log = folder.resolve("practice.sqlite");
    try (PracticeLog file = PracticeLog.open(log).log()) {
      file.add(
          new PracticeEntry(
              Instant.parse("2026-10-01T18:00:00Z"),
              PracticeEntry.songKey(SongFiles.open(LAMP, Optional.empty()).song().orElseThrow()),
              first.get("id").asText(),
              first.get("title").asText(),
              60,
              Outcome.CLEAN,
              60,
              OptionalDouble.empty(),
              OptionalDouble.empty(),
              ""));
    }
    String[] words = {"practice", song, "--log", log.toString(), "--json", "--on", "2026-10-02"};
    assertThat(why(answer(words), first)).contains("due today");
    words[6] = "2026-10-05";
    assertThat(why(answer(words), first)).contains("due 3 days ago");
    words[6] = "2026-10-01";
    assertThat(why(answer(words), first)).doesNotContain("due today");
    assertThat(run("practice", song, "--log", folder.resolve("none").toString())).isEqualTo(1);
    assertThat(err.toString()).contains("there is no such log");
  }

  private static List<String> why(JsonNode day, JsonNode of) {
    List<String> why = new ArrayList<>();
    for (JsonNode drill : day.get("drills")) {
      if (drill.get("id").equals(of.get("id"))) {
        why.add(drill.get("why").asText());
      }
    }
    return why;
  }

  @Test
  void someBarsArePractisedAlone() throws Exception {
    JsonNode day = answer("practice", LAMP.toString(), "--bars", "5-8", "--compound", "--json");
    List<JsonNode> own = new ArrayList<>();
    List<String> titles = new ArrayList<>();
    for (JsonNode drill : day.get("drills")) {
      titles.add(drill.get("title").asText());
      if (drill.get("title").asText().matches("(Relay|Variation|Warm).*")) {
        continue;
      }
      own.add(drill);
    }
    assertThat(own).isNotEmpty();
    assertThat(own)
        .allSatisfy(d -> d.get("bars").forEach(b -> assertThat(b.asInt()).isBetween(5, 8)));
    assertThat(titles).anyMatch(t -> t.startsWith("Relay of shapes: "));
    assertThat(run("practice", LAMP.toString(), "--bars", "500-510")).isEqualTo(2);
    assertThat(err.toString()).contains("--bars 500-510: the bars are ");
    assertThat(run("practice", LAMP.toString(), "--bars", "1-2", "--section", "Verse"))
        .isEqualTo(2);
  }

  @Test
  void whatWasRenderedIsHeardStrokeByStroke() throws Exception {
    Path wave = folder.resolve("lamp.wav");
    assertThat(run("render", LAMP.toString(), "--bars", "5-8", "--out", wave.toString())).isZero();
    JsonNode heard = answer("listen", wave.toString(), LAMP.toString(), "--bars", "5-8", "--json");
    int matched = heard.get("matched").asInt();
    int missed = heard.get("missed").asInt();
    assertThat((double) matched / (matched + missed)).isGreaterThan(0.97);
    assertThat(heard.get("offsetMs").asDouble()).isEqualTo(0, within(5.0));
    assertThat(heard.at("/roles/thumb/meanMs").asDouble()).isEqualTo(0, within(4.0));
    assertThat(heard.at("/roles/fingers/meanMs").asDouble()).isEqualTo(0, within(4.0));
    assertThat(heard.get("strokes")).hasSize(matched);
    assertThat(heard.at("/roles/thumb/loudness/count").asInt()).isGreaterThan(2);
    assertThat(heard.at("/roles/thumb/loudness/spreadDb").asDouble()).isBetween(0.0, 3.0);
    assertThat(heard.at("/byBeat/1/meanMs").asDouble()).isEqualTo(0, within(6.0));
    assertThat(heard.get("byChange")).isNotEmpty();
    assertThat(List.of("tick", "expectedMs", "heardMs", "role"))
        .allMatch(f -> heard.get("strokes").get(0).has(f));
  }

  @Test
  void whatCannotBeHeardIsSaid() throws Exception {
    Path text = Files.writeString(folder.resolve("no.wav"), "no sound");
    assertThat(run("listen", text.toString(), LAMP.toString())).isEqualTo(1);
    assertThat(err.toString()).contains("no.wav:1:1: expected a recording");
    assertThat(run("listen", folder.resolve("none.wav").toString(), LAMP.toString())).isEqualTo(1);
    assertThat(run("listen", text.toString(), LAMP.toString(), "--bars", "x")).isEqualTo(2);
  }
}
