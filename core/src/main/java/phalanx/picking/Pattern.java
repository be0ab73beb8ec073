package phalanx.picking;

import java.util.List;

/**
 * One or more bars of picking, written on roles so that it fits any shape.
 *
 * @param name what the player calls it
 * @param lengthTicks length of the bars it fills
 * @param steps what is struck when, in order
 */
public record Pattern(String name, int lengthTicks, List<Step> steps) {

  public Pattern {
    steps = List.copyOf(steps);
    int last = -1;
    for (Step step : steps) {
      if (step.tick() <= last || step.tick() >= lengthTicks) {
        throw new IllegalArgumentException("step out of order or outside the bar: " + step);
      }
      last = step.tick();
    }
  }

  /**
   * What is struck at one instant; several roles are a pinch.
   *
   * @param tick ticks from the start of the bar
   * @param roles the roles struck together
   */
  public record Step(int tick, List<Role> roles) {
    public Step {
      roles = List.copyOf(roles);
    }
  }

  /** The steps from one tick of the bar up to, not including, another. */
  public List<Step> between(int from, int to) {
    return between(from, to, 0);
  }

  /** The same in a later bar of the pattern, which begins so many ticks ahead. */
  public List<Step> between(int from, int to, int ahead) {
    return steps.stream()
        .filter(s -> s.tick() >= from + ahead && s.tick() < to + ahead)
        .map(s -> new Step(s.tick() - ahead, s.roles()))
        .toList();
  }

  /** Time between the closest two steps, in ticks. */
  public int closestSteps() {
    int closest = lengthTicks;
    for (int i = 1; i < steps.size(); i++) {
      closest = Math.min(closest, steps.get(i).tick() - steps.get(i - 1).tick());
    }
    return closest;
  }
}
