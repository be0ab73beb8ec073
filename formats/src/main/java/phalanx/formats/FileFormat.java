package phalanx.formats;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.engraving.Engraver;
import phalanx.engraving.SheetOptions;
import phalanx.formats.SongFiles.Opened;
import phalanx.formats.abc.AbcWriter;
import phalanx.formats.chordpro.ChordProWriter;
import phalanx.formats.disk.SafeTarget;
import phalanx.formats.json.ArrangementJson;
import phalanx.formats.midi.MidiReader;
import phalanx.formats.midi.MidiWriter;
import phalanx.formats.musicxml.MusicXmlReader;
import phalanx.formats.musicxml.MusicXmlWriter;
import phalanx.formats.musicxml.PackedScoreWriter;
import phalanx.formats.page.PageFiles;
import phalanx.formats.songfile.SongFileWriter;
import phalanx.formats.tab.TextTab;
import phalanx.formats.table.PlanTable;

/**
 * Every format there is: the one list that command line and window share. A new format is a reader
 * or a writer of bytes and a line here. Sound is among them; it is made elsewhere, for it is
 * written while it is rendered.
 */
public enum FileFormat {
  /** The program's own. */
  SONG_FILE(
      Texts.of("fileFormat.phalanxSong"),
      List.of(SongFiles.ENDING),
      "everything",
      "",
      read(SongFiles.MOST_SONG_BYTES, SongFiles::songFile),
      text(a -> SongFileWriter.write(a.song()))),
  PDF(
      Texts.of("fileFormat.pdfPages"),
      List.of(".pdf"),
      Texts.of("fileFormat.thePagesAsThey"),
      Texts.of("fileFormat.soundAndWhatCan"),
      none(),
      Optional.of((a, o) -> PageFiles.pdf(Engraver.engrave(a, o)))),
  MUSICXML(
      Texts.of("fileFormat.musicxmlScore"),
      List.of(".musicxml", ".xml"),
      Texts.of("fileFormat.bothHandsNoteBy"),
      Texts.of("fileFormat.patternsAcceptedSpotsAnd"),
      parts(MusicXmlReader.MOST_BYTES, SongFiles::score),
      text(MusicXmlWriter::write)),
  PACKED_SCORE(
      Texts.of("fileFormat.packedMusicxml"),
      List.of(".mxl"),
      Texts.of("fileFormat.theSameAsThe"),
      Texts.of("fileFormat.patternsAcceptedSpotsAnd"),
      parts(MusicXmlReader.MOST_BYTES, SongFiles::score),
      Optional.of((a, o) -> PackedScoreWriter.write(a))),
  MIDI(
      Texts.of("fileFormat.standardMidiFile"),
      List.of(".mid", ".midi"),
      Texts.of("fileFormat.everyNoteWithIts"),
      Texts.of("fileFormat.fretsFingersRepeatsThey"),
      parts(MidiReader.MOST_BYTES, SongFiles::midi),
      Optional.of((a, o) -> MidiWriter.write(a))),
  CHORDPRO(
      Texts.of("fileFormat.chordproChart"),
      List.of(".cho", ".chopro", ".chordpro", ".crd", ".pro"),
      Texts.of("fileFormat.chordsBarsSectionsRepeats"),
      Texts.of("fileFormat.tunePickingTempoChanges"),
      read(SongFiles.MOST_BYTES, SongFiles::chart),
      text(ChordProWriter::write)),
  ABC(
      Texts.of("fileFormat.abcTune"),
      List.of(".abc"),
      Texts.of("fileFormat.tuneChordNamesRepeats"),
      Texts.of("fileFormat.bassInnerNotesShapes"),
      read(SongFiles.MOST_BYTES, SongFiles::abc),
      text(AbcWriter::write)),
  TEXT_TAB(
      Texts.of("fileFormat.textTablature"),
      List.of(".txt", ".tab"),
      Texts.of("fileFormat.fretsCountPickingLetters"),
      Texts.of("fileFormat.frettingFingersWordsRepeats"),
      read(SongFiles.MOST_BYTES, SongFiles::plainText),
      text(TextTab::write)),
  SVG(
      Texts.of("fileFormat.svgDrawing"),
      List.of(".svg"),
      Texts.of("fileFormat.thePagesAsOne"),
      Texts.of("fileFormat.soundAndWhatCan"),
      none(),
      Optional.of((a, o) -> PageFiles.svg(Engraver.engrave(a, o)))),
  PNG(
      Texts.of("fileFormat.pngPicture"),
      List.of(".png"),
      Texts.of("fileFormat.thePagesAsOne2"),
      Texts.of("fileFormat.soundAndWhatCan"),
      none(),
      Optional.of((a, o) -> PageFiles.png(Engraver.engrave(a, o)))),
  TABLE(
      Texts.of("fileFormat.tableCsv"),
      List.of(".csv"),
      Texts.of("fileFormat.chordsShapesAndFindings"),
      Texts.of("fileFormat.notesAndRhythm"),
      none(),
      text(PlanTable::write)),
  JSON(
      Texts.of("fileFormat.planAsData"),
      List.of(".json"),
      Texts.of("fileFormat.theWholePlanStroke"),
      Texts.of("fileFormat.howTheSongIs"),
      none(),
      text(ArrangementJson::write)),
  WAVE(
      Texts.of("fileFormat.soundWave"),
      List.of(".wav"),
      Texts.of("fileFormat.theSongAsIt"),
      Texts.of("fileFormat.everythingToRead"),
      none(),
      Optional.empty());

  private final String words;
  private final List<String> endings;
  private final String carries;
  private final String leaves;
  private final Optional<Reader> reader;
  private final Optional<BiFunction<Arrangement, SheetOptions, byte[]>> writer;

  /** How a format is read, and the largest file of it, bytes. */
  private record Reader(int mostBytes, BiFunction<byte[], Optional<String>, Opened> read) {}

  FileFormat(
      String words,
      List<String> endings,
      String carries,
      String leaves,
      Optional<Reader> reader,
      Optional<BiFunction<Arrangement, SheetOptions, byte[]>> writer) {
    this.words = words;
    this.endings = endings;
    this.carries = carries;
    this.leaves = leaves;
    this.reader = reader;
    this.writer = writer;
  }

  private static Optional<Reader> read(int mostBytes, Function<byte[], Opened> read) {
    return Optional.of(new Reader(mostBytes, (bytes, part) -> read.apply(bytes)));
  }

  /** A format whose files may have several parts, one of which has the tune. */
  private static Optional<Reader> parts(
      int mostBytes, BiFunction<byte[], Optional<String>, Opened> read) {
    return Optional.of(new Reader(mostBytes, read));
  }

  private static Optional<Reader> none() {
    return Optional.empty();
  }

  private static Optional<BiFunction<Arrangement, SheetOptions, byte[]>> text(
      Function<Arrangement, String> writer) {
    return Optional.of((a, o) -> writer.apply(a).getBytes(StandardCharsets.UTF_8));
  }

  /** What players call it. */
  public String words() {
    return words;
  }

  /** The endings of its files, the usual one first. */
  public List<String> endings() {
    return endings;
  }

  /** What of a song stands in such a file, in words. */
  public String carries() {
    return carries;
  }

  /** What does not, in words; empty where nothing is left out. */
  public String leaves() {
    return leaves;
  }

  /** Whether it is sound, which is rendered and not written from here. */
  public boolean isSound() {
    return this == WAVE;
  }

  /** Whether a song can be opened from it. */
  public boolean isRead() {
    return reader.isPresent();
  }

  /** Whether it is a page, for which paper and parts are chosen. */
  public boolean isPage() {
    return this == PDF || this == SVG || this == PNG;
  }

  /** Whether a file is one of this format, from the ending of its name. */
  public boolean isOf(Path file) {
    return file.getFileName() != null && endings.stream().anyMatch(lower(file)::endsWith);
  }

  private static String lower(Path file) {
    return file.getFileName().toString().toLowerCase(Locale.ROOT);
  }

  /**
   * Reads the bytes of a file as far as they go.
   *
   * @throws IllegalStateException if it is not read
   */
  public Opened read(byte[] bytes) {
    return read(bytes, Optional.empty());
  }

  /**
   * The same with the part chosen that the tune is taken from.
   *
   * @param part one of the names in {@link Opened#sources()}; any other is passed over
   * @throws IllegalStateException if it is not read
   */
  public Opened read(byte[] bytes, Optional<String> part) {
    return reader.orElseThrow(() -> new IllegalStateException(words)).read().apply(bytes, part);
  }

  /** The largest file that is read, bytes. */
  int mostBytes() {
    return reader.map(Reader::mostBytes).orElse(0);
  }

  /**
   * A plan in this format, as the bytes of a file.
   *
   * @throws IllegalStateException if the format is one of sound
   */
  public byte[] write(Arrangement arrangement) {
    return write(arrangement, SheetOptions.USUAL);
  }

  /**
   * The same, where it is a page on this paper and with these parts.
   *
   * @throws IllegalStateException if the format is one of sound
   */
  public byte[] write(Arrangement arrangement, SheetOptions sheet) {
    return writer.orElseThrow(() -> new IllegalStateException(words)).apply(arrangement, sheet);
  }

  /** Every format that a plan can be taken away as; the song’s own file is saved, not taken. */
  public static List<FileFormat> taken() {
    return Stream.of(values()).filter(f -> f != SONG_FILE).toList();
  }

  /** Every format that a song can be opened from. */
  public static List<FileFormat> opened() {
    return Stream.of(values()).filter(FileFormat::isRead).toList();
  }

  /** The format a plan is written in, from the ending of a name; none for the name of a song. */
  public static Optional<FileFormat> toWrite(Path file) {
    return SafeTarget.isSongName(file)
        ? Optional.empty()
        : taken().stream().filter(f -> f.isOf(file)).findFirst();
  }

  /** The format a song is read in, from the ending of its name. */
  public static Optional<FileFormat> toRead(Path file) {
    if (file.getFileName() != null && lower(file).endsWith(".json")) {
      return Optional.of(SONG_FILE);
    }
    return opened().stream().filter(f -> f.isOf(file)).findFirst();
  }

  /**
   * The format with a short name on the command line: {@code pdf}, {@code musicxml}, {@code mid}.
   */
  public static Optional<FileFormat> named(String name) {
    String word = "." + name.toLowerCase(Locale.ROOT);
    return word.equals(".json") || word.equals(".phalanx")
        ? Optional.of(SONG_FILE)
        : Stream.of(values()).filter(f -> f.endings.contains(word)).findFirst();
  }

  /** Every ending that can be opened. */
  public static List<String> endingsRead() {
    return Stream.concat(opened().stream().flatMap(f -> f.endings.stream()), Stream.of(".json"))
        .toList();
  }

  /** Every ending that can be written, as a sentence has them: {@code .pdf, .mid or .wav}. */
  public static String endingsWritten() {
    List<String> all = taken().stream().flatMap(f -> f.endings.stream()).toList();
    return all.subList(0, all.size() - 1).stream().collect(Collectors.joining(", "))
        + " or "
        + all.get(all.size() - 1);
  }
}
