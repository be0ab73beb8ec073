package phalanx.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import phalanx.formats.SongFiles;
import phalanx.formats.TuneSources;
import phalanx.song.Song;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** The song a command is asked about: read whole, or refused with everything that is wrong. */
final class SongArgument {

  @Parameters(
      paramLabel = "SONG",
      description = "a song, chart, score, tune, MIDI file, tablature or text with chords")
  private Path song;

  @Mixin private Part part;

  /** The part of a file that the tune is taken from. */
  static final class Part {

    @Spec(Spec.Target.MIXEE)
    private CommandSpec spec;

    @Option(
        names = "--part",
        paramLabel = "NAME",
        description = "the part or voice of a score or MIDI file that has the tune")
    private String name;

    /**
     * Reads a song; what was read, but is not in it as it was written, is said.
     *
     * @throws ParameterException if the file has no such part
     */
    Song of(Path file) throws UnusableInput {
      PrintWriter messages = spec.commandLine().getErr();
      SongFiles.Opened opened = SongFiles.open(file, Optional.ofNullable(name));
      if (opened.song().isEmpty() || !opened.problems().isEmpty()) {
        throw new UnusableInput(
            opened.problems().stream()
                .map(p -> p.in(file.toString()))
                .collect(Collectors.joining("\n")));
      }
      checkPart(file, opened);
      opened.remarks().forEach(r -> messages.println(r.in(file.toString())));
      Song read = opened.song().get();
      if (read.isTuneAlone()) {
        messages.println(file + ": there are no chords in it: the tune is planned alone");
      }
      return read;
    }

    private void checkPart(Path file, SongFiles.Opened opened) {
      if (name != null && !opened.sources().map(TuneSources::taken).equals(Optional.of(name))) {
        List<String> names = opened.sources().map(TuneSources::names).orElse(List.of());
        String words =
            names.isEmpty()
                ? file + " has no parts to choose from"
                : "expected one of: " + String.join(", ", names);
        throw new ParameterException(spec.commandLine(), "--part " + name + ": " + words);
      }
    }
  }

  /** The file. */
  Path file() {
    return song;
  }

  /** Reads the song. */
  Song read() throws UnusableInput {
    return part.of(song);
  }
}
