package phalanx.cli;

import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import phalanx.formats.json.GuitarJson;
import phalanx.instrument.Guitar;
import phalanx.instrument.HarmonicNode;
import phalanx.instrument.StringSign;
import phalanx.text.Phrase;
import phalanx.theory.Pitch;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** {@code phalanx harmonics}: where the natural harmonics are. */
@Command(
    name = "harmonics",
    description = "the natural harmonics of every string, or those that give a pitch",
    mixinStandardHelpOptions = true)
final class HarmonicsCommand implements Callable<Integer> {

  @Spec private CommandSpec spec;

  @Mixin private GuitarOptions options;

  @Option(
      names = "--pitch",
      paramLabel = "PITCH",
      description = "only those that sound it, such as E5")
  private String pitch;

  @Option(names = "--json", description = "answer in JSON")
  private boolean json;

  @Override
  public Integer call() {
    Guitar guitar = options.guitar(Guitar.STEEL);
    List<HarmonicNode> nodes =
        pitch == null ? HarmonicNode.all(guitar) : HarmonicNode.sounding(guitar, midi());
    spec.commandLine().getOut().println(json ? GuitarJson.harmonics(nodes) : text(nodes));
    return 0;
  }

  private int midi() {
    return Pitch.parse(pitch)
        .orElseThrow(
            () ->
                new ParameterException(spec.commandLine(), "--pitch: expected a pitch such as E5"))
        .midi();
  }

  private String text(List<HarmonicNode> nodes) {
    return nodes.isEmpty()
        ? "no natural harmonic sounds " + pitch
        : nodes.stream().map(HarmonicsCommand::row).collect(Collectors.joining("\n"));
  }

  private static String row(HarmonicNode n) {
    return Phrase.of(
        "%s over fret %5.2f  %d/%d  MIDI %3d %+6.1f cents",
        StringSign.of(n.string()), n.fret(), n.node(), n.harmonic(), n.midi(), n.cents());
  }
}
