package phalanx.cli;

import java.nio.file.Path;
import java.util.stream.Collectors;
import phalanx.formats.SongFiles;
import phalanx.song.Song;

/** The song a command is asked about: read whole, or refused with everything that is wrong. */
final class SongArgument {

  private SongArgument() {}

  static Song read(Path file) throws UnusableInput {
    SongFiles.Opened opened = SongFiles.open(file);
    if (opened.song().isEmpty() || !opened.problems().isEmpty()) {
      throw new UnusableInput(
          opened.problems().stream()
              .map(p -> p.in(file.toString()))
              .collect(Collectors.joining("\n")));
    }
    return opened.song().get();
  }
}
