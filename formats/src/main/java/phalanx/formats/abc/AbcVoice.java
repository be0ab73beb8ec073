package phalanx.formats.abc;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.chart.ChordProposal;
import phalanx.formats.FileProblem;
import phalanx.formats.Texts;
import phalanx.formats.imported.ImportedBar;
import phalanx.formats.imported.ImportedNote;
import phalanx.melody.BarTune;
import phalanx.melody.Want;
import phalanx.song.Bar;
import phalanx.song.BarLyrics;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.song.SongBounds;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.Letter;
import phalanx.theory.Meter;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;
import phalanx.theory.Quoted;
import phalanx.theory.Ticks;

/** The notes of one voice, line by line. */
final class AbcVoice {

  /** No word of a tune, a chord or a group of notes, is longer than so many signs. */
  private static final int LOOK_AHEAD = 300;

  private static final Pattern NOTE =
      Pattern.compile("(\\^{1,2}|_{1,2}|=)?([a-gA-G])([,']{0,8})(\\d{0,4})(/{1,6}\\d{0,4})?");
  private static final Pattern REST = Pattern.compile("([zxyZX])(\\d{0,4})(/{1,6}\\d{0,4})?");
  private static final Pattern LENGTH = Pattern.compile("(\\d{0,4})(/{1,6}\\d{0,4})?");
  private static final Pattern TUPLET =
      Pattern.compile("\\(([2-9])(?::([1-9])?)?(?::([1-9]\\d?)?)?");
  private static final Pattern LINE =
      Pattern.compile("(:{0,3})(\\[?\\|{1,2}\\]?|\\|\\]|\\[\\|)(:{0,3})|(::+)");
  private static final Pattern ENDING = Pattern.compile("\\[?\\s*(\\d[\\d,\\-]{0,12})");
  private static final Pattern INLINE = Pattern.compile("\\[([A-Za-z]):([^\\]]{0,200})\\]");

  private final AbcHead head;
  private final List<FileProblem> problems;
  private final List<FileProblem> remarks;
  private final List<ImportedBar> bars = new ArrayList<>();
  private ImportedBar bar;
  private Meter meter;
  private int unit;
  private AbcHead.Signed key;
  private Map<String, Integer> signs = new HashMap<>();
  private int tick;
  private boolean tied;
  private double longer = 1;
  private int tupletLeft;
  private int tupletUp;
  private int tupletDown;
  private boolean hasChords;
  private boolean sounds;
  private Set<Integer> ending = Set.of();
  private final List<Want> graces = new ArrayList<>();
  private List<NotePlace> lineNotes = new ArrayList<>();
  private int verse;
  private boolean full;
  private boolean told;
  private boolean inGraces;

  /** A note that a syllable may stand under. */
  private record NotePlace(ImportedBar bar, int tick) {}

  AbcVoice(AbcHead head, List<FileProblem> problems, List<FileProblem> remarks) {
    this.head = head;
    this.problems = problems;
    this.remarks = remarks;
    meter = head.meter;
    unit = head.unitTicks();
    key = head.key;
    bar = new ImportedBar(meter);
  }

  void meter(Meter other) {
    meter = other;
    if (tick == 0) {
      bar.meter = other;
    }
  }

  void unit(int ticks) {
    unit = ticks;
  }

  void key(AbcHead.Signed other) {
    key = other;
  }

  void tempo(Optional<Double> tempo) {
    bar.tempo = tempo.or(() -> bar.tempo);
  }

  void label(String label) {
    bar.label = Optional.of(label);
  }

  boolean hasChords() {
    return hasChords;
  }

  boolean sounds() {
    return sounds;
  }

  /** One line of notes. */
  void music(int number, String text) {
    lineNotes = new ArrayList<>();
    verse = 0;
    int at = 0;
    while (at < text.length() && !full) {
      int next = step(number, text, at);
      at = Math.max(next, at + 1);
    }
  }

  private int step(int number, String text, int at) {
    char sign = text.charAt(at);
    String rest = text.substring(at, Math.min(text.length(), at + LOOK_AHEAD));
    Matcher inline = INLINE.matcher(rest);
    if (sign == '[' && inline.lookingAt()) {
      inline(inline.group(1).charAt(0), inline.group(2).strip());
      return at + inline.end();
    }
    Matcher line = LINE.matcher(rest);
    boolean isLine = (sign == '|' || sign == ':' || rest.startsWith("[|")) && line.lookingAt();
    if (isLine) {
      return at + barLine(line, rest);
    }
    Matcher ends = ENDING.matcher(rest);
    if (sign == '[' && ends.lookingAt()) {
      opens(ends.group(1));
      return at + ends.end();
    }
    if (sign == '"') {
      return quoted(text, at);
    } else if (sign == '[') {
      return together(rest, at);
    } else if (sign == '{') {
      inGraces = true;
      return at + (rest.startsWith("{/") ? 2 : 1);
    } else if (sign == '}') {
      inGraces = false;
      return at + 1;
    } else if (sign == '!' || sign == '+') {
      int close = rest.indexOf(sign, 1);
      return at + 1 + Math.max(close, 0);
    } else if (sign == '(') {
      return tuplet(rest, at);
    } else if (sign == '-') {
      tied = true;
      return at + 1;
    } else if (sign == '>' || sign == '<') {
      return broken(rest, at);
    }
    Matcher note = NOTE.matcher(rest);
    if (note.lookingAt()) {
      note(note);
      return at + note.end();
    }
    Matcher silent = REST.matcher(rest);
    if (silent.lookingAt()) {
      rest(silent);
      return at + silent.end();
    }
    boolean passed = " \t`~.HLMOPSTuv)\\*&$HIJKNQRUVWXYhijklmnopqrstw".indexOf(sign) >= 0;
    if (!passed && !told) {
      told = true;
      problems.add(
          new FileProblem(number, at + 1, Texts.of("abcVoice.expectedANoteOr", Quoted.of(rest))));
    }
    return at + 1;
  }

  private void inline(char name, String value) {
    switch (name) {
      case 'M' -> AbcHead.meter(value).ifPresent(this::meter);
      case 'L' -> AbcHead.length(value).ifPresent(this::unit);
      case 'K' -> key(AbcHead.key(value));
      case 'Q' -> head.tempo(value).ifPresent(t -> tempo(Optional.of(t)));
      case 'P' -> label(value);
      default -> {
        // Notes, remarks and instructions to other programs: nothing of the tune.
      }
    }
  }

  private int barLine(Matcher line, String rest) {
    boolean doubled = line.group(4) != null;
    boolean ends = doubled || !line.group(1).isEmpty();
    boolean starts = doubled || !line.group(3).isEmpty();
    close(ends);
    if (starts) {
      bar.repeatStart = true;
    }
    int end = line.end();
    Matcher number =
        Pattern.compile("\\s*(\\d[\\d,\\-]{0,12})(?=[\\s\\[\"a-gA-Gz({^_=|])")
            .matcher(rest.substring(end));
    boolean thick =
        "|]".equals(line.group(2)) || "||".equals(line.group(2)) || "[|".equals(line.group(2));
    if (ends || thick) {
      ending = Set.of();
      bar.passes.clear();
    }
    if (number.lookingAt()) {
      opens(number.group(1));
      return end + number.end();
    }
    return end;
  }

  private void opens(String numbers) {
    Set<Integer> passes = new TreeSet<>();
    for (String part : numbers.split(",")) {
      String[] range = part.split("-");
      if (range.length > 0 && range[0].matches("\\d{1,2}")) {
        int from = Integer.parseInt(range[0]);
        int to =
            range.length > 1 && range[1].matches("\\d{1,2}") ? Integer.parseInt(range[1]) : from;
        for (int p = from; p <= Math.min(to, Bar.MOST_PLAYS); p++) {
          passes.add(Math.max(1, p));
        }
      }
    }
    ending = passes;
    bar.passes.clear();
    bar.passes.addAll(passes);
  }

  /** Ends a bar; a line at the very start of a tune or behind another ends none. */
  private void close(boolean repeats) {
    if (tick == 0 && bar.tune.isEmpty() && bar.chords.isEmpty()) {
      if (repeats && !bars.isEmpty()) {
        plays(bars.get(bars.size() - 1));
      }
      return;
    }
    bar.lengthTicks = tick;
    boolean first = bars.isEmpty();
    if (tick >= bar.meter.barTicks() || !first) {
      fit(bar);
    }
    if (repeats) {
      plays(bar);
    }
    add();
  }

  /**
   * A bar that is longer or shorter than its metre, in the middle of a tune, has one of its own.
   */
  private void fit(ImportedBar done) {
    boolean off = done.lengthTicks != done.meter.barTicks();
    done.lengthTicks = 0;
    if (off && tick > done.meter.barTicks()) {
      for (int unitOf : new int[] {4, 8, 16}) {
        int part = Ticks.PER_WHOLE / unitOf;
        if (tick % part == 0) {
          Meter.parse(tick / part + "/" + unitOf).ifPresent(m -> done.meter = m);
          return;
        }
      }
    }
  }

  private void plays(ImportedBar last) {
    last.plays = Math.max(2, last.passes.stream().mapToInt(p -> p).max().orElse(1) + 1);
  }

  private void add() {
    if (bars.size() < SongBounds.MOST_BARS) {
      bars.add(bar);
    } else if (!full) {
      full = true;
      problems.add(new FileProblem(1, 1, Texts.of("abcVoice.aSongHasBars", SongBounds.MOST_BARS)));
    }
    bar = new ImportedBar(meter);
    bar.passes.addAll(ending);
    signs = new HashMap<>();
    tick = 0;
  }

  /** A chord symbol, or words that stand above, below or beside a note. */
  private int quoted(String text, int at) {
    int close = text.indexOf('"', at + 1);
    if (close < 0) {
      return text.length();
    }
    String word = text.substring(at + 1, Math.min(close, at + LOOK_AHEAD)).strip();
    boolean remark = !word.isEmpty() && "^_<>@".indexOf(word.charAt(0)) >= 0;
    if (!word.isEmpty() && !remark) {
      chord(word);
    }
    return close + 1;
  }

  private void chord(String word) {
    String symbol = word.replaceAll("\\(.*?\\)", "").replace(";", " ").strip();
    ChordReading reading = ChordReader.read(symbol);
    Harmony harmony =
        reading instanceof ChordReading.Read read
            ? new Harmony.Sounding(read.chord())
            : symbol.matches("(?i)n\\.?c\\.?")
                ? new Harmony.NoChord()
                : new Harmony.Unread(Quoted.start(symbol, SongBounds.LONGEST_NAME));
    if (harmony instanceof Harmony.Unread
        && !Character.isUpperCase(symbol.isEmpty() ? 'x' : symbol.charAt(0))) {
      // Words that somebody wrote without a place mark: no chord begins with a small letter.
      return;
    }
    hasChords = true;
    bar.chord(new ChordChange(tick, harmony));
  }

  private int tuplet(String rest, int at) {
    Matcher m = TUPLET.matcher(rest);
    if (!m.lookingAt()) {
      return at + 1;
    }
    int p = Integer.parseInt(m.group(1));
    int compound = meter.isCompound() ? 3 : 2;
    int usual =
        switch (p) {
          case 2, 4, 8 -> 3;
          case 3, 6 -> 2;
          default -> compound;
        };
    tupletUp = p;
    tupletDown = m.group(2) == null ? usual : Integer.parseInt(m.group(2));
    tupletLeft = m.group(3) == null ? p : Integer.parseInt(m.group(3));
    return at + m.end();
  }

  /** {@code A>B} makes the first half as long again and the second half as short. */
  private int broken(String rest, int at) {
    char sign = rest.charAt(0);
    int count = 0;
    while (count < rest.length() && count < 3 && rest.charAt(count) == sign) {
      count++;
    }
    double small = Math.pow(0.5, count);
    double first = sign == '>' ? 2 - small : small;
    List<ImportedNote> tune = bar.tune;
    if (!tune.isEmpty()
        && tune.get(tune.size() - 1).tick() + tune.get(tune.size() - 1).lengthTicks() == tick) {
      ImportedNote last = tune.get(tune.size() - 1);
      int length = Math.max(1, (int) Math.round(last.lengthTicks() * first));
      tune.set(
          tune.size() - 1,
          new ImportedNote(
              last.tick(),
              length,
              last.wants(),
              last.goesOn(),
              last.slur(),
              last.graces(),
              last.techniques()));
      tick = last.tick() + length;
    }
    longer = 2 - first;
    return at + count;
  }

  private int length(String over, String under) {
    double units = over.isEmpty() ? 1 : Integer.parseInt(over);
    if (under != null) {
      String digits = under.replace("/", "");
      int slashes = under.length() - digits.length();
      units /= digits.isEmpty() ? Math.pow(2, slashes) : Math.max(1, Integer.parseInt(digits));
    }
    return Math.max(1, (int) Math.round(units * unit));
  }

  /** The time a note takes here, tuplets and broken rhythm included. */
  private int taken(int length) {
    double ticks = length * longer;
    longer = 1;
    if (tupletLeft > 0) {
      ticks = ticks * tupletDown / tupletUp;
      tupletLeft--;
    }
    return Math.max(1, (int) Math.round(ticks));
  }

  private void note(Matcher m) {
    Want.Sound want = want(m);
    if (inGraces) {
      graces.add(want);
      return;
    }
    strike(List.of(want), taken(length(m.group(4), m.group(5))));
  }

  private Want.Sound want(Matcher m) {
    char written = m.group(2).charAt(0);
    Letter letter = Letter.valueOf(String.valueOf(written).toUpperCase(Locale.ROOT));
    int octave = Character.isLowerCase(written) ? 5 : 4;
    for (char c : m.group(3).toCharArray()) {
      octave += c == '\'' ? 1 : -1;
    }
    String place = letter.name() + octave;
    int alteration;
    if (m.group(1) != null) {
      char sign = m.group(1).charAt(0);
      alteration = sign == '=' ? 0 : (sign == '^' ? 1 : -1) * m.group(1).length();
      signs.put(place, alteration);
    } else {
      alteration = signs.getOrDefault(place, key.signs().getOrDefault(letter, 0));
    }
    return new Want.Sound(
        new Pitch(new NoteName(letter, alteration), Math.max(0, Math.min(9, octave))),
        Optional.empty());
  }

  private void strike(List<Want> wants, int ticks) {
    if (tick + ticks <= BarTune.LONGEST) {
      bar.tune.add(
          new ImportedNote(
              tick, ticks, wants, tied && sounds, Optional.empty(), List.copyOf(graces), Set.of()));
      lineNotes.add(new NotePlace(bar, tick));
      tick += ticks;
      sounds = true;
    }
    graces.clear();
    tied = false;
  }

  /** {@code [CEG]2}: several at once; a length behind the bracket counts for all. */
  private int together(String rest, int at) {
    int close = rest.indexOf(']');
    if (close < 0) {
      return at + 1;
    }
    List<Want> wants = new ArrayList<>();
    int inside = 0;
    Matcher note = NOTE.matcher(rest.substring(1, close));
    while (note.find()) {
      wants.add(want(note));
      inside = inside == 0 ? length(note.group(4), note.group(5)) : inside;
    }
    Matcher behind = LENGTH.matcher(rest.substring(close + 1));
    int end = at + close + 1;
    int ticks = Math.max(inside, 1);
    if (behind.lookingAt() && behind.end() > 0) {
      ticks = (int) ((long) ticks * length(behind.group(1), behind.group(2)) / unit);
      end += behind.end();
    }
    if (!wants.isEmpty()) {
      wants.sort((a, b) -> midi(b) - midi(a));
      strike(wants, taken(Math.max(1, ticks)));
    }
    return end;
  }

  private static int midi(Want want) {
    return ((Want.Sound) want).pitch().midi();
  }

  private void rest(Matcher m) {
    char sign = m.group(1).charAt(0);
    if (sign == 'y') {
      return;
    }
    tied = false;
    if (sign == 'Z' || sign == 'X') {
      int count = m.group(2).isEmpty() ? 1 : Math.min(200, Integer.parseInt(m.group(2)));
      for (int b = 0; b < count; b++) {
        tick = meter.barTicks();
        if (b + 1 < count) {
          close(false);
        }
      }
      return;
    }
    tick = Math.min(BarTune.LONGEST, tick + taken(length(m.group(2), m.group(3))));
  }

  /** Syllables under the notes of the line before. */
  void words(String line) {
    if (verse >= BarLyrics.MOST_VERSES) {
      return;
    }
    Map<ImportedBar, StringBuilder> byBar = new HashMap<>();
    Map<ImportedBar, Integer> from = new HashMap<>();
    int at = 0;
    Matcher token =
        Pattern.compile("\\||\\*|_|[^\\s|*_-]+-?|-")
            .matcher(line.replace("\\-", "‑").replace('~', '\u00A0'));
    while (token.find() && at < lineNotes.size()) {
      String syllable = token.group();
      NotePlace here = lineNotes.get(at);
      if (syllable.equals("|")) {
        ImportedBar done = here.bar();
        boolean none = at > 0 && lineNotes.get(at - 1).bar() != done;
        if (!none || byBar.containsKey(done)) {
          while (at < lineNotes.size() && lineNotes.get(at).bar() == done) {
            at++;
          }
        }
        continue;
      }
      if (!syllable.equals("*") && !syllable.equals("_") && !syllable.equals("-")) {
        StringBuilder text = byBar.computeIfAbsent(here.bar(), b -> new StringBuilder());
        from.putIfAbsent(here.bar(), here.tick());
        text.append(syllable).append(syllable.endsWith("-") ? "" : " ");
      }
      at++;
    }
    int number = verse++;
    byBar.forEach(
        (where, text) -> {
          List<List<BarLyrics.Piece>> verses = new ArrayList<>(where.words.verses());
          while (verses.size() <= number) {
            verses.add(List.of());
          }
          String words =
              Quoted.start(
                  text.toString().replace('\u00A0', ' ').replace('‑', '-').strip(),
                  SongBounds.LONGEST_LINE);
          verses.set(number, List.of(new BarLyrics.Piece(from.get(where), words)));
          where.words = new BarLyrics(verses);
        });
  }

  List<ImportedBar> bars() {
    if (tick > 0 || !bar.tune.isEmpty()) {
      close(false);
    }
    return bars;
  }

  /** What sounds in each bar, ties as they are written. */
  List<List<ChordProposal.Tone>> tones() {
    List<List<ChordProposal.Tone>> tones = new ArrayList<>();
    for (ImportedBar each : bars) {
      List<ChordProposal.Tone> here = new ArrayList<>();
      for (ImportedNote note : each.tune) {
        note.wants()
            .forEach(
                w -> here.add(new ChordProposal.Tone(note.tick(), note.lengthTicks(), midi(w))));
      }
      tones.add(here);
    }
    return tones;
  }
}
