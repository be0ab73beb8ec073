package phalanx.cli;

import java.util.List;
import java.util.stream.Collectors;
import phalanx.formats.json.GuitarJson;
import phalanx.instrument.Guitar;
import phalanx.instrument.StringPull;
import phalanx.instrument.StringSet;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
import phalanx.instrument.TuningByEar;
import phalanx.instrument.UsualTuning;
import phalanx.text.Phrase;
import phalanx.theory.Pitch;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code phalanx tuning "D G D G B E"}: pitches, pull, and the way there by ear. */
@Command(
    name = "tuning",
    description = {
      "a tuning's pitches and pull, and how to reach it by ear",
      "QUERY is six notes, low to high, or one of standard, drop-d, double-drop-d, dadgad, dgdgbe,",
      "open-g, open-d, open-c, open-e-minor, half-down, whole-down."
    },
    mixinStandardHelpOptions = true)
final class TuningCommand extends QueryCommand {

  @Option(
      names = "--strings",
      defaultValue = "steel-light",
      description = "steel-light, steel-medium, nylon-normal or nylon-hard")
  private String strings;

  @Option(names = "--scale", paramLabel = "MM", description = "from nut to bridge, 600 to 680")
  private Double scale;

  @Option(names = "--a4", paramLabel = "HZ", defaultValue = "440", description = "390 to 490")
  private double a4;

  @Override
  String json(String asked) throws UnusableInput {
    List<StringPull> pulls = pulls(asked);
    return GuitarJson.tuning(pulls, byEar(asked, pulls));
  }

  @Override
  String text(String asked) throws UnusableInput {
    List<StringPull> pulls = pulls(asked);
    TuningByEar byEar = byEar(asked, pulls);
    String rows = pulls.stream().map(this::row).collect(Collectors.joining("\n"));
    double sum = StringPull.newtons(pulls);
    double standard = StringPull.standardNewtons(pulls);
    String steps =
        byEar.steps().stream().map(s -> "  " + s.words()).collect(Collectors.joining("\n"));
    return rows
        + Phrase.of("%nall six %.0f N (%.1f kgf), standard %.0f N%n", sum, kgf(sum), standard)
        + Phrase.of("begin with %s, then%n%s", StringSign.of(byEar.first()), steps)
        + StringPull.caution(pulls).map(c -> "\n" + c).orElse("");
  }

  private String row(StringPull p) {
    return Phrase.of(
        "%s %-4s %8.3f Hz  %2s  %6.1f N  %5.2f kgf  %s",
        StringSign.of(p.string()),
        p.note(),
        p.hz(),
        p.changeWords(),
        p.newtons(),
        p.kilogramsForce(),
        p.zone().words());
  }

  private static double kgf(double newtons) {
    return newtons / StringSet.NEWTONS_PER_KGF;
  }

  private TuningByEar byEar(String asked, List<StringPull> pulls) throws UnusableInput {
    return TuningByEar.of(Tuning.STANDARD, tuning(asked), pulls, a4);
  }

  private List<StringPull> pulls(String asked) throws UnusableInput {
    StringSet set =
        StringSet.of(strings)
            .orElseThrow(
                () ->
                    usage(
                        "--strings: expected steel-light, steel-medium, nylon-normal or nylon-hard"));
    boolean steel = set == StringSet.STEEL_LIGHT || set == StringSet.STEEL_MEDIUM;
    double usual = (steel ? Guitar.STEEL : Guitar.NYLON).scaleLength();
    double length = scale == null ? usual : scale;
    if (!(length >= StringPull.SHORTEST_SCALE && length <= StringPull.LONGEST_SCALE)) {
      throw usage("--scale: expected 600 to 680");
    }
    if (!(a4 >= Pitch.LOWEST_A4_HZ && a4 <= Pitch.HIGHEST_A4_HZ)) {
      throw usage("--a4: expected 390 to 490");
    }
    return StringPull.of(tuning(asked), set, length, a4);
  }

  private static Tuning tuning(String asked) throws UnusableInput {
    return UsualTuning.read(asked)
        .orElseThrow(() -> new UnusableInput(GuitarOptions.noTuning(asked)));
  }
}
