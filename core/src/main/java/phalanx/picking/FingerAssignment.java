package phalanx.picking;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import phalanx.theory.Ticks;

/**
 * Chooses the picking finger of every stroke: the cheapest row of fingerings by dynamic programming
 * over what each finger did last.
 *
 * <p>At one instant fingers never cross: a higher finger is on a higher string. A finger away from
 * its home string costs the strings between; the same finger again within {@value #QUICK_MS} ms
 * costs, within {@value #TOO_QUICK_MS} ms it is not allowed. The state is the time since each
 * finger last struck, as far back as that matters, so the result is exact. Time O(n·s·f) for n
 * strikes, s states that stay within that time, f fingerings of one strike.
 */
public final class FingerAssignment {

  /** A finger used again sooner than this is hurried, ms; from memory, adjustable later. */
  static final double QUICK_MS = 180;

  /** A finger cannot be used again sooner than this, ms; from memory. */
  static final double TOO_QUICK_MS = 110;

  /** Cost of a stroke one string away from home. */
  static final double AWAY = 1;

  /** Cost of a hurried repeat at the shortest allowed time; falls to 0 at {@link #QUICK_MS}. */
  static final double HURRY = 2;

  private static final int LONG_AGO = Integer.MAX_VALUE;

  private final HandSchool school;
  private final double tempo;

  /** When each finger last struck, in ticks, and which fingers struck last. */
  private record State(List<Integer> last, List<Integer> latest) {}

  private record Path(double cost, Optional<Path> before, int[] fingers) {}

  private FingerAssignment(HandSchool school, double tempo) {
    this.school = school;
    this.tempo = tempo;
  }

  /**
   * Assigns fingers.
   *
   * @param strikes what is struck, in order of time
   * @param school the hand school
   * @param tempo quarter notes a minute
   * @return for each strike the fingers of its strings in order; empty if no assignment keeps the
   *     limits
   */
  public static Optional<List<List<PickFinger>>> assign(
      List<Strike> strikes, HandSchool school, double tempo) {
    return new FingerAssignment(school, tempo).solve(strikes).map(FingerAssignment::unwind);
  }

  /** Cost of an assignment, summed plainly; infinite where it breaks a limit. */
  static double cost(List<Strike> strikes, List<int[]> choice, HandSchool school, double tempo) {
    FingerAssignment rules = new FingerAssignment(school, tempo);
    State state = rules.start();
    double cost = 0;
    for (int i = 0; i < strikes.size(); i++) {
      cost += rules.stepCost(state, strikes.get(i), choice.get(i));
      state = rules.after(state, strikes.get(i), choice.get(i));
    }
    return cost;
  }

  private State start() {
    Integer[] never = new Integer[school.fingers().size()];
    Arrays.fill(never, -LONG_AGO);
    return new State(List.of(never), List.of());
  }

  private Optional<Path> solve(List<Strike> strikes) {
    Map<State, Path> paths = new HashMap<>();
    paths.put(start(), new Path(0, Optional.empty(), new int[0]));
    for (Strike strike : strikes) {
      Map<State, Path> next = new HashMap<>();
      paths.forEach((state, path) -> extend(state, path, strike, next));
      if (next.isEmpty()) {
        return Optional.empty();
      }
      paths = next;
    }
    return paths.values().stream().min((a, b) -> Double.compare(a.cost(), b.cost()));
  }

  private void extend(State state, Path path, Strike strike, Map<State, Path> next) {
    for (int[] fingers : choices(strike.strings().size(), school.fingers().size())) {
      double step = stepCost(state, strike, fingers);
      if (step == Double.POSITIVE_INFINITY) {
        continue;
      }
      Path longer = new Path(path.cost() + step, Optional.of(path), fingers);
      next.merge(
          after(state, strike, fingers), longer, (a, b) -> b.cost() < a.cost() - 1e-9 ? b : a);
    }
  }

  /** Every rising choice of {@code count} fingers out of {@code fingers}, from 0. */
  static List<int[]> choices(int count, int fingers) {
    List<int[]> all = new ArrayList<>();
    for (int mask = 0; mask < 1 << fingers; mask++) {
      if (Integer.bitCount(mask) == count) {
        int m = mask;
        int[] chosen = new int[count];
        for (int k = 0; k < count; k++) {
          chosen[k] = Integer.numberOfTrailingZeros(m);
          m &= m - 1;
        }
        all.add(chosen);
      }
    }
    return all;
  }

  private double stepCost(State state, Strike strike, int[] fingers) {
    double cost = 0;
    for (int k = 0; k < fingers.length; k++) {
      cost += AWAY * school.away(fingers[k], strike.strings().get(k));
      if (state.latest().contains(fingers[k])) {
        cost += school.repeat();
      }
      int last = state.last().get(fingers[k]);
      double since =
          last == -LONG_AGO ? QUICK_MS : Ticks.millis((long) strike.tick() - last, tempo);
      if (since < TOO_QUICK_MS) {
        return Double.POSITIVE_INFINITY;
      }
      cost += HURRY * Math.max(0, (QUICK_MS - since) / (QUICK_MS - TOO_QUICK_MS));
    }
    return cost;
  }

  private State after(State state, Strike strike, int[] fingers) {
    List<Integer> last = new ArrayList<>();
    for (int tick : state.last()) {
      boolean matters =
          tick != -LONG_AGO && Ticks.millis((long) strike.tick() - tick, tempo) < QUICK_MS;
      last.add(matters ? tick : -LONG_AGO);
    }
    List<Integer> latest = new ArrayList<>();
    for (int f : fingers) {
      last.set(f, strike.tick());
      latest.add(f);
    }
    return new State(last, fingers.length == 0 ? state.latest() : latest);
  }

  private static List<List<PickFinger>> unwind(Path path) {
    LinkedList<List<PickFinger>> rows = new LinkedList<>();
    for (Path p = path; p.before().isPresent(); p = p.before().orElseThrow()) {
      // Finger 0 of every school is the index, which follows the thumb in the enumeration.
      rows.addFirst(Arrays.stream(p.fingers()).mapToObj(f -> PickFinger.values()[f + 1]).toList());
    }
    return rows;
  }
}
