package phalanx.formats;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import phalanx.formats.SongFiles.Opened;
import phalanx.formats.musicxml.MusicXmlReader;

/**
 * What a song can be opened from: the one list that command line and window share. A new format is
 * a reader and a line here.
 */
public enum SongFormat {
  /** The program's own. */
  SONG_FILE(List.of(SongFiles.ENDING, ".json"), SongFiles.MOST_SONG_BYTES, SongFiles::songFile),
  /** A chart with its bars in a grid. */
  CHORDPRO(List.of(".cho", ".chopro", ".chordpro"), SongFiles.MOST_BYTES, SongFiles::chart),
  /** A score, plain or packed; a tune can be taken from it. */
  SCORE(List.of(".musicxml", ".xml", ".mxl"), MusicXmlReader.MOST_BYTES, SongFiles::score);

  private final List<String> endings;
  private final int mostBytes;
  private final Function<byte[], Opened> reader;

  SongFormat(List<String> endings, int mostBytes, Function<byte[], Opened> reader) {
    this.endings = endings;
    this.mostBytes = mostBytes;
    this.reader = reader;
  }

  /** The endings of its files, the usual one first. */
  public List<String> endings() {
    return endings;
  }

  /** The largest file that is read, bytes. */
  int mostBytes() {
    return mostBytes;
  }

  /** Reads the bytes of a file as far as they go. */
  public Opened read(byte[] bytes) {
    return reader.apply(bytes);
  }

  /** The format of a file, from the ending of its name. */
  public static Optional<SongFormat> of(Path file) {
    if (file.getFileName() == null) {
      return Optional.empty();
    }
    String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
    return Stream.of(values()).filter(f -> f.endings.stream().anyMatch(name::endsWith)).findFirst();
  }

  /** Every ending that can be opened. */
  public static List<String> allEndings() {
    return Stream.of(values()).flatMap(f -> f.endings.stream()).toList();
  }
}
