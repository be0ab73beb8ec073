package phalanx.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import phalanx.formats.FileFormat;
import phalanx.formats.SongFiles;
import phalanx.formats.disk.DiskTrouble;
import phalanx.formats.disk.SafeTarget;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code phalanx convert IN OUT}: from one format to another, a file or a folder at once. */
@Command(
    name = "convert",
    description = "read a song in one format and write it in another; of a folder every song",
    mixinStandardHelpOptions = true)
final class ConvertCommand implements Callable<Integer> {

  @Spec private CommandSpec spec;

  @Mixin private PageOptions page;

  @Mixin private SongArgument.Part part;

  @Parameters(
      index = "0",
      paramLabel = "IN",
      description = "a song, chart, score, tune, MIDI file, tablature or text; or a folder of them")
  private Path in;

  @Parameters(
      index = "1",
      arity = "0..1",
      paramLabel = "OUT",
      description = "the ending of its name picks the format; *.phalanx.json for the program's own")
  private Path out;

  @Option(
      names = "--to",
      split = ",",
      paramLabel = "FORMAT",
      description = "of a folder: the formats to write, such as pdf,musicxml")
  private List<String> to = List.of();

  @Option(names = "--out", paramLabel = "DIR", description = "of a folder: where they are written")
  private Path folder;

  @Override
  public Integer call() throws UnusableInput {
    if (Files.isDirectory(in)) {
      return folder();
    }
    if (out == null) {
      throw usage("expected OUT, a file to write");
    }
    if (target(out).isEmpty()) {
      throw usage(
          "OUT: expected a name ending in "
              + SongFiles.ENDING
              + ", "
              + FileFormat.endingsWritten());
    }
    convert(in, out, target(out).get());
    return 0;
  }

  private ParameterException usage(String words) {
    return new ParameterException(spec.commandLine(), words);
  }

  /** The format of a file that is written: songs by their own ending, everything else by its. */
  private static Optional<FileFormat> target(Path file) {
    return SafeTarget.isSongName(file)
        ? Optional.of(FileFormat.SONG_FILE)
        : FileFormat.toWrite(file).filter(f -> f != FileFormat.JSON && !f.isSound());
  }

  private void convert(Path from, Path target, FileFormat format) throws UnusableInput {
    PrintWriter messages = spec.commandLine().getErr();
    try {
      if (format == FileFormat.SONG_FILE) {
        SafeTarget.checkSong(target, Optional.of(from));
      } else {
        SafeTarget.check(target, Optional.of(from));
      }
      Song song = part.of(from);
      if (format == FileFormat.SONG_FILE) {
        SongFiles.save(song, target);
        return;
      }
      byte[] bytes = format.write(new Arranger().arrange(song), page.sheet(spec));
      WrittenFile.write(target, file -> file.write(bytes));
      if (!format.leaves().isEmpty()) {
        messages.println(target + ": left out: " + format.leaves());
      }
    } catch (IOException e) {
      throw new UnusableInput(target + ": " + DiskTrouble.writing(e));
    }
  }

  /** Every song of a folder in every format asked for; what fails is told and the rest is done. */
  private int folder() throws UnusableInput {
    List<FileFormat> formats = new ArrayList<>();
    for (String name : to) {
      formats.add(
          FileFormat.named(name.strip())
              .filter(f -> !f.isSound())
              .orElseThrow(
                  () -> usage("--to " + name + ": expected formats such as pdf,musicxml")));
    }
    if (formats.isEmpty() || folder == null) {
      throw usage("of a folder: expected --to FORMATS and --out DIR");
    }
    List<String> faults = new ArrayList<>();
    for (Path song : songs()) {
      for (FileFormat format : formats) {
        Path target = folder.resolve(plain(song) + format.endings().get(0));
        try {
          Files.createDirectories(folder);
          convert(song, target, format);
        } catch (UnusableInput e) {
          faults.add(e.getMessage());
          break;
        } catch (IOException e) {
          throw new UnusableInput(folder + ": " + DiskTrouble.writing(e));
        }
      }
    }
    if (!faults.isEmpty()) {
      throw new UnusableInput(String.join("\n", faults));
    }
    return 0;
  }

  private List<Path> songs() throws UnusableInput {
    try (Stream<Path> files = Files.list(in)) {
      return files
          .filter(Files::isRegularFile)
          .filter(f -> FileFormat.toRead(f).isPresent())
          .sorted()
          .toList();
    } catch (IOException e) {
      throw new UnusableInput(in + ": " + DiskTrouble.reading(e));
    }
  }

  /** A name without the ending of its format. */
  private static String plain(Path file) {
    String name = file.getFileName().toString();
    return FileFormat.endingsRead().stream()
        .filter(name.toLowerCase(Locale.ROOT)::endsWith)
        .findFirst()
        .map(e -> name.substring(0, name.length() - e.length()))
        .orElse(name);
  }
}
