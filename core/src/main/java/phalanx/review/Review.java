package phalanx.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import phalanx.arrangement.Arrangement;

/**
 * What is hard in an arrangement.
 *
 * @param findings what the rules found, by time
 * @param ceiling the tempo up to which both hands hold
 */
public record Review(List<Found> findings, TempoCeiling ceiling) {

  private static final List<Rule> RULES =
      List.of(new TuneNotes(), new LateChanges(), new Stretches());

  public Review {
    findings = List.copyOf(findings);
  }

  /** Looks an arrangement through. */
  public static Review of(Arrangement arrangement) {
    List<Found> found = new ArrayList<>();
    RULES.forEach(r -> found.addAll(r.in(arrangement)));
    found.sort(Comparator.comparingInt(Found::tick));
    return new Review(found, TempoCeiling.of(arrangement));
  }
}
