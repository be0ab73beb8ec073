package phalanx.picking;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import phalanx.text.Phrase;

/** Writes a pattern as the text that {@link PatternReader} reads back. */
public final class PatternWriter {

  private static final int MOST_PARTS = 8;
  private static final int MOST_LETTERS = 26;

  private PatternWriter() {}

  /** A pattern with its name, metre and rows; bars that come back are written once. */
  public static String write(WrittenPattern written) {
    StringBuilder text = new StringBuilder("name: " + written.title() + "\n");
    if (!written.words().isEmpty()) {
      text.append("about: ").append(written.words()).append('\n');
    }
    text.append("metre: ").append(written.meter()).append('\n');
    int barTicks = written.meter().barTicks();
    Map<List<Pattern.Step>, String> bars = new LinkedHashMap<>();
    List<String> order = new ArrayList<>();
    for (int bar = 0; bar < written.bars(); bar++) {
      List<Pattern.Step> steps = written.pattern().between(0, barTicks, bar * barTicks);
      String letter = String.valueOf((char) ('A' + bars.size() % MOST_LETTERS));
      order.add(bars.computeIfAbsent(steps, s -> letter));
    }
    boolean comesBack = bars.size() < written.bars();
    if (!comesBack && written.ending().isEmpty()) {
      rows(text, written.pattern(), written.meter().beatTicks());
      return text.toString();
    }
    text.append("order: ").append(String.join(" ", order)).append('\n');
    bars.forEach((steps, letter) -> bar(text, letter, steps, written));
    written.ending().ifPresent(e -> bar(text, PatternReader.ENDING, e.steps(), written));
    return text.toString();
  }

  /** Whether every row can be written: no beat of one cut into more than eight equal parts. */
  public static boolean canWrite(Pattern pattern, int beatTicks) {
    for (String row : Cell.rows()) {
      TreeMap<Integer, String> cells = cells(row, pattern);
      for (int from = 0; from < pattern.lengthTicks(); from += beatTicks) {
        if (!cells.isEmpty() && beat(cells, from, beatTicks).isEmpty()) {
          return false;
        }
      }
    }
    return true;
  }

  private static TreeMap<Integer, String> cells(String row, Pattern pattern) {
    TreeMap<Integer, String> cells = new TreeMap<>();
    for (Pattern.Step step : pattern.steps()) {
      String cell = Cell.write(row, step);
      if (!cell.equals(Cell.NOTHING)) {
        cells.put(step.tick(), cell);
      }
    }
    return cells;
  }

  private static void bar(
      StringBuilder text, String name, List<Pattern.Step> steps, WrittenPattern written) {
    text.append("bar: ").append(name).append('\n');
    Pattern bar = new Pattern("", written.meter().barTicks(), steps);
    rows(text, bar, written.meter().beatTicks());
  }

  private static void rows(StringBuilder text, Pattern pattern, int beatTicks) {
    boolean any = false;
    for (String row : Cell.rows()) {
      TreeMap<Integer, String> cells = cells(row, pattern);
      if (!cells.isEmpty()) {
        text.append(row(row, cells, pattern.lengthTicks(), beatTicks)).append('\n');
        any = true;
      }
    }
    if (!any) {
      // A bar of rest still has to say how long it is.
      text.append(row(Role.THUMB.written(), new TreeMap<>(), pattern.lengthTicks(), beatTicks))
          .append('\n');
    }
  }

  private static String row(String name, TreeMap<Integer, String> cells, int length, int beat) {
    StringBuilder row = new StringBuilder(Phrase.of("%-6s |", name));
    for (int from = 0; from < length; from += beat) {
      String words = String.join(" ", beat(cells, from, beat).orElseThrow());
      row.append(' ').append(words).append(" |");
    }
    return row.toString();
  }

  /** The fewest parts that have every stroke of the beat at the start of one. */
  private static Optional<List<String>> beat(TreeMap<Integer, String> cells, int from, int beat) {
    int wanted = cells.subMap(from, from + beat).size();
    for (int parts = 1; parts <= MOST_PARTS; parts++) {
      List<String> words = new ArrayList<>();
      int found = 0;
      for (int part = 0; part < parts; part++) {
        Optional<String> here = Optional.ofNullable(cells.get(from + part * beat / parts));
        found += here.isPresent() ? 1 : 0;
        words.add(here.orElse(Cell.NOTHING));
      }
      if (found == wanted) {
        return Optional.of(words);
      }
    }
    return Optional.empty();
  }
}
