package phalanx.cli;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import phalanx.arrangement.Arrangement;
import phalanx.engraving.SheetOptions;
import phalanx.formats.FileFormat;
import phalanx.formats.disk.AtomicFile;
import phalanx.formats.json.ArrangementJson;
import phalanx.formats.tab.TextTab;
import phalanx.performance.Performance;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.sound.render.RenderOptions;
import phalanx.sound.render.Rendering;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** {@code phalanx plan SONG [--out FILE]...}: plans both hands. */
@Command(
    name = "plan",
    description = "plan both hands; the ending of each --out file picks its format",
    mixinStandardHelpOptions = true)
final class PlanCommand implements Callable<Integer> {

  @Spec private CommandSpec spec;

  @Mixin private SongOptions options;

  @Mixin private SongArgument song;

  @Option(
      names = "--out",
      paramLabel = "FILE",
      description =
          "*.musicxml, *.mxl, *.mid, *.pdf, *.svg, *.png, *.txt, *.cho, *.abc, *.csv, *.json or *.wav")
  private List<Path> outs = List.of();

  @Mixin private PageOptions page;

  @Option(names = "--json", description = "print the plan as JSON instead of tablature")
  private boolean json;

  @Override
  public Integer call() throws UnusableInput {
    for (Path out : outs) {
      WrittenFile.check(out, song.file());
    }
    List<FileFormat> formats = outs.stream().map(this::format).toList();
    Song wanted = options.adjusted(song.read());
    Arrangement arrangement = new Arranger().arrange(wanted);
    if (outs.isEmpty()) {
      spec.commandLine()
          .getOut()
          .print(json ? ArrangementJson.write(arrangement) : TextTab.write(arrangement));
      return 0;
    }
    // Everything is made before anything is written, so that a fault leaves no half of it.
    List<AtomicFile.Content> files =
        formats.stream().map(f -> content(f, arrangement, page.sheet(spec))).toList();
    for (int i = 0; i < outs.size(); i++) {
      WrittenFile.write(outs.get(i), files.get(i));
    }
    return 0;
  }

  private static AtomicFile.Content content(
      FileFormat format, Arrangement arrangement, SheetOptions sheet) {
    if (format.isSound()) {
      Rendering sound = new Rendering(Performance.of(arrangement), RenderOptions.USUAL);
      return out -> sound.write(out, share -> true);
    }
    byte[] bytes = format.write(arrangement, sheet);
    return out -> out.write(bytes);
  }

  private FileFormat format(Path out) {
    String expected = ": expected a name ending in " + FileFormat.endingsWritten();
    return FileFormat.toWrite(out).orElseThrow(() -> usage("--out " + out + expected));
  }

  private ParameterException usage(String message) {
    return new ParameterException(spec.commandLine(), message);
  }
}
