package phalanx.formats.musicxml;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import phalanx.formats.SongReading;
import phalanx.melody.TuneWriter;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.theory.Meter;

/** Scores as text, and what was read of them as text. */
final class ScoreText {

  static final String STOP = "<tie type=\"stop\"/>";
  static final String START = "<tie type=\"start\"/>";

  private ScoreText() {}

  static String resource(String name) throws IOException {
    try (InputStream in = ScoreText.class.getResourceAsStream(name)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  static Song read(String xml) throws Exception {
    MusicXmlSchema.validate(xml.replaceFirst("<!DOCTYPE[^>]*>", ""));
    SongReading reading = MusicXmlReader.read(xml.getBytes(StandardCharsets.UTF_8));
    assertThat(reading.problems()).isEmpty();
    return reading.song();
  }

  static List<String> tune(Song song) {
    return song.chart().bars().stream()
        .map(
            b -> {
              Meter meter = song.chart().meters(song.meter()).get(b.id());
              return TuneWriter.write(song.tune().at(b.id(), song.chart()), meter);
            })
        .toList();
  }

  static String chords(Song song) {
    return String.join(
        " | ",
        song.chart().bars().stream()
            .map(
                b ->
                    String.join(
                        " ",
                        song.chart().changes(b).stream().map(c -> c.harmony().label()).toList()))
            .toList());
  }

  /** A score of one part in quarters from what stands in its measures. */
  static String score(String... measures) {
    StringBuilder xml = new StringBuilder();
    xml.append("<score-partwise version=\"4.0\"><part-list><score-part id=\"P1\">");
    xml.append("<part-name>x</part-name></score-part></part-list><part id=\"P1\">");
    for (int m = 0; m < measures.length; m++) {
      xml.append("\n<measure number=\"").append(m + 1).append("\">");
      if (m == 0) {
        xml.append("<attributes><divisions>12</divisions><key><fifths>0</fifths></key>");
        xml.append("<time><beats>4</beats><beat-type>4</beat-type></time></attributes>");
      }
      xml.append(measures[m]).append("</measure>");
    }
    return xml.append("</part></score-partwise>").toString();
  }

  static String note(String pitch, int duration, String... inside) {
    String step = pitch.substring(0, 1);
    String octave = pitch.substring(pitch.length() - 1);
    String alter =
        pitch.contains("#") ? "<alter>1</alter>" : pitch.contains("b") ? "<alter>-1</alter>" : "";
    String before = inside.length > 0 ? inside[0] : "";
    String ties = inside.length > 1 ? inside[1] : "";
    String notations = inside.length > 2 ? "<notations>" + inside[2] + "</notations>" : "";
    String lasts = duration == 0 ? "" : "<duration>" + duration + "</duration>";
    return "<note>%s<pitch><step>%s</step>%s<octave>%s</octave></pitch>%s%s<voice>1</voice>%s</note>"
        .formatted(before, step, alter, octave, lasts, ties, notations);
  }

  /** Reads a score that fits the schema, whatever is told of it. */
  static SongReading reading(String xml) throws Exception {
    MusicXmlSchema.validate(xml);
    SongReading reading = MusicXmlReader.read(xml.getBytes(StandardCharsets.UTF_8));
    assertThat(reading.problems()).isEmpty();
    return reading;
  }

  /** The written bars in the order they are played. */
  static List<Integer> played(Song song) {
    return Timeline.of(song).bars().stream().map(Timeline.PlayedBar::written).toList();
  }

  /** The first pitch of the tune in every bar as it is played. */
  static List<String> sung(Song song) {
    return Timeline.of(song).bars().stream()
        .map(b -> song.tune().at(b.written(), song.chart()))
        .map(t -> t.notes().isEmpty() ? "-" : TuneWriter.write(t, new Meter(32, 2)).split(" ")[0])
        .toList();
  }
}
