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
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.util.Marshalling;
import phalanx.formats.FileProblem;
import phalanx.formats.ReaderGuard;
import phalanx.formats.SongReading;
import phalanx.formats.Texts;
import phalanx.formats.TuneSources;
import phalanx.formats.disk.DiskTrouble;
import phalanx.formats.imported.GuitarPart;
import phalanx.formats.imported.TuneRange;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.song.ChordChange;
import phalanx.song.Feel;
import phalanx.song.Lyrics;
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
    return read(bytes, Optional.empty());
  }

  /**
   * The same with the part chosen.
   *
   * @param part the name of a part or voice in {@link SongReading#sources()}; any other is passed
   *     over
   */
  public static SongReading read(byte[] bytes, Optional<String> part) {
    return ReaderGuard.guarded("scores", () -> reading(bytes, part), MusicXmlReader::refused);
  }

  private static SongReading reading(byte[] bytes, Optional<String> chosen) {
    try {
      ScoreFile file = ScoreFile.of(bytes);
      if (file.fault().isPresent()) {
        return refused(file.fault().get());
      }
      Object root =
          Marshalling.unmarshal(
              new ByteArrayInputStream(file.text().getBytes(StandardCharsets.UTF_8)));
      if (!(root instanceof ScorePartwise score)) {
        return refused(new FileProblem(1, 1, Texts.of("musicXmlReader.expectedAMusicxmlScore")));
      }
      TunePart parts = new TunePart(score);
      return chosen
          .flatMap(parts::called)
          .or(() -> parts.likeliest().map(p -> new TunePart.Chosen(p, Optional.empty())))
          .map(c -> new MusicXmlReader(file, score, c.part()).song(parts, c.voice()))
          .orElseGet(
              () -> refused(new FileProblem(1, 1, Texts.of("musicXmlReader.thereAreNoNotes"))));
    } catch (IOException e) {
      return refused(new FileProblem(1, 1, DiskTrouble.reading(e)));
    } catch (Marshalling.UnmarshallingException e) {
      return refused(new FileProblem(1, 1, Texts.of("musicXmlReader.thisIsNotMusicxml")));
    }
  }

  private static SongReading refused(FileProblem problem) {
    return new SongReading(Song.untitled(), List.of(problem));
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

  private SongReading song(TunePart parts, Optional<String> voice) {
    List<MeasureFrame> frames = part.getMeasure().stream().map(MeasureFrame::of).toList();
    List<MeasureReader.Content> contents = contents(part, guitar.semitones());
    ScorePartwise.Part chorded = chorded();
    int sounds = GuitarXml.of(chorded).semitones();
    List<MeasureReader.Content> chords = chorded == part ? contents : contents(chorded, sounds);
    int first = measuresBefore();
    ScoreBars bars = new ScoreBars(frames, m -> file.line(first + m), remarks);
    UpperVoice upper = UpperVoice.of(contents, voice);
    Optional<TuneSources> sources = sources(parts, upper, voice);
    // A voice that is chosen is a tune, whatever else the part says.
    Optional<GuitarScore> places = upper.isChosen() ? Optional.empty() : places(contents, frames);
    sources
        .flatMap(
            c -> places.isPresent() ? c.words(Texts.of("musicXmlReader.bothHandsAre")) : c.words())
        .ifPresent(words -> remarks.add(new FileProblem(file.line(first), 1, words)));
    if (places.isEmpty()) {
      upper.doubt().ifPresent(words -> remarks.add(new FileProblem(file.line(first), 1, words)));
    }
    boolean named = chords.stream().anyMatch(c -> !c.chords().isEmpty());
    Optional<Key> key = frames.stream().flatMap(f -> f.key().stream()).findFirst();
    ProposedChords proposed = new ProposedChords(score, contents, guitar.semitones(), key);
    for (int m = 0; m < frames.size(); m++) {
      MeasureReader.Content content = contents.get(m);
      List<ChordChange> written =
          m < chords.size()
              ? moved(chords.get(m).chords(), sounds - guitar.semitones())
              : List.of();
      bars.add(
          content,
          places.isPresent() ? List.of() : upper.in(content),
          named ? written : proposed.in(m, content.lengthTicks()));
    }
    if (!named) {
      key = Optional.of(proposed.key());
      remarks.add(new FileProblem(file.line(first), 1, Texts.of("musicXmlReader.itHasNoChord")));
    }
    Song plain =
        Song.untitled()
            .withTitle(title())
            .withCredits(ScoreCredits.of(score))
            .withKey(key)
            .withFeel(feel(frames, bars));
    Song whole = new ScoreForm(frames, bars, remarks, m -> file.line(first + m)).over(plain);
    whole = whole.withWords(new Lyrics(List.of(), ScoreWords.of(part, whole)));
    Song counted = guitar.counted(whole);
    if (places.isPresent()) {
      return new SongReading(placed(places.get(), counted, first), List.of(), remarks, sources);
    }
    TuneRange.Fitted fitted = TuneRange.of(counted);
    fitted.remark().ifPresent(remarks::add);
    return new SongReading(fitted.song(), List.of(), remarks, sources);
  }

  /** The parts of the score, behind this one its voices; empty where there is but one. */
  private Optional<TuneSources> sources(TunePart parts, UpperVoice upper, Optional<String> voice) {
    String own = parts.nameOf(part);
    List<String> names = new ArrayList<>();
    for (String name : parts.names()) {
      names.add(name);
      if (name.equals(own) && upper.voices().size() > 1) {
        upper.voices().forEach(v -> names.add(TuneSources.voice(name, v)));
      }
    }
    String taken = upper.isChosen() ? TuneSources.voice(own, voice.orElseThrow()) : own;
    return names.size() > 1 ? Optional.of(new TuneSources(names, taken)) : Optional.empty();
  }

  /** Chords of a part that is written in another key than the tune’s. */
  private static List<ChordChange> moved(List<ChordChange> chords, int semitones) {
    int up = Math.floorMod(semitones, 12);
    return up == 0
        ? chords
        : chords.stream()
            .map(
                c ->
                    new ChordChange(
                        c.tick(), c.harmony().up(Key.parse("C").orElseThrow().intervalUp(up))))
            .toList();
  }

  /** The places on the neck, where the part says them for most of its notes. */
  private Optional<GuitarScore> places(
      List<MeasureReader.Content> contents, List<MeasureFrame> frames) {
    Guitar on =
        Song.untitled()
            .guitar()
            .withTuning(guitar.tuning().orElse(Tuning.STANDARD))
            .withCapo(guitar.capo());
    return GuitarScore.of(
        contents, on, guitar.semitones() - guitar.capo(), ScoreCredits.tuneMeasures(score, frames));
  }

  /** The song with what is played of each of its bars pinned. */
  private Song placed(GuitarScore places, Song song, int first) {
    if (places.unplaced() > 0) {
      String words = Texts.of("musicXmlReader.notesHaveNoPlace");
      remarks.add(new FileProblem(file.line(first), 1, Phrase.of(words, places.unplaced())));
    }
    return GuitarPart.over(
        song, id -> id <= part.getMeasure().size() ? places.notes(id - 1) : List.of());
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
              1, 1, Texts.of("musicXmlReader.theTitleHasMore", SongBounds.LONGEST_NAME)));
    }
    return Quoted.start(name, SongBounds.LONGEST_NAME);
  }

  /** Metre, tempo and pick-up that the song begins with. */
  private Feel feel(List<MeasureFrame> frames, ScoreBars bars) {
    double tempo = frames.get(0).tempo().orElse(Feel.USUAL_TEMPO);
    if (!Feel.isTempo(tempo)) {
      String words = Texts.of("musicXmlReader.aTempoOfIs");
      remarks.add(new FileProblem(file.line(measuresBefore()), 1, Phrase.of(words, tempo)));
    }
    double within = Math.max(Feel.SLOWEST, Math.min(Feel.FASTEST, tempo));
    return Feel.USUAL
        .withMeter(bars.meter(0))
        .withTempo(Double.isNaN(within) ? Feel.USUAL_TEMPO : within)
        .withPickup(bars.pickupTicks());
  }
}
