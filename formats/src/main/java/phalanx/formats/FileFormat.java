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
      "Phalanx song",
      List.of(SongFiles.ENDING),
      "everything",
      "",
      read(SongFiles.MOST_SONG_BYTES, SongFiles::songFile),
      text(a -> SongFileWriter.write(a.song()))),
  PDF(
      "PDF pages",
      List.of(".pdf"),
      "the pages as they print",
      "sound and what can be edited",
      none(),
      Optional.of((a, o) -> PageFiles.pdf(Engraver.engrave(a, o)))),
  MUSICXML(
      "MusicXML score",
      List.of(".musicxml", ".xml"),
      "both hands note by note, strings, frets, fingers, chords, repeats, words",
      "patterns, accepted spots and why a shape was chosen",
      parts(MusicXmlReader.MOST_BYTES, SongFiles::score),
      text(MusicXmlWriter::write)),
  PACKED_SCORE(
      "Packed MusicXML",
      List.of(".mxl"),
      "the same as the score, in a smaller file",
      "patterns, accepted spots and why a shape was chosen",
      parts(MusicXmlReader.MOST_BYTES, SongFiles::score),
      Optional.of((a, o) -> PackedScoreWriter.write(a))),
  MIDI(
      "Standard MIDI file",
      List.of(".mid", ".midi"),
      "every note with its true length, tempo, metre, chord names, hits",
      "frets, fingers, repeats (they are played out)",
      parts(MidiReader.MOST_BYTES, SongFiles::midi),
      Optional.of((a, o) -> MidiWriter.write(a))),
  CHORDPRO(
      "ChordPro chart",
      List.of(".cho", ".chopro", ".chordpro", ".crd", ".pro"),
      "chords, bars, sections, repeats, words, the first shape of each chord",
      "tune, picking, tempo changes by strokes",
      read(SongFiles.MOST_BYTES, SongFiles::chart),
      text(ChordProWriter::write)),
  ABC(
      "ABC tune",
      List.of(".abc"),
      "tune, chord names, repeats, words",
      "bass, inner notes, shapes, fingers",
      read(SongFiles.MOST_BYTES, SongFiles::abc),
      text(AbcWriter::write)),
  TEXT_TAB(
      "Text tablature",
      List.of(".txt", ".tab"),
      "frets, count, picking letters, chord names",
      "fretting fingers, words, repeats (they are written out)",
      read(SongFiles.MOST_BYTES, SongFiles::plainText),
      text(TextTab::write)),
  SVG(
      "SVG drawing",
      List.of(".svg"),
      "the pages as one drawing, each below the one before",
      "sound and what can be edited",
      none(),
      Optional.of((a, o) -> PageFiles.svg(Engraver.engrave(a, o)))),
  PNG(
      "PNG picture",
      List.of(".png"),
      "the pages as one picture, each below the one before",
      "sound and what can be edited",
      none(),
      Optional.of((a, o) -> PageFiles.png(Engraver.engrave(a, o)))),
  TABLE(
      "Table (CSV)",
      List.of(".csv"),
      "chords, shapes and findings by bar",
      "notes and rhythm",
      none(),
      text(PlanTable::write)),
  JSON(
      "Plan as data",
      List.of(".json"),
      "the whole plan, stroke by stroke",
      "how the song is written",
      none(),
      text(ArrangementJson::write)),
  WAVE(
      "Sound (WAVE)",
      List.of(".wav"),
      "the song as it sounds",
      "everything to read",
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
