package phalanx.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import phalanx.draft.Manners;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.melody.TuneReader;
import phalanx.picking.PatternReader;
import phalanx.theory.Meter;

/** Every example of the manual does what it shows. */
class ManualExamplesTest {

  private static final Path MANUAL = Path.of("..", "docs", "manual");
  private static final String DEMO =
      Path.of("..", "demo", "harbour-lamp.phalanx.json").toAbsolutePath().toString();
  private static final String FENCE = "```";

  @TempDir Path folder;

  /**
   * An example.
   *
   * @param kind what stands behind the fence: tune 4/4, pattern, manner, chordpro, sh
   */
  record Example(String page, String kind, String text) {
    @Override
    public String toString() {
      return page + ": " + text.lines().findFirst().orElse("");
    }
  }

  static List<Example> examples() throws IOException {
    List<Example> examples = new ArrayList<>();
    List<Path> pages;
    try (Stream<Path> all = Files.list(MANUAL)) {
      pages = all.filter(p -> p.toString().endsWith(".md")).sorted().toList();
    }
    for (Path page : pages) {
      String kind = null;
      StringBuilder text = new StringBuilder();
      for (String line : Files.readAllLines(page)) {
        if (line.startsWith(FENCE) && kind == null) {
          kind = line.substring(FENCE.length()).strip();
        } else if (line.startsWith(FENCE)) {
          add(examples, page.getFileName().toString(), kind, text.toString());
          kind = null;
          text.setLength(0);
        } else if (kind != null) {
          text.append(line).append('\n');
        }
      }
    }
    return examples;
  }

  /** Lines of commands, and bars of a tune, are examples each. */
  private static void add(List<Example> examples, String page, String kind, String text) {
    if (kind.equals("sh") || kind.startsWith("tune")) {
      text.lines().forEach(l -> examples.add(new Example(page, kind, l)));
    } else {
      examples.add(new Example(page, kind, text));
    }
  }

  @ParameterizedTest
  @MethodSource("examples")
  void anExampleHolds(Example example) {
    String kind = example.kind().split(" ")[0];
    switch (kind) {
      case "tune" -> {
        Meter meter = Meter.parse(example.kind().split(" ")[1]).orElseThrow();
        assertThat(TuneReader.read(example.text(), meter).problems()).isEmpty();
      }
      case "pattern" -> {
        PatternReader.Result read = PatternReader.read(example.text());
        assertThat(read.problems()).isEmpty();
        assertThat(read.patterns()).hasSize(1);
      }
      case "manner" -> {
        Manners.Result read = Manners.read(example.text());
        assertThat(read.problems()).isEmpty();
        assertThat(read.manners()).hasSize(1);
      }
      case "chordpro" -> assertThat(ChordProReader.read(example.text()).problems()).isEmpty();
      case "sh" -> run(example.text());
      default -> throw new AssertionError("an example of no kind: " + example.kind());
    }
  }

  private void run(String line) {
    List<String> words = new ArrayList<>();
    var matcher = java.util.regex.Pattern.compile("\"([^\"]*)\"|(\\S+)").matcher(line);
    while (matcher.find()) {
      String word = matcher.group(1) != null ? matcher.group(1) : matcher.group(2);
      words.add(
          word.equals("SONG")
              ? DEMO
              : word.startsWith("song.") ? folder.resolve(word).toString() : word);
    }
    assertThat(words.remove(0)).isEqualTo("phalanx");
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    int code =
        PhalanxCommand.run(
            new PrintWriter(out), new PrintWriter(err), words.toArray(String[]::new));
    // What is hard in the demo ends a check with 1; a question that is wrong ends with 2.
    assertThat(code).as(err.toString()).isLessThan(2);
    assertThat(out.toString() + err).isNotBlank();
    assertThat(err.toString()).doesNotContain("fault of Phalanx");
  }
}
