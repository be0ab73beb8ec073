package phalanx.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.laying.Arranger;
import phalanx.formats.DiskTrouble;
import phalanx.formats.PlanFormat;
import phalanx.formats.WholeFile;
import phalanx.formats.json.ArrangementJson;
import phalanx.formats.patterns.PatternShelf;
import phalanx.formats.tab.TextTab;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.HandSchool;
import phalanx.picking.PickingStyle;
import phalanx.song.Feel;
import phalanx.song.Song;
import phalanx.theory.Phrase;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code phalanx plan SONG [--out FILE]...}: plans both hands. */
@Command(
    name = "plan",
    description = "plan both hands; the ending of each --out file picks its format",
    mixinStandardHelpOptions = true)
final class PlanCommand implements Callable<Integer> {

  private static final Map<String, HandSchool> SCHOOLS =
      Map.of(
          "two",
          HandSchool.THUMB_AND_TWO,
          "three",
          HandSchool.THUMB_AND_THREE,
          "four",
          HandSchool.THUMB_AND_FOUR,
          "line",
          HandSchool.LINE_PLAYING,
          "pami",
          HandSchool.LINE_FROM_THUMB);

  @Spec private CommandSpec spec;

  @Mixin private GuitarOptions options;

  @Parameters(
      paramLabel = "SONG",
      description = "a song file, a ChordPro chart with its bars in a grid, or a MusicXML score")
  private Path song;

  @Option(names = "--out", paramLabel = "FILE", description = "*.musicxml, *.txt or *.json")
  private List<Path> outs = List.of();

  @Option(
      names = "--school",
      paramLabel = "two|three|four|line|pami",
      description = "thumb and how many fingers, or lines by i m, or by p a m i")
  private String school;

  @Option(names = "--pattern", paramLabel = "NAME", description = "picking pattern")
  private String pattern;

  @Option(names = "--tempo", description = "quarter notes a minute")
  private Double tempo;

  @Option(names = "--json", description = "print the plan as JSON instead of tablature")
  private boolean json;

  @Override
  public Integer call() throws UnusableInput {
    List<PlanFormat> formats = outs.stream().map(this::format).toList();
    Song wanted = adjusted(SongArgument.read(song, spec.commandLine().getErr()));
    Arrangement arrangement = new Arranger().arrange(wanted);
    if (outs.isEmpty()) {
      spec.commandLine()
          .getOut()
          .print(json ? ArrangementJson.write(arrangement) : TextTab.write(arrangement));
      return 0;
    }
    // Everything is made before anything is written, so that a fault leaves no half of it.
    List<byte[]> files = formats.stream().map(f -> f.write(arrangement)).toList();
    for (int i = 0; i < outs.size(); i++) {
      try {
        WholeFile.write(outs.get(i), files.get(i), false);
      } catch (IOException e) {
        throw new UnusableInput(outs.get(i) + ": " + DiskTrouble.writing(e));
      }
    }
    return 0;
  }

  private PlanFormat format(Path out) {
    String expected = ": expected a name ending in " + PlanFormat.allEndings();
    return PlanFormat.of(out).orElseThrow(() -> usage("--out " + out + expected));
  }

  private Song adjusted(Song read) {
    Song wanted =
        read.withGuitar(options.guitar(read.guitar())).withHand(options.hand(read.hand()));
    if (school != null) {
      if (!SCHOOLS.containsKey(school)) {
        throw usage("--school: expected two, three, four, line or pami, found " + school);
      }
      wanted = wanted.withSchool(SCHOOLS.get(school));
    }
    if (pattern != null) {
      wanted = wanted.withPattern(patternNamed());
    }
    if (tempo != null) {
      if (!Feel.isTempo(tempo)) {
        throw usage(Phrase.of("--tempo: expected %.0f to %.0f", Feel.SLOWEST, Feel.FASTEST));
      }
      wanted = wanted.withTempo(tempo);
    }
    return wanted;
  }

  private PickingStyle patternNamed() {
    return PatternShelf.named(pattern)
        .orElseThrow(
            () ->
                usage(
                    "--pattern: expected one of "
                        + Stream.concat(
                                Stream.of(AlternatingThumb.values()),
                                PatternShelf.written().stream())
                            .map(PickingStyle::title)
                            .map(PatternShelf::plain)
                            .collect(Collectors.joining(", "))));
  }

  private ParameterException usage(String message) {
    return new ParameterException(spec.commandLine(), message);
  }
}
