package phalanx.formats.abc;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import phalanx.formats.FileProblem;
import phalanx.formats.ReaderGuard;
import phalanx.formats.SongReading;
import phalanx.formats.Texts;
import phalanx.formats.imported.ImportedBar;
import phalanx.formats.imported.ImportedSong;
import phalanx.formats.imported.TuneRange;
import phalanx.instrument.Guitar;
import phalanx.song.Credits;
import phalanx.song.Feel;
import phalanx.song.Song;
import phalanx.song.SongBounds;
import phalanx.text.Phrase;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.Quoted;

/**
 * Reads the first tune of a file in ABC 2.1: head, notes, chord symbols, repeats, tuplets, grace
 * notes and words. Of several voices the one with chord symbols, or the first, is the tune. One
 * instance reads one file.
 */
public final class AbcReader {

  private static final Pattern VOICE = Pattern.compile("\\[V:([^\\]]{1,200})\\]");

  private final List<FileProblem> problems = new ArrayList<>();
  private final List<FileProblem> remarks = new ArrayList<>();
  private final Map<String, AbcVoice> voices = new LinkedHashMap<>();
  private final Map<String, AbcOctaves> octaves = new HashMap<>();
  private final List<String> lyrics = new ArrayList<>();
  private final AbcHead head = new AbcHead();
  private String voice = "1";
  private boolean body;
  private int capo;

  private AbcReader() {}

  /** Reads the bytes of a file. */
  public static SongReading read(byte[] bytes) {
    String utf8 = new String(bytes, StandardCharsets.UTF_8);
    // Older files are in Latin-1, where what is no UTF-8 shows as signs that stand for nothing.
    String text =
        utf8.indexOf('\uFFFD') < 0 ? utf8 : new String(bytes, StandardCharsets.ISO_8859_1);
    return read(text);
  }

  /** Reads a whole file. */
  public static SongReading read(String text) {
    return ReaderGuard.guarded(
        Texts.of("abcReader.tunesInLetters"),
        () -> new AbcReader().song(text),
        p -> new SongReading(Song.untitled(), List.of(p)));
  }

  private SongReading song(String text) {
    List<String> lines = text.lines().toList();
    boolean begun = false;
    for (int l = 0; l < lines.size(); l++) {
      String line = l == 0 ? lines.get(l).replaceFirst("^\uFEFF", "") : lines.get(l);
      if (line.startsWith("X:")) {
        if (begun) {
          remarks.add(new FileProblem(l + 1, 1, Texts.of("abcReader.onlyTheFirstTune")));
          break;
        }
        begun = true;
      }
      line(l + 1, line);
      if (body && line.isBlank() && begun) {
        // A blank line ends a tune; only another tune may follow.
        if (lines.subList(l, lines.size()).stream().anyMatch(x -> x.startsWith("X:"))) {
          remarks.add(new FileProblem(l + 1, 1, Texts.of("abcReader.onlyTheFirstTune")));
        }
        break;
      }
    }
    return finish();
  }

  private void line(int number, String line) {
    int comment = line.startsWith("%") ? 0 : uncommented(line);
    String text = comment < 0 ? line : line.substring(0, comment);
    if (text.isBlank()) {
      return;
    }
    boolean field =
        text.length() > 1 && text.charAt(1) == ':' && Character.isLetter(text.charAt(0));
    if (field || text.startsWith("+:")) {
      field(number, text.charAt(0), text.substring(2).strip());
    } else if (body) {
      music(number, text);
    }
  }

  /** A line of notes, in which other voices may begin. */
  private void music(int number, String text) {
    Matcher begins = VOICE.matcher(text);
    int from = 0;
    while (begins.find()) {
      music(number, text, from, begins.start());
      voice(number, begins.group(1).strip());
      from = begins.end();
    }
    music(number, text, from, text.length());
  }

  private void music(int number, String text, int from, int to) {
    if (!text.substring(from, to).isBlank()) {
      // Blanks before it, so that what cannot be read is told where it stands.
      voice().music(number, " ".repeat(from) + text.substring(from, to));
    }
  }

  /** Where a comment begins; a percent sign behind a backslash is none. */
  private static int uncommented(String line) {
    for (int at = line.indexOf('%'); at >= 0; at = line.indexOf('%', at + 1)) {
      if (at == 0 || line.charAt(at - 1) != '\\') {
        return at;
      }
    }
    return -1;
  }

  private AbcVoice voice() {
    return voices.computeIfAbsent(
        voice,
        v -> {
          AbcVoice begun = new AbcVoice(head, problems, remarks);
          begun.octaves(octaves.getOrDefault(v, AbcOctaves.UNSAID));
          return begun;
        });
  }

  private void field(int number, char name, String value) {
    switch (name) {
      case 'T' -> head.title(value);
      case 'C' -> head.composer = value;
      case 'M' -> meter(number, value);
      case 'L' -> unit(number, value);
      case 'Q' -> tempo(number, value);
      case 'K' -> key(number, value);
      case 'V' -> voice(number, value);
      case 'P' -> {
        if (body) {
          voice().label(value);
        }
      }
      case 'N' -> capo(value);
      case 'w' -> voice().words(value);
      case 'W' -> lyrics.add(Quoted.start(value, SongBounds.LONGEST_LINE));
      default -> {
        // Where a tune comes from, who collected it and the like: nothing of its notes.
      }
    }
  }

  private void voice(int number, String value) {
    voice = value.split("\\s", 2)[0];
    AbcOctaves said = octaves(number, value);
    if (body) {
      voice().octaves(said);
    } else {
      octaves.put(voice, said);
    }
  }

  private AbcOctaves octaves(int number, String value) {
    AbcOctaves said = AbcOctaves.of(value);
    if (said.odd() != 0) {
      remarks.add(
          new FileProblem(number, 1, Texts.of("abcReader.asWrittenNotSemitones", said.odd())));
    }
    return said;
  }

  private void capo(String value) {
    Matcher said = Pattern.compile("(?i)\\bcapo\\s+(\\d{1,2})\\b").matcher(value);
    if (said.find() && Integer.parseInt(said.group(1)) <= Guitar.HIGHEST_CAPO) {
      capo = Integer.parseInt(said.group(1));
    }
  }

  private void meter(int number, String value) {
    Optional<Meter> meter = AbcHead.meter(value);
    if (meter.isEmpty()) {
      if (!value.equalsIgnoreCase("none") && !value.isEmpty()) {
        problem(number, Texts.of("abcReader.expectedAMetreSuch", Quoted.of(value)));
      }
      return;
    }
    if (body) {
      voice().meter(meter.get());
    } else {
      head.meter = meter.get();
    }
  }

  private void unit(int number, String value) {
    Optional<Integer> unit = AbcHead.length(value);
    if (unit.isEmpty()) {
      problem(number, Texts.of("abcReader.expectedANoteLength", Quoted.of(value)));
    } else if (body) {
      voice().unit(unit.get());
    } else {
      head.unit = unit;
    }
  }

  private void tempo(int number, String value) {
    Optional<Double> tempo = head.tempo(value);
    if (tempo.isEmpty() && value.matches(".*\\d.*")) {
      problem(number, Texts.of("abcReader.expectedATempoSuch", Quoted.of(value)));
    } else if (tempo.isPresent() && !Feel.isTempo(tempo.get())) {
      remarks.add(new FileProblem(number, 1, Texts.of("abcReader.aTempoOfIs", tempo.get())));
    } else if (body) {
      voice().tempo(tempo);
    } else {
      head.tempo = tempo;
    }
  }

  private void key(int number, String value) {
    AbcOctaves said = octaves(number, value);
    if (body) {
      voice().octaves(said);
    } else {
      head.octaves = said;
    }
    if (body && AbcHead.isClefAlone(value)) {
      return;
    }
    AbcHead.Signed signed = AbcHead.key(value);
    if (signed.doubtful()) {
      remarks.add(
          new FileProblem(number, 1, Texts.of("abcReader.thisKeyIsRead", Quoted.of(value))));
    }
    if (body) {
      voice().key(signed);
    } else {
      head.key = signed;
      body = true;
    }
  }

  private void problem(int line, String words) {
    problems.add(new FileProblem(line, 1, words));
  }

  private SongReading finish() {
    Optional<AbcVoice> tune =
        voices.values().stream()
            .filter(AbcVoice::hasChords)
            .findFirst()
            .or(() -> voices.values().stream().filter(AbcVoice::sounds).findFirst())
            .or(() -> voices.values().stream().findFirst());
    List<ImportedBar> bars = tune.map(AbcVoice::bars).orElse(List.of());
    if (bars.isEmpty()) {
      problem(1, Texts.of("abcReader.expectedNotesBehindA"));
      return new SongReading(Song.untitled(), problems, remarks);
    }
    if (voices.size() > 1) {
      String words = Texts.of("abcReader.ofVoicesOneIs");
      remarks.add(new FileProblem(1, 1, Phrase.of(words, voices.size())));
    }
    Optional<Key> key = head.key.key();
    if (!tune.get().hasChords()) {
      key = Optional.of(ImportedSong.propose(bars, tune.get().tones(), key));
      remarks.add(new FileProblem(1, 1, Texts.of("abcReader.itHasNoChord")));
    }
    Song plain =
        Song.untitled()
            .withTitle(head.title.isEmpty() ? "Untitled" : head.title)
            .withCredits(new Credits(Quoted.start(head.composer, SongBounds.LONGEST_NAME), ""))
            .withKey(key)
            .withGuitar(Song.untitled().guitar().withCapo(capo))
            .withLyrics(lyrics.stream().limit(SongBounds.MOST_LINES).toList());
    if (head.tempo.isPresent()) {
      plain = plain.withTempo(head.tempo.get());
    }
    TuneRange.Fitted fitted = TuneRange.of(ImportedSong.of(plain, bars));
    fitted.remark().ifPresent(remarks::add);
    return new SongReading(fitted.song(), problems, remarks);
  }
}
