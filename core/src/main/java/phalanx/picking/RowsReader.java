package phalanx.picking;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import phalanx.picking.PatternReader.Problem;
import phalanx.text.Phrase;
import phalanx.text.Texts;
import phalanx.theory.Meter;
import phalanx.theory.Quoted;

/** Reads the rows that are played together. */
final class RowsReader {

  private static final int MOST_PARTS = 8;

  /** More beats than sixteen bars can have are too many whatever the metre. */
  private static final int MOST_BEATS = 16 * 32;

  /** A word and where it stands, from 1. */
  private record Word(String text, int line, int column) {}

  private final Map<String, List<List<Word>>> rows = new LinkedHashMap<>();

  /** Whether no row was read yet. */
  boolean isEmpty() {
    return rows.isEmpty();
  }

  /** Takes one line in; gives what is wrong with it. */
  Optional<Problem> line(int number, String line) {
    int bar = line.indexOf('|');
    String label = bar < 0 ? line.strip() : line.substring(0, bar).strip();
    int column = line.indexOf(line.strip()) + 1;
    if (bar < 0 || !Cell.rows().contains(label)) {
      String words = Texts.of("rowsReader.expectedARowThen");
      return problem(number, column, Phrase.of(words, String.join(", ", Cell.rows())));
    }
    if (rows.containsKey(label)) {
      return problem(number, column, Texts.of("rowsReader.theRowStandsTwice", Quoted.of(label)));
    }
    List<List<Word>> beats = new ArrayList<>();
    rows.put(label, beats);
    int from = bar + 1;
    Optional<Problem> wrong = Optional.empty();
    int last = line.stripTrailing().length();
    while (from < last && beats.size() <= MOST_BEATS) {
      int to = line.indexOf('|', from);
      if (to < 0) {
        wrong = problem(number, line.length(), Texts.of("rowsReader.expectedABarLine"));
        to = line.length();
      }
      List<Word> beat = words(number, line, from, to);
      beats.add(beat);
      if (wrong.isEmpty()) {
        wrong = wrong(label, number, from, beat);
      }
      from = to + 1;
    }
    return wrong;
  }

  private static Optional<Problem> problem(int line, int column, String message) {
    return Optional.of(new Problem(line, Math.max(1, column), message));
  }

  private static List<Word> words(int number, String line, int from, int to) {
    List<Word> words = new ArrayList<>();
    int at = from;
    while (at < to) {
      int end = at;
      while (end < to && !Character.isWhitespace(line.charAt(end))) {
        end++;
      }
      if (end > at) {
        words.add(new Word(line.substring(at, end), number, at + 1));
      }
      at = end + 1;
    }
    return words;
  }

  private static Optional<Problem> wrong(String row, int number, int from, List<Word> beat) {
    if (beat.isEmpty() || beat.size() > MOST_PARTS) {
      String words = Texts.of("rowsReader.expectedToPartsIn");
      return problem(number, from + 1, words + beat.size());
    }
    return beat.stream()
        .filter(w -> Cell.read(row, w.text(), Cell.Written.EMPTY).isEmpty())
        .findFirst()
        .flatMap(
            w ->
                problem(
                    w.line(),
                    w.column(),
                    Texts.of("rowsReader.expectedFound", Cell.expected(row), Quoted.of(w.text()))));
  }

  /**
   * What the rows say.
   *
   * @param line where the pattern begins, for what concerns all rows
   * @param problems where faults are noted
   * @param faultsBefore how many there were before this pattern
   * @param several whether the rows may go on over several bars
   */
  Optional<Pattern> pattern(
      String title,
      int line,
      Meter meter,
      List<Problem> problems,
      int faultsBefore,
      boolean several) {
    int beats = rows.values().stream().mapToInt(List::size).max().orElse(0);
    boolean even = rows.values().stream().allMatch(r -> r.size() == beats);
    boolean whole = beats > 0 && beats % meter.beats() == 0;
    int most = several ? WrittenPattern.MOST_BARS : 1;
    if (rows.isEmpty()) {
      problems.add(new Problem(line, 1, Texts.of("rowsReader.hasNoRowThat", Quoted.of(title))));
    } else if (!even) {
      String words = Texts.of("rowsReader.theRowsOfHave");
      problems.add(new Problem(line, 1, Phrase.of(words, Quoted.of(title))));
    } else if (!whole || beats / meter.beats() > most) {
      String bars =
          several ? Texts.of("rowsReader.wholeBarsOfSixteen") : Texts.of("rowsReader.oneBarOf");
      String words = Texts.of("rowsReader.hasBeatsExpected", bars);
      problems.add(new Problem(line, 1, Phrase.of(words, Quoted.of(title), beats, meter.beats())));
    } else if (problems.size() == faultsBefore) {
      return steps(meter, problems).map(s -> new Pattern(title, beats * meter.beatTicks(), s));
    }
    return Optional.empty();
  }

  private Optional<List<Pattern.Step>> steps(Meter meter, List<Problem> problems) {
    TreeMap<Integer, Cell.Written> steps = new TreeMap<>();
    TreeMap<Integer, Word> places = new TreeMap<>();
    rows.forEach(
        (row, beats) -> {
          for (int beat = 0; beat < beats.size(); beat++) {
            List<Word> parts = beats.get(beat);
            for (int part = 0; part < parts.size(); part++) {
              Word word = parts.get(part);
              int tick = beat * meter.beatTicks() + part * meter.beatTicks() / parts.size();
              Cell.Written step = steps.getOrDefault(tick, Cell.Written.EMPTY);
              if (!word.text().equals(Cell.NOTHING)) {
                steps.put(tick, Cell.read(row, word.text(), step).orElseThrow());
                boolean stroke = !row.equals(Cell.NEXT) && !row.equals(Cell.ROLL);
                places.merge(tick, word, (before, now) -> stroke ? now : before);
              }
            }
          }
        });
    List<Pattern.Step> all = new ArrayList<>();
    steps.forEach((tick, step) -> all.add(step.at(tick)));
    int before = problems.size();
    for (Pattern.Step step : all) {
      trouble(step, meter)
          .ifPresent(
              words -> {
                Word at = places.get(step.tick());
                problems.add(new Problem(at.line(), at.column(), words));
              });
    }
    return problems.size() == before ? Optional.of(all) : Optional.empty();
  }

  private static Optional<String> trouble(Pattern.Step step, Meter meter) {
    if (step.early() && !PatternRules.mayComeEarly(step.tick(), meter)) {
      return Optional.of(Texts.of("rowsReader.theNextChordComes"));
    }
    return PatternRules.trouble(step);
  }
}
