package phalanx.picking;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import phalanx.text.Phrase;
import phalanx.text.Texts;
import phalanx.theory.Meter;
import phalanx.theory.Quoted;

/**
 * Reads patterns as players write them, any number in one text:
 *
 * <pre>
 * name: Pinch and stagger
 * about: pinches on 1 and 2, then thumb and finger in turn
 * metre: 4/4
 * upper | o | o | . o | . o |
 * thumb | o | o | o . | o . |
 * </pre>
 *
 * A row for each role, for hits, brushes and rolls; beats between bar lines, each cut into one to
 * eight equal parts by its cells. Rows may cut a beat differently. {@code order: A A A B} with
 * {@code bar: A} before the rows of each bar makes a row of bars, {@code bar: end} the last bar of
 * a song. A line that starts with # is a remark. docs/patterns.md has the whole form.
 */
public final class PatternReader {

  /** The name of the bar that ends a song. */
  static final String ENDING = "end";

  private final List<Problem> problems = new ArrayList<>();
  private final List<WrittenPattern> patterns = new ArrayList<>();
  private Optional<String> name = Optional.empty();
  private int nameLine;

  /** Problems of the patterns before this one. */
  private int faultsBefore;

  private String about = "";
  private Meter meter = Meter.FOUR_FOUR;
  private boolean muted;
  private List<String> order = List.of();
  private int orderLine;
  private final Map<String, RowsReader> bars = new LinkedHashMap<>();
  private RowsReader rows = new RowsReader();

  private PatternReader() {}

  /**
   * Something that could not be read.
   *
   * @param line from 1
   * @param column from 1
   * @param message what is wrong and what was expected
   */
  public record Problem(int line, int column, String message) {}

  /**
   * What came of reading.
   *
   * @param patterns the patterns without a fault
   * @param problems what is wrong with the others, by place
   */
  public record Result(List<WrittenPattern> patterns, List<Problem> problems) {}

  /** Reads a whole text. */
  public static Result read(String text) {
    PatternReader reader = new PatternReader();
    List<String> lines = text.lines().toList();
    for (int i = 0; i < lines.size(); i++) {
      reader.line(i + 1, lines.get(i));
    }
    reader.finish();
    return new Result(List.copyOf(reader.patterns), List.copyOf(reader.problems));
  }

  private void line(int number, String line) {
    String trimmed = line.strip();
    if (trimmed.isEmpty() || trimmed.startsWith("#")) {
      return;
    }
    int column = line.indexOf(trimmed) + 1;
    int colon = trimmed.indexOf(':');
    String word = colon < 0 ? "" : trimmed.substring(0, colon);
    String value = trimmed.substring(colon + 1).strip();
    int valueColumn = Math.max(column, line.lastIndexOf(value) + 1);
    if (!word.equals("name") && name.isEmpty()) {
      problem(number, column, Texts.of("patternReader.expectedNameBeforeA"));
      return;
    }
    switch (word) {
      case "name" -> begin(number, column, value);
      case "about" -> about = value;
      case "metre" ->
          Meter.parse(value)
              .ifPresentOrElse(
                  m -> meter = m,
                  () -> problem(number, valueColumn, Texts.of("patternReader.expectedAMetreSuch")));
      case "mute" -> {
        muted = value.equals("thumb");
        if (!muted) {
          problem(number, valueColumn, Texts.of("patternReader.expectedThumbOnlyIts"));
        }
      }
      case "order" -> {
        order = List.of(value.split("\\s+"));
        orderLine = number;
      }
      case "bar" -> {
        if (bars.isEmpty() && !rows.isEmpty()) {
          problem(number, column, Texts.of("patternReader.expectedBarBeforeThe"));
        }
        rows = new RowsReader();
        if (value.isEmpty() || bars.put(value, rows) != null) {
          problem(number, valueColumn, Texts.of("patternReader.expectedAnotherNameOf"));
        }
      }
      default -> rows.line(number, line).ifPresent(problems::add);
    }
  }

  private void begin(int number, int column, String value) {
    finish();
    name = Optional.of(value);
    nameLine = number;
    faultsBefore = problems.size();
    if (value.isEmpty()) {
      problem(number, column, Texts.of("patternReader.expectedANameAfter"));
    }
  }

  private void problem(int line, int column, String message) {
    problems.add(new Problem(line, Math.max(1, column), message));
  }

  private void finish() {
    name.ifPresent(title -> pattern(title).ifPresent(patterns::add));
    name = Optional.empty();
    about = "";
    meter = Meter.FOUR_FOUR;
    muted = false;
    order = List.of();
    bars.clear();
    rows = new RowsReader();
  }

  private void tooLong(String title) {
    problem(orderLine, 1, Texts.of("patternReader.hasTooManyBars", Quoted.of(title)));
  }

  private Optional<WrittenPattern> pattern(String title) {
    if (bars.isEmpty()) {
      bars.put("", rows);
      order = List.of("");
      orderLine = nameLine;
    } else if (order.isEmpty()) {
      order = bars.keySet().stream().filter(b -> !b.equals(ENDING)).toList();
      orderLine = nameLine;
    }
    Map<String, Pattern> read = new LinkedHashMap<>();
    bars.forEach(
        (bar, of) ->
            of.pattern(title, nameLine, meter, problems, faultsBefore, bar.isEmpty())
                .ifPresent(p -> read.put(bar, p)));
    for (String bar : order) {
      if (!bars.containsKey(bar)) {
        String words = Texts.of("patternReader.thereIsNoBar");
        problem(orderLine, 1, Phrase.of(words, Quoted.of(bar), Quoted.of(title)));
      }
    }
    if (order.size() > WrittenPattern.MOST_BARS) {
      tooLong(title);
    }
    if (problems.size() > faultsBefore || title.isEmpty()) {
      return Optional.empty();
    }
    List<Pattern.Step> steps = new ArrayList<>();
    int length = 0;
    for (String bar : order) {
      for (Pattern.Step step : read.get(bar).steps()) {
        steps.add(step.at(step.tick() + length));
      }
      length += read.get(bar).lengthTicks();
    }
    if (length == 0 || length > WrittenPattern.MOST_BARS * meter.barTicks()) {
      tooLong(title);
      return Optional.empty();
    }
    Pattern whole = new Pattern(title, length, steps);
    return Optional.of(
        new WrittenPattern(
            title,
            about,
            meter,
            muted ? PatternEdits.thumbMuted(whole) : whole,
            Optional.ofNullable(read.get(ENDING))));
  }
}
