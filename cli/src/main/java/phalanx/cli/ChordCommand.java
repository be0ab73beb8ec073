package phalanx.cli;

import java.util.stream.Collectors;
import phalanx.formats.json.AnswerJson;
import phalanx.text.Phrase;
import phalanx.theory.Chord;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.Interval;
import phalanx.theory.Key;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParameterException;

/** {@code phalanx chord SYMBOL}: the chord's tones. */
@Command(name = "chord", description = "the tones of a chord", mixinStandardHelpOptions = true)
final class ChordCommand extends QueryCommand {

  /** Reads a chord symbol given on the command line. */
  static Chord chord(String symbol) throws UnusableInput {
    ChordReading reading = ChordReader.read(symbol);
    if (reading instanceof ChordReading.Read read) {
      return read.chord();
    }
    ChordReading.Unreadable no = (ChordReading.Unreadable) reading;
    throw new UnusableInput(
        Phrase.of(
            "cannot read the chord \"%s\" at character %d: expected %s",
            symbol, no.column() + 1, no.expected()));
  }

  /** Reads a key given with {@code --key}. */
  static Key key(String text, CommandSpec spec) {
    return Key.parse(text)
        .orElseThrow(
            () ->
                new ParameterException(
                    spec.commandLine(),
                    "--key: expected a key such as G or Am, found \"" + text + "\""));
  }

  @Override
  String json(String asked) throws UnusableInput {
    return AnswerJson.chord(asked, chord(asked));
  }

  @Override
  String text(String asked) throws UnusableInput {
    Chord chord = chord(asked);
    String intervals =
        chord.intervals().stream().map(Interval::toString).collect(Collectors.joining(" "));
    return Phrase.of("%s: %s (%s)", chord, chord.noteList(), intervals);
  }
}
