package phalanx.picking;

import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import phalanx.fretting.CostTerm;
import phalanx.theory.Ticks;

/**
 * Chooses the picking finger of every stroke: the cheapest row of fingerings by dynamic programming
 * over what each finger did last.
 *
 * <p>At one instant fingers never cross: a higher finger is on a higher string. A finger away from
 * its home string costs the strings between; the same finger again within {@value #QUICK_MS} ms
 * costs, within {@value #TOO_QUICK_MS} ms it is not allowed; the thumb, which strikes down and back
 * up, may come again after {@value #THUMB_BACK_MS} ms. Hits and brushes use the fingers they take.
 * A finger the player wants is taken unless that cannot be. Where no finger is free in time, what
 * costs least is left out. The state is the time since each finger last struck, as far back as that
 * matters, so the result is exact as long as nothing is left out. Time O(n·s·f) for n strikes, s
 * states that stay within that time, f fingerings of one strike.
 */
public final class FingerAssignment {

  /** A finger used again sooner than this is hurried, ms; from memory, adjustable later. */
  static final double QUICK_MS = 180;

  /** A finger cannot be used again sooner than this, ms; from memory. */
  public static final double TOO_QUICK_MS = 110;

  /** The thumb cannot strike back sooner than this, ms; from memory. */
  public static final double THUMB_BACK_MS = 90;

  /** Cost of a stroke one string away from home. */
  static final double AWAY = CostTerm.AWAY_FROM_HOME.weight();

  /** Cost of a hurried repeat at the shortest allowed time; falls to 0 at {@link #QUICK_MS}. */
  static final double HURRY = CostTerm.HURRY.weight();

  private static final int NEVER = Integer.MIN_VALUE;
  private static final int FINGERS = PickFinger.values().length;
  private static final PickFinger[] ALL = PickFinger.values();

  private final HandSchool school;
  private final double tempo;

  /** When each finger last struck, in ticks, and which fingers struck last. */
  private record State(List<Integer> last, List<PickFinger> latest) {}

  private record Path(double cost, Optional<Path> before, Fingered fingers) {}

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
   * @return the fingers of each strike
   */
  public static List<Fingered> assign(List<Strike> strikes, HandSchool school, double tempo) {
    FingerAssignment rules = new FingerAssignment(school, tempo);
    Deque<Fingered> rows = new ArrayDeque<>();
    for (Path p = rules.solve(strikes); p.before().isPresent(); p = p.before().get()) {
      rows.addFirst(p.fingers());
    }
    return List.copyOf(rows);
  }

  /** Cost of an assignment, summed plainly; infinite where it breaks a limit. */
  static double cost(List<Strike> strikes, List<Fingered> choice, HandSchool school, double tempo) {
    FingerAssignment rules = new FingerAssignment(school, tempo);
    State state = start();
    double cost = 0;
    for (int i = 0; i < strikes.size(); i++) {
      cost += rules.stepCost(state, strikes.get(i), choice.get(i));
      state = rules.after(state, strikes.get(i), choice.get(i));
    }
    return cost;
  }

  private static State start() {
    Integer[] never = new Integer[FINGERS];
    Arrays.fill(never, NEVER);
    return new State(List.of(never), List.of());
  }

  private Path solve(List<Strike> strikes) {
    Map<State, Path> paths = new HashMap<>();
    Fingered none = new Fingered(Map.of(), true);
    paths.put(start(), new Path(0, Optional.empty(), none));
    for (Strike strike : strikes) {
      Map<State, Path> next = extend(paths, strike, Fingerings.whole(strike, school));
      if (next.isEmpty()) {
        next = extend(paths, strike, Fingerings.parts(strike, school));
      }
      paths = next;
    }
    return paths.values().stream().min((a, b) -> Double.compare(a.cost(), b.cost())).orElseThrow();
  }

  private Map<State, Path> extend(Map<State, Path> paths, Strike strike, List<Fingered> choices) {
    Map<State, Path> next = new HashMap<>();
    paths.forEach(
        (state, path) -> {
          for (Fingered fingers : choices) {
            double step = stepCost(state, strike, fingers);
            if (step < Double.POSITIVE_INFINITY) {
              Path longer = new Path(path.cost() + step, Optional.of(path), fingers);
              next.merge(
                  after(state, strike, fingers),
                  longer,
                  (a, b) -> b.cost() < a.cost() - 1e-9 ? b : a);
            }
          }
        });
    return next;
  }

  private double stepCost(State state, Strike strike, Fingered fingers) {
    double cost = Fingerings.cost(strike, fingers);
    boolean alone = fingers.fingers().size() == 1;
    for (Map.Entry<Integer, PickFinger> one : fingers.fingers().entrySet()) {
      PickFinger finger = one.getValue();
      double since = since(state, finger, strike.at(one.getKey()));
      if (since < limit(finger)) {
        return Double.POSITIVE_INFINITY;
      }
      boolean byThumb = strike.thumb().equals(Optional.of(one.getKey()));
      if (!byThumb) {
        cost += AWAY * school.away(finger, one.getKey());
        cost += school.follows(state.latest(), finger, alone);
        cost += HURRY * Math.max(0, (QUICK_MS - since) / (QUICK_MS - TOO_QUICK_MS));
      }
    }
    for (PickFinger finger : fingers.gesture() ? strike.gesture() : List.<PickFinger>of()) {
      if (since(state, finger, strike.tick()) < TOO_QUICK_MS) {
        return Double.POSITIVE_INFINITY;
      }
    }
    return cost;
  }

  private static double limit(PickFinger finger) {
    return finger == PickFinger.P ? THUMB_BACK_MS : TOO_QUICK_MS;
  }

  /** Milliseconds since a finger last struck; {@link #QUICK_MS} where that is long ago. */
  private double since(State state, PickFinger finger, int tick) {
    int last = state.last().get(finger.ordinal());
    return last == NEVER ? QUICK_MS : Ticks.millis((long) tick - last, tempo);
  }

  private State after(State state, Strike strike, Fingered fingers) {
    Integer[] last = new Integer[FINGERS];
    for (PickFinger f : ALL) {
      int tick = state.last().get(f.ordinal());
      boolean matters =
          tick != NEVER && Ticks.millis((long) strike.tick() - tick, tempo) < QUICK_MS;
      last[f.ordinal()] = matters ? tick : NEVER;
    }
    if (fingers.gesture()) {
      strike.gesture().forEach(f -> last[f.ordinal()] = strike.tick());
    }
    fingers.fingers().forEach((string, f) -> last[f.ordinal()] = strike.at(string));
    List<PickFinger> struck = fingers.rising();
    boolean counts = struck.stream().anyMatch(f -> school.remembers(f));
    return new State(
        List.of(last),
        counts ? struck.stream().filter(school::remembers).toList() : state.latest());
  }
}
