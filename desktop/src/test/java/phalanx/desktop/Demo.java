package phalanx.desktop;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import phalanx.arrangement.Arrangement;
import phalanx.desktop.files.PlayerFolder;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.planning.Arranger;
import phalanx.song.Song;

/** The demo song for tests. */
public final class Demo {

  static final Path FILE = Path.of("..", "demo", "harbour-lamp.cho");

  private Demo() {}

  public static Song song() {
    try {
      return ChordProReader.read(Files.readString(FILE)).song();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  public static Arrangement arrangement() {
    return new Arranger().arrange(song());
  }

  /** A new folder for what the program remembers. */
  static PlayerFolder folder() {
    try {
      return new PlayerFolder(
          Files.createTempDirectory(Path.of("target").toAbsolutePath(), "player-"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
