package phalanx.cli;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import phalanx.advice.FittedRun;
import phalanx.advice.WalkFitting;
import phalanx.embellishment.PairWalk;
import phalanx.formats.json.RunJson;
import phalanx.instrument.Guitar;
import phalanx.planning.Arranger;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.Section;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.text.Phrase;
import phalanx.theory.Chord;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code phalanx walk A D}: two strings that climb from one chord to the next. */
@Command(
    name = "walk",
    description = "two strings that climb the scale from one chord to the next, over a pedal",
    mixinStandardHelpOptions = true)
final class WalkCommand implements Callable<Integer> {

  /** Quarters a minute at which it is fingered. */
  private static final double TEMPO = 100;

  @Spec private CommandSpec spec;

  @Mixin private GuitarOptions options;

  @Parameters(index = "0", paramLabel = "FROM", description = "the chord it starts over")
  private String from;

  @Parameters(index = "1", paramLabel = "TO", description = "the chord it leads to")
  private String to;

  @Option(names = "--key", paramLabel = "KEY", description = "the scale; that of FROM without it")
  private String key;

  @Option(names = "--in", paramLabel = "thirds|sixths|tenths", description = "all where not said")
  private String kind;

  @Option(names = "--way", paramLabel = "up|down", description = "the easier where not said")
  private String way;

  @Option(names = "--eighths", description = "a pair each eighth, not each quarter")
  private boolean eighths;

  @Option(names = "--json", description = "answer in JSON")
  private boolean json;

  @Override
  public Integer call() throws UnusableInput {
    Chord start = ChordCommand.chord(from);
    Chord end = ChordCommand.chord(to);
    List<PairWalk> kinds =
        Stream.of(PairWalk.values()).filter(k -> kind == null || k.words().equals(kind)).toList();
    if (kinds.isEmpty()) {
      throw usage("--in: expected thirds, sixths or tenths, found \"" + kind + "\"");
    }
    Optional<PairWalk.Direction> direction =
        Stream.of(PairWalk.Direction.values()).filter(d -> d.words().equals(way)).findFirst();
    if (way != null && direction.isEmpty()) {
      throw usage("--way: expected up or down, found \"" + way + "\"");
    }
    WalkFitting fitting =
        new WalkFitting(
            new Arranger(), song(start, end), new SlotRef(1, 0), start, new SlotRef(2, 0), end);
    List<RunJson.Walk> walks =
        kinds.stream()
            .flatMap(
                k ->
                    fitting.of(new WalkFitting.Steps(k, direction, eighths)).stream()
                        .map(run -> new RunJson.Walk(k.words(), run)))
            .toList();
    spec.commandLine().getOut().println(json ? RunJson.walks(walks) : text(walks));
    return 0;
  }

  private Song song(Chord start, Chord end) {
    Song plain = Song.untitled();
    Chart chart = new Chart(List.of(Section.of(3, "", List.of(Bar.of(1, start), Bar.of(2, end)))));
    return plain
        .withGuitar(options.guitar(Guitar.STEEL))
        .withHand(options.hand(plain.hand()))
        .withTempo(TEMPO)
        .withKey(Optional.ofNullable(key).map(k -> ChordCommand.key(k, spec)))
        .editChart(c -> chart);
  }

  private static String text(List<RunJson.Walk> walks) {
    return walks.isEmpty()
        ? "No two strings lead there from tones of the first chord."
        : walks.stream().map(w -> line(w.in(), w.run())).collect(Collectors.joining("\n"));
  }

  private static String line(String in, FittedRun run) {
    String hard = run.hard().isEmpty() ? "" : "  but: " + run.hard().get(0).finding().message();
    return Phrase.of("%-7s %s%s", in, run.allPlaces(" · "), hard);
  }

  private ParameterException usage(String message) {
    return new ParameterException(spec.commandLine(), message);
  }
}
