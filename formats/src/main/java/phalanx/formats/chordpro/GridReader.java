package phalanx.formats.chordpro;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.song.Bar;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.song.Meter;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;

/**
 * Reads the lines of one grid: {@code |: G . . . | D/F# . Em7 . :| x2}. Cells share their bar
 * evenly; a dot goes on with the chord before, {@code %} repeats the bar before.
 */
final class GridReader {

  private static final Pattern TOKEN =
      Pattern.compile("(:?\\|+[:.\\]]?\\d?)|([^\\s|]+?(?=:?\\|)|[^\\s|]+)");
  private static final Pattern TIMES = Pattern.compile("[x×](\\d{1,2})");
  private static final int MOST_PLAYS = 16;

  private final Meter meter;
  private final List<ChordProProblem> problems;
  private final List<Bar> bars = new ArrayList<>();
  private List<Cell> cells = new ArrayList<>();
  private boolean inBar;
  private boolean repeatStarts;
  private int line;

  private record Cell(String text, int column) {}

  GridReader(Meter meter, List<ChordProProblem> problems) {
    this.meter = meter;
    this.problems = problems;
  }

  /** The bars read so far. */
  List<Bar> bars() {
    return bars;
  }

  /** Reads one line of the grid. */
  void line(int number, String text) {
    line = number;
    inBar = false;
    cells = new ArrayList<>();
    boolean repeatEnded = false;
    Matcher token = TOKEN.matcher(text);
    while (token.find()) {
      int column = token.start() + 1;
      if (token.group(1) != null) {
        repeatEnded = barLine(token.group(), column);
      } else if (repeatEnded && TIMES.matcher(token.group()).matches()) {
        repeatTimes(token.group(), column);
      } else {
        cells.add(new Cell(token.group(), column));
      }
    }
    if (!inBar && !text.isBlank()) {
      problem(1 + text.length() - text.stripLeading().length(), "expected a bar line | in a grid");
    }
  }

  private void problem(int column, String message) {
    problems.add(new ChordProProblem(line, column, message));
  }

  /** Ends the bar before the line, if one was open; says whether a repeat ended with it. */
  private boolean barLine(String sign, int column) {
    boolean ends = sign.startsWith(":");
    if (inBar && !cells.isEmpty()) {
      Bar bar = bar();
      bars.add(repeatStarts ? bar.startingRepeat() : bar);
      repeatStarts = false;
    }
    if (ends && bars.isEmpty()) {
      problem(column, "expected a bar before the repeat ends");
    } else if (ends) {
      bars.set(bars.size() - 1, bars.get(bars.size() - 1).endingRepeat(2));
    }
    if (Character.isDigit(sign.charAt(sign.length() - 1))) {
      problem(column, "expected a plain bar line: first and second endings are not read yet");
    }
    repeatStarts |= sign.endsWith(":");
    // What stands before the first bar line of a line is a margin note, not a chord.
    cells = new ArrayList<>();
    inBar = true;
    return ends;
  }

  private void repeatTimes(String text, int column) {
    Matcher times = TIMES.matcher(text);
    int plays = times.matches() ? Integer.parseInt(times.group(1)) : 0;
    if (plays < 2 || plays > MOST_PLAYS) {
      problem(column, "expected a repeat from x2 to x" + MOST_PLAYS + ", found “" + text + "”");
      return;
    }
    int last = bars.size() - 1;
    bars.set(last, bars.get(last).endingRepeat(plays));
  }

  private Bar bar() {
    if (cells.size() == 1 && cells.get(0).text().equals("%")) {
      if (bars.isEmpty()) {
        problem(cells.get(0).column(), "expected a bar before % repeats it");
        return new Bar(List.of());
      }
      return new Bar(bars.get(bars.size() - 1).changes());
    }
    int length = meter.barTicks();
    int counts = meter.count();
    if (counts % cells.size() != 0 && cells.size() % counts != 0) {
      problem(
          cells.get(0).column(),
          "expected cells that share a bar of %s evenly, found %d".formatted(meter, cells.size()));
    }
    List<ChordChange> changes = new ArrayList<>();
    for (int c = 0; c < cells.size(); c++) {
      Cell cell = cells.get(c);
      if (!cell.text().equals(".") && !cell.text().equals("/")) {
        int tick = (int) ((long) length * c / cells.size());
        changes.add(new ChordChange(tick, harmony(cell)));
      }
    }
    return new Bar(changes);
  }

  private Harmony harmony(Cell cell) {
    if (cell.text().matches("(?i)n\\.?c\\.?")) {
      return new Harmony.NoChord();
    }
    ChordReading reading = ChordReader.read(cell.text());
    if (reading instanceof ChordReading.Read read) {
      return new Harmony.Sounding(read.chord());
    }
    ChordReading.Unreadable unreadable = (ChordReading.Unreadable) reading;
    problem(
        cell.column() + unreadable.column(),
        "cannot read the chord “%s”: expected %s".formatted(cell.text(), unreadable.expected()));
    return new Harmony.Unread(cell.text());
  }
}
