package phalanx.planning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import phalanx.arrangement.Arrangement;
import phalanx.findings.BrokenPins;
import phalanx.findings.BusyFingers;
import phalanx.findings.Changes;
import phalanx.findings.FingersTooSoon;
import phalanx.findings.Found;
import phalanx.findings.Grade;
import phalanx.findings.MissingShapes;
import phalanx.findings.Review;
import phalanx.findings.Tally;
import phalanx.fretting.CostTerm;
import phalanx.fretting.PlanProblem;
import phalanx.fretting.PlanSlot;
import phalanx.fretting.PlanSolver;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.ShapePlan;
import phalanx.fretting.ShapeStretches;
import phalanx.performance.Performance;
import phalanx.theory.Ticks;

/**
 * Brings what is found in an arrangement back into the plan. The solver rates a shape by what the
 * pattern is expected to strike of it; what then is really struck may differ, and some things are
 * only known once both hands are put together. So the plan is looked through as the player would,
 * what was expected wrongly is corrected, what is found weighs on the shapes it is found with, and
 * the song is solved again, until nothing is found, nothing changes any more, or the rounds are
 * over. The plan with least that cannot be done, then least that is heard, then least cost is
 * taken: with no findings that is the first.
 */
final class Refinement {

  /** Rounds after the first plan: each leads around at least one more shape with a finding. */
  private static final int ROUNDS = 12;

  /** Rounds that may bring nothing better before it is left at that. */
  private static final int PATIENCE = 5;

  /** The chord of a finding, the next, the one before, as ways out are looked for too. */
  private static final int[] BESIDE = {0, 1, -1};

  /** What no other shape changes: too little time for a finger of the picking hand, a pin. */
  private static final Set<String> NOT_OF_SHAPES =
      Set.of(FingersTooSoon.NAME, BusyFingers.NAME, BrokenPins.NAME, MissingShapes.NAME);

  /**
   * A plan, played and looked through.
   *
   * @param found everything that was found; what the player accepted changes no plan, so it counts
   */
  record Played(Performance performance, Review review, List<Found> found, Tally tally) {

    Arrangement arrangement() {
      return performance.arrangement();
    }

    /** The plan with what was found where, by slots. */
    PlanSeams.Found passages() {
      Arrangement arrangement = arrangement();
      int[] weights = new int[arrangement.slots().size()];
      for (Found one : found) {
        if (one.finding().grade().isHard()) {
          int weight = one.finding().grade() == Grade.CANNOT ? PlanSeams.CANNOT : 1;
          one.ticks().forEach(t -> weights[arrangement.slotAt(t)] += weight);
        }
      }
      return new PlanSeams.Found(arrangement.plan(), weights);
    }

    boolean isBetterThan(Played other) {
      return ORDER.compare(this, other) < 0;
    }

    private static final Comparator<Played> ORDER =
        Comparator.<Played>comparingInt(p -> p.tally.cannot())
            .thenComparingInt(p -> p.tally.heard())
            .thenComparingDouble(p -> p.arrangement().plan().ease());
  }

  private final Function<ShapePlan, Arrangement> play;
  private final Runnable check;

  /**
   * For a song.
   *
   * @param play puts both hands together for a plan
   * @param check called before every round; may throw to give up
   */
  Refinement(Function<ShapePlan, Arrangement> play, Runnable check) {
    this.play = play;
    this.check = check;
  }

  /** The best found from a plan on. */
  Played of(Played first) {
    Played best = first;
    Played now = best;
    int idle = 0;
    int rounds = rounds(now.arrangement().slots().size());
    for (int round = 0; round < rounds && idle < PATIENCE && isHard(now); round++) {
      check.run();
      Optional<PlanProblem> corrected = corrected(now, round);
      if (corrected.isEmpty()) {
        break;
      }
      now = played(PlanSolver.solve(corrected.get(), now.arrangement().plan()));
      if (!now.isBetterThan(best)) {
        // Better in one passage and worse in another: the better of each.
        now = PlanSeams.between(best.passages(), now.passages()).map(this::played).orElse(now);
      }
      idle = now.isBetterThan(best) ? 0 : idle + 1;
      best = idle == 0 ? now : best;
    }
    return best;
  }

  /**
   * How many rounds a song of so many chords has: fewer in long ones, where the player would wait.
   */
  private static int rounds(int chords) {
    return chords <= 60 ? ROUNDS : chords <= 400 ? 3 : 1;
  }

  private static boolean isHard(Played played) {
    return played.found().stream().anyMatch(Refinement::isOfShapes);
  }

  private static boolean isOfShapes(Found found) {
    return found.finding().grade().isHard() && !NOT_OF_SHAPES.contains(found.finding().rule());
  }

  /** What both hands do under a plan, and what is found in it. */
  Played played(ShapePlan plan) {
    Performance performance = Performance.of(play.apply(plan));
    Review review = Review.of(performance);
    List<Found> all = new ArrayList<>(review.findings());
    all.addAll(review.accepted());
    return new Played(performance, review, all, Tally.of(all));
  }

  /**
   * What is to be solved next; empty where there is nothing to choose at any finding. By turns a
   * finding weighs on the shape it is found with, on the one after it and on the one before, and
   * from the second turn on on all ways to finger the same frets.
   */
  private Optional<PlanProblem> corrected(Played played, int round) {
    int beside = BESIDE[round % BESIDE.length];
    boolean widely = round >= BESIDE.length;
    Arrangement a = played.arrangement();
    List<PlanSlot> slots = new ArrayList<>(a.plan().problem().slots());
    boolean changed = correctTimes(played, slots);
    Set<Integer> corrected = new HashSet<>();
    for (Found found : played.found()) {
      Grade grade = found.finding().grade();
      if (isOfShapes(found)) {
        for (int tick : found.ticks()) {
          int at = a.slotAt(tick);
          boolean rests = correctResting(a, slots, at, corrected);
          rests |= at > 0 && correctResting(a, slots, at - 1, corrected);
          changed |= rests || weigh(a, slots, at + beside, grade, widely);
        }
      }
    }
    return changed
        ? Optional.of(new PlanProblem(slots, a.plan().problem().changes()))
        : Optional.empty();
  }

  /** Changes that have less time than was expected. */
  private static boolean correctTimes(Played played, List<PlanSlot> slots) {
    Arrangement a = played.arrangement();
    boolean changed = false;
    for (Changes.Change change : Changes.ofShapes(a, played.performance())) {
      double has = Ticks.millis(change.ticks(), a.song().tempo());
      int at = a.slotAt(change.tick());
      if (has < change.needed() && has < slots.get(at).changeMillis()) {
        slots.set(at, slots.get(at).in(has));
        changed = true;
      }
    }
    return changed;
  }

  /**
   * A chord of which fingers were expected to rest that are needed: there nothing is expected of
   * any shape any more.
   */
  private static boolean correctResting(
      Arrangement a, List<PlanSlot> slots, int at, Set<Integer> corrected) {
    boolean needed = !a.slots().get(at).resting().containsAll(a.plan().chosen(at).resting());
    if (!needed || !corrected.add(at)) {
      return false;
    }
    Reach reach = a.plan().problem().changes().reach();
    List<RatedShape> all = new ArrayList<>();
    for (RatedShape one : slots.get(at).candidates()) {
      ShapeStretches stretches = ShapeStretches.of(one.shape(), reach);
      double found = stretches.foundWeight(Set.of()) - stretches.foundWeight(one.resting());
      double eased = stretches.cost(Set.of()) - stretches.cost(one.resting()) - found;
      double more = eased * a.slots().get(at).heard().share() + found;
      all.add(one.resting().isEmpty() ? one : one.resting(Set.of(), more, found));
    }
    slots.set(at, slots.get(at).with(all));
    return true;
  }

  /** Lets a finding weigh on the shape it is found with, where there is another. */
  private static boolean weigh(
      Arrangement a, List<PlanSlot> slots, int at, Grade grade, boolean widely) {
    if (at < 0 || at >= slots.size()) {
      return false;
    }
    PlanSlot slot = slots.get(at);
    if (slot.pinned().isPresent() || slot.candidates().size() < 2) {
      return false;
    }
    CostTerm term = grade == Grade.CANNOT ? CostTerm.CANNOT_BE_DONE : CostTerm.WILL_BE_HEARD;
    RatedShape chosen = a.plan().chosen(at);
    for (int c = 0; c < slot.candidates().size(); c++) {
      RatedShape one = slots.get(at).candidates().get(c);
      boolean same = widely && one.shape().sameFrets(chosen.shape());
      if (c == a.plan().choice(at) || same) {
        slots.set(at, slots.get(at).with(c, one.finding(term.weight())));
      }
    }
    return true;
  }
}
