package phalanx.formats.abc;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.chart.ChordProposal;
import phalanx.formats.FileProblem;
import phalanx.formats.Texts;
import phalanx.formats.imported.ImportedBar;
import phalanx.formats.imported.ImportedNote;
import phalanx.melody.BarTune;
import phalanx.melody.Want;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.song.SongBounds;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.Meter;
import phalanx.theory.Quoted;

/** The notes of one voice, line by line. */
final class AbcVoice {

  /** No word of a tune, a chord or a group of notes, is longer than so many signs. */
  private static final int LOOK_AHEAD = 300;

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
  private final AbcBars bars;
  private final AbcRhythm rhythm;
  private final AbcWords words = new AbcWords();
  private final AbcPitches pitches;
  private boolean tied;
  private boolean hasChords;
  private boolean sounds;
  private final List<Want> graces = new ArrayList<>();
  private boolean told;
  private boolean overlaid;
  private boolean inGraces;

  AbcVoice(AbcHead head, List<FileProblem> problems, List<FileProblem> remarks) {
    this.head = head;
    this.problems = problems;
    this.remarks = remarks;
    bars = new AbcBars(head.meter, problems);
    rhythm = new AbcRhythm(head.unitTicks());
    pitches = new AbcPitches(head.key);
    octaves(head.octaves);
  }

  void meter(Meter other) {
    bars.meter(other);
  }

  void unit(int ticks) {
    rhythm.unit(ticks);
  }

  void key(AbcHead.Signed other) {
    pitches.key(other);
  }

  /** What follows sounds so many octaves above what is written; as before where nothing is said. */
  void octaves(AbcOctaves said) {
    said.octaves().ifPresent(pitches::octavesUp);
  }

  void tempo(Optional<Double> tempo) {
    bars.tempo(tempo);
  }

  void label(String label) {
    bars.label(label);
  }

  boolean hasChords() {
    return hasChords;
  }

  boolean sounds() {
    return sounds;
  }

  /** One line of notes. */
  void music(int number, String text) {
    words.begin();
    int at = 0;
    while (at < text.length() && !bars.isFull()) {
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
      return at + bars.line(line, rest);
    }
    Matcher ends = ENDING.matcher(rest);
    if (sign == '[' && ends.lookingAt()) {
      bars.opens(ends.group(1));
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
      Matcher group = TUPLET.matcher(rest);
      if (group.lookingAt()) {
        rhythm.group(group, bars.meter().isCompound());
        return at + group.end();
      }
      return at + 1;
    } else if (sign == '-') {
      tied = true;
      return at + 1;
    } else if (sign == '>' || sign == '<') {
      return broken(rest, at);
    }
    if (sign == '&') {
      return overlay(number, text, at);
    }
    Matcher note = AbcPitches.NOTE.matcher(rest);
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

  /** A second voice from the start of the bar on: the first one is the tune. */
  private int overlay(int number, String text, int at) {
    if (!overlaid) {
      overlaid = true;
      remarks.add(new FileProblem(number, at + 1, Texts.of("abcVoice.theSecondVoiceOf")));
    }
    int line = text.indexOf('|', at);
    int end = line < 0 ? text.length() : line;
    return end > at + 1 && text.charAt(end - 1) == ':' ? end - 1 : end;
  }

  private void inline(char name, String value) {
    switch (name) {
      case 'M' -> AbcHead.meter(value).ifPresent(this::meter);
      case 'L' -> AbcHead.length(value).ifPresent(this::unit);
      case 'K' -> {
        octaves(AbcOctaves.of(value));
        if (!AbcHead.isClefAlone(value)) {
          key(AbcHead.key(value));
        }
      }
      case 'Q' -> head.tempo(value).ifPresent(t -> tempo(Optional.of(t)));
      case 'P' -> label(value);
      default -> {
        // Notes, remarks and instructions to other programs: nothing of the tune.
      }
    }
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
    bars.now().chord(new ChordChange(bars.tick(), harmony));
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
    List<ImportedNote> tune = bars.now().tune;
    ImportedNote last = tune.isEmpty() ? null : tune.get(tune.size() - 1);
    if (last != null && last.tick() + last.lengthTicks() == bars.tick()) {
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
      bars.tick(last.tick() + length);
    }
    rhythm.next(2 - first);
    return at + count;
  }

  private void note(Matcher m) {
    Want.Sound want = pitches.of(m, bars.now());
    if (inGraces) {
      graces.add(want);
      return;
    }
    strike(List.of(want), rhythm.taken(rhythm.length(m.group(4), m.group(5))));
  }

  private void strike(List<Want> wants, int ticks) {
    int tick = bars.tick();
    if (tick + ticks <= BarTune.LONGEST) {
      bars.now()
          .tune
          .add(
              new ImportedNote(
                  tick,
                  ticks,
                  wants,
                  tied && sounds,
                  Optional.empty(),
                  List.copyOf(graces),
                  Set.of()));
      words.struck(bars.now(), tick);
      bars.tick(tick + ticks);
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
    Matcher note = AbcPitches.NOTE.matcher(rest.substring(1, close));
    while (note.find()) {
      wants.add(pitches.of(note, bars.now()));
      inside = inside == 0 ? rhythm.length(note.group(4), note.group(5)) : inside;
    }
    Matcher behind = LENGTH.matcher(rest.substring(close + 1));
    int end = at + close + 1;
    int ticks = Math.max(inside, 1);
    if (behind.lookingAt() && behind.end() > 0) {
      long times = rhythm.length(behind.group(1), behind.group(2));
      ticks = (int) (ticks * times / rhythm.unit());
      end += behind.end();
    }
    if (!wants.isEmpty()) {
      wants.sort((a, b) -> midi(b) - midi(a));
      strike(wants, rhythm.taken(Math.max(1, ticks)));
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
        bars.tick(bars.meter().barTicks());
        if (b + 1 < count) {
          bars.close(false);
        }
      }
      return;
    }
    int ticks = rhythm.taken(rhythm.length(m.group(2), m.group(3)));
    bars.tick(Math.min(BarTune.LONGEST, bars.tick() + ticks));
  }

  /** Syllables under the notes of the line before. */
  void words(String line) {
    words.words(line);
  }

  List<ImportedBar> bars() {
    return bars.all();
  }

  /** What sounds in each bar, ties as they are written. */
  List<List<ChordProposal.Tone>> tones() {
    List<List<ChordProposal.Tone>> tones = new ArrayList<>();
    for (ImportedBar each : bars.all()) {
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
