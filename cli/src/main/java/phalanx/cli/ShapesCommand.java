package phalanx.cli;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import phalanx.formats.json.AnswerJson;
import phalanx.fretting.RankedShapes;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.text.Phrase;
import phalanx.theory.Chord;
import phalanx.theory.NoteName;
import phalanx.theory.Pitch;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code phalanx shapes CHORD}: every shape of a chord, ranked. */
@Command(
    name = "shapes",
    description = "every shape of a chord, the easiest first",
    mixinStandardHelpOptions = true)
final class ShapesCommand extends QueryCommand {

  private static final int HIGHEST_FRET = 24;

  @Mixin private GuitarOptions options;

  @Option(names = "--frets", defaultValue = "15", description = "highest fret to use")
  private int frets;

  @Option(
      names = "--tune",
      paramLabel = "PITCH",
      description = "note that must be on top, such as G4")
  private String tune;

  @Option(names = "--bass", paramLabel = "NOTE", description = "note that must be lowest")
  private String bass;

  @Option(
      names = "--limit",
      defaultValue = "12",
      description =
          "how many shapes, each with its best fingering; 0 for all, with every fingering")
  private int limit;

  @Override
  String json(String asked) throws UnusableInput {
    Chord chord = ChordCommand.chord(asked);
    RankedShapes found = ShapeSearch.find(query(chord), reach());
    return AnswerJson.shapes(chord, found.size(), shown(found), reach());
  }

  @Override
  String text(String asked) throws UnusableInput {
    Chord chord = ChordCommand.chord(asked);
    RankedShapes found = ShapeSearch.find(query(chord), reach());
    String head = Phrase.of("%s: %s shapes%n", chord, found.size());
    return head + shown(found).stream().map(this::line).collect(Collectors.joining("\n"));
  }

  /** Few are asked for to choose from, so the same frets with other fingers take no place. */
  private List<RatedShape> shown(RankedShapes found) {
    return limit > 0 ? found.candidates(limit, 1) : first(found, limit);
  }

  private String line(RatedShape rated) {
    double span = reach().widestSpan(rated.shape()).map(Reach.Span::millimetres).orElse(0.0);
    return Phrase.of(
        "%-18s %s  span %3.0f mm  cost %.2f",
        rated.shape().fretText(), rated.shape().fingerText(), span, rated.cost());
  }

  private Reach reach() {
    return new Reach(options.guitar(Guitar.STEEL), options.hand(Hand.MEDIUM));
  }

  private ShapeQuery query(Chord chord) {
    if (frets < 0 || frets > HIGHEST_FRET) {
      throw usage("--frets: expected 0 to " + HIGHEST_FRET);
    }
    ShapeQuery query =
        ShapeQuery.of(chord, reach().guitar(), reach().hand()).withHighestFret(frets);
    if (bass != null) {
      NoteName note =
          NoteName.parse(bass).orElseThrow(() -> usage("--bass: expected a note such as F#"));
      query = query.withBass(Optional.of(note));
    }
    if (tune != null) {
      Pitch pitch =
          Pitch.parse(tune).orElseThrow(() -> usage("--tune: expected a pitch such as G4"));
      query = query.withTop(pitch.midi());
    }
    return query;
  }
}
