package phalanx.chart;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.song.Bar;
import phalanx.song.ChordChange;
import phalanx.song.Feel;
import phalanx.song.Harmony;
import phalanx.song.SongBounds;
import phalanx.song.TempoMark;
import phalanx.text.Phrase;
import phalanx.text.Texts;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.Meter;
import phalanx.theory.NoteNaming;
import phalanx.theory.Quoted;

/**
 * Reads a line of bars: {@code |: G . . . | D/F# . Em7 . |1 Am7 . D7 . :|2 G . . . |}.
 *
 * <p>Cells share their bar evenly; a dot or slash goes on with the chord before, {@code %} repeats
 * the bar before, {@code =5 . . D7 .} is bar 5 with one chord changed, {@code 3/4} in front of a
 * bar's chords changes the metre and {@code ♩=100} the tempo, {@code :| x3} says how often, {@code
 * |1} and {@code |2} open first and second endings, {@code |0} bars that are played every time
 * again, {@code D7@5/7} stands at five sevenths of its bar. {@link GridReader} reads line after
 * line.
 */
public final class ChartReader {

  /** Bars a chart may have: far more than any song, few enough to be planned. */
  public static final int MOST_BARS = SongBounds.MOST_BARS;

  /** Cells a bar may have. */
  static final int MOST_CELLS = 64;

  /** Stands behind a bar line where an ending is over before its repeat is. */
  static final String NO_ENDING = "0";

  /** In front of a word that would mean something and is to be kept as it stands. */
  static final String AS_IT_STANDS = "?";

  private static final Pattern TOKEN =
      Pattern.compile("(:?\\|+[:.\\]]?(?:\\d[\\d,-]*(?=\\s|$))?)|([^\\s|]+?(?=:?\\|)|[^\\s|]+)");
  private static final Pattern TIMES = Pattern.compile("[x×](\\d{1,2})");
  private static final Pattern PASSES = Pattern.compile("(\\d{1,4})(?:-(\\d{1,4}))?");
  private static final Pattern PLACED = Pattern.compile("(.+)@(\\d{1,7})/(\\d{1,7})");
  private static final Pattern NO_CHORD = Pattern.compile("(?i)n\\.?c\\.?");
  private static final Pattern BORROWED = Pattern.compile("=(\\d{1,5})");

  private final Notation.Numbers numbers;
  private final int room;
  private final List<Bar> bars = new ArrayList<>();
  private Notation notation;
  private List<ChartProblem> problems = new ArrayList<>();
  private List<Cell> cells = new ArrayList<>();
  private Meter meter;
  private boolean inBar;
  private boolean repeatStarts;
  private boolean repeatEnded;
  private boolean passageOver;
  private boolean full;
  private int chords;
  private Set<Integer> ending = Set.of();

  private record Cell(String text, int column) {}

  ChartReader(Notation notation, Notation.Numbers numbers, int room) {
    this.room = room;
    this.notation = notation;
    this.numbers = numbers;
    meter = notation.meter();
  }

  /**
   * Reads a line on its own. Bars before the first bar line count too, so that a player may just
   * type chords.
   *
   * @param numbers finds the identity of the bar with a number, for bars that borrow
   */
  public static ChartLine read(String text, Notation notation, Notation.Numbers numbers) {
    ChartReader reader = new ChartReader(notation, numbers, MOST_BARS);
    reader.inBar = true;
    reader.tokens(text);
    reader.closeBar();
    return new ChartLine(reader.bars, reader.problems);
  }

  /** Reads one more line of a grid; what of it could not be read. */
  List<ChartProblem> line(String text, Notation next) {
    notation = next;
    meter = next.meter();
    problems = new ArrayList<>();
    cells = new ArrayList<>();
    inBar = false;
    repeatStarts = false;
    repeatEnded = false;
    ending = Set.of();
    tokens(text);
    if (!inBar && !text.isBlank()) {
      int column = text.length() - text.stripLeading().length();
      problem(column, Texts.of("chartReader.expectedABarLine"));
    }
    return problems;
  }

  /** The bars so far. */
  List<Bar> bars() {
    return Collections.unmodifiableList(bars);
  }

  /** Puts another bar in the place of one. */
  void replace(int place, Bar bar) {
    bars.set(place, bar);
  }

  private void problem(int column, String message) {
    problems.add(new ChartProblem(column, message));
  }

  private void tokens(String text) {
    Matcher token = TOKEN.matcher(text);
    while (token.find()) {
      if (token.group(1) != null) {
        barLine(token.group(), token.start());
      } else if (repeatEnded && cells.isEmpty() && TIMES.matcher(token.group()).matches()) {
        repeatTimes(token.group(), token.start());
      } else {
        cells.add(new Cell(token.group(), token.start()));
      }
    }
  }

  private void closeBar() {
    if (inBar && !cells.isEmpty() && hasRoom()) {
      Bar bar = bar().inPasses(ending);
      bars.add(repeatStarts ? bar.startingRepeat(true) : bar);
      // Behind the repeat sign an ending is marked at its first bar only.
      ending = passageOver ? Set.of() : ending;
      passageOver &= !repeatStarts;
      repeatStarts = false;
    }
    cells = new ArrayList<>();
  }

  private boolean hasRoom() {
    if (bars.size() >= room && !full) {
      full = true;
      problem(cells.get(0).column(), Texts.of("chartReader.aChartHasBars", MOST_BARS));
    }
    return bars.size() < room;
  }

  /** A repeat ends with the last bar. */
  private void endRepeat(int plays) {
    int last = bars.size() - 1;
    bars.set(last, bars.get(last).endingRepeat(plays));
    // A repeat of one bar has no bar before it in which an ending could be over.
    passageOver |= !bars.get(last).repeatStart();
  }

  private void barLine(String sign, int column) {
    boolean ends = sign.startsWith(":");
    if (inBar) {
      closeBar();
    }
    if (ends && bars.isEmpty()) {
      problem(column, Texts.of("chartReader.expectedABarBefore"));
    } else if (ends) {
      int times = ending.stream().mapToInt(p -> p).max().orElse(1) + 1;
      endRepeat(Math.min(Bar.MOST_PLAYS, times));
      ending = Set.of();
    }
    String passes = sign.replaceFirst("^[^\\d]*", "");
    if (!passes.isEmpty()) {
      ending = passes.equals(NO_ENDING) ? Set.of() : passes(passes, column);
    }
    repeatStarts |= sign.replaceFirst("\\d.*", "").matches(".*\\|:");
    cells = new ArrayList<>();
    inBar = true;
    repeatEnded = ends && !bars.isEmpty();
  }

  private Set<Integer> passes(String text, int column) {
    Set<Integer> passes = new TreeSet<>();
    boolean read = true;
    for (String part : text.split(",", -1)) {
      Matcher m = PASSES.matcher(part);
      read &= m.matches();
      if (read) {
        int from = Integer.parseInt(m.group(1));
        int to = m.group(2) == null ? from : Integer.parseInt(m.group(2));
        read = from >= 1 && from <= to;
        for (int pass = from; pass <= Math.min(to, Bar.MOST_PLAYS); pass++) {
          passes.add(pass);
        }
      }
    }
    if (!read || passes.isEmpty()) {
      String words = Texts.of("chartReader.expectedAnEndingTo");
      problem(column, Phrase.of(words, Bar.MOST_PLAYS, Quoted.of(text)));
      return Set.of();
    }
    return passes;
  }

  private void repeatTimes(String text, int column) {
    Matcher times = TIMES.matcher(text);
    int plays = times.matches() ? Integer.parseInt(times.group(1)) : 0;
    if (plays < 2 || plays > Bar.MOST_PLAYS) {
      problem(column, Texts.of("chartReader.expectedARepeatFrom", text));
    } else {
      endRepeat(plays);
    }
  }

  private Bar bar() {
    Bar bar = signed(Bar.of(bars.size() + 1, List.of()));
    Optional<Integer> borrows = borrowed();
    if (cells.size() == 1 && cells.get(0).text().equals("%")) {
      return bar.withChanges(repeated(cells.get(0)));
    }
    return bar.withChanges(changes()).borrowing(borrows);
  }

  /** With the metre and the tempo that stand before the chords. */
  private Bar signed(Bar bar) {
    Bar signed = bar;
    while (!cells.isEmpty()) {
      Cell cell = cells.get(0);
      Optional<Meter> metre = Meter.parse(cell.text());
      if (metre.isEmpty() && !TempoMark.isMeant(cell.text())) {
        return signed;
      }
      Optional<Double> tempo = TempoMark.parse(cell.text());
      if (metre.isEmpty() && tempo.isEmpty()) {
        problem(
            cell.column(),
            Texts.of(
                "chartReader.expectedATempoFrom",
                TempoMark.of(Feel.SLOWEST),
                TempoMark.of(Feel.FASTEST),
                cell.text()));
      }
      meter = metre.orElse(meter);
      signed = metre.isPresent() ? signed.withMeter(metre) : signed;
      signed = tempo.isPresent() ? signed.withTempo(tempo) : signed;
      cells = cells.subList(1, cells.size());
    }
    return signed;
  }

  private Optional<Integer> borrowed() {
    Matcher sign = BORROWED.matcher(cells.isEmpty() ? "" : cells.get(0).text());
    if (!sign.matches()) {
      return Optional.empty();
    }
    Optional<Integer> other = numbers.apply(Integer.parseInt(sign.group(1)));
    if (other.isEmpty()) {
      problem(cells.get(0).column(), Texts.of("chartReader.expectedTheNumberOf"));
    }
    cells = cells.subList(1, cells.size());
    return other;
  }

  private List<ChordChange> repeated(Cell cell) {
    if (bars.isEmpty()) {
      problem(cell.column(), Texts.of("chartReader.expectedABarBefore2"));
      return List.of();
    }
    return bars.get(bars.size() - 1).changes();
  }

  private List<ChordChange> changes() {
    if (cells.size() > MOST_CELLS) {
      String words = Texts.of("chartReader.aBarHasCells");
      problem(cells.get(MOST_CELLS).column(), Phrase.of(words, MOST_CELLS, cells.size()));
      cells = cells.subList(0, MOST_CELLS);
    }
    List<Cell> even = cells.stream().filter(c -> !PLACED.matcher(c.text()).matches()).toList();
    int length = notation.barTicks(meter, bars.isEmpty());
    int counts = Math.max(1, (int) ((long) meter.count() * length / meter.barTicks()));
    boolean shared = even.isEmpty() || counts % even.size() == 0 || even.size() % counts == 0;
    if (!shared) {
      problem(
          even.get(0).column(), Texts.of("chartReader.expectedCellsThatShare", meter, even.size()));
    }
    TreeMap<Integer, ChordChange> changes = new TreeMap<>();
    for (int c = 0; c < even.size(); c++) {
      put(even.get(c), even.get(c).text(), (int) ((long) length * c / even.size()), changes);
    }
    for (Cell cell : cells) {
      Matcher placed = PLACED.matcher(cell.text());
      if (placed.matches()) {
        long share = Long.parseLong(placed.group(2)) * length;
        int parts = Integer.parseInt(placed.group(3));
        if (parts == 0 || share / parts >= length) {
          problem(cell.column(), Texts.of("chartReader.expectedAPlaceWithin"));
        } else {
          put(cell, placed.group(1), (int) (share / parts), changes);
        }
      }
    }
    return List.copyOf(changes.values());
  }

  private void put(Cell cell, String text, int tick, TreeMap<Integer, ChordChange> changes) {
    if (text.equals(".") || text.equals("/")) {
      return;
    }
    chords++;
    if (chords == SongBounds.MOST_CHORDS + 1) {
      problem(cell.column(), Texts.of("chartReader.aChartHasChords", SongBounds.MOST_CHORDS));
    } else if (chords <= SongBounds.MOST_CHORDS) {
      changes.put(tick, new ChordChange(tick, harmony(text, cell.column())));
    }
  }

  /** Whether a word is anything to the reader, with notes called in a certain way. */
  static boolean means(String word, NoteNaming naming) {
    return word.isEmpty()
        || ChordReader.read(word, naming) instanceof ChordReading.Read
        || word.startsWith(AS_IT_STANDS)
        || word.equals(".")
        || word.equals("/")
        || word.equals("%")
        || word.endsWith(":")
        || TIMES.matcher(word).matches()
        || PLACED.matcher(word).matches()
        || BORROWED.matcher(word).matches()
        || TempoMark.isMeant(word)
        || Meter.parse(word).isPresent()
        || NO_CHORD.matcher(word).matches();
  }

  private Harmony harmony(String text, int column) {
    if (text.startsWith(AS_IT_STANDS)) {
      problem(column, Texts.of("chartReader.cannotReadTheChord", Quoted.of(text.substring(1))));
      return new Harmony.Unread(Quoted.start(text.substring(1), SongBounds.LONGEST_NAME));
    }
    if (NO_CHORD.matcher(text).matches()) {
      return new Harmony.NoChord();
    }
    ChordReading reading = ChordReader.read(text, notation.naming());
    if (reading instanceof ChordReading.Read read) {
      return new Harmony.Sounding(read.chord()).up(notation.up().inverted());
    }
    if (text.length() > SongBounds.LONGEST_NAME) {
      String words = Texts.of("chartReader.aChordHasSigns");
      problem(column + SongBounds.LONGEST_NAME, Phrase.of(words, SongBounds.LONGEST_NAME));
      return new Harmony.Unread(Quoted.start(text, SongBounds.LONGEST_NAME));
    }
    ChordReading.Unreadable unreadable = (ChordReading.Unreadable) reading;
    problem(
        column + unreadable.column(),
        Texts.of("chartReader.cannotReadTheChord2", Quoted.of(text), unreadable.expected()));
    return new Harmony.Unread(text);
  }
}
