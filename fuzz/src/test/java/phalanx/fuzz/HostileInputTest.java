package phalanx.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Inputs at which readers failed once, or took for ever, each made where it stands. */
class HostileInputTest {

  private static final Path ROOT = Path.of(System.getProperty("phalanx.root", ".."));

  private static Arguments text(String job, String what, String input) {
    return Arguments.of(job, what, input.getBytes(StandardCharsets.UTF_8));
  }

  private static String score(String inside) {
    return "<score-partwise><part-list><score-part id=\"P\"><part-name>x</part-name></score-part>"
        + "</part-list><part id=\"P\">"
        + inside
        + "</part></score-partwise>";
  }

  private static String measure(String inside) {
    return "<measure number=\"1\"><attributes><divisions>1</divisions></attributes>"
        + inside
        + "</measure>";
  }

  private static String note(String duration, String more) {
    return "<note><pitch><step>G</step><octave>4</octave></pitch><duration>%s</duration>%s</note>"
        .formatted(duration, more);
  }

  private static String grid(String lines) {
    return "{sog}\n" + lines + "\n{eog}\n";
  }

  private static String song(String more) {
    return "{\"format\":\"phalanx-song\",\"version\":2," + more + "}";
  }

  private static byte[] zip(String name, byte[] content) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes, StandardCharsets.ISO_8859_1)) {
      zip.putNextEntry(new ZipEntry(name));
      zip.write(content);
      zip.closeEntry();
    }
    return bytes.toByteArray();
  }

  static Stream<Arguments> inputs() throws IOException {
    byte[] whole = zip("a.xml", score(measure(note("4", ""))).getBytes(StandardCharsets.UTF_8));
    byte[] torn = java.util.Arrays.copyOf(whole, whole.length / 2);
    String many = "<measure/>".repeat(2_300_000);
    return Stream.of(
        text("chart", "an ending beyond any number", "|9999999999 G |"),
        text("chart", "a range beyond any number", "|9999999999-3 G |"),
        text("chart", "times without a bar", ":|x3 G"),
        text("chart", "three thousand times through", "|" + "1,".repeat(3000) + "1 G |"),
        text("chart", "ten thousand endings", "|2 G ".repeat(10_000)),
        text("chart", "cells without end", "| " + "G ".repeat(100_000)),
        text("chordpro", "twenty thousand lines", grid("|2 G\n".repeat(20_000))),
        text("chordpro", "a brace that is never closed", "{" + "a".repeat(100_000)),
        text("chordpro", "blanks behind a brace", "{" + " ".repeat(100_000)),
        text("chordpro", "labels without end", "{sog: " + "label=\"".repeat(20_000) + "}"),
        text("chord", "brackets without end", "C" + "(".repeat(200_000)),
        text("chord", "sharps upon sharps", "F" + "#".repeat(48) + "m99b5"),
        text("chord", "a tone beyond triple flats", "Bbbbdim7(b13)"),
        text("tune", "octaves without end", "g" + "'".repeat(100_000)),
        text("tune", "brackets in brackets", "[".repeat(50_000) + "g" + "]".repeat(50_000)),
        text("tune", "a hundred thousand notes at once", "g" + "+g".repeat(100_000)),
        text(
            "pattern",
            "an order without end",
            "name: x\norder:" + " A".repeat(45_000) + "\nbar: A\nthumb | o | o | o | o |\n"),
        text("pattern", "bar lines without end", "name: x\nthumb " + "| o ".repeat(90_000)),
        text("pattern", "forty thousand patterns", "name: x\nnothing\n".repeat(40_000)),
        text("tuning", "strings far too low", "E0 E0 E0 E0 E0 E0"),
        text("tuning", "strings below hearing", "E-5 A-5 D-4 G-4 B-4 E-3"),
        text(
            "song",
            "a key of 49,000 letters",
            song("\"" + "k".repeat(49_000) + "\":[" + "0,".repeat(100_000) + "0]")),
        text(
            "song",
            "ninety kilobytes of a pattern",
            song(
                "\"picking\":{\"school\":\"thumb-and-three\",\"pattern\":[\"name: x\",\"order:"
                    + " A".repeat(45_000)
                    + "\",\"bar: A\",\"thumb | o | o | o | o |\"]}")),
        text("song", "lists in lists", song("\"a\":" + "[".repeat(100_000))),
        text("song", "two million lists", song("\"a\":[" + "[],".repeat(2_000_000) + "0]")),
        text("song", "a number of a million digits", song("\"a\":" + "1".repeat(1_000_000))),
        text(
            "song",
            "sections like one another",
            song("\"sections\":[" + section(1, 2) + "," + section(2, 1) + "]")),
        text(
            "score",
            "an encoding that is no name",
            "<?xml version=\"1.0\" encoding=\"-8\"?>" + score(measure(note("4", "")))),
        text(
            "score",
            "an empty string number",
            score(measure(note("4", "<notations><technical><string/></technical></notations>")))),
        text(
            "score",
            "an empty offset",
            score(
                measure(
                    "<harmony><root><root-step>C</root-step></root><kind>major</kind><offset/></harmony>"
                        + note("4", "")))),
        text(
            "score",
            "a string without a note",
            score(
                measure(
                    "<attributes><staff-details><staff-tuning line=\"1\"/></staff-details></attributes>"
                        + note("4", "")))),
        text("score", "a time beyond all times", score(measure(note("1E99999999", "")))),
        text("score", "a time beyond all numbers", score(measure(note("1E999999999", "")))),
        text(
            "score",
            "divisions beyond all numbers",
            score(
                "<measure number=\"1\"><attributes><divisions>1E999999999</divisions></attributes>"
                    + note("4", "")
                    + "</measure>")),
        text(
            "score",
            "a million sharps",
            score(
                measure(
                    "<attributes><key><fifths>"
                        + "1".repeat(1_000_000)
                        + "</fifths></key></attributes>"
                        + note("4", "")))),
        text(
            "score",
            "alterations beyond all numbers",
            score(
                measure(
                    "<harmony><root><root-step>C</root-step><root-alter>1E999999999</root-alter></root><kind>major</kind></harmony>"
                        + note("4", "")))),
        text("score", "fifty thousand measures", score(measure(note("4", "")).repeat(50_000))),
        text(
            "score",
            "ten thousand measures of notes",
            score(measure(note("4", "")).repeat(10_000))),
        text("score", "elements in elements", score("<measure>".repeat(10_000))),
        Arguments.of("packed", "a name that is not UTF-8", zip("\u00e4\u00ff.xml", whole)),
        Arguments.of("packed", "half a packed score", torn),
        Arguments.of(
            "packed",
            "two million measures in a small file",
            zip("a.xml", score(many).getBytes(StandardCharsets.UTF_8))),
        Arguments.of("packed", "much of nothing", zip("a.xml", new byte[60_000_000])));
  }

  private static String section(int id, int like) {
    return "{\"id\":%d,\"label\":\"\",\"like\":%d,\"bars\":[{\"id\":%d,\"chords\":[]}]}"
        .formatted(id, like, id + 10);
  }

  /** With a song or with problems of ours, each with its place, and what is accepted is kept. */
  @ParameterizedTest(name = "{0}: {1}")
  @MethodSource("inputs")
  void isAnswered(String name, String what, byte[] input) {
    Job job =
        new Jobs(ROOT).all().stream().filter(j -> j.name().equals(name)).findFirst().orElseThrow();
    try (Fuzzing fuzzing = new Fuzzing(Fuzzing.GUARD)) {
      assertThat(fuzzing.read(job, input)).as(what).isEmpty();
    }
  }
}
