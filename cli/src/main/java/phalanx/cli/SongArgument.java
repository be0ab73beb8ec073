package phalanx.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.stream.Collectors;
import phalanx.formats.SongFiles;
import phalanx.song.Song;

/** The song a command is asked about: read whole, or refused with everything that is wrong. */
final class SongArgument {

  private SongArgument() {}

  /**
   * Reads a song.
   *
   * @param messages takes what was read, but is not in the song as it was written
   */
  static Song read(Path file, PrintWriter messages) throws UnusableInput {
    SongFiles.Opened opened = SongFiles.open(file);
    if (opened.song().isEmpty() || !opened.problems().isEmpty()) {
      throw new UnusableInput(
          opened.problems().stream()
              .map(p -> p.in(file.toString()))
              .collect(Collectors.joining("\n")));
    }
    opened.remarks().forEach(r -> messages.println(r.in(file.toString())));
    Song song = opened.song().get();
    if (song.isTuneAlone()) {
      messages.println(file + ": there are no chords in it: the tune is planned alone");
    }
    return song;
  }
}
