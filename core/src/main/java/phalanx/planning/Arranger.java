package phalanx.planning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleSupplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Damp;
import phalanx.arrangement.MelodyNote;
import phalanx.arrangement.Remark;
import phalanx.arrangement.ShapeSuggestion;
import phalanx.arrangement.Slot;
import phalanx.arrangement.tune.SlotTune;
import phalanx.arrangement.tune.TuneAlone;
import phalanx.arrangement.tune.TuneFit;
import phalanx.arrangement.tune.TuneWay;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.Cost;
import phalanx.fretting.FretRow;
import phalanx.fretting.PlanProblem;
import phalanx.fretting.PlanSlot;
import phalanx.fretting.PlanSolver;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.RecentlyUsed;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapePlan;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.fretting.ShapeTrial;
import phalanx.fretting.StretchRule;
import phalanx.picking.PatternHeard;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.Timeline.PlayedSlot;
import phalanx.theory.Chord;

/**
 * Plans both hands: finds the shapes of every chord, chooses among them along the whole song, lays
 * the pattern on them and gives every stroke its finger.
 *
 * <p>The result depends on the song alone. What a search found is kept for the next call, since an
 * edit leaves most chords as they were; safe for use by several threads.
 */
public final class Arranger {

  /** Fingerings of the same frets among the candidates of a chord. */
  public static final int FINGERINGS_EACH = 3;

  /** Why a chord has no shape, and what would help. */
  private record Stuck(String reason, List<ShapeSuggestion> ways) {}

  private final SlotRows rows = new SlotRows();
  private final RecentlyUsed<ShapeQuery, Stuck> noShape = new RecentlyUsed<>(200);
  private volatile ChangeCosts changes = changes(Song.untitled());
  private volatile TuneFit fit = new TuneFit(changes.reach(), true);
  private volatile Optional<ShapePlan> last = Optional.empty();

  private static ChangeCosts changes(Song song) {
    return new ChangeCosts(new Reach(song.guitar(), song.hand()));
  }

  /** Plans a song. */
  public Arrangement arrange(Song song) {
    return arrange(song, () -> false);
  }

  /**
   * Plans a song unless that is no longer wanted.
   *
   * @param outdated asked again and again, by several threads
   * @throws CancellationException if it was outdated before the plan was done
   */
  public Arrangement arrange(Song song, BooleanSupplier outdated) {
    ChangeCosts costs = changesFor(song);
    TuneFit fit = fitFor(costs.reach(), song.tune().onTop());
    SongSlots slots = SongSlots.of(song, rows, costs, fit);
    // No slot's row depends on another's, and finding them is half of the work.
    List<PlanSlot> planned =
        IntStream.range(0, slots.count())
            .parallel()
            .mapToObj(
                i -> {
                  goOn(outdated);
                  return slots.row(i);
                })
            .toList();
    PlanProblem problem = slots.problem(planned);
    ShapePlan plan =
        last.map(before -> PlanSolver.solve(problem, before))
            .orElseGet(() -> PlanSolver.solve(problem));
    last = Optional.of(plan);
    goOn(outdated);
    return new Refinement(p -> laid(slots, p), () -> goOn(outdated)).of(plan);
  }

  private static void goOn(BooleanSupplier outdated) {
    if (outdated.getAsBoolean()) {
      throw new CancellationException("a newer song is to be planned");
    }
  }

  /**
   * Plans a song, but gives it up as soon as its plan is known to cost more than a limit. Of what
   * was found only the shapes of its chords are kept.
   *
   * @param limit asked again and again, so that it may fall meanwhile
   */
  public Attempt attempt(Song song, DoubleSupplier limit) {
    SongSlots slots = unkept(song);
    PlanSearch search = new PlanSearch(slots, limit);
    Optional<ShapePlan> plan = search.plan();
    if (plan.isEmpty()) {
      return new Attempt.GivenUp(search.atLeast());
    }
    Arrangement whole = new Refinement(p -> laid(slots, p), () -> {}).of(plan.get());
    return new Attempt.Planned(whole);
  }

  /**
   * What the plan of a song costs, or costs at least where that is more than a limit.
   *
   * @param limit asked again and again, so that it may fall meanwhile
   */
  public double cost(Song song, DoubleSupplier limit) {
    PlanSearch search = new PlanSearch(unkept(song), limit);
    search.plan();
    return search.atLeast();
  }

  private SongSlots unkept(Song song) {
    ChangeCosts costs = changes(song);
    TuneFit fit = new TuneFit(costs.reach(), song.tune().onTop());
    return SongSlots.of(song, rows.withChords(), costs, fit);
  }

  private Arrangement laid(SongSlots known, ShapePlan plan) {
    Song song = known.song();
    Timeline timeline = known.timeline();
    TuneFit fit = known.fit();
    List<Slot> slots = new ArrayList<>();
    List<TuneWay> ways = new ArrayList<>();
    for (int i = 0; i < known.count(); i++) {
      Shape shape = plan.chosen(i).shape();
      slots.add(
          slot(
              song,
              timeline.slots().get(i),
              shape,
              known.heard().get(i),
              known.tune(i),
              fit.reach()));
      ways.add(way(song, slots.get(i), plan.chosen(i), known.sung().get(i), fit));
    }
    tuneAlone(slots, ways, fit.reach());
    FingeredNotes sounding =
        new SongNotes(song, timeline, slots, known.placed(), ways, fit).sounding();
    WantedDamps damps = WantedDamps.of(song, timeline, sounding, fit.reach());
    Arrangement wanted = put(known, damps.slots(), sounding, damps.all(), plan);
    List<Damp> more = PlannedDamps.in(wanted);
    if (more.isEmpty()) {
      return wanted;
    }
    List<Damp> all = Stream.concat(damps.all().stream(), more.stream()).sorted(BY_TICK).toList();
    return put(known, damps.slots(), sounding, all, plan);
  }

  private static final Comparator<Damp> BY_TICK = Comparator.comparingInt(Damp::tick);

  private static Arrangement put(
      SongSlots known, List<Slot> slots, FingeredNotes sounding, List<Damp> damps, ShapePlan plan) {
    Reach reach = known.fit().reach();
    List<Slot> resting =
        RestingFingers.in(slots, sounding.notes(), damps).stream()
            .map(s -> withStretch(s, reach))
            .toList();
    return new Arrangement(
        known.song(),
        known.timeline(),
        resting,
        sounding.notes(),
        sounding.gestures(),
        damps,
        Holds.of(resting, sounding.added()),
        plan);
  }

  /** What the fingers that are asked for have to span is said, where it is wide. */
  private static Slot withStretch(Slot slot, Reach reach) {
    return StretchRule.of(slot.asked(), reach)
        .map(
            f -> {
              List<Remark> more = new ArrayList<>(slot.found());
              more.add(Remark.note(f.words()));
              return slot.withRemarks(more);
            })
        .orElse(slot);
  }

  /** Where no chord is held the tune is fingered along the whole row of such slots. */
  private static void tuneAlone(List<Slot> slots, List<TuneWay> ways, Reach reach) {
    int from = 0;
    while (from < slots.size()) {
      int to = from;
      while (to < slots.size() && slots.get(to).isTuneAlone()) {
        to++;
      }
      if (to > from) {
        List<TuneWay> row =
            TuneAlone.ways(slots.subList(from, to).stream().map(Slot::tune).toList(), reach);
        for (int i = from; i < to; i++) {
          ways.set(i, row.get(i - from));
        }
      }
      from = Math.max(to, from + 1);
    }
  }

  private ChangeCosts changesFor(Song song) {
    ChangeCosts now = changes;
    boolean same =
        now.reach().guitar().equals(song.guitar()) && now.reach().hand().equals(song.hand());
    if (!same) {
      now = changes(song);
      changes = now;
    }
    rows.forgetUnused();
    now.forgetUnused();
    noShape.turn();
    return now;
  }

  private TuneFit fitFor(Reach reach, boolean onTop) {
    TuneFit now = fit;
    if (now.reach() != reach || now.onTop() != onTop) {
      now = new TuneFit(reach, onTop);
      fit = now;
    }
    now.forgetUnused();
    return now;
  }

  /** The question the planner asks for a chord of a song. */
  public static ShapeQuery query(Song song, Chord chord) {
    return ShapeQuery.of(chord, song.guitar(), song.hand());
  }

  /** What the shape held in a slot costs there, term by term. */
  public static Cost explain(Song song, Harmony harmony, Shape shape) {
    return harmony instanceof Harmony.Sounding s
        ? ShapeSearch.explain(query(song, s.chord()), shape)
        : Cost.term("rest", 0);
  }

  private static TuneWay way(Song song, Slot slot, RatedShape chosen, SlotTune tune, TuneFit fit) {
    return slot.played().harmony() instanceof Harmony.Sounding s && !tune.notes().isEmpty()
        ? TuneCandidates.way(query(song, s.chord()), chosen, tune, fit)
        : TuneWay.NONE;
  }

  /** What a shape costs in a slot, what the tune there costs over it included. */
  public static Cost explain(Arrangement a, int slot, RatedShape rated) {
    Slot at = a.slots().get(slot);
    Shape shape = rated.shape();
    Cost alone = explain(a.song(), at.played().harmony(), shape);
    if (!(at.played().harmony() instanceof Harmony.Sounding s)) {
      return alone;
    }
    List<Cost> parts = new ArrayList<>(alone.parts());
    Reach reach = a.plan().problem().changes().reach();
    StruckShape struck = StruckShape.of(shape, at.heard(), reach);
    if (at.tune().isEmpty()) {
      parts.addAll(struck.terms(rated));
      return Cost.sum(alone.name(), parts);
    }
    TuneFit fit = TuneFit.of(a);
    SlotTune sung = SlotTune.of(at.tune(), at.fromTick(), at.toTick());
    TuneWay way = TuneCandidates.way(query(a.song(), s.chord()), rated, sung, fit);
    parts.addAll(struck.terms(rated));
    parts.add(Cost.term("tune beside the shape", way.cost()));
    return Cost.sum(alone.name(), parts);
  }

  private static Remark beyondTheNeck(Shape pinned, Reach reach) {
    int highest = pinned.grips().values().stream().mapToInt(g -> g.fret()).max().orElse(0);
    return Remark.of(
        Remark.Kind.PIN,
        "the pinned shape " + pinned.fretText() + " is beyond this neck",
        new Remark.Figure(highest, reach.highestFret(), "frets"));
  }

  private static Remark noFingers(FretRow frets, Reach reach) {
    String trouble = ShapeTrial.of(frets.frets(), reach).trouble().orElse("no hand takes them");
    return Remark.of(
        Remark.Kind.PIN,
        "the pinned frets " + frets.text() + " cannot be held: " + trouble,
        new Remark.Figure(0, 1, "shapes"));
  }

  private Slot slot(
      Song song,
      PlayedSlot played,
      Shape shape,
      PatternHeard heard,
      List<MelodyNote> tune,
      Reach reach) {
    Optional<Shape> pin = song.pins().shape(played.ref());
    List<Remark> remarks = new ArrayList<>();
    pin.filter(p -> !SlotRows.fits(p, reach)).ifPresent(p -> remarks.add(beyondTheNeck(p, reach)));
    song.pins()
        .frets(played.ref())
        .filter(f -> !f.isOf(shape))
        .ifPresent(f -> remarks.add(noFingers(f, reach)));
    boolean pinned = song.pins().holds(played.ref());
    if (!shape.equals(Shape.NOTHING)) {
      return new Slot(played, Optional.of(shape), pinned, remarks, List.of(), heard, tune);
    }
    List<ShapeSuggestion> ways = List.of();
    if (played.harmony() instanceof Harmony.Sounding s) {
      Stuck stuck =
          noShape.get(
              query(song, s.chord()),
              q ->
                  new Stuck(
                      ShapeSuggestions.reason(song, s.chord()),
                      ShapeSuggestions.of(song, s.chord())));
      remarks.add(
          Remark.of(Remark.Kind.NO_SHAPE, stuck.reason(), new Remark.Figure(0, 1, "shapes")));
      ways = stuck.ways();
    } else if (played.harmony() instanceof Harmony.Unread u) {
      remarks.add(Remark.note("“" + u.text() + "” is not a chord: the hands rest"));
    }
    return new Slot(played, Optional.empty(), pinned, remarks, ways, heard, tune);
  }
}
