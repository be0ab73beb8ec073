package phalanx.cli;

import java.io.PrintWriter;
import java.util.concurrent.Callable;
import phalanx.arrangement.Arrangement;
import phalanx.findings.Found;
import phalanx.findings.Review;
import phalanx.formats.json.ReviewJson;
import phalanx.planning.Arranger;
import phalanx.song.Pulse;
import phalanx.suggestion.Suggestion;
import phalanx.suggestion.Suggestions;
import phalanx.text.Phrase;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code phalanx check SONG}: what is hard in it, and up to which tempo the hands hold. */
@Command(
    name = "check",
    description = "what is hard in a song, and up to which tempo both hands hold",
    mixinStandardHelpOptions = true)
final class CheckCommand implements Callable<Integer> {

  @Spec private CommandSpec spec;

  @Mixin private SongOptions options;

  @Mixin private SongArgument song;

  @Option(names = "--json", description = "answer in JSON")
  private boolean json;

  @Override
  public Integer call() throws UnusableInput {
    Arranger arranger = new Arranger();
    Arrangement arrangement = arranger.arrange(options.adjusted(song.read()));
    Review review = Review.of(arrangement);
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.print(
          ReviewJson.write(arrangement, review, f -> Suggestions.of(arranger, arrangement, f)));
      return 0;
    }
    Pulse pulse = Pulse.of(arrangement.song());
    out.println(
        review
            .ceiling()
            .song()
            .map(
                t ->
                    Phrase.of(
                        "hands hold to %.0f %s a minute; bar %d sets it",
                        Math.floor(pulse.beats(t)),
                        pulse.words(),
                        review.ceiling().bar().orElseThrow()))
            .orElse("nothing limits the tempo"));
    out.println(review.tally().words());
    for (Found found : review.findings()) {
      out.println(
          Phrase.of(
              "%s %s: %s",
              found.finding().grade().sign(), found.where(), found.finding().message()));
      for (Suggestion suggestion : Suggestions.of(arranger, arrangement, found)) {
        out.println("    " + suggestion.line(review.tally()));
      }
    }
    for (Found found : review.accepted()) {
      String words = "%s, left as it is: %s %s";
      String note =
          found.accepted(arrangement).filter(n -> !n.isEmpty()).map(n -> "(" + n + ")").orElse("");
      out.println(Phrase.of(words, found.where(), found.finding().message(), note).strip());
    }
    return 0;
  }
}
