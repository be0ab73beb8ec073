package phalanx.findings;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.performance.Performance;

/** What is hard in an arrangement. The planner asks for it again and again, and seldom for all. */
public final class Review {

  private static final List<Rule> RULES =
      List.of(
          new MissingShapes(),
          new BrokenPins(),
          new TuneAway(),
          new TuneReach(),
          new TuneCutOff(),
          new TuneOnTop(),
          new LostSlurs(),
          new LateChanges(),
          new Stretches(),
          new HardBends(),
          new ForeignBass(),
          new RingsOver(),
          new DeadStrings(),
          new UnheardTones(),
          new UnmutedStrings(),
          new FingersTooSoon(),
          new Crossings(),
          new BusyFingers());

  private final Performance performance;
  private final List<Found> findings;
  private final List<Found> accepted;

  /** Found when it is first asked for; two threads would find the same. */
  private volatile TempoCeiling ceiling;

  private Review(Performance performance, List<Found> findings, List<Found> accepted) {
    this.performance = performance;
    this.findings = List.copyOf(findings);
    this.accepted = List.copyOf(accepted);
  }

  /** What the rules found, by time, but what the player accepted. */
  public List<Found> findings() {
    return findings;
  }

  /** What the player leaves as it is, by time. */
  public List<Found> accepted() {
    return accepted;
  }

  /** The tempo up to which both hands hold. */
  public TempoCeiling ceiling() {
    TempoCeiling known = ceiling;
    if (known == null) {
      known = TempoCeiling.of(performance.arrangement(), performance);
      ceiling = known;
    }
    return known;
  }

  /** How many findings there are of each grade, but those the player accepted. */
  public Tally tally() {
    return Tally.of(findings);
  }

  /** Notes of the tune that no finger reaches, accepted or not. */
  public List<Found> unreached() {
    return Stream.concat(findings.stream(), accepted.stream())
        .filter(f -> f.finding().rule().equals(TuneReach.NAME))
        .toList();
  }

  /** Looks an arrangement through. */
  public static Review of(Arrangement arrangement) {
    return of(Performance.of(arrangement));
  }

  /** The same, where its time is known already. */
  public static Review of(Performance performance) {
    Arrangement arrangement = performance.arrangement();
    List<Found> found = new ArrayList<>();
    RULES.parallelStream().map(r -> r.in(arrangement, performance)).forEachOrdered(found::addAll);
    found.sort(Comparator.comparingInt(Found::tick));
    return new Review(
        performance,
        Found.together(found.stream().filter(f -> f.accepted(arrangement).isEmpty()).toList()),
        Found.together(found.stream().filter(f -> f.accepted(arrangement).isPresent()).toList()));
  }
}
