package phalanx.formats;

import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.formats.musicxml.MusicXmlReader;
import phalanx.formats.songfile.SongFileReader;
import phalanx.formats.songfile.SongFileWriter;
import phalanx.song.Song;

/** Opens and saves songs by the ending of their file's name. */
public final class SongFiles {

  /** The ending of the program's own format. */
  public static final String ENDING = ".phalanx.json";

  /** Endings that can be opened. */
  public static final List<String> OPENED =
      List.of(ENDING, ".json", ".cho", ".chopro", ".chordpro", ".musicxml", ".xml", ".mxl");

  /** Endings of scores, from which a tune can be taken. */
  public static final List<String> SCORES = List.of(".musicxml", ".xml", ".mxl");

  private SongFiles() {}

  /**
   * What came of opening a file.
   *
   * @param song everything that could be read; empty if the file cannot be used at all
   * @param problems everything that could not, in order of its place
   */
  public record Opened(Optional<Song> song, List<FileProblem> problems) {

    private static Opened refused(FileProblem problem) {
      return new Opened(Optional.empty(), List.of(problem));
    }
  }

  /** Whether a file is in the program's own format, so that it can be saved where it is. */
  public static boolean isOwn(Path file) {
    return name(file).endsWith(".json");
  }

  /** Whether a file is a score, from its name. */
  public static boolean isScore(Path file) {
    return SCORES.stream().anyMatch(name(file)::endsWith);
  }

  private static String name(Path file) {
    return file.getFileName().toString().toLowerCase(Locale.ROOT);
  }

  /** Opens a file. */
  public static Opened open(Path file) {
    if (OPENED.stream().noneMatch(name(file)::endsWith)) {
      String endings = String.join(", ", OPENED);
      return Opened.refused(new FileProblem(1, 1, "expected a file ending in " + endings));
    }
    if (isScore(file)) {
      return openScore(file);
    }
    String text;
    try {
      text = Files.readString(file);
    } catch (CharacterCodingException e) {
      return Opened.refused(new FileProblem(1, 1, "expected text in UTF-8"));
    } catch (IOException e) {
      return Opened.refused(new FileProblem(1, 1, "cannot be read"));
    }
    if (!isOwn(file)) {
      SongReading reading = ChordProReader.read(text);
      return new Opened(Optional.of(reading.song()), reading.problems());
    }
    SongFileReader.Result result = SongFileReader.read(text);
    return result instanceof SongFileReader.Result.Read read
        ? new Opened(Optional.of(read.song()), List.of())
        : Opened.refused(((SongFileReader.Result.Refused) result).problem());
  }

  private static Opened openScore(Path file) {
    try {
      SongReading reading = MusicXmlReader.read(Files.readAllBytes(file));
      boolean empty = reading.song().chart().isEmpty();
      return new Opened(empty ? Optional.empty() : Optional.of(reading.song()), reading.problems());
    } catch (IOException e) {
      return Opened.refused(new FileProblem(1, 1, "cannot be read"));
    }
  }

  /** Saves a song in the program's own format; the file appears whole or stays as it was. */
  public static void save(Song song, Path file) throws IOException {
    WholeFile.write(file, SongFileWriter.write(song));
  }
}
