package phalanx.picking;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import phalanx.theory.Meter;

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
 * A row for each role that is played; beats between bar lines, each cut into one to eight equal
 * parts by its cells, {@code o} for a stroke and a dot for none. Rows may cut a beat differently. A
 * line that starts with # is a remark.
 */
public final class PatternReader {

  private static final int MOST_PARTS = 8;

  private final List<Problem> problems = new ArrayList<>();
  private final List<WrittenPattern> patterns = new ArrayList<>();
  private Optional<String> name = Optional.empty();
  private int nameLine;
  private String about = "";
  private Meter meter = Meter.FOUR_FOUR;
  private final Map<Role, List<List<Boolean>>> rows = new EnumMap<>(Role.class);

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
    int column = line.indexOf(trimmed) + 1;
    if (trimmed.isEmpty() || trimmed.startsWith("#")) {
      return;
    }
    if (trimmed.startsWith("name:")) {
      finish();
      name = Optional.of(trimmed.substring("name:".length()).strip());
      nameLine = number;
      if (name.get().isEmpty()) {
        problem(number, column, "expected a name after “name:”");
      }
    } else if (name.isEmpty()) {
      problem(number, column, "expected “name:” before a pattern");
    } else if (trimmed.startsWith("about:")) {
      about = trimmed.substring("about:".length()).strip();
    } else if (trimmed.startsWith("metre:")) {
      String value = trimmed.substring("metre:".length()).strip();
      Meter.parse(value)
          .ifPresentOrElse(
              m -> meter = m,
              () -> problem(number, line.indexOf(value) + 1, "expected a metre such as 4/4"));
    } else {
      row(number, line);
    }
  }

  private void problem(int line, int column, String message) {
    problems.add(new Problem(line, Math.max(1, column), message));
  }

  private void row(int number, String line) {
    int bar = line.indexOf('|');
    String label = bar < 0 ? line.strip() : line.substring(0, bar).strip();
    Optional<Role> role = Role.written(label);
    if (role.isEmpty() || bar < 0) {
      int column = line.indexOf(line.strip()) + 1;
      problem(number, column, "expected a row: tune, upper, middle, inner or thumb, then | o . |");
      return;
    }
    if (rows.containsKey(role.get())) {
      problem(number, 1, "the row “" + label + "” stands twice");
      return;
    }
    List<List<Boolean>> beats = new ArrayList<>();
    int from = bar + 1;
    while (from < line.length() && !line.substring(from).isBlank()) {
      int to = line.indexOf('|', from);
      if (to < 0) {
        problem(number, line.length(), "expected a bar line | behind the last beat");
        to = line.length();
      }
      beats.add(beat(number, line, from, to));
      from = to + 1;
    }
    rows.put(role.get(), beats);
  }

  private List<Boolean> beat(int number, String line, int from, int to) {
    List<Boolean> parts = new ArrayList<>();
    for (int c = from; c < to; c++) {
      char sign = line.charAt(c);
      if (sign == 'o' || sign == '.') {
        parts.add(sign == 'o');
      } else if (!Character.isWhitespace(sign)) {
        problem(number, c + 1, "expected o for a stroke or a dot, found “" + sign + "”");
      }
    }
    if (parts.isEmpty() || parts.size() > MOST_PARTS) {
      problem(number, from + 1, "expected 1 to 8 parts in a beat, found " + parts.size());
      parts.add(false);
    }
    return parts;
  }

  private void finish() {
    if (name.isPresent()) {
      int before = problems.size();
      int beats = rows.values().stream().mapToInt(List::size).max().orElse(0);
      boolean even = rows.values().stream().allMatch(r -> r.size() == beats);
      boolean whole = beats > 0 && beats % meter.beats() == 0;
      boolean faulty = problems.stream().anyMatch(p -> p.line() >= nameLine);
      if (rows.isEmpty()) {
        problem(nameLine, 1, "“" + name.get() + "” has no row that is played");
      } else if (!even) {
        problem(nameLine, 1, "the rows of “" + name.get() + "” have different numbers of beats");
      } else if (!whole || beats / meter.beats() > WrittenPattern.MOST_BARS) {
        String words = "“%s” has %d beats: expected whole bars of %d, sixteen at most";
        problem(nameLine, 1, words.formatted(name.get(), beats, meter.beats()));
      } else if (!faulty && problems.size() == before) {
        patterns.add(pattern(beats));
      }
    }
    name = Optional.empty();
    about = "";
    meter = Meter.FOUR_FOUR;
    rows.clear();
  }

  private WrittenPattern pattern(int beats) {
    TreeMap<Integer, List<Role>> strokes = new TreeMap<>();
    rows.forEach(
        (role, row) -> {
          for (int beat = 0; beat < row.size(); beat++) {
            List<Boolean> parts = row.get(beat);
            for (int part = 0; part < parts.size(); part++) {
              if (parts.get(part)) {
                int tick = beat * meter.beatTicks() + part * meter.beatTicks() / parts.size();
                strokes.computeIfAbsent(tick, t -> new ArrayList<>()).add(role);
              }
            }
          }
        });
    List<Pattern.Step> steps = new ArrayList<>();
    strokes.forEach((tick, roles) -> steps.add(new Pattern.Step(tick, roles)));
    Pattern pattern = new Pattern(name.orElseThrow(), beats * meter.beatTicks(), steps);
    return new WrittenPattern(name.orElseThrow(), about, meter, pattern);
  }
}
