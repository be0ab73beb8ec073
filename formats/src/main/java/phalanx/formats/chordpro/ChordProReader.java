package phalanx.formats.chordpro;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.chart.ChartReader;
import phalanx.chart.GridReader;
import phalanx.formats.FileProblem;
import phalanx.formats.ReaderGuard;
import phalanx.formats.SongReading;
import phalanx.formats.Texts;
import phalanx.formats.text.Bracketed;
import phalanx.formats.text.ChartTextReader;
import phalanx.formats.text.ChordWord;
import phalanx.formats.text.ChordedLine;
import phalanx.formats.text.Heading;
import phalanx.formats.text.ProposedSong;
import phalanx.instrument.Guitar;
import phalanx.song.Bar;
import phalanx.song.BarLyrics;
import phalanx.song.Chart;
import phalanx.song.Credits;
import phalanx.song.Feel;
import phalanx.song.Lyrics;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.SongBounds;
import phalanx.text.Phrase;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.Quoted;
import phalanx.theory.Ticks;

/**
 * Reads a ChordPro chart. Bars are those of its grids; a chart without any has bars proposed from
 * where the chords stand in the words. Words go under the bars of the grid before them where their
 * chords are the same, else they are kept line by line. Directives that mean nothing to the
 * arrangement are passed over. One instance reads one chart.
 */
public final class ChordProReader {

  private static final Pattern LABEL = Pattern.compile("label\\s*=\\s*\"([^\"]*)\"");

  private final List<FileProblem> problems = new ArrayList<>();
  private final List<Section> sections = new ArrayList<>();
  private final List<String> lyrics = new ArrayList<>();
  private Song song = Song.untitled();
  private String title = song.title();
  private Optional<Key> key = Optional.empty();
  private Meter meter = song.meter();
  private String label = "";
  private Optional<GridReader> grid = Optional.empty();
  private Optional<Double> nextTempo = Optional.empty();
  private Meter writtenMeter = meter;
  private final ProposedSong parts = new ProposedSong();
  private final Definitions definitions = new Definitions();
  private final List<FileProblem> remarks = new ArrayList<>();
  private final List<FileProblem> doubts = new ArrayList<>();
  private final Map<Integer, BarLyrics> words = new HashMap<>();
  private Optional<GridWords> under = Optional.empty();
  private List<String> waiting = new ArrayList<>();
  private String composer = "";
  private String arranger = "";
  private Optional<String> pickup = Optional.empty();
  private boolean inTab;
  private int nextId = 1;
  private int gridLine;
  private int barsRead;
  private boolean wordsEnded;

  private ChordProReader() {}

  /** Reads a whole chart. */
  public static SongReading read(String text) {
    return ReaderGuard.guarded(
        "charts", () -> song(text), p -> new SongReading(Song.untitled(), List.of(p)));
  }

  private static SongReading song(String text) {
    ChordProReader reader = new ChordProReader();
    List<String> lines = text.lines().toList();
    for (int i = 0; i < lines.size(); i++) {
      // A byte order mark may open the file.
      reader.line(i + 1, i == 0 ? lines.get(i).replaceFirst("^\uFEFF", "") : lines.get(i));
    }
    return reader.finish();
  }

  private void line(int number, String line) {
    String text = line.strip();
    if (text.startsWith("{")) {
      int column = line.indexOf('{') + 1;
      Optional<Directive> directive = Directive.read(line);
      if (directive.isPresent()) {
        directive(directive.get(), number);
      } else {
        problem(number, column, Texts.of("chordProReader.expectedADirectiveName"));
      }
    } else if (!text.startsWith("#")) {
      if (grid.isPresent()) {
        gridLine(number, line);
      } else if (!text.isEmpty()) {
        words(number, line);
      }
    }
  }

  /** A line outside of grids: words, with chords or without. */
  private void words(int number, String line) {
    if (inTab) {
      return;
    }
    Optional<String> heading = under.isEmpty() ? Heading.of(line.strip()) : Optional.empty();
    if (heading.isPresent()) {
      parts.heading(heading.get());
      return;
    }
    ChordedLine read = Bracketed.read(line, number, ChordWord::symbol, doubts);
    parts.line(read);
    if (!read.chords().isEmpty() && under.isPresent()) {
      under.get().line(read);
      waiting.add(line);
    } else {
      lyrics(number, line);
    }
  }

  private void lyrics(int number, String line) {
    if (lyrics.size() < SongBounds.MOST_LINES) {
      lyrics.add(cut(line, SongBounds.LONGEST_LINE, number, 1));
    } else if (!wordsEnded) {
      wordsEnded = true;
      String words = Texts.of("chordProReader.aSongHasLines");
      problem(number, 1, Phrase.of(words, SongBounds.MOST_LINES));
    }
  }

  /** What of a text a song can hold; the rest is a problem. */
  private String cut(String text, int most, int line, int column) {
    if (text.length() <= most) {
      return text;
    }
    problem(line, column, Texts.of("chordProReader.expectedSignsHereAt", most, text.length()));
    return Quoted.start(text, most);
  }

  private void problem(int line, int column, String message) {
    problems.add(new FileProblem(line, column, message));
  }

  private void directive(Directive directive, int line) {
    String value = directive.value();
    int column = directive.column();
    switch (directive.name()) {
      case "title" -> title = cut(value, SongBounds.LONGEST_NAME, line, column);
      case "key" ->
          Key.parse(value)
              .ifPresentOrElse(
                  k -> key = Optional.of(k),
                  () ->
                      problem(
                          line,
                          column,
                          Texts.of("chordProReader.expectedAKeySuch", Quoted.of(value))));
      case "time" -> time(value, line, column);
      case "tempo" -> tempo(value, line, column);
      case "capo" -> capo(value, line, column);
      case "comment" -> {
        label = cut(value, SongBounds.LONGEST_NAME, line, column);
        parts.heading(label);
      }
      case "composer", "artist", "subtitle" ->
          composer =
              composer.isEmpty() ? cut(value, SongBounds.LONGEST_NAME, line, column) : composer;
      case "arranger" -> arranger = cut(value, SongBounds.LONGEST_NAME, line, column);
      case "define", "chord" -> {
        if (!definitions.read(value)) {
          remarks.add(
              new FileProblem(
                  line, column, Texts.of("chordProReader.thisShapeIsLeft", Quoted.of(value))));
        }
      }
      case "x_phalanx_pickup" -> pickup = Optional.of(value);
      case "start_of_tab", "start_of_abc", "start_of_ly", "start_of_svg", "start_of_textblock" -> {
        inTab = true;
        String kind = directive.name().substring("start_of_".length());
        remarks.add(
            new FileProblem(line, column, Texts.of("chordProReader.whatStandsHereIs", kind)));
      }
      case "end_of_tab", "end_of_abc", "end_of_ly", "end_of_svg", "end_of_textblock" ->
          inTab = false;
      case "start_of_verse", "start_of_chorus", "start_of_bridge" -> {
        under.ifPresent(GridWords::nextVerse);
        String own = label(value);
        String kind = directive.name().substring("start_of_".length());
        label = own.isEmpty() ? label : cut(own, SongBounds.LONGEST_NAME, line, column);
        if (under.isEmpty()) {
          parts.heading(
              own.isEmpty() ? Character.toUpperCase(kind.charAt(0)) + kind.substring(1) : own);
        }
      }
      case "chorus" -> parts.heading("Chorus");
      case "start_of_grid" -> startGrid(value, line, column);
      case "end_of_grid" -> endGrid(line, column);
      default -> {
        if (directive.name().startsWith("start_of_") && !label(value).isEmpty()) {
          label = cut(label(value), SongBounds.LONGEST_NAME, line, column);
        }
      }
    }
  }

  private static String label(String value) {
    Matcher labelled = LABEL.matcher(value);
    return labelled.find() ? labelled.group(1) : value.contains("=") ? "" : value;
  }

  private void time(String value, int line, int column) {
    Optional<Meter> read = Meter.parse(value);
    if (read.isEmpty()) {
      problem(line, column, Texts.of("chordProReader.expectedAMetreSuch", Quoted.of(value)));
    } else {
      meter = read.get();
      grid.ifPresent(g -> g.turn(read.get()));
      if (sections.isEmpty() && grid.isEmpty()) {
        song = song.withFeel(song.feel().withMeter(meter));
        writtenMeter = meter;
      }
    }
  }

  private void tempo(String value, int line, int column) {
    try {
      double tempo = Feel.USUAL.withTempo(Double.parseDouble(value)).tempo();
      if (sections.isEmpty() && grid.filter(g -> !g.bars().isEmpty()).isEmpty()) {
        song = song.withTempo(tempo);
      } else {
        nextTempo = Optional.of(tempo);
        grid.ifPresent(g -> g.hurry(tempo));
      }
    } catch (IllegalArgumentException e) {
      problem(
          line,
          column,
          Texts.of(
              "chordProReader.expectedATempoFrom", Feel.SLOWEST, Feel.FASTEST, Quoted.of(value)));
    }
  }

  private void capo(String value, int line, int column) {
    try {
      song = song.withGuitar(song.guitar().withCapo(Integer.parseInt(value)));
    } catch (IllegalArgumentException e) {
      problem(
          line,
          column,
          Texts.of("chordProReader.expectedACapoFret", Guitar.HIGHEST_CAPO, Quoted.of(value)));
    }
  }

  private void startGrid(String value, int line, int column) {
    closeWords();
    if (grid.isPresent()) {
      problem(line, column, Texts.of("chordProReader.expectedEndOfGrid"));
      closeGrid();
    }
    String own = label(value);
    // A bare shape such as 4x4 is the older way to say how wide the grid is drawn.
    label =
        own.isEmpty() || own.matches("[\\dx+]+")
            ? label
            : cut(own, SongBounds.LONGEST_NAME, line, column);
    grid = Optional.of(new GridReader(meter, writtenMeter, ChartReader.MOST_BARS - barsRead));
    nextTempo.ifPresent(grid.get()::hurry);
    gridLine = line;
  }

  private void endGrid(int line, int column) {
    if (grid.isEmpty()) {
      problem(line, column, Texts.of("chordProReader.expectedStartOfGrid"));
    }
    closeGrid();
  }

  private void closeGrid() {
    grid.ifPresent(
        g -> {
          meter = g.meter();
          writtenMeter = g.written();
          barsRead += g.bars().size();
          if (!g.bars().isEmpty()) {
            sections.add(section(g.bars()));
            under = Optional.of(new GridWords(sections.get(sections.size() - 1).bars()));
          }
        });
    grid = Optional.empty();
    label = "";
  }

  private void gridLine(int number, String line) {
    GridReader reader = grid.orElseThrow();
    reader.line(line).forEach(p -> problem(number, p.column() + 1, p.message()));
    nextTempo = reader.tempo();
  }

  private Section section(List<Bar> bars) {
    List<Bar> numbered = new ArrayList<>();
    for (Bar bar : bars) {
      numbered.add(bar.withId(nextId++));
    }
    return Section.of(nextId++, label, numbered);
  }

  /** The words behind a grid go under its bars, or stay lines where their chords are others. */
  private void closeWords() {
    if (under.isPresent() && under.get().fits()) {
      words.putAll(under.get().words());
    } else {
      waiting.forEach(l -> lyrics(1, l));
    }
    under = Optional.empty();
    waiting = new ArrayList<>();
  }

  private SongReading finish() {
    if (grid.isPresent()) {
      problem(gridLine, 1, Texts.of("chordProReader.expectedEndOfGrid2"));
      closeGrid();
    }
    closeWords();
    Song plain = song.withTitle(title).withKey(key).withCredits(new Credits(composer, arranger));
    boolean none = sections.stream().map(Section::bars).allMatch(List<Bar>::isEmpty);
    if (none && parts.hasChords()) {
      remarks.add(0, new FileProblem(1, 1, ChartTextReader.PROPOSED));
      remarks.addAll(doubts);
      Song read = definitions.pinned(parts.over(plain, writtenMeter));
      return new SongReading(read, problems, remarks);
    }
    if (none) {
      String expected = Texts.of("chordProReader.expectedBarsBetweenStart");
      problem(1, 1, expected);
    }
    Song read = plain.withChart(new Chart(sections)).withWords(new Lyrics(lyrics, words));
    if (pickup.flatMap(ChordProReader::ticks).isPresent()) {
      read = read.withFeel(read.feel().withPickup(pickup.flatMap(ChordProReader::ticks).get()));
    }
    return new SongReading(none ? read : definitions.pinned(read), problems, remarks);
  }

  /** A length such as {@code 1/4} of a whole note, in ticks. */
  private static Optional<Integer> ticks(String value) {
    Matcher m = Pattern.compile("(\\d{1,3})/(\\d{1,5})").matcher(value);
    if (!m.matches() || Integer.parseInt(m.group(2)) == 0) {
      return Optional.empty();
    }
    long ticks =
        (long) Ticks.PER_WHOLE * Integer.parseInt(m.group(1)) / Integer.parseInt(m.group(2));
    return ticks > 0 && ticks < Meter.LONGEST_TICKS ? Optional.of((int) ticks) : Optional.empty();
  }
}
