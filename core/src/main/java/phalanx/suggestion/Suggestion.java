package phalanx.suggestion;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import phalanx.findings.Found;
import phalanx.findings.RuleWords;
import phalanx.findings.Tally;
import phalanx.fretting.Shape;
import phalanx.song.Song;
import phalanx.text.Texts;

/**
 * A way out of a finding that was tried: with it the finding is gone.
 *
 * @param words what it does
 * @param edit the edit of the song
 * @param left the findings that are left in the song then
 * @param fresh findings that were not there before
 * @param extraCost what the whole plan costs the hands more then, without unit and without what is
 *     found; less than 0 if it is easier
 * @param ceiling the tempo both hands hold to then; empty where nothing limits it
 * @param shape the shape that is then held, where that is what it does
 */
public record Suggestion(
    String words,
    UnaryOperator<Song> edit,
    Tally left,
    List<Found> fresh,
    double extraCost,
    Optional<Double> ceiling,
    Optional<Shape> shape) {

  /** A difference of cost that a player would not feel. */
  private static final double SLIGHT = 0.05;

  public Suggestion {
    fresh = List.copyOf(fresh);
  }

  /** What it does and what else changes, in one line. */
  public String line(Tally before) {
    int less = before.hard() - left.hard();
    String fewer = less > 1 ? Texts.of("suggestion.less", less) : "";
    String more =
        fresh.isEmpty()
            ? ""
            : Texts.of(
                "suggestion.newBar",
                RuleWords.of(fresh.get(0).finding().rule()),
                fresh.get(0).bar(),
                fresh.size() > 1 ? Texts.of("suggestion.andMore", fresh.size() - 1) : "");
    return words
        + fewer
        + more
        + ceiling.map(c -> Texts.of("suggestion.holdsTo", Math.floor(c))).orElse("");
  }

  /** The same at length: what comes up, and what it costs. */
  public String details() {
    StringBuilder all = new StringBuilder(words);
    if (Math.abs(extraCost) >= SLIGHT) {
      all.append(
          Texts.of(
              "suggestion.theWholePlanIs",
              Math.abs(extraCost),
              extraCost > 0 ? Texts.of("suggestion.harder") : Texts.of("suggestion.easier")));
    }
    fresh.forEach(f -> all.append(Texts.of("suggestion.newInBar", f.bar(), f.finding().message())));
    return all.toString();
  }
}
