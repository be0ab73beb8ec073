package phalanx.formats.tab;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import phalanx.formats.FileProblem;
import phalanx.formats.ReaderGuard;
import phalanx.formats.SongReading;
import phalanx.formats.Texts;
import phalanx.formats.imported.FrettedNote;
import phalanx.formats.imported.GuitarPart;
import phalanx.formats.imported.ImportedBar;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.song.Feel;
import phalanx.song.Song;
import phalanx.song.SongBounds;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.Quoted;

/**
 * Reads a tablature in plain text: six lines of frets with bar lines, what stands above and below
 * them, timed by the count where there is one, else by its spacing. One instance reads one text.
 */
public final class TabReader {

  /** What stands in a line of a tablature, letters of signs included. */
  private static final String SIGNS = "-|:0123456789hHpPbBrRxX~vs/\\<>()[]*.=^tT \t";

  private static final int LEAST_DASHES = 4;

  /**
   * So many lines around a tablature, and so many signs of each, are looked at for key and tempo.
   */
  private static final int MOST_WORDS = 200;

  private static final Pattern CAPO =
      Pattern.compile("(?i)\\bcapo\\s*(?:on|at|:)?\\s*(?:fret\\s*)?(\\d{1,2})");
  private static final Pattern KEY =
      Pattern.compile(
          "(?i)\\bkey\\s*(?:of|:)?\\s*([A-G][#b]?(?:m\\b|\\s(?:minor|major|dorian|mixolydian|lydian|phrygian))?)");
  private static final Pattern METRE =
      Pattern.compile("(?<![\\d/])(\\d{1,2}/(?:2|4|8|16))(?![\\d/])");
  private static final Pattern TEMPO =
      Pattern.compile(
          "(?i)(\\d{2,3}) ?(?:quarter notes a minute|bpm)|(?:tempo|bpm|♩|\\bq) ?[:=]? ?(\\d{2,3})");
  private static final Pattern TUNING =
      Pattern.compile("(?i)\\btuning ?:? ?((?:[A-G][#b♯♭]?\\d?[ ,-]{0,3}){6})");

  private final List<FileProblem> problems = new ArrayList<>();
  private final List<FileProblem> remarks = new ArrayList<>();
  private final List<ImportedBar> bars = new ArrayList<>();
  private final List<List<FrettedNote>> notes = new ArrayList<>();
  private Meter meter = Meter.FOUR_FOUR;
  private Optional<String> heading = Optional.empty();
  private boolean counted = true;

  private TabReader() {}

  /** Whether a text has a block of tablature in it. */
  public static boolean isTab(String text) {
    TabText lines = new TabText(text.lines().toList());
    for (int at = 0; at < lines.size(); at++) {
      if (lines.isString(at) && TabLines.at(lines, at).isPresent()) {
        return true;
      }
    }
    return false;
  }

  /** Whether a line is one of a tablature: perhaps a string’s name, then frets and dashes. */
  public static boolean isLine(String line) {
    long dashes = line.chars().filter(c -> c == '-').count();
    if (dashes < LEAST_DASHES || !line.contains("--")) {
      return false;
    }
    String text = line.strip();
    int from = 0;
    if ("ABCDEFGabcdefg".indexOf(text.charAt(0)) >= 0) {
      from++;
      while (from < text.length() && "#b♯♭0123456789".indexOf(text.charAt(from)) >= 0 && from < 3) {
        from++;
      }
    }
    return text.substring(from).chars().allMatch(c -> SIGNS.indexOf(c) >= 0);
  }

  /** Reads a whole text. */
  public static SongReading read(String text) {
    return ReaderGuard.guarded(
        "tablatures",
        () -> new TabReader().song(text),
        p -> new SongReading(Song.untitled(), List.of(p)));
  }

  private SongReading song(String text) {
    TabText lines =
        new TabText(text.lines().map(l -> l.replace("\uFEFF", "").stripTrailing()).toList());
    String head =
        IntStream.range(0, lines.size())
            .filter(l -> !lines.isString(l))
            .mapToObj(lines::get)
            .limit(MOST_WORDS)
            .map(l -> l.substring(0, Math.min(l.length(), MOST_WORDS)))
            .collect(Collectors.joining("\n"));
    Matcher metre = METRE.matcher(head);
    if (metre.find()) {
      meter = Meter.parse(metre.group(1)).orElse(meter);
    }
    Optional<String> title = Optional.empty();
    Optional<Tuning> tuning = Optional.empty();
    List<String> above = new ArrayList<>();
    int at = 0;
    while (at < lines.size()) {
      Optional<TabLines> found = TabLines.at(lines, at);
      if (found.isEmpty()) {
        String line = lines.get(at).strip();
        if (title.isEmpty() && !line.isEmpty()) {
          title = Optional.of(Quoted.start(line, SongBounds.LONGEST_NAME));
        }
        above.add(lines.get(at));
        at++;
        continue;
      }
      List<String> strings = found.get().strings();
      if (found.get().leftOut() > 0) {
        remarks.add(
            new FileProblem(
                at + Tuning.STRINGS + 1, 1, Texts.of("tabReader.stringsBeyondTheSixth")));
      }
      tuning = tuning.or(() -> TabBlock.tuning(strings));
      List<String> below = new ArrayList<>();
      int next = found.get().next();
      while (next < lines.size()
          && !lines.get(next).isBlank()
          && TabLines.at(lines, next).isEmpty()
          && below.size() < 3) {
        below.add(lines.get(next++));
      }
      block(at + 1, strings, above, below);
      above = new ArrayList<>();
      at = next;
    }
    if (bars.isEmpty()) {
      problems.add(new FileProblem(1, 1, Texts.of("tabReader.expectedLinesOfTablature")));
      return new SongReading(Song.untitled(), problems, remarks);
    }
    if (!counted) {
      remarks.add(new FileProblem(1, 1, Texts.of("tabReader.itHasNoCount")));
    }
    boolean named = bars.stream().anyMatch(b -> !b.chords.isEmpty());
    if (!named) {
      remarks.add(new FileProblem(1, 1, Texts.of("tabReader.itHasNoChord")));
    }
    boolean isBars = title.filter(t -> METRE.matcher(t).find() || t.length() > 80).isPresent();
    Song plain = Song.untitled().withTitle(isBars ? "Untitled" : title.orElse("Untitled"));
    return new SongReading(
        GuitarPart.of(said(plain, head, tuning), bars, notes), problems, remarks);
  }

  /** What the text around the tablature says of key, tempo, tuning and capo. */
  private static Song said(Song plain, String head, Optional<Tuning> labelled) {
    Song song = plain;
    Matcher tuned = TUNING.matcher(head);
    Optional<Tuning> tuning =
        tuned.find() ? Tuning.parse(tuned.group(1)).or(() -> labelled) : labelled;
    Guitar guitar = song.guitar().withTuning(tuning.orElse(Tuning.STANDARD));
    Matcher capo = CAPO.matcher(head);
    if (capo.find() && Integer.parseInt(capo.group(1)) <= Guitar.HIGHEST_CAPO) {
      guitar = guitar.withCapo(Integer.parseInt(capo.group(1)));
    }
    song = song.withGuitar(guitar);
    Matcher key = KEY.matcher(head);
    if (key.find()) {
      song = song.withKey(Key.parse(key.group(1).strip()));
    }
    Matcher tempo = TEMPO.matcher(head);
    if (tempo.find()) {
      double beats = Double.parseDouble(tempo.group(1) == null ? tempo.group(2) : tempo.group(1));
      song = Feel.isTempo(beats) ? song.withTempo(beats) : song;
    }
    return song;
  }

  private void block(int line, List<String> strings, List<String> above, List<String> below) {
    TabBlock block = new TabBlock(strings, above, below, meter);
    block.heading().ifPresent(h -> heading = Optional.of(h));
    counted &= block.isCounted();
    for (int b = 0; b < block.bars().size(); b++) {
      if (bars.size() == SongBounds.MOST_BARS) {
        problems.add(
            new FileProblem(line, 1, Texts.of("tabReader.aSongHasBars", SongBounds.MOST_BARS)));
        return;
      }
      ImportedBar bar = block.bars().get(b);
      if (!bars.isEmpty()) {
        bar.lengthTicks = 0;
      }
      if (heading.isPresent()) {
        bar.label = heading;
        heading = Optional.empty();
      }
      bars.add(bar);
      notes.add(block.notes().get(b));
    }
    block
        .strange()
        .forEach(s -> remarks.add(new FileProblem(line + s.row(), s.column() + 1, s.words())));
  }
}
