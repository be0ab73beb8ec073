package phalanx.formats.json;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Arranger;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.melody.TuneReader;
import phalanx.review.Review;
import phalanx.song.Song;
import phalanx.song.Tune;
import phalanx.theory.Meter;

class ReviewJsonTest {

  @Test
  void hasTheDocumentedShape() throws Exception {
    Song song = ChordProReader.read("{sog}\n| F | Bm |\n{eog}\n").song();
    int bar = song.chart().bars().get(0).id();
    Tune tune = Tune.NONE.with(bar, TuneReader.read("c4 . b7 .", Meter.FOUR_FOUR).tune());
    Arrangement a = new Arranger().arrange(song.withTune(tune));
    JsonNode root = new ObjectMapper().readTree(ReviewJson.write(a, Review.of(a)));
    assertThat(root.fieldNames())
        .toIterable()
        .containsExactly("tempoCeiling", "ceilingBar", "findings");
    JsonNode finding = root.get("findings").get(0);
    assertThat(finding.fieldNames())
        .toIterable()
        .containsExactly(
            "rule", "bar", "beat", "string", "message", "measured", "limit", "unit", "fixes");
    assertThat(finding.get("rule").asText()).isEqualTo("tune out of reach");
    assertThat(finding.get("bar").asInt()).isEqualTo(1);
    assertThat(finding.get("beat").asDouble()).isEqualTo(3);
  }
}
