package phalanx.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.instrument.Hand;

/**
 * How much later than other strokes those come that a change of shape has to be ready for: what the
 * fretting hand needs beyond what the plan gave it.
 *
 * @param count changes that were measured
 * @param late how late their first strokes were against the others, s, on the whole
 */
public record ChangeLateness(int count, double late) {

  /** Nothing was measured. */
  public static final ChangeLateness NONE = new ChangeLateness(0, 0);

  /** Fewer changes than this say nothing; neither does less than this, s. */
  private static final int ENOUGH = 12;

  private static final double CLEAR = 0.012;

  /** A hand’s reaction stays within this, ms. */
  private static final double SLOWEST = 500;

  /** The changes among strokes that were matched. */
  public static ChangeLateness of(List<MatchedStroke> strokes) {
    List<Double> changed = new ArrayList<>();
    List<Double> others = new ArrayList<>();
    for (MatchedStroke stroke : strokes) {
      (stroke.stroke().change().isPresent() ? changed : others).add(stroke.late());
    }
    double usual = mean(others);
    return new ChangeLateness(changed.size(), changed.isEmpty() ? 0 : mean(changed) - usual);
  }

  private static double mean(List<Double> of) {
    return of.stream().mapToDouble(d -> d).average().orElse(0);
  }

  /** The hand with its own reaction, where enough was measured and it is clearly another. */
  public Optional<Hand> hand(Hand now) {
    double reaction = now.pace().reactionMs() + 1000 * late;
    if (count < ENOUGH || Math.abs(late) < CLEAR || reaction < 0 || reaction > SLOWEST) {
      return Optional.empty();
    }
    Hand.Pace pace = new Hand.Pace(Math.round(reaction), now.pace().doublingMs());
    return Optional.of(now.withPace(pace));
  }
}
