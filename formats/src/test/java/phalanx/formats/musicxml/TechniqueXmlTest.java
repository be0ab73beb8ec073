package phalanx.formats.musicxml;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.Arrangement;
import phalanx.formats.json.ArrangementJson;
import phalanx.formats.tab.TextTab;
import phalanx.melody.TuneNote;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.technique.Technique;
import phalanx.technique.TechniqueText;

/** Techniques written to MusicXML 4.0, checked against its schema, and read back; and as text. */
class TechniqueXmlTest {

  private static Arrangement arranged(String text) {
    return new Arranger().arrange(TestSongs.singing(TestSongs.of("G"), text));
  }

  @ParameterizedTest
  @CsvSource({
    "e5(h) . . ., <natural",
    "g4(t12) . . ., <artificial",
    "d4(b1) . . ., <bend-alter>2<",
    "d4(b1/2r) . . ., <release",
    "d4(pb1/4) . . ., <pre-bend",
    "d4(v) . . ., <wavy-line",
    "d4(vw) . . ., wide-vibrato",
    "d5(t7) . . ., touched-harmonic-7",
    "g5(t5) . . ., touched-harmonic-5",
    "d4(pm) . . ., <mute>palm<"
  })
  void everyMarkFitsTheSchemaAndIsReadBack(String text, String mark) throws Exception {
    String xml = MusicXmlWriter.write(arranged(text));
    MusicXmlSchema.validate(xml);
    assertThat(xml).contains(mark);
    Song read = ScoreText.read(xml);
    Set<Technique> techniques =
        read.tune().bars().values().stream()
            .flatMap(b -> b.notes().stream())
            .map(TuneNote::techniques)
            .filter(t -> !t.isEmpty())
            .findFirst()
            .orElseThrow();
    String words = text.substring(text.indexOf('(') + 1, text.indexOf(')'));
    assertThat(techniques).isEqualTo(TechniqueText.read(words).orElseThrow());
  }

  /** As text tablature is commonly written: common practice, no source. */
  @Test
  void tablatureWritesTouchedFretsInBracketsAndTheOthersBelow() {
    String tab = TextTab.write(arranged("e5(h) d4(b1) d4(v) d4(pm)"));
    assertThat(tab).contains("<12>").contains("b1  bent by a whole tone");
    assertThat(tab).contains("~  vibrato").contains("PM  damped by the heel of the hand");
    assertThat(tab.lines()).allMatch(l -> l.chars().allMatch(c -> c < 127));
    List<String> strings = tab.lines().filter(l -> l.matches("[EADGBe] \\|.*")).toList();
    assertThat(strings).extracting(String::length).containsOnly(strings.get(0).length());
  }

  @Test
  void dataNameEveryTechnique() {
    String json = ArrangementJson.write(arranged("e5(h) d4(b1) d4(vw) d4(pm)"));
    assertThat(json).contains("natural-harmonic", "bend-4", "wide-vibrato", "palm-mute");
  }
}
