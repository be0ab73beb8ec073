package phalanx.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import phalanx.formats.SongFiles;
import phalanx.formats.disk.DiskTrouble;
import phalanx.formats.disk.SafeTarget;
import phalanx.song.Song;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code phalanx convert IN OUT}: from one song format to another. */
@Command(
    name = "convert",
    description = "read a song and write it in the program's own format",
    mixinStandardHelpOptions = true)
final class ConvertCommand implements Callable<Integer> {

  @Spec private CommandSpec spec;

  @Parameters(
      index = "0",
      paramLabel = "IN",
      description = "a song file, a ChordPro chart or a MusicXML score")
  private Path in;

  @Parameters(index = "1", paramLabel = "OUT", description = "*.phalanx.json")
  private Path out;

  @Override
  public Integer call() throws UnusableInput {
    if (!SafeTarget.isSongName(out)) {
      String words = "OUT: expected a name ending in " + SongFiles.ENDING;
      throw new ParameterException(spec.commandLine(), words);
    }
    try {
      SafeTarget.checkSong(out, Optional.of(in));
      Song song = SongArgument.read(in, spec.commandLine().getErr());
      SongFiles.save(song, out);
    } catch (IOException e) {
      throw new UnusableInput(out + ": " + DiskTrouble.writing(e));
    }
    return 0;
  }
}
