package phalanx.formats.json;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.findings.Review;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.melody.TuneReader;
import phalanx.planning.Arranger;
import phalanx.song.FindingRef;
import phalanx.song.Song;
import phalanx.song.Tune;
import phalanx.suggestion.Suggestions;
import phalanx.theory.Meter;

class ReviewJsonTest {

  @Test
  void hasTheDocumentedShape() throws Exception {
    Song song = ChordProReader.read("{sog}\n| F | Bm |\n{eog}\n").song();
    int bar = song.chart().bars().get(0).id();
    Tune tune = Tune.NONE.with(bar, TuneReader.read("c4 . b7 .", Meter.FOUR_FOUR).tune());
    FindingRef cut = new FindingRef(bar, 10080, "tune out of reach");
    Arranger arranger = new Arranger();
    Arrangement a = arranger.arrange(song.withTune(tune));
    JsonNode root = read(arranger, a);
    assertThat(root.fieldNames())
        .toIterable()
        .containsExactly("tempoCeiling", "ceilingBar", "findings", "accepted");
    JsonNode finding = root.get("findings").get(0);
    assertThat(finding.fieldNames())
        .toIterable()
        .containsExactly(
            "rule",
            "grade",
            "bar",
            "bars",
            "beat",
            "string",
            "message",
            "measured",
            "limit",
            "unit",
            "fixes");
    assertThat(finding.get("rule").asText()).isEqualTo("tune out of reach");
    assertThat(finding.get("grade").asText()).isEqualTo("cannot");
    assertThat(finding.get("bar").asInt()).isEqualTo(1);
    assertThat(finding.get("beat").asDouble()).isEqualTo(3);
    assertThat(finding.get("fixes")).isNotEmpty();
    assertThat(finding.get("fixes").get(0).fieldNames())
        .toIterable()
        .containsExactly("words", "findings", "extraCost", "tempoCeiling");
    Song left = a.song().withPins(a.song().pins().accepting(cut, "sung, not played"));
    JsonNode accepted = read(arranger, arranger.arrange(left)).get("accepted");
    assertThat(accepted).hasSize(1);
    assertThat(accepted.get(0).get("note").asText()).isEqualTo("sung, not played");
  }

  private static JsonNode read(Arranger arranger, Arrangement a) throws Exception {
    return new ObjectMapper()
        .readTree(ReviewJson.write(a, Review.of(a), f -> Suggestions.of(arranger, a, f)));
  }
}
