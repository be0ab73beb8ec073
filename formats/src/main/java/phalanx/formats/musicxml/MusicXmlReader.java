package phalanx.formats.musicxml;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.audiveris.proxymusic.Harmony;
import org.audiveris.proxymusic.Note;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.util.Marshalling;
import phalanx.formats.FileProblem;
import phalanx.formats.ReaderGuard;
import phalanx.formats.SongReading;
import phalanx.formats.disk.DiskTrouble;
import phalanx.song.Feel;
import phalanx.song.Song;
import phalanx.song.SongBounds;
import phalanx.text.Phrase;
import phalanx.theory.Key;
import phalanx.theory.Quoted;

/**
 * Reads a score in MusicXML, plain or packed: the upper voice of its first part with pitched notes
 * as the tune, the chord symbols as the chart, bar lines, repeats, endings and jumps as they are
 * played. What a song cannot carry is told with its bar. One instance reads one score.
 */
public final class MusicXmlReader {

  /** Largest score that is read, packed or not, bytes. */
  public static final int MOST_BYTES = 12_000_000;

  private final ScoreFile file;
  private final ScorePartwise score;
  private final ScorePartwise.Part part;
  private final GuitarXml guitar;
  private final List<FileProblem> remarks = new ArrayList<>();

  private MusicXmlReader(ScoreFile file, ScorePartwise score, ScorePartwise.Part part) {
    this.file = file;
    this.score = score;
    this.part = part;
    guitar = GuitarXml.of(part);
    remarks.addAll(file.remarks());
  }

  /** Reads the bytes of a file; where it cannot be used at all the song has no bars. */
  public static SongReading read(byte[] bytes) {
    return ReaderGuard.guarded("scores", () -> reading(bytes), MusicXmlReader::refused);
  }

  private static SongReading reading(byte[] bytes) {
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
      return refused(new FileProblem(1, 1, DiskTrouble.reading(e)));
    } catch (Marshalling.UnmarshallingException e) {
      return refused(new FileProblem(1, 1, "this is not MusicXML"));
    }
  }

  private static SongReading refused(FileProblem problem) {
    return new SongReading(Song.untitled(), List.of(problem));
  }

  private static Optional<ScorePartwise.Part> pitched(ScorePartwise score) {
    return score.getPart().stream()
        .filter(p -> has(p, n -> n instanceof Note note && ScoreNote.isPitched(note)))
        .findFirst()
        .or(() -> score.getPart().stream().filter(p -> !p.getMeasure().isEmpty()).findFirst());
  }

  private static boolean has(ScorePartwise.Part part, Predicate<Object> wanted) {
    return part.getMeasure().stream()
        .flatMap(m -> m.getNoteOrBackupOrForward().stream())
        .anyMatch(wanted);
  }

  /** The part with chord symbols: the tune's own, or the first that has some. */
  private ScorePartwise.Part chorded() {
    return Stream.concat(Stream.of(part), score.getPart().stream())
        .filter(p -> has(p, Harmony.class::isInstance))
        .findFirst()
        .orElse(part);
  }

  private SongReading song() {
    List<MeasureFrame> frames = part.getMeasure().stream().map(MeasureFrame::of).toList();
    List<MeasureReader.Content> contents = contents(part, guitar.semitones());
    ScorePartwise.Part chorded = chorded();
    List<MeasureReader.Content> chords =
        chorded == part ? contents : contents(chorded, GuitarXml.of(chorded).semitones());
    int first = measuresBefore();
    ScoreBars bars = new ScoreBars(frames, m -> file.line(first + m), remarks);
    UpperVoice upper = UpperVoice.of(contents);
    upper.doubt().ifPresent(words -> remarks.add(new FileProblem(file.line(first), 1, words)));
    for (int m = 0; m < frames.size(); m++) {
      MeasureReader.Content content = contents.get(m);
      bars.add(content, upper.in(content), m < chords.size() ? chords.get(m).chords() : List.of());
    }
    Optional<Key> key = frames.stream().flatMap(f -> f.key().stream()).findFirst();
    Song plain = Song.untitled().withTitle(title()).withKey(key).withFeel(feel(frames, bars));
    Song whole = new ScoreForm(frames, bars, remarks, m -> file.line(first + m)).over(plain);
    return new SongReading(guitar.counted(whole), List.of(), remarks);
  }

  private static List<MeasureReader.Content> contents(ScorePartwise.Part part, int semitones) {
    MeasureReader reader = new MeasureReader(semitones);
    return part.getMeasure().stream().map(reader::next).toList();
  }

  private int measuresBefore() {
    return score.getPart().subList(0, score.getPart().indexOf(part)).stream()
        .mapToInt(p -> p.getMeasure().size())
        .sum();
  }

  private String title() {
    String work = score.getWork() == null ? null : score.getWork().getWorkTitle();
    String title = work == null || work.isBlank() ? score.getMovementTitle() : work;
    String name = title == null || title.isBlank() ? "Untitled" : title.strip();
    if (name.length() > SongBounds.LONGEST_NAME) {
      remarks.add(
          new FileProblem(
              1, 1, Phrase.of("the title has more than %d signs", SongBounds.LONGEST_NAME)));
    }
    return Quoted.start(name, SongBounds.LONGEST_NAME);
  }

  /** Metre, tempo and pick-up that the song begins with. */
  private Feel feel(List<MeasureFrame> frames, ScoreBars bars) {
    double tempo = frames.get(0).tempo().orElse(Feel.USUAL_TEMPO);
    if (!Feel.isTempo(tempo)) {
      String words = "a tempo of %.0f is left out: no hand plays it";
      remarks.add(new FileProblem(file.line(measuresBefore()), 1, Phrase.of(words, tempo)));
    }
    double within = Math.max(Feel.SLOWEST, Math.min(Feel.FASTEST, tempo));
    return Feel.USUAL
        .withMeter(bars.meter(0))
        .withTempo(Double.isNaN(within) ? Feel.USUAL_TEMPO : within)
        .withPickup(bars.pickupTicks());
  }
}
