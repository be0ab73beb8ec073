package phalanx.formats;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import phalanx.formats.abc.AbcReader;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.formats.disk.AtomicFile;
import phalanx.formats.disk.DiskTrouble;
import phalanx.formats.disk.ForeignText;
import phalanx.formats.disk.RegularFile;
import phalanx.formats.disk.SafeTarget;
import phalanx.formats.midi.MidiReader;
import phalanx.formats.musicxml.MusicXmlReader;
import phalanx.formats.songfile.SongFileReader;
import phalanx.formats.songfile.SongFileWriter;
import phalanx.formats.tab.TabReader;
import phalanx.formats.text.ChartTextReader;
import phalanx.song.Song;

/** Opens and saves songs by the ending of their file's name. */
public final class SongFiles {

  /** The ending of the program's own format. */
  public static final String ENDING = SafeTarget.SONG_ENDING;

  private SongFiles() {}

  /** Largest chart that is read, bytes. */
  static final int MOST_BYTES = 8_000_000;

  /**
   * Largest song file, bytes: a song of a thousand bars has half a million, none that can be made
   * has more.
   */
  static final int MOST_SONG_BYTES = 40_000_000;

  /**
   * What came of opening a file.
   *
   * @param song everything that could be read; empty if the file cannot be used at all
   * @param problems everything that could not, in order of its place
   * @param remarks what was read, but is not in the song as it was written
   * @param sources the parts that the tune could be taken from; empty where there is no choice
   */
  public record Opened(
      Optional<Song> song,
      List<FileProblem> problems,
      List<FileProblem> remarks,
      Optional<TuneSources> sources) {

    /** Of a file without a choice of parts. */
    public Opened(Optional<Song> song, List<FileProblem> problems, List<FileProblem> remarks) {
      this(song, problems, remarks, Optional.empty());
    }

    private static Opened refused(FileProblem problem) {
      return new Opened(Optional.empty(), List.of(problem), List.of());
    }

    private static Opened of(SongReading reading) {
      return new Opened(
          Optional.of(reading.song()), reading.problems(), reading.remarks(), reading.sources());
    }

    /** Everything that the player should know of it, by place. */
    public List<FileProblem> told() {
      return Stream.concat(problems.stream(), remarks.stream())
          .sorted(Comparator.comparingInt(FileProblem::line).thenComparingInt(FileProblem::column))
          .toList();
    }
  }

  /** Whether a file is in the program's own format, so that it can be saved where it is. */
  public static boolean isOwn(Path file) {
    return FileFormat.toRead(file).equals(Optional.of(FileFormat.SONG_FILE));
  }

  /** Whether a file is a score, from its name. */
  public static boolean isScore(Path file) {
    return FileFormat.MUSICXML.isOf(file) || FileFormat.PACKED_SCORE.isOf(file);
  }

  /** Opens a file. */
  public static Opened open(Path file) {
    return open(file, Optional.empty());
  }

  /**
   * Opens a file with the part chosen that the tune is taken from.
   *
   * @param part one of the names in {@link Opened#sources()}; any other is passed over
   */
  public static Opened open(Path file, Optional<String> part) {
    Optional<FileFormat> format = FileFormat.toRead(file);
    if (format.isEmpty()) {
      String endings = String.join(", ", FileFormat.endingsRead());
      return Opened.refused(
          new FileProblem(1, 1, Texts.of("songFiles.expectedAFileEnding", endings)));
    }
    try {
      return format.get().read(bytes(file, format.get().mostBytes()), part);
    } catch (IOException e) {
      return Opened.refused(new FileProblem(1, 1, DiskTrouble.reading(e)));
    }
  }

  private static byte[] bytes(Path file, int most) throws IOException {
    RegularFile.check(file);
    try (InputStream in = Files.newInputStream(file)) {
      byte[] bytes = in.readNBytes(most + 1);
      if (bytes.length > most) {
        throw new DiskTrouble(Texts.of("songFiles.cannotBeReadIt", most / 1_000_000));
      }
      return bytes;
    }
  }

  static Opened midi(byte[] bytes, Optional<String> part) {
    return opened(MidiReader.read(bytes, part));
  }

  static Opened abc(byte[] bytes) {
    return foreign(bytes, text -> opened(AbcReader.read(text)));
  }

  /** A tablature where lines of one stand together, else chords and words. */
  static Opened plainText(byte[] bytes) {
    return foreign(bytes, SongFiles::pasted);
  }

  /** A text whose letters are not always UTF-8; what they were taken for is said. */
  private static Opened foreign(byte[] bytes, Function<String, Opened> reader) {
    Optional<ForeignText> text = ForeignText.of(bytes);
    if (text.isEmpty()) {
      return Opened.refused(notText(bytes));
    }
    Opened read = reader.apply(text.get().text());
    if (text.get().letters().isEmpty()) {
      return read;
    }
    List<FileProblem> remarks = new ArrayList<>(read.remarks());
    remarks.add(0, new FileProblem(1, 1, text.get().letters().get()));
    return new Opened(read.song(), read.problems(), remarks, read.sources());
  }

  /** A song from a text that was pasted. */
  public static Opened pasted(String text) {
    return opened(TabReader.isTab(text) ? TabReader.read(text) : ChartTextReader.read(text));
  }

  private static Opened opened(SongReading reading) {
    return reading.song().chart().isEmpty()
        ? new Opened(Optional.empty(), reading.problems(), reading.remarks())
        : Opened.of(reading);
  }

  static Opened chart(byte[] bytes) {
    return foreign(bytes, text -> Opened.of(ChordProReader.read(text)));
  }

  static Opened songFile(byte[] bytes) {
    return text(
        bytes,
        text -> {
          SongFileReader.Result result = SongFileReader.read(withoutMark(text));
          return result instanceof SongFileReader.Result.Read read
              ? Opened.of(new SongReading(read.song(), read.problems()))
              : Opened.refused(((SongFileReader.Result.Refused) result).problem());
        });
  }

  /** Some editors put a byte order mark in front. */
  private static String withoutMark(String text) {
    return text.startsWith("\uFEFF") ? text.substring(1) : text;
  }

  private static Opened text(byte[] bytes, Function<String, Opened> reader) {
    try {
      return reader.apply(
          StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString());
    } catch (CharacterCodingException e) {
      return Opened.refused(notText(bytes));
    }
  }

  /** Where the bytes stop being UTF-8. */
  private static FileProblem notText(byte[] bytes) {
    ByteBuffer in = ByteBuffer.wrap(bytes);
    CharBuffer out = CharBuffer.allocate(bytes.length);
    StandardCharsets.UTF_8.newDecoder().decode(in, out, true);
    String before = out.flip().toString();
    int line = (int) before.chars().filter(c -> c == '\n').count() + 1;
    int column = before.length() - before.lastIndexOf('\n');
    return new FileProblem(line, column, Texts.of("songFiles.expectedTextInUtf"));
  }

  static Opened score(byte[] bytes, Optional<String> part) {
    return opened(MusicXmlReader.read(bytes, part));
  }

  /**
   * Saves a song in the program's own format; the file appears whole or stays as it was.
   *
   * @throws AtomicFile.ReadOnly if it may only be read
   */
  public static void save(Song song, Path file) throws IOException {
    save(song, file, false);
  }

  /**
   * Saves a song in the program's own format; the file appears whole or stays as it was.
   *
   * @param overReadOnly whether a file that may only be read is written over
   */
  public static void save(Song song, Path file, boolean overReadOnly) throws IOException {
    AtomicFile.write(file, SongFileWriter.write(song), overReadOnly);
  }
}
