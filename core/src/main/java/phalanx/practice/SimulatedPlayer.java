package phalanx.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import phalanx.theory.Ticks;

/**
 * A player that taps as people do, for demonstration and tests: uneven by chance, with habits. The
 * same seed plays the same.
 *
 * @param seed what chance draws from
 * @param jitter standard deviation of each stroke, s
 * @param thumbLate how late the thumb is on the whole, s
 * @param fingersLate how late the other fingers are, s
 * @param offBeatsEarly how much strokes between beats are rushed, s
 * @param drift by how much the tempo rises from beginning to end, quarter notes a minute
 * @param missed the share of strokes that are left out, 0 to 1
 * @param extra strokes too many for each expected one, 0 to 1
 */
public record SimulatedPlayer(
    long seed,
    double jitter,
    double thumbLate,
    double fingersLate,
    double offBeatsEarly,
    double drift,
    double missed,
    double extra) {

  /** One who is good, and a little late with the thumb. */
  public static SimulatedPlayer steady(long seed) {
    return new SimulatedPlayer(seed, 0.014, 0.006, 0, 0.004, -0.4, 0, 0);
  }

  /**
   * What was played, with what each stroke was.
   *
   * @param strokes everything that was tapped, by time
   * @param played the expected strokes that were played, and when, by time
   * @param missed those that were left out
   */
  public record Playing(
      List<PlayedStroke> strokes, List<MatchedStroke> played, List<ExpectedStroke> missed) {}

  /**
   * Plays.
   *
   * @param expected by time
   * @param tempo the tempo asked for, quarter notes a minute
   */
  public Playing play(List<ExpectedStroke> expected, double tempo) {
    Random chance = new Random(seed);
    List<PlayedStroke> strokes = new ArrayList<>();
    List<MatchedStroke> played = new ArrayList<>();
    List<ExpectedStroke> left = new ArrayList<>();
    double last = expected.isEmpty() ? 1 : expected.get(expected.size() - 1).seconds();
    for (ExpectedStroke stroke : expected) {
      double at = drifted(stroke.seconds(), last, tempo);
      boolean offBeat = stroke.note().tick() % Ticks.PER_QUARTER != 0;
      double late =
          (stroke.isThumbs() ? thumbLate : fingersLate)
              - (offBeat ? offBeatsEarly : 0)
              + jitter * chance.nextGaussian();
      boolean leaves = chance.nextDouble() < missed;
      boolean doubles = chance.nextDouble() < extra;
      if (leaves) {
        left.add(stroke);
        continue;
      }
      played.add(new MatchedStroke(stroke, at, at + late));
      strokes.add(new PlayedStroke(at + late, Optional.of(stroke.finger())));
      if (doubles) {
        double when = at + late + 0.18 + 0.05 * chance.nextDouble();
        strokes.add(new PlayedStroke(when, Optional.of(stroke.finger())));
      }
    }
    strokes.sort(Comparator.comparingDouble(PlayedStroke::seconds));
    played.sort(Comparator.comparingDouble(MatchedStroke::heard));
    return new Playing(strokes, played, left);
  }

  /** When a written second comes if the tempo rises evenly. */
  private double drifted(double written, double last, double tempo) {
    double share = drift / tempo;
    return Math.abs(share) < 1e-9 ? written : last / share * Math.log1p(share * written / last);
  }
}
