package phalanx.cli;

import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import phalanx.chart.Retuning;
import phalanx.formats.patterns.PatternShelf;
import phalanx.instrument.Guitar;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.HandSchool;
import phalanx.picking.PickingStyle;
import phalanx.song.Feel;
import phalanx.song.Song;
import phalanx.text.Phrase;
import phalanx.theory.NoteNaming;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** How a song is played this once, whatever its file says: guitar, hand, school, pattern, tempo. */
final class SongOptions {

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
          HandSchool.LINE_FROM_THUMB,
          "pick",
          HandSchool.PICK_AND_FINGERS);

  @Spec(Spec.Target.MIXEE)
  private CommandSpec spec;

  @Mixin private GuitarOptions options;

  @Option(
      names = "--school",
      paramLabel = "two|three|four|line|pami|pick",
      description =
          "thumb and how many fingers, lines by i m or by p a m i, or a pick with fingers")
  private String school;

  @Option(names = "--pattern", paramLabel = "NAME", description = "picking pattern")
  private String pattern;

  @Option(names = "--tempo", description = "quarter notes a minute")
  private Double tempo;

  /** The song as the options have it. */
  Song adjusted(Song read) {
    Guitar guitar = options.guitar(read.guitar());
    Song retuned = Retuning.of(read, guitar.tuning());
    for (Retuning.Lost lost : Retuning.lost(read, retuned, NoteNaming.ENGLISH)) {
      spec.commandLine().getErr().println("the pin no longer holds, left out: " + lost.words());
    }
    Song wanted = retuned.withGuitar(guitar).withHand(options.hand(read.hand()));
    if (school != null) {
      if (!SCHOOLS.containsKey(school)) {
        throw usage("--school: expected two, three, four, line, pami or pick, found " + school);
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
