package phalanx.formats.musicxml;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.audiveris.proxymusic.Harmony;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.util.Marshalling;
import phalanx.formats.FileProblem;
import phalanx.formats.SongReading;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.Feel;
import phalanx.song.Section;
import phalanx.song.Song;
import phalanx.song.Tune;
import phalanx.theory.Key;
import phalanx.theory.Meter;
import phalanx.theory.Ticks;

/**
 * Reads a score in MusicXML, plain or packed: the upper voice of its first part with pitched notes
 * as the tune, the chord symbols as the chart, bar lines, repeats and endings as they stand. One
 * instance reads one score.
 */
public final class MusicXmlReader {

  private final ScoreFile file;
  private final ScorePartwise score;
  private final ScorePartwise.Part part;
  private final GuitarXml guitar;
  private final List<FileProblem> problems = new ArrayList<>();
  private final List<Section> sections = new ArrayList<>();
  private final List<Bar> bars = new ArrayList<>();
  private String label = "Song";
  private Tune tune = Tune.NONE;
  private Feel feel = Feel.USUAL;
  private Optional<Key> key = Optional.empty();
  private Meter meter = Meter.FOUR_FOUR;
  private Meter written = meter;
  private Set<Integer> ending = Set.of();
  private int nextId = 1;

  private MusicXmlReader(ScoreFile file, ScorePartwise score, ScorePartwise.Part part) {
    this.file = file;
    this.score = score;
    this.part = part;
    guitar = GuitarXml.of(part);
  }

  /** Reads the bytes of a file; where it cannot be used at all the song has no bars. */
  public static SongReading read(byte[] bytes) {
    try {
      ScoreFile file = ScoreFile.of(bytes);
      if (file.fault().isPresent()) {
        return refused(file.fault().get());
      }
      Object root =
          Marshalling.unmarshal(
              new ByteArrayInputStream(file.text().getBytes(StandardCharsets.UTF_8)));
      if (!(root instanceof ScorePartwise score)) {
        return refused(new FileProblem(1, 1, "expected a MusicXML score written part by part"));
      }
      return pitched(score)
          .map(p -> new MusicXmlReader(file, score, p).song())
          .orElseGet(() -> refused(new FileProblem(1, 1, "there are no notes in this score")));
    } catch (IOException e) {
      return refused(new FileProblem(1, 1, e.getMessage()));
    } catch (Marshalling.UnmarshallingException e) {
      return refused(new FileProblem(1, 1, "this is not MusicXML"));
    }
  }

  private static SongReading refused(FileProblem problem) {
    return new SongReading(Song.untitled(), List.of(problem));
  }

  private static Optional<ScorePartwise.Part> pitched(ScorePartwise score) {
    return score.getPart().stream()
        .filter(p -> notes(p).stream().anyMatch(n -> MeasureReader.isPitched(n)))
        .findFirst()
        .or(() -> score.getPart().stream().filter(p -> !p.getMeasure().isEmpty()).findFirst());
  }

  private static List<Note> notes(ScorePartwise.Part part) {
    return part.getMeasure().stream()
        .flatMap(m -> m.getNoteOrBackupOrForward().stream())
        .filter(Note.class::isInstance)
        .map(Note.class::cast)
        .toList();
  }

  /** On the first staff the voice that lies highest. */
  private MeasureReader.Voice voice() {
    Map<MeasureReader.Voice, List<Integer>> heights = new HashMap<>();
    for (Note note : notes(part)) {
      if (MeasureReader.isPitched(note)) {
        int height = note.getPitch().getOctave() * 7 + note.getPitch().getStep().ordinal();
        heights.computeIfAbsent(MeasureReader.Voice.of(note), v -> new ArrayList<>()).add(height);
      }
    }
    return heights.entrySet().stream()
        .min(
            Comparator.<Map.Entry<MeasureReader.Voice, List<Integer>>>comparingInt(
                    e -> e.getKey().staff())
                .thenComparing(e -> -e.getValue().stream().mapToInt(h -> h).average().orElse(0)))
        .map(Map.Entry::getKey)
        .orElse(new MeasureReader.Voice(1, "1"));
  }

  /** The part with chord symbols: the tune's own, or the first that has some. */
  private ScorePartwise.Part chorded() {
    return java.util.stream.Stream.concat(
            java.util.stream.Stream.of(part), score.getPart().stream())
        .filter(
            p ->
                p.getMeasure().stream()
                    .flatMap(m -> m.getNoteOrBackupOrForward().stream())
                    .anyMatch(Harmony.class::isInstance))
        .findFirst()
        .orElse(part);
  }

  private SongReading song() {
    MeasureReader tunes = new MeasureReader(voice());
    ScorePartwise.Part chorded = chorded();
    MeasureReader chords = new MeasureReader(new MeasureReader.Voice(1, ""));
    int first = measuresBefore();
    for (int m = 0; m < part.getMeasure().size(); m++) {
      MeasureReader.Content content = tunes.next(part.getMeasure().get(m));
      if (chorded != part && m < chorded.getMeasure().size()) {
        content =
            new MeasureReader.Content(
                content.tune(),
                chords.next(chorded.getMeasure().get(m)).chords(),
                content.lengthTicks());
      }
      bar(MeasureFrame.of(part.getMeasure().get(m)), content, m, file.line(first + m));
    }
    close();
    Song plain =
        Song.untitled()
            .withTitle(title())
            .withKey(key)
            .withFeel(feel)
            .editChart(c -> new Chart(sections))
            .withTune(tune);
    return new SongReading(guitar.counted(plain), problems);
  }

  private int measuresBefore() {
    int before = 0;
    for (ScorePartwise.Part p : score.getPart()) {
      if (p == part) {
        break;
      }
      before += p.getMeasure().size();
    }
    return before;
  }

  private String title() {
    String work = score.getWork() == null ? null : score.getWork().getWorkTitle();
    String title = work == null || work.isBlank() ? score.getMovementTitle() : work;
    return title == null || title.isBlank() ? "Untitled" : title.strip();
  }

  private void bar(MeasureFrame frame, MeasureReader.Content content, int place, int line) {
    frame.label().ifPresent(this::section);
    boolean first = place == 0;
    frame.key().filter(k -> key.isEmpty()).ifPresent(k -> key = Optional.of(k));
    metre(frame, line);
    if (first) {
      begin(frame, content);
    } else {
      frame.tempo().ifPresent(t -> laterTempo(t, line));
    }
    if (frame.jumps()) {
      problem(line, "jumps such as D.S. and D.C. are not read: the bars stand as written");
    }
    content.chords().stream()
        .filter(c -> c.harmony() instanceof phalanx.song.Harmony.Unread)
        .forEach(c -> problem(line, "expected a chord, found “" + c.harmony().label() + "”"));
    ending = frame.ending().isEmpty() ? ending : frame.ending();
    Meter length = length(frame, content, first);
    int id = nextId++;
    bars.add(
        Bar.of(id, content.chords())
            .withMeter(length.equals(written) ? Optional.empty() : Optional.of(length))
            .startingRepeat(frame.repeatStart())
            .endingRepeat(frame.plays())
            .inPasses(ending));
    written = length;
    if (!content.tune().isSilent()) {
      tune = tune.with(id, content.tune());
    }
    ending = frame.endingStops() ? Set.of() : ending;
  }

  private void metre(MeasureFrame frame, int line) {
    if (frame.metre().isPresent() && frame.meter().isEmpty()) {
      problem(line, "expected a metre such as 4/4, found “" + frame.metre().get() + "”");
    }
    meter = frame.meter().orElse(meter);
  }

  /** What the first measure says holds for the song; one that is short is a pick-up. */
  private void begin(MeasureFrame frame, MeasureReader.Content content) {
    int length = content.lengthTicks();
    boolean pickup = length > 0 && length < meter.barTicks() && part.getMeasure().size() > 1;
    double tempo =
        Math.max(Feel.SLOWEST, Math.min(Feel.FASTEST, frame.tempo().orElse(Feel.USUAL_TEMPO)));
    feel = Feel.USUAL.withMeter(meter).withTempo(tempo).withPickup(pickup ? length : 0);
    written = meter;
  }

  private void laterTempo(double tempo, int line) {
    if (Math.abs(tempo - feel.tempo()) > 1) {
      problem(line, "the tempo changes to %.0f here: the song keeps its first".formatted(tempo));
    }
  }

  /** A bar that is longer than its metre, or not counted and shorter, has one of its own. */
  private Meter length(MeasureFrame frame, MeasureReader.Content content, boolean first) {
    int length = content.lengthTicks();
    boolean odd =
        length > meter.barTicks() || frame.implicit() && length > 0 && length < meter.barTicks();
    if (first || !odd) {
      return meter;
    }
    for (int unit : List.of(4, 8, 16)) {
      int part = Ticks.PER_WHOLE / unit;
      if (length % part == 0 && length / part <= 32) {
        return new Meter(length / part, unit);
      }
    }
    return meter;
  }

  private void problem(int line, String message) {
    problems.add(new FileProblem(line, 1, message));
  }

  private void section(String next) {
    close();
    label = next;
  }

  private void close() {
    if (!bars.isEmpty()) {
      sections.add(Section.of(100_000 + sections.size(), label, List.copyOf(bars)));
      bars.clear();
    }
  }
}
