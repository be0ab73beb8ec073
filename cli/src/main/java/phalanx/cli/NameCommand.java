package phalanx.cli;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import phalanx.formats.json.AnswerJson;
import phalanx.fretting.Shape;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.theory.ChordName;
import phalanx.theory.ChordNaming;
import phalanx.theory.Interval;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code phalanx name "x 3 2 0 1 0"}: what a shape may be called. */
@Command(
    name = "name",
    description = "names of a shape, likeliest first; frets low to high, x not struck",
    mixinStandardHelpOptions = true)
final class NameCommand extends QueryCommand {

  private static final int HIGHEST_FRET = 24;

  @Mixin private GuitarOptions options;

  @Option(names = "--limit", defaultValue = "12", description = "how many names; 0 for all")
  private int limit;

  @Override
  String json(String asked) throws UnusableInput {
    List<Integer> frets = frets(asked);
    return AnswerJson.names(frets, names(frets));
  }

  @Override
  String text(String asked) throws UnusableInput {
    List<ChordName> names = names(frets(asked));
    return names.isEmpty()
        ? "no chord has just these notes"
        : names.stream().map(NameCommand::line).collect(Collectors.joining("\n"));
  }

  private static String line(ChordName name) {
    String missing =
        name.missing().stream().map(Interval::toString).collect(Collectors.joining(" "));
    return name.chord() + (missing.isEmpty() ? "" : "  without " + missing);
  }

  private List<ChordName> names(List<Integer> frets) {
    Guitar guitar = options.guitar(Guitar.STEEL);
    List<Integer> midi = new ArrayList<>();
    for (int s = 0; s < Tuning.STRINGS; s++) {
      if (frets.get(s) != Shape.SILENT) {
        midi.add(guitar.shapeMidi(s, frets.get(s)));
      }
    }
    midi.sort(null);
    List<ChordName> names = ChordNaming.names(midi);
    return first(names, limit);
  }

  /** Reads frets set apart by spaces, or six signs in one word. */
  static List<Integer> frets(String text) throws UnusableInput {
    String[] words = text.trim().split("\\s+");
    if (words.length == 1 && words[0].length() == Tuning.STRINGS) {
      words = words[0].split("");
    }
    if (words.length != Tuning.STRINGS) {
      throw new UnusableInput("expected six frets, low to high, found \"" + text + "\"");
    }
    List<Integer> frets = new ArrayList<>();
    for (String word : words) {
      if (word.equalsIgnoreCase("x")) {
        frets.add(Shape.SILENT);
      } else if (word.matches("\\d{1,2}") && Integer.parseInt(word) <= HIGHEST_FRET) {
        frets.add(Integer.parseInt(word));
      } else {
        throw new UnusableInput("expected a fret 0 to 24 or x, found \"" + word + "\"");
      }
    }
    return frets;
  }
}
