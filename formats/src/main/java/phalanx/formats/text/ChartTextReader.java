package phalanx.formats.text;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import phalanx.chart.ChartReader;
import phalanx.chart.GridReader;
import phalanx.formats.FileProblem;
import phalanx.formats.ReaderGuard;
import phalanx.formats.SongReading;
import phalanx.formats.Texts;
import phalanx.formats.imported.ImportedBar;
import phalanx.formats.tab.TabReader;
import phalanx.instrument.Guitar;
import phalanx.song.Bar;
import phalanx.song.ChordChange;
import phalanx.song.Credits;
import phalanx.song.Feel;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.song.SongBounds;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.Quoted;

/**
 * Reads a song as it is pasted from anywhere: chords above their words, headings such as {@code
 * [Verse 1]} or {@code Chorus:}, lines of bars {@code | C | Am7 G |}, degrees in figures or roman
 * numerals where the key is said. Bars that are not written are proposed. One instance reads one
 * text.
 */
public final class ChartTextReader {

  private static final Pattern FIELD =
      Pattern.compile(
          "(?i)(title|key|capo|tempo|bpm|time|metre|meter|by|composer|artist|words|music|arranged by|arranger) ?[:=](.*)");
  private static final Pattern CAPO =
      Pattern.compile(
          "(?i)\\(?capo\\b[ :=-]*(?:(?:on|at|the|fret|in) )*(\\d{1,2}|[ivx]{1,4})(?:st|nd|rd|th)?"
              + "(?: fret)?\\)?[.!]?");
  private static final List<String> ROMAN =
      List.of("I", "II", "III", "IV", "V", "VI", "VII", "VIII", "IX", "X", "XI", "XII");
  private static final Pattern TIMES =
      Pattern.compile("\\(?[xX]\\s?\\d{1,2}\\)?|\\(?\\d{1,2}\\s?[xX]\\)?");
  private static final Pattern WORD = Pattern.compile("\\S+");
  private static final int TAB_STOP = 8;

  /** So many words are remembered with what they are: a song has few, a long text many times. */
  private static final int MOST_KNOWN = 2000;

  private final Map<String, Optional<Harmony>> words = new HashMap<>();
  private final List<FileProblem> problems = new ArrayList<>();
  private final List<FileProblem> remarks = new ArrayList<>();
  private final ProposedSong parts = new ProposedSong();
  private Song song = Song.untitled();
  private Optional<String> title = Optional.empty();
  private Optional<Key> key = Optional.empty();
  private Meter meter = Meter.FOUR_FOUR;
  private boolean proposed;
  private boolean begun;

  private ChartTextReader() {}

  /** Reads a whole text. */
  public static SongReading read(String text) {
    return ReaderGuard.guarded(
        "texts",
        () -> new ChartTextReader().song(text),
        p -> new SongReading(Song.untitled(), List.of(p)));
  }

  private SongReading song(String text) {
    List<String> lines = text.lines().map(ChartTextReader::plain).toList();
    for (String line : lines) {
      // The key may be said anywhere in the head, and degrees need it.
      Matcher field = FIELD.matcher(line.strip());
      if (key.isEmpty() && field.matches() && field.group(1).equalsIgnoreCase("key")) {
        key = Key.parse(field.group(2).strip());
      }
    }
    int at = 0;
    while (at < lines.size()) {
      at = line(lines, at);
    }
    if (!parts.hasChords()) {
      problems.add(new FileProblem(1, 1, Texts.of("chartTextReader.expectedChordsAboveOr")));
      return new SongReading(Song.untitled(), problems, remarks);
    }
    Song plain = song.withTitle(title.orElse("Untitled")).withKey(key);
    if (proposed) {
      remarks.add(0, new FileProblem(1, 1, PROPOSED));
    }
    return new SongReading(parts.over(plain, meter), problems, remarks);
  }

  /** What is said where bars are proposed. */
  public static final String PROPOSED = Texts.of("chartTextReader.itHasNoBars");

  /** Tabs as wide as they are shown, no byte order mark, plain blanks. */
  private static String plain(String line) {
    StringBuilder out = new StringBuilder();
    line.replace("\uFEFF", "")
        .replace('\u00A0', ' ')
        .chars()
        .forEach(
            c -> {
              if (c == '\t') {
                do {
                  out.append(' ');
                } while (out.length() % TAB_STOP != 0);
              } else {
                out.append((char) c);
              }
            });
    return out.toString().stripTrailing();
  }

  /** Reads a line, and the words under it where it has chords; the number of the next. */
  private int line(List<String> lines, int at) {
    String line = lines.get(at);
    if (line.isBlank()) {
      return at + 1;
    }
    Matcher capo = CAPO.matcher(line.strip());
    if (!begun && capo.matches()) {
      capo(capo.group(1));
      return at + 1;
    }
    Matcher field = FIELD.matcher(line.strip());
    if (!begun && field.matches() && field(at + 1, field.group(1), field.group(2).strip())) {
      return at + 1;
    }
    Optional<List<ChordedLine.At>> chords = chords(line);
    if (line.contains("|") && barred(at + 1, line)) {
      begun = true;
      return at + 1;
    } else if (chords.isPresent()) {
      begun = true;
      boolean sung =
          at + 1 < lines.size() && !lines.get(at + 1).isBlank() && isWords(lines.get(at + 1));
      String words = sung ? lines.get(at + 1) : "";
      parts.line(ChordedLine.above(chords.get(), words, times(line)));
      proposed = true;
      return at + (sung ? 2 : 1);
    }
    Optional<String> heading = Heading.of(line.strip());
    if (heading.isPresent()) {
      begun = true;
      parts.heading(heading.get());
    } else if (line.matches(".*\\[[A-G][^\\]\\s]{0,12}\\].*")) {
      begun = true;
      bracketed(at + 1, line);
    } else if (!begun && title.isEmpty()) {
      title = Optional.of(Quoted.start(line.strip(), SongBounds.LONGEST_NAME));
    } else if (!begun && line.strip().matches("(?i)by\\s.{1,80}")) {
      song = song.withCredits(new Credits(line.strip().substring(2), song.credits().arranger()));
    } else {
      parts.line(new ChordedLine(List.of(), line.strip()));
    }
    return at + 1;
  }

  /** How often a line is played: {@code (x2)} behind its chords, else once. */
  private static int times(String line) {
    return Stream.of(line.strip().split("\\s+"))
        .filter(w -> TIMES.matcher(w).matches())
        .mapToInt(w -> Integer.parseInt(w.replaceAll("\\D", "")))
        .filter(n -> n > 1 && n <= Bar.MOST_PLAYS)
        .findFirst()
        .orElse(1);
  }

  private boolean isWords(String line) {
    return chords(line).isEmpty()
        && !line.contains("|")
        && Heading.of(line.strip()).isEmpty()
        && !FIELD.matcher(line.strip()).matches();
  }

  /** The chords of a line that has nothing else in it. */
  private Optional<List<ChordedLine.At>> chords(String line) {
    List<ChordedLine.At> chords = new ArrayList<>();
    Matcher word = WORD.matcher(line);
    while (word.find()) {
      String text = word.group();
      Optional<Harmony> harmony = chord(text);
      if (harmony.isPresent()) {
        chords.add(new ChordedLine.At(word.start(), harmony.get()));
      } else if (!TIMES.matcher(text).matches() && !text.matches("[-–—.,/%*~]+")) {
        return Optional.empty();
      }
    }
    return chords.isEmpty() ? Optional.empty() : Optional.of(chords);
  }

  private Optional<Harmony> chord(String word) {
    if (words.size() > MOST_KNOWN) {
      words.clear();
    }
    Optional<Harmony> symbol = words.computeIfAbsent(word, ChordWord::symbol);
    return symbol.isPresent() || key.isEmpty() ? symbol : ChordWord.degree(word, key.get());
  }

  /** Chords in brackets inside the words. */
  private void bracketed(int number, String line) {
    parts.line(Bracketed.read(line, number, this::chord, problems));
    proposed = true;
  }

  /** A line of bars; false where what stands between its lines are no chords. */
  private boolean barred(int number, String line) {
    if (TabReader.isLine(line)) {
      return false;
    }
    String degrees = key.isPresent() ? spelled(line, key.get()) : line;
    GridReader grid = new GridReader(meter, meter, ChartReader.MOST_BARS);
    var found = grid.line(degrees);
    boolean chords =
        grid.bars().stream()
            .flatMap(b -> b.changes().stream())
            .anyMatch(c -> !(c.harmony() instanceof Harmony.Unread));
    if (!chords) {
      return false;
    }
    found.forEach(p -> problems.add(new FileProblem(number, p.column() + 1, p.message())));
    List<ImportedBar> bars = new ArrayList<>();
    for (Bar bar : grid.bars()) {
      ImportedBar read = new ImportedBar(bar.meter().orElse(meter));
      read.tempo = bar.tempo();
      read.repeatStart = bar.repeatStart();
      read.plays = bar.plays();
      read.passes.addAll(bar.passes());
      for (ChordChange change : bar.changes()) {
        read.chord(change);
      }
      bars.add(read);
    }
    parts.bars(bars);
    return true;
  }

  /** Degrees between bar lines as the chords they are. */
  private static String spelled(String line, Key key) {
    Matcher word = Pattern.compile("[^\\s|:]+").matcher(line);
    StringBuilder out = new StringBuilder();
    while (word.find()) {
      boolean symbol = ChordWord.symbol(word.group()).isPresent();
      String as =
          symbol
              ? word.group()
              : ChordWord.degree(word.group(), key).map(ChordWord::ascii).orElse(word.group());
      word.appendReplacement(out, Matcher.quoteReplacement(as));
    }
    return word.appendTail(out).toString();
  }

  private boolean field(int number, String name, String value) {
    switch (name.toLowerCase(Locale.ROOT)) {
      case "title" -> title = Optional.of(Quoted.start(value, SongBounds.LONGEST_NAME));
      case "key" -> {
        if (Key.parse(value).isEmpty()) {
          problems.add(
              new FileProblem(
                  number, 1, Texts.of("chartTextReader.expectedAKeySuch", Quoted.of(value))));
        }
      }
      case "time", "metre", "meter" ->
          Meter.parse(value)
              .ifPresentOrElse(
                  m -> meter = m,
                  () ->
                      problems.add(
                          new FileProblem(
                              number,
                              1,
                              Texts.of("chartTextReader.expectedAMetreSuch", Quoted.of(value)))));
      case "capo" -> capo(value);
      case "tempo", "bpm" -> tempo(value);
      case "arranged by", "arranger" ->
          song =
              song.withCredits(
                  new Credits(
                      song.credits().composer(), Quoted.start(value, SongBounds.LONGEST_NAME)));
      default ->
          song =
              song.withCredits(
                  new Credits(
                      Quoted.start(value, SongBounds.LONGEST_NAME), song.credits().arranger()));
    }
    return true;
  }

  private void capo(String value) {
    Matcher number = Pattern.compile("(?i)\\d{1,2}|[ivx]{1,4}").matcher(value);
    if (number.find()) {
      String text = number.group().toUpperCase(Locale.ROOT);
      int fret =
          Character.isDigit(text.charAt(0)) ? Integer.parseInt(text) : ROMAN.indexOf(text) + 1;
      if (fret > 0 && fret <= Guitar.HIGHEST_CAPO) {
        song = song.withGuitar(song.guitar().withCapo(fret));
      }
    }
  }

  private void tempo(String value) {
    Matcher number = Pattern.compile("\\d{1,3}(?:\\.\\d)?").matcher(value);
    if (number.find() && Feel.isTempo(Double.parseDouble(number.group()))) {
      song = song.withTempo(Double.parseDouble(number.group()));
    }
  }
}
