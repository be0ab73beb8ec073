package phalanx.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import phalanx.advice.FillFitting;
import phalanx.advice.FillTry;
import phalanx.advice.FittedRun;
import phalanx.embellishment.Ending;
import phalanx.embellishment.Fill;
import phalanx.formats.fills.FillShelf;
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
import phalanx.theory.Meter;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code phalanx fills CHORD}: short runs for the end of a phrase, as both hands play them. */
@Command(
    name = "fills",
    description = "short runs for the end of a phrase over a chord",
    mixinStandardHelpOptions = true)
final class FillsCommand implements Callable<Integer> {

  /** Quarters a minute at which they are fingered. */
  private static final double TEMPO = 100;

  @Spec private CommandSpec spec;

  @Mixin private GuitarOptions options;

  @Parameters(paramLabel = "CHORD", description = "a chord, such as G or D7")
  private String asked;

  @Option(names = "--key", paramLabel = "KEY", description = "the key its notes are named in")
  private String key;

  @Option(names = "--to", paramLabel = "CHORD", description = "the chord that follows")
  private String followed;

  @Option(names = "--beats", paramLabel = "N", description = "only those of so many quarters")
  private Integer beats;

  @Option(names = "--colour", paramLabel = "COLOUR", description = "only major or only bluesy")
  private String wanted;

  @Option(
      names = "--ending",
      paramLabel = "HOW",
      defaultValue = "plain",
      description = "how the last note is played: plain, slide, roll or brush")
  private String hung;

  @Option(names = "--json", description = "answer in JSON")
  private boolean json;

  @Override
  public Integer call() throws UnusableInput {
    Chord chord = ChordCommand.chord(asked);
    if (beats != null && (beats < 1 || beats > Fill.MOST_BEATS)) {
      throw usage("--beats: expected 1 to " + Fill.MOST_BEATS);
    }
    if (wanted != null && Stream.of(Fill.Colour.values()).noneMatch(c -> c.word().equals(wanted))) {
      throw usage("--colour: expected major or bluesy");
    }
    Optional<Chord> next =
        followed == null ? Optional.empty() : Optional.of(ChordCommand.chord(followed));
    Arranger arranger = new Arranger();
    List<FillTry> tried = new ArrayList<>();
    for (Fill fill : FillShelf.all()) {
      if (beats == null || fill.beats() == beats) {
        Song song = song(chord, next, Math.max(4, fill.beats()));
        for (Fill.Colour colour : Fill.colours(chord)) {
          if (wanted == null || wanted.equals(colour.word())) {
            tried.add(
                new FillFitting(arranger, song, first(song), chord).of(fill, colour, ending()));
          }
        }
      }
    }
    tried.sort(FillTry.ORDER);
    spec.commandLine().getOut().println(json ? RunJson.write(tried) : text(tried));
    return 0;
  }

  private Song song(Chord chord, Optional<Chord> next, int quarters) {
    Song plain = Song.untitled();
    Meter meter = new Meter(quarters, 4);
    List<Bar> bars = new ArrayList<>(List.of(Bar.of(1, chord)));
    next.ifPresent(c -> bars.add(Bar.of(3, c)));
    Chart chart = new Chart(List.of(Section.of(2, "", bars)));
    Song song =
        plain
            .withGuitar(options.guitar(Guitar.STEEL))
            .withHand(options.hand(plain.hand()))
            .withFeel(plain.feel().withMeter(meter).withTempo(TEMPO))
            .withKey(Optional.ofNullable(key).map(k -> ChordCommand.key(k, spec)));
    return song.editChart(c -> chart);
  }

  private static SlotRef first(Song song) {
    return new SlotRef(song.chart().bars().get(0).id(), 0);
  }

  private Ending ending() {
    return Stream.of(Ending.values())
        .filter(e -> e.word().equals(hung))
        .findFirst()
        .orElseThrow(() -> usage("--ending: expected plain, slide, roll or brush"));
  }

  private static String text(List<FillTry> tried) {
    return tried.stream()
        .filter(t -> t.fitted().isPresent())
        .map(t -> line(t, t.fitted().orElseThrow()))
        .collect(Collectors.joining("\n"));
  }

  private static String line(FillTry tried, FittedRun f) {
    String hard = tried.why().map(why -> "  hard: " + why).orElse("");
    String lands = tried.landing().map(l -> "  " + l.words()).orElse("");
    return Phrase.of(
        "%-22s %-7s %d beats  %s%s%s",
        tried.fill().name(),
        tried.colour().word(),
        tried.fill().beats(),
        f.places(" "),
        lands,
        hard);
  }

  private ParameterException usage(String message) {
    return new ParameterException(spec.commandLine(), message);
  }
}
