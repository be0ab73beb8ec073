package phalanx.formats.midi;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeMap;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import phalanx.chart.ChordProposal;
import phalanx.formats.FileProblem;
import phalanx.formats.ReaderGuard;
import phalanx.formats.SongReading;
import phalanx.formats.Texts;
import phalanx.formats.TuneSources;
import phalanx.formats.imported.ImportedBar;
import phalanx.formats.imported.ImportedNote;
import phalanx.formats.imported.ImportedSong;
import phalanx.formats.imported.TuneRange;
import phalanx.formats.text.ChordWord;
import phalanx.melody.Want;
import phalanx.song.BarLyrics;
import phalanx.song.ChordChange;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.song.SongBounds;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.Pitch;
import phalanx.theory.Quoted;
import phalanx.theory.Ticks;

/**
 * Reads a Standard MIDI File: the track that carries a tune, on the grid that its notes keep to,
 * with the chords that its texts name or that its notes make. One instance reads one file.
 */
public final class MidiReader {

  /** Largest file that is read, bytes. */
  public static final int MOST_BYTES = 8_000_000;

  /** Grids that are tried, in parts of a quarter, the coarsest first. */
  private static final int[] GRIDS = {2, 4, 3, 8, 6, 12};

  /** How far notes may be off the grid on average, in shares of a quarter. */
  private static final double OFF = 0.02;

  private final List<FileProblem> remarks = new ArrayList<>();

  private MidiReader() {}

  /** Reads the bytes of a file; without notes the song has no bars. */
  public static SongReading read(byte[] bytes) {
    return read(bytes, Optional.empty());
  }

  /**
   * The same with a track chosen.
   *
   * @param track its name among {@link SongReading#sources()}; any other is passed over
   */
  public static SongReading read(byte[] bytes, Optional<String> track) {
    return ReaderGuard.guarded(
        Texts.of("midiReader.midiFiles"),
        () -> new MidiReader().song(bytes, track),
        p -> new SongReading(Song.untitled(), List.of(p)));
  }

  private static SongReading refused(String words) {
    return new SongReading(Song.untitled(), List.of(new FileProblem(1, 1, words)));
  }

  private SongReading song(byte[] bytes, Optional<String> chosen) {
    Sequence sequence;
    try {
      sequence = MidiSystem.getSequence(new ByteArrayInputStream(bytes));
    } catch (InvalidMidiDataException | IOException | RuntimeException e) {
      return refused(Texts.of("midiReader.thisIsNoStandard"));
    }
    if (sequence.getDivisionType() != Sequence.PPQ || sequence.getResolution() < 1) {
      return refused(Texts.of("midiReader.itsTimesAreIn"));
    }
    MidiTracks tracks = MidiTracks.of(sequence);
    if (tracks.voices().isEmpty()) {
      return refused(Texts.of("midiReader.thereAreNoNotes"));
    }
    List<String> names =
        TuneSources.apart(tracks.voices().stream().map(MidiTracks.Voice::name).toList());
    MidiTracks.Voice tune =
        chosen
            .map(names::indexOf)
            .filter(at -> at >= 0)
            .map(tracks.voices()::get)
            .orElseGet(() -> likeliest(tracks.voices()));
    Optional<TuneSources> sources =
        Optional.of(new TuneSources(names, names.get(tracks.voices().indexOf(tune))))
            .filter(s -> s.names().size() > 1);
    sources
        .flatMap(TuneSources::words)
        .ifPresent(words -> remarks.add(new FileProblem(1, 1, words)));
    List<MidiTracks.Sound> all = new ArrayList<>();
    tracks.voices().forEach(v -> all.addAll(v.sounds()));
    int grid = grid(tune.sounds());
    remarks.add(new FileProblem(1, 1, Texts.of("midiReader.itsNotesAreRead", words(grid))));
    List<ImportedBar> bars = bars(tracks);
    if (bars.isEmpty()) {
      return refused(Texts.of("midiReader.thereAreNoBars"));
    }
    List<Integer> starts = starts(bars);
    tune(bars, starts, line(tune.sounds(), grid), tracks.key());
    Optional<Key> key = tracks.key();
    if (!chords(bars, starts, tracks.texts())) {
      key = Optional.of(ImportedSong.propose(bars, tones(bars, starts, all), key));
      remarks.add(new FileProblem(1, 1, Texts.of("midiReader.itNamesNoChords")));
    }
    words(bars, starts, tracks.lyrics());
    tracks
        .markers()
        .forEach((tick, text) -> bars.get(barAt(starts, tick)).label = Optional.of(text));
    String title = tracks.title().isBlank() ? "Untitled" : tracks.title();
    Song plain =
        Song.untitled().withTitle(Quoted.start(title, SongBounds.LONGEST_NAME)).withKey(key);
    TuneRange.Fitted fitted = TuneRange.of(ImportedSong.of(plain, bars));
    fitted.remark().ifPresent(remarks::add);
    return new SongReading(fitted.song(), List.of(), remarks, sources);
  }

  /**
   * The voice that is likeliest the tune: one that says so, else one that lies high, sounds one
   * note at a time, and sounds for much of the song.
   */
  private static MidiTracks.Voice likeliest(List<MidiTracks.Voice> voices) {
    int most = voices.stream().mapToInt(v -> v.sounds().size()).max().orElse(1);
    return voices.stream().max(Comparator.comparingDouble(v -> score(v, most))).orElseThrow();
  }

  private static double score(MidiTracks.Voice voice, int most) {
    String name = voice.name().toLowerCase(Locale.ROOT);
    boolean says = name.matches(".*\\b(tune|melody|vocals?|voice|lead|sing|solo|sopran\\w*)\\b.*");
    boolean denies = name.matches(".*\\b(bass|drums?|pads?|chords?|harmony|percussion)\\b.*");
    double height = voice.sounds().stream().mapToInt(MidiTracks.Sound::midi).average().orElse(0);
    double alone = 0;
    int end = -1;
    for (MidiTracks.Sound sound : voice.sounds()) {
      alone += sound.tick() >= end - Ticks.PER_QUARTER / 8 ? 1 : 0;
      end = Math.max(end, sound.tick() + sound.length());
    }
    alone /= voice.sounds().size();
    double busy = Math.sqrt((double) voice.sounds().size() / most);
    double range = height > 88 ? -1 : 0;
    return (says ? 10 : 0) - (denies ? 6 : 0) + height / 12 + 2 * alone + 2 * busy + range;
  }

  /** The coarsest grid that the onsets keep to, ticks. */
  private static int grid(List<MidiTracks.Sound> sounds) {
    int best = Ticks.PER_QUARTER / 4;
    double least = Double.POSITIVE_INFINITY;
    for (int parts : GRIDS) {
      int step = Ticks.PER_QUARTER / parts;
      double off = 0;
      for (MidiTracks.Sound sound : sounds) {
        int rest = sound.tick() % step;
        off += Math.min(rest, step - rest);
      }
      double mean = off / sounds.size() / Ticks.PER_QUARTER;
      if (mean <= OFF) {
        return step;
      }
      // Every grid twice as fine halves what is left over; only more than that speaks for it.
      if (mean * parts < least) {
        least = mean * parts;
        best = step;
      }
    }
    return best;
  }

  private static String words(int grid) {
    return switch (Ticks.PER_QUARTER / grid) {
      case 2 -> "eighths";
      case 4 -> "sixteenths";
      case 3 -> "triplets";
      case 8 -> "thirty-seconds";
      case 6 -> "sextuplets";
      default -> Texts.of("midiReader.aTwelfthOfA");
    };
  }

  /** The highest of what begins together, each up to the next. */
  private static List<MidiTracks.Sound> line(List<MidiTracks.Sound> sounds, int grid) {
    TreeMap<Integer, MidiTracks.Sound> at = new TreeMap<>();
    for (MidiTracks.Sound sound : sounds) {
      int tick = rounded(sound.tick(), grid);
      int end = Math.max(tick + grid, rounded(sound.tick() + sound.length(), grid));
      MidiTracks.Sound on = new MidiTracks.Sound(tick, end - tick, sound.midi());
      at.merge(tick, on, (a, b) -> b.midi() > a.midi() ? b : a);
    }
    List<MidiTracks.Sound> line = new ArrayList<>();
    at.forEach(
        (tick, sound) -> {
          Integer next = at.higherKey(tick);
          int length = next == null ? sound.length() : Math.min(sound.length(), next - tick);
          // A gap that is only how a player lets go is no rest.
          boolean small = next != null && next - tick - length <= grid / 2;
          line.add(new MidiTracks.Sound(tick, small ? next - tick : length, sound.midi()));
        });
    return line;
  }

  private static int rounded(int tick, int grid) {
    return (tick + grid / 2) / grid * grid;
  }

  private static List<ImportedBar> bars(MidiTracks tracks) {
    List<ImportedBar> bars = new ArrayList<>();
    int tick = 0;
    while (tick < tracks.end() && bars.size() < SongBounds.MOST_BARS) {
      Meter meter = tracks.meterAt(tick);
      ImportedBar bar = new ImportedBar(meter);
      Integer turns = tracks.meters().higherKey(tick);
      int length = turns == null ? meter.barTicks() : Math.min(meter.barTicks(), turns - tick);
      bar.tempo = tracks.tempoFrom(tick, tick + length);
      bars.add(bar);
      tick += length;
      Meter next = turns == null ? meter : tracks.meterAt(tick);
      if (bars.size() == 1
          && meter.barTicks() < next.barTicks()
          && turns != null
          && turns == tick) {
        // A short first bar before another metre is a pick-up of that metre.
        bar.meter = next;
        bar.lengthTicks = length;
      }
    }
    return bars;
  }

  private static List<Integer> starts(List<ImportedBar> bars) {
    List<Integer> starts = new ArrayList<>();
    int tick = 0;
    for (ImportedBar bar : bars) {
      starts.add(tick);
      tick += bar.lengthTicks > 0 ? bar.lengthTicks : bar.meter.barTicks();
    }
    starts.add(tick);
    return starts;
  }

  private static int barAt(List<Integer> starts, int tick) {
    int bar = 0;
    while (bar + 2 < starts.size() && starts.get(bar + 1) <= tick) {
      bar++;
    }
    return bar;
  }

  private static void tune(
      List<ImportedBar> bars,
      List<Integer> starts,
      List<MidiTracks.Sound> line,
      Optional<Key> key) {
    Key in = key.orElse(Key.parse("C").orElseThrow());
    for (MidiTracks.Sound sound : line) {
      int tick = sound.tick();
      int end = Math.min(sound.tick() + sound.length(), starts.get(starts.size() - 1));
      boolean goesOn = false;
      Pitch pitch = Pitch.of(sound.midi(), in.nameOf(Math.floorMod(sound.midi(), 12)));
      Want want = new Want.Sound(pitch, Optional.empty());
      while (tick < end) {
        int b = barAt(starts, tick);
        int until = Math.min(end, starts.get(b + 1));
        bars.get(b)
            .tune
            .add(ImportedNote.of(tick - starts.get(b), until - tick, List.of(want), goesOn));
        goesOn = true;
        tick = until;
      }
    }
  }

  /** Chords that texts name; false where they name none. */
  private static boolean chords(
      List<ImportedBar> bars, List<Integer> starts, TreeMap<Integer, String> texts) {
    TreeMap<Integer, Harmony> named = new TreeMap<>();
    texts.forEach(
        (tick, text) -> ChordWord.symbol(text.strip()).ifPresent(h -> named.put(tick, h)));
    if (named.isEmpty() || named.size() * 2 < texts.size()) {
      return false;
    }
    named.forEach(
        (tick, harmony) -> {
          int b = barAt(starts, tick);
          bars.get(b).chord(new ChordChange(tick - starts.get(b), harmony));
        });
    return true;
  }

  private static List<List<ChordProposal.Tone>> tones(
      List<ImportedBar> bars, List<Integer> starts, List<MidiTracks.Sound> all) {
    List<List<ChordProposal.Tone>> tones = new ArrayList<>();
    bars.forEach(b -> tones.add(new ArrayList<>()));
    for (MidiTracks.Sound sound : all) {
      int tick = sound.tick();
      int end = Math.min(sound.tick() + sound.length(), starts.get(starts.size() - 1));
      while (tick < end) {
        int b = barAt(starts, tick);
        int until = Math.min(end, starts.get(b + 1));
        tones.get(b).add(new ChordProposal.Tone(tick - starts.get(b), until - tick, sound.midi()));
        tick = until;
      }
    }
    return tones;
  }

  private static void words(
      List<ImportedBar> bars, List<Integer> starts, TreeMap<Integer, String> lyrics) {
    TreeMap<Integer, TreeMap<Integer, String>> byBar = new TreeMap<>();
    lyrics.forEach(
        (tick, text) -> {
          int b = barAt(starts, tick);
          byBar.computeIfAbsent(b, k -> new TreeMap<>()).put(tick - starts.get(b), text);
        });
    byBar.forEach(
        (b, pieces) -> {
          List<BarLyrics.Piece> words = new ArrayList<>();
          StringBuilder text = new StringBuilder();
          pieces.values().forEach(text::append);
          String all = text.toString().replaceAll("[\\r\\n/\\\\]", " ").strip();
          if (!all.isEmpty()) {
            words.add(
                new BarLyrics.Piece(pieces.firstKey(), Quoted.start(all, SongBounds.LONGEST_LINE)));
            bars.get(b).words = new BarLyrics(List.of(words));
          }
        });
  }
}
