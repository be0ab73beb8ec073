package phalanx.planning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import phalanx.arrangement.MelodyNote;
import phalanx.fretting.Candidates;
import phalanx.fretting.PlanProblem;
import phalanx.fretting.PlanSlot;
import phalanx.fretting.PlanSolver;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapePlan;
import phalanx.instrument.Tuning;
import phalanx.song.Harmony;
import phalanx.song.Timeline.PlayedBar;
import phalanx.song.Timeline.PlayedSlot;

/**
 * Where a chord is better held in two shapes one after the other: where its tune leaves the place
 * of the hand. Each is tried with the shapes around it as they are planned; whether it is worth it
 * shows the plan of the whole song.
 */
final class Revoicing {

  /** Notes of the tune at which a chord is tried in parts. */
  private static final int TRIED = 2;

  /** The tune has to go so far while the chord lasts, semitones. */
  private static final int WIDE = 4;

  /**
   * What a change within a chord has to bring: more than a finger beside the shape. By judgement,
   * so that a chord stays one where little is gained.
   */
  private static final double WORTH = 0.75;

  /**
   * A chord is tried in parts where it costs so much more than it does at least alone: what a
   * change within it has to bring, the change itself, and what that least is too low.
   */
  private static final double DEAR = 2.5;

  /**
   * A chord in two parts.
   *
   * @param tick where the second begins
   * @param gain by how much the passage costs less
   */
  private record Split(int tick, double gain) {}

  /**
   * A chord to be tried in two parts.
   *
   * @param parts the song in which it is in parts
   * @param slot its number in the song as it stands
   * @param first the number of its first part
   * @param tick where the second begins
   */
  private record Trial(SongSlots parts, int slot, int first, int tick) {}

  private final SongSlots slots;
  private final ShapePlan plan;

  Revoicing(SongSlots slots, ShapePlan plan) {
    this.slots = slots;
    this.plan = plan;
  }

  /** Where parts of chords are to begin, ticks; none where nothing is gained. */
  Set<Integer> cuts() {
    Map<Integer, List<Integer>> tried = new HashMap<>();
    for (int i = 0; i < slots.count(); i++) {
      List<Integer> ticks = isDear(i) ? ticks(slots, i) : List.of();
      if (!ticks.isEmpty()) {
        tried.put(i, ticks);
      }
    }
    List<Trial> trials = new ArrayList<>();
    for (int n = 0; n < TRIED; n++) {
      trials.addAll(trials(tried, n));
    }
    Map<Integer, Split> best = new HashMap<>();
    List<Split> splits = trials.parallelStream().map(this::split).toList();
    for (int t = 0; t < splits.size(); t++) {
      best.merge(trials.get(t).slot(), splits.get(t), (a, b) -> b.gain() > a.gain() ? b : a);
    }
    Set<Integer> cuts = new HashSet<>();
    best.values().stream().filter(s -> s.gain() > WORTH).forEach(s -> cuts.add(s.tick()));
    return cuts;
  }

  /** Whether the tune makes a chord so dear that a change within it can be worth its while. */
  private boolean isDear(int slot) {
    return plan.chosen(slot).cost() - slots.leastAlone(slot) > DEAR;
  }

  /** Every chord in parts at its n-th tick, in a song in which all of them are. */
  private List<Trial> trials(Map<Integer, List<Integer>> tried, int n) {
    Map<Integer, Integer> now = new HashMap<>();
    tried.forEach(
        (slot, ticks) -> {
          if (n < ticks.size()) {
            now.put(slot, ticks.get(n));
          }
        });
    if (now.isEmpty()) {
      return List.of();
    }
    SongSlots parts = slots.cut(new HashSet<>(now.values()));
    List<Trial> trials = new ArrayList<>();
    for (int i = 0; i < slots.count(); i++) {
      if (now.containsKey(i)) {
        trials.add(new Trial(parts, i, i + trials.size(), now.get(i)));
      }
    }
    return trials;
  }

  /**
   * Both parts between the shapes around them, as a little song of its own; without any gain where
   * what its shapes cost alone is too much.
   */
  private Split split(Trial trial) {
    SongSlots parts = trial.parts();
    int slot = trial.slot();
    int first = trial.first();
    double now = now(slot);
    Optional<PlanSlot> before = planned(slot - 1);
    Optional<PlanSlot> after = planned(slot + 1);
    // What a part may cost so that the passage gains enough: dearer shapes need not be looked for.
    double around =
        before.map(PlanSlot::least).orElse(0.0) + after.map(PlanSlot::least).orElse(0.0);
    double room = now - WORTH - around;
    PlanSlot one = parts.row(first, room - parts.leastAlone(first + 1));
    if (room - one.least() - parts.leastAlone(first + 1) < 0) {
      return new Split(trial.tick(), 0);
    }
    PlanSlot other = parts.row(first + 1, room - one.least());
    if (room - one.least() - other.least() < 0) {
      return new Split(trial.tick(), 0);
    }
    List<PlanSlot> passage = new ArrayList<>();
    before.ifPresent(passage::add);
    passage.add(one);
    passage.add(other);
    after.ifPresent(passage::add);
    return new Split(trial.tick(), now - cost(passage));
  }

  private double cost(List<PlanSlot> passage) {
    return PlanSolver.solve(new PlanProblem(passage, plan.problem().changes())).cost();
  }

  /** What the passage costs as it is planned. */
  private double now(int slot) {
    return cost(
        IntStream.rangeClosed(slot - 1, slot + 1)
            .mapToObj(this::planned)
            .flatMap(Optional::stream)
            .toList());
  }

  /** A slot with the shape it is planned with alone; empty before and behind the song. */
  private Optional<PlanSlot> planned(int slot) {
    return slot >= 0 && slot < slots.count()
        ? Optional.of(only(plan.chosen(slot), plan.problem().slots().get(slot).changeMillis()))
        : Optional.empty();
  }

  private static PlanSlot only(RatedShape shape, double millis) {
    return new PlanSlot(Candidates.of(List.of(shape)), OptionalInt.empty(), millis);
  }

  /** Whether a chord may be held in parts, so that its tune may cost less than over one shape. */
  static boolean mayPart(SongSlots slots, int slot) {
    return !ticks(slots, slot).isEmpty();
  }

  /** Where a chord may be parted: at notes of its tune, the widest leaps first. */
  private static List<Integer> ticks(SongSlots slots, int slot) {
    PlayedSlot played = slots.timeline().slots().get(slot);
    PlayedBar bar = slots.timeline().barOf(played);
    List<MelodyNote> tune = slots.tune(slot);
    boolean free =
        played.harmony() instanceof Harmony.Sounding
            && !slots.song().pins().holds(played.ref())
            && played.lengthTicks() >= 2 * bar.meter().beatTicks()
            && slot + 1 < slots.count();
    if (!free || !isWide(tune)) {
      return List.of();
    }
    int beat = bar.meter().beatTicks();
    return IntStream.range(1, tune.size())
        .filter(n -> tune.get(n).tick() - played.tick() >= beat)
        .filter(n -> played.endTick() - tune.get(n).tick() >= beat)
        .filter(n -> tune.get(n).tick() > tune.get(n - 1).tick())
        .boxed()
        .sorted(Comparator.comparingInt((Integer n) -> -leap(tune, n)))
        .map(n -> tune.get(n).tick())
        .limit(TRIED)
        .toList();
  }

  private static int leap(List<MelodyNote> tune, int n) {
    return Math.abs(tune.get(n).midi() - tune.get(n - 1).midi());
  }

  private static boolean isWide(List<MelodyNote> tune) {
    int[] pitches = tune.stream().mapToInt(MelodyNote::midi).sorted().toArray();
    return pitches.length > 1 && pitches[pitches.length - 1] - pitches[0] >= WIDE;
  }

  /** The parts of a plan that are held in another shape than the part before, ticks. */
  static Set<Integer> used(SongSlots slots, ShapePlan plan) {
    Set<Integer> used = new HashSet<>();
    for (int i = 1; i < slots.count(); i++) {
      PlayedSlot slot = slots.timeline().slots().get(i);
      boolean same = isSame(plan.chosen(i - 1).shape(), plan.chosen(i).shape());
      if (slot.isPart() && !same) {
        used.add(slot.tick());
      }
    }
    return used;
  }

  /** Whether the hand stays as it is, apart from fingers that lift or come down beside others. */
  private static boolean isSame(Shape before, Shape after) {
    boolean lifted = true;
    boolean added = true;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      boolean was = before.finger(s).isPresent();
      boolean is = after.finger(s).isPresent();
      boolean other = !before.fret(s).equals(after.fret(s));
      lifted &= !is || was && !other;
      added &= !was || is && !other;
    }
    return lifted || added;
  }
}
