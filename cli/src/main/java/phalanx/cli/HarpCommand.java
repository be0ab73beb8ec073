package phalanx.cli;

import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import phalanx.embellishment.HarpRun;
import phalanx.formats.json.HarpJson;
import phalanx.fretting.FretRow;
import phalanx.instrument.Guitar;
import phalanx.instrument.StringSign;
import phalanx.picking.PickFinger;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code phalanx harp FRETS}: plain notes and touched harmonics in turn over a held shape. */
@Command(
    name = "harp",
    description = "plain notes and touched harmonics in turn over a held shape",
    mixinStandardHelpOptions = true)
final class HarpCommand implements Callable<Integer> {

  @Spec private CommandSpec spec;

  @Mixin private GuitarOptions options;

  @Parameters(paramLabel = "FRETS", description = "the shape, such as \"5 5 5 5 5 5\" or x54555")
  private String frets;

  @Option(
      names = "--order",
      paramLabel = "STRINGS",
      description =
          "strings in turn, a star where touched an octave above: \"4 6* 3 5*\"; 4p, 4p2: plucked"
              + " above its fret, by the scale or two frets, and pulled off")
  private String order;

  @Option(names = "--json", description = "answer in JSON")
  private boolean json;

  @Override
  public Integer call() throws UnusableInput {
    Guitar guitar = options.guitar(Guitar.STEEL);
    List<Integer> shape = NameCommand.frets(frets);
    List<HarpRun.Step> steps = order == null ? usual(shape) : asked();
    HarpRun run;
    try {
      run = HarpRun.of(shape, steps, guitar);
    } catch (IllegalArgumentException e) {
      throw new ParameterException(spec.commandLine(), "--order: " + e.getMessage());
    }
    spec.commandLine().getOut().println(json ? HarpJson.write(run, steps) : text(run));
    return 0;
  }

  private List<HarpRun.Step> usual(List<Integer> shape) {
    List<List<HarpRun.Step>> proposals = HarpRun.proposals(shape);
    if (proposals.isEmpty()) {
      throw new ParameterException(
          spec.commandLine(), "too few strings of " + FretRow.text(shape) + " sound for a run");
    }
    return proposals.get(0);
  }

  private List<HarpRun.Step> asked() {
    return HarpRun.order(order)
        .orElseThrow(
            () ->
                new ParameterException(
                    spec.commandLine(),
                    "--order: expected string numbers, a star where touched, found \""
                        + order
                        + "\""));
  }

  private static String text(HarpRun run) {
    return run.notes().stream()
            .map(
                n ->
                    StringSign.of(n.string())
                        + " "
                        + n.fret()
                        + n.touchFret().map(f -> " touched over " + f).orElse("")
                        + "  "
                        + n.name()
                        + "  "
                        + n.pick().map(PickFinger::letter).orElse("pulled"))
            .collect(Collectors.joining("\n"))
        + run.scale().map(s -> "\n" + s).orElse("");
  }
}
