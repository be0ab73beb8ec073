package phalanx.planning;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.findings.Changes;
import phalanx.fretting.PlanProblem;
import phalanx.fretting.PlanSlot;
import phalanx.fretting.PlanSolver;
import phalanx.fretting.RecentlyUsed;
import phalanx.fretting.ShapePlan;
import phalanx.fretting.ShapeQuery;
import phalanx.picking.PatternHeard;
import phalanx.planning.Refinement.Played;
import phalanx.theory.Chord;
import phalanx.theory.Ticks;

/**
 * What players do with a song when its plain plan is hard: they hold a chord in several shapes
 * where its tune leaves the hand’s place, and leave out a note between the others for which the
 * hand has no time. Each is taken only where the plan of the whole song is better with it.
 */
final class Adaptation {

  /** Rounds of leaving notes out: more than one may stand before the same change. */
  private static final int ROUNDS = 3;

  /**
   * Chords from which on a song is nearly always hard somewhere, so that both ways are worked out
   * at once.
   */
  private static final int LONG = 60;

  /** Chords from which on each look at the whole song is waited for, so that there are few. */
  private static final int VERY_LONG = 400;

  private final RecentlyUsed<ShapeQuery, BothHands.Stuck> noShape;
  private final BooleanSupplier outdated;
  private Optional<ShapePlan> last;

  /** A song as it stands, and the cheapest shapes for it. */
  private record Adapted(SongSlots slots, ShapePlan plan) {}

  /**
   * For one song.
   *
   * @param last the last plan of an adapted song, of which much may still be the same
   * @param outdated asked again and again, by several threads
   */
  Adaptation(
      RecentlyUsed<ShapeQuery, BothHands.Stuck> noShape,
      Optional<ShapePlan> last,
      BooleanSupplier outdated) {
    this.noShape = noShape;
    this.last = last;
    this.outdated = outdated;
  }

  /** The last plan of an adapted song. */
  Optional<ShapePlan> last() {
    return last;
  }

  /** The cheapest shapes for a song as it stands. */
  ShapePlan solved(SongSlots slots, Optional<ShapePlan> before) {
    PlanProblem problem = slots.problem(rows(slots, slots::row));
    ShapePlan plan =
        before.map(b -> PlanSolver.solve(problem, b)).orElseGet(() -> PlanSolver.solve(problem));
    goOn();
    return plan;
  }

  /** The cheapest shapes for a song without its tune. */
  ShapePlan shapesAlone(SongSlots slots) {
    ShapePlan plan = PlanSolver.solve(slots.problem(rows(slots, slots::rowWithoutTune)));
    goOn();
    return plan;
  }

  /** No slot's row depends on another's, and finding them is half of the work. */
  private List<PlanSlot> rows(SongSlots slots, IntFunction<PlanSlot> row) {
    return IntStream.range(0, slots.count())
        .parallel()
        .mapToObj(
            i -> {
              goOn();
              return row.apply(i).ready(slots.changes());
            })
        .toList();
  }

  /** The best arrangement that was found from a plan on. */
  Played best(SongSlots slots, ShapePlan plan) {
    Adapted whole = new Adapted(slots, plan);
    Adapted parts = revoiced(whole);
    List<Played> tried = tried(parts, whole);
    Played played = tried.get(0);
    Set<Integer> fillers = isHard(played) ? fillers(played) : Set.of();
    if (!fillers.isEmpty()) {
      Played lean = withoutFillers(parts, fillers);
      played = lean.isBetterThan(played) ? lean : played;
    }
    Played plain = tried.get(tried.size() - 1);
    return isHard(played) && plain.isBetterThan(played) ? plain : played;
  }

  /** As the chords are parted; where that is hard, as the song stands as well. */
  private List<Played> tried(Adapted parts, Adapted whole) {
    int chords = whole.slots().count();
    if (chords > VERY_LONG) {
      return List.of(refined(parts));
    }
    if (parts != whole && chords > LONG) {
      return Stream.of(parts, whole).parallel().map(this::refined).toList();
    }
    Played first = refinement(parts).played(parts.plan());
    // What only both hands together show may be better with the song as it stands.
    List<Adapted> ways = parts != whole && isHard(first) ? List.of(parts, whole) : List.of(parts);
    return ways.parallelStream()
        .map(w -> w == parts ? refinement(w).of(first) : refined(w))
        .toList();
  }

  private static boolean isHard(Played played) {
    return played.tally().cannot() + played.tally().heard() > 0;
  }

  private Played refined(Adapted adapted) {
    Refinement refinement = refinement(adapted);
    return refinement.of(refinement.played(adapted.plan()));
  }

  private Refinement refinement(Adapted adapted) {
    return new Refinement(new BothHands(adapted.slots(), noShape)::under, this::goOn);
  }

  private Adapted adapted(SongSlots slots) {
    ShapePlan plan = solved(slots, last);
    last = Optional.of(plan);
    return new Adapted(slots, plan);
  }

  private void goOn() {
    if (outdated.getAsBoolean()) {
      throw new CancellationException("a newer song is to be planned");
    }
  }

  /**
   * With chords in parts where the tune leaves the hand’s place. Parts that turn out to be held in
   * one shape are one again.
   */
  private Adapted revoiced(Adapted whole) {
    Set<Integer> cuts = new Revoicing(whole.slots(), whole.plan()).cuts();
    while (!cuts.isEmpty()) {
      Adapted parts = adapted(whole.slots().cut(cuts));
      Set<Integer> used = Revoicing.used(parts.slots(), parts.plan());
      if (parts.plan().cost() >= whole.plan().cost()) {
        return whole;
      }
      if (used.equals(cuts)) {
        return parts;
      }
      cuts = used;
    }
    return whole;
  }

  /** Without the notes between the others that leave the hand too little time. */
  private Played withoutFillers(Adapted full, Set<Integer> first) {
    Set<Integer> fillers = first;
    Adapted now = full;
    Optional<Played> played = Optional.empty();
    boolean veryLong = full.slots().count() > VERY_LONG;
    for (int round = 0; round < (veryLong ? 1 : ROUNDS) && !fillers.isEmpty(); round++) {
      now = adapted(now.slots().leavingOut(fillers));
      played = Optional.of(refinement(now).played(now.plan()));
      fillers = fillers(played.get());
    }
    return veryLong ? played.orElseThrow() : refinement(now).of(played.orElseThrow());
  }

  /** When an accompanying note alone keeps the hand where a change is late, ticks. */
  private static Set<Integer> fillers(Played played) {
    Arrangement a = played.arrangement();
    Set<Integer> fillers = new HashSet<>();
    for (Changes.Change change : Changes.of(a, played.performance())) {
      boolean late = Ticks.millis(change.ticks(), a.song().tempo()) < change.needed();
      int tick = change.from().tick();
      if (late && a.notesFrom(tick, tick + 1).stream().allMatch(n -> isFiller(a, n))) {
        fillers.add(tick);
      }
    }
    return fillers;
  }

  /** An accompanying note, but not the only one that tells which chord it is. */
  private static boolean isFiller(Arrangement a, Note note) {
    if (note.part() != Note.Part.INNER) {
      return false;
    }
    Slot slot = a.slots().get(a.slotAt(note.tick()));
    Optional<Chord> chord = slot.played().harmony().sounding();
    int chroma = a.chroma(note);
    boolean tells =
        chord.stream()
            .flatMap(
                c ->
                    Stream.concat(PatternHeard.third(c).stream(), PatternHeard.seventh(c).stream()))
            .anyMatch(t -> t == chroma);
    return !tells
        || a.notesFrom(slot.fromTick(), slot.toTick()).stream()
            .anyMatch(n -> n != note && a.chroma(n) == chroma);
  }
}
