package phalanx.picking;

import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
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

  private final HandSchool school;
  private final double tempo;
  private final Map<StrikeFingering.Asked, List<StrikeFingering>> known = new HashMap<>();

  /**
   * When each finger last struck, in ticks, and which fingers struck last. There are few of them at
   * a time but very many in a song.
   */
  private static final class State {

    private final int[] last;
    private final List<PickFinger> latest;

    State(int[] last, List<PickFinger> latest) {
      this.last = last;
      this.latest = latest;
    }

    @Override
    public boolean equals(Object other) {
      return other instanceof State s && Arrays.equals(last, s.last) && latest.equals(s.latest);
    }

    @Override
    public int hashCode() {
      int latestFingers = 1;
      for (int k = 0; k < latest.size(); k++) {
        latestFingers = latestFingers * FINGERS + latest.get(k).ordinal();
      }
      return Arrays.hashCode(last) * 31 + latestFingers;
    }
  }

  /** A row of fingerings; the first has none before it. */
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
      StrikeFingering one = new StrikeFingering(strikes.get(i), choice.get(i), school);
      cost += rules.stepCost(state, strikes.get(i), one);
      state = rules.after(state, strikes.get(i), one);
    }
    return cost;
  }

  private static State start() {
    int[] never = new int[FINGERS];
    Arrays.fill(never, NEVER);
    return new State(never, List.of());
  }

  private Path solve(List<Strike> strikes) {
    // In order, so that of equally cheap rows the same is taken every time.
    Map<State, Path> paths = new LinkedHashMap<>();
    Fingered none = new Fingered(Map.of(), Optional.empty());
    paths.put(start(), new Path(0, Optional.empty(), none));
    for (Strike strike : strikes) {
      Map<State, Path> next =
          extend(
              paths,
              strike,
              known.computeIfAbsent(
                  StrikeFingering.Asked.of(strike),
                  a -> fingerings(strike, Fingerings.whole(strike, school))));
      if (next.isEmpty()) {
        next = extend(paths, strike, fingerings(strike, Fingerings.parts(strike, school)));
      }
      paths = next;
    }
    return paths.values().stream().min((a, b) -> Double.compare(a.cost(), b.cost())).orElseThrow();
  }

  private List<StrikeFingering> fingerings(Strike strike, List<Fingered> choices) {
    return choices.stream().map(f -> new StrikeFingering(strike, f, school)).toList();
  }

  private Map<State, Path> extend(
      Map<State, Path> paths, Strike strike, List<StrikeFingering> choices) {
    Map<State, Path> next = new LinkedHashMap<>();
    for (Map.Entry<State, Path> entry : paths.entrySet()) {
      Optional<Path> before = Optional.of(entry.getValue());
      for (StrikeFingering fingering : choices) {
        double step = stepCost(entry.getKey(), strike, fingering);
        if (step < Double.POSITIVE_INFINITY) {
          State after = after(entry.getKey(), strike, fingering);
          double cost = entry.getValue().cost() + step;
          Path other = next.get(after);
          if (other == null || cost < other.cost() - 1e-9) {
            next.put(after, new Path(cost, before, fingering.fingered()));
          }
        }
      }
    }
    return next;
  }

  private double stepCost(State state, Strike strike, StrikeFingering fingering) {
    double cost = fingering.cost();
    boolean alone = fingering.count() == 1;
    for (int k = 0; k < fingering.count(); k++) {
      PickFinger finger = fingering.finger(k);
      double since = since(state, finger, strike.at(fingering.string(k)));
      if (since < limit(finger)) {
        return Double.POSITIVE_INFINITY;
      }
      if (!fingering.isByThumb(k)) {
        cost += school.follows(state.latest, finger, alone);
        cost += HURRY * Math.max(0, (QUICK_MS - since) / (QUICK_MS - TOO_QUICK_MS));
      }
    }
    for (PickFinger finger : fingering.taken()) {
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
    int last = state.last[finger.ordinal()];
    return last == NEVER ? QUICK_MS : Ticks.millis((long) tick - last, tempo);
  }

  private State after(State state, Strike strike, StrikeFingering fingering) {
    int[] last = new int[FINGERS];
    for (int f = 0; f < FINGERS; f++) {
      int tick = state.last[f];
      boolean matters =
          tick != NEVER && Ticks.millis((long) strike.tick() - tick, tempo) < QUICK_MS;
      last[f] = matters ? tick : NEVER;
    }
    for (PickFinger finger : fingering.taken()) {
      last[finger.ordinal()] = strike.tick();
    }
    for (int k = 0; k < fingering.count(); k++) {
      last[fingering.finger(k).ordinal()] = strike.at(fingering.string(k));
    }
    List<PickFinger> struck = fingering.remembered();
    return new State(last, struck.isEmpty() ? state.latest : struck);
  }
}
