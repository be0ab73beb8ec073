package phalanx.formats.musicxml;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import phalanx.formats.FileProblem;
import phalanx.formats.SongReading;
import phalanx.formats.TuneSources;
import phalanx.melody.TuneWriter;
import phalanx.planning.Arranger;
import phalanx.song.Bar;
import phalanx.theory.Meter;

/** A score of several parts: one has the tune, and the player may choose another, or a voice. */
class TunePartTest {

  private static String note(String step, int octave, int voice) {
    return "<note><pitch><step>%s</step><octave>%d</octave></pitch><duration>4</duration><voice>%d</voice><type>whole</type></note>"
        .formatted(step, octave, voice);
  }

  private static String part(String id, String... measures) {
    StringBuilder xml = new StringBuilder("<part id=\"" + id + "\">");
    for (int m = 0; m < measures.length; m++) {
      String attributes =
          m > 0
              ? ""
              : "<attributes><divisions>1</divisions><time><beats>4</beats><beat-type>4</beat-type></time></attributes>";
      xml.append("<measure number=\"%d\">%s%s</measure>".formatted(m + 1, attributes, measures[m]));
    }
    return xml + "</part>";
  }

  private static final String REST = "<note><rest measure=\"yes\"/><duration>4</duration></note>";
  private static final String BACK = "<backup><duration>4</duration></backup>";

  private static final byte[] SCORE =
      ("<score-partwise version=\"4.0\"><part-list>"
              + "<score-part id=\"A\"><part-name>Horn</part-name></score-part>"
              + "<score-part id=\"B\"><part-name>Violin</part-name></score-part>"
              + "<score-part id=\"C\"><part-name>Violin</part-name></score-part>"
              + "</part-list>"
              + part("A", REST, note("C", 4, 1))
              + part(
                  "B",
                  note("E", 5, 1) + BACK + note("G", 4, 2),
                  note("D", 5, 1) + BACK + note("F", 4, 2))
              + part("C", note("C", 5, 1), note("B", 4, 1))
              + "</score-partwise>")
          .getBytes(StandardCharsets.UTF_8);

  private static String tune(SongReading reading) {
    StringBuilder tune = new StringBuilder();
    for (Bar bar : reading.song().chart().bars()) {
      tune.append(
          TuneWriter.write(
                  reading.song().tune().at(bar.id(), reading.song().chart()), Meter.FOUR_FOUR)
              + " | ");
    }
    return tune.toString();
  }

  private static SongReading from(String part) {
    return MusicXmlReader.read(SCORE, Optional.of(part));
  }

  @Test
  void thePartThatHasTheTuneIsTakenAndTheOthersAreOffered() {
    SongReading reading = MusicXmlReader.read(SCORE);
    assertThat(reading.sources())
        .contains(
            new TuneSources(
                List.of("Horn", "Violin", "Violin: voice 1", "Violin: voice 2", "Violin (2)"),
                "Violin"));
    assertThat(reading.remarks())
        .extracting(FileProblem::message)
        .contains("the tune is taken from “Violin”; there are also: Horn, Violin (2)");
    assertThat(tune(reading)).isEqualTo("e5 | d5 | ");
  }

  @Test
  void anotherPartOrVoiceIsTakenIfThePlayerChoosesIt() {
    assertThat(tune(from("Violin (2)"))).isEqualTo("c5 | b4 | ");
    assertThat(tune(from("Violin: voice 2"))).isEqualTo("g4 | f4 | ");
    assertThat(from("Violin: voice 2").sources().orElseThrow().taken())
        .isEqualTo("Violin: voice 2");
    assertThat(tune(from("Horn"))).endsWith("c4 | ");
  }

  @Test
  void whatIsThereNotIsPassedOver() {
    assertThat(tune(from("Kettle"))).isEqualTo(tune(MusicXmlReader.read(SCORE)));
    assertThat(tune(from("Violin: voice 7"))).isEqualTo("e5 | d5 | ");
    assertThat(from("Violin: voice 7").sources().orElseThrow().taken()).isEqualTo("Violin");
  }

  /** Notation programs often write the tablature of a guitar as a part of its own. */
  @Test
  void aTablatureBesideItsNotationIsTakenWithItsStringsAndFrets() {
    String placed =
        note("C", 4, 1)
            .replace(
                "</note>",
                "<notations><technical><string>2</string><fret>1</fret></technical></notations></note>");
    String score =
        "<score-partwise version=\"4.0\"><part-list>"
            + "<score-part id=\"A\"><part-name>Guitar</part-name></score-part>"
            + "<score-part id=\"B\"><part-name>Tab</part-name></score-part></part-list>"
            + part("A", note("C", 5, 1))
            + part("B", placed)
            + "</score-partwise>";
    SongReading reading = MusicXmlReader.read(score.getBytes(StandardCharsets.UTF_8));
    assertThat(reading.sources().orElseThrow().taken()).isEqualTo("Tab");
    assertThat(reading.remarks())
        .extracting(FileProblem::message)
        .contains("both hands are taken from “Tab”; there are also: Guitar");
    assertThat(new Arranger().arrange(reading.song()).notes())
        .extracting(n -> n.string() + ":" + n.fret())
        .containsExactly("4:1");
  }
}
