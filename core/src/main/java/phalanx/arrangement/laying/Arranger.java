package phalanx.arrangement.laying;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;
import phalanx.arrangement.Slot;
import phalanx.arrangement.Sung;
import phalanx.arrangement.WayOut;
import phalanx.arrangement.tune.SlotTune;
import phalanx.arrangement.tune.TuneAlone;
import phalanx.arrangement.tune.TuneFit;
import phalanx.arrangement.tune.TuneLine;
import phalanx.arrangement.tune.TuneWay;
import phalanx.fretting.Candidates;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.Cost;
import phalanx.fretting.FretRow;
import phalanx.fretting.PlanProblem;
import phalanx.fretting.PlanSlot;
import phalanx.fretting.PlanSolver;
import phalanx.fretting.RankedShapes;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapePlan;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.fretting.ShapeTrial;
import phalanx.fretting.StretchRule;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.song.Clock;
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

  /** Shapes of one chord the planner chooses from. */
  private static final int CANDIDATES = 60;

  /** The same in songs of more slots than {@link #ENDLESS}. */
  private static final int FEWER_CANDIDATES = 15;

  /** Slots from which on memory counts more than the last candidate. */
  private static final int ENDLESS = 20_000;

  /** Fingerings of the same frets among them. */
  public static final int FINGERINGS_EACH = 3;

  /** Chords kept searched, before all are forgotten. */
  private static final int MOST_KNOWN = 4_000;

  /** The hand off the strings, for slots where nothing is held. */
  private static final Candidates RESTING =
      Candidates.of(List.of(new RatedShape(Shape.NOTHING, 0)));

  /** What was asked: the shapes of a chord, so many of them, perhaps with one the player wants. */
  private record Asked(ShapeQuery query, int limit, Optional<Shape> pin) {}

  /** Frets that the player wants for a harmony. */
  private record Fretted(Harmony harmony, FretRow frets, Guitar guitar, Hand hand) {}

  /** A row of candidates with a finger that stays. */
  private record Guided(Candidates row, PairRuns.Guide guide) {}

  /** A row of candidates under a pattern. */
  private record Heard(Candidates row, PatternHeard pattern) {}

  /** Why a chord has no shape, and what would help. */
  private record Stuck(String reason, List<WayOut> ways) {}

  private final Map<Asked, Candidates> known = new ConcurrentHashMap<>();
  private final Map<Fretted, Candidates> fretRows = new ConcurrentHashMap<>();
  private final Map<Guided, Candidates> guidedRows = new ConcurrentHashMap<>();
  private final Map<Heard, Candidates> heardRows = new ConcurrentHashMap<>();
  private final TuneCandidates tunes = new TuneCandidates();
  private final Map<ShapeQuery, Stuck> noShape = new ConcurrentHashMap<>();
  private volatile ChangeCosts changes = changes(Song.untitled());
  private volatile TuneFit fit = new TuneFit(changes.reach(), true);
  private volatile Optional<ShapePlan> last = Optional.empty();

  private static ChangeCosts changes(Song song) {
    return new ChangeCosts(new Reach(song.guitar(), song.hand()));
  }

  /** Plans a song. */
  public Arrangement arrange(Song song) {
    Timeline timeline = Timeline.of(song);
    ChangeCosts costs = changesFor(song);
    int limit = timeline.slots().size() > ENDLESS ? FEWER_CANDIDATES : CANDIDATES;
    PatternBook book = new PatternBook(song);
    PlacedSteps placed = PlacedSteps.of(song, timeline, book);
    List<List<Sung>> tunes = TuneLine.bySlot(TuneLine.of(song, timeline), timeline, placed.early());
    TuneFit fit = fitFor(costs.reach(), song.tune().onTop());
    List<PlanSlot> planned = new ArrayList<>();
    List<SlotTune> sung = new ArrayList<>();
    List<Optional<Candidates>> fingered = fingered(song, timeline, costs.reach());
    for (int i = 0; i < timeline.slots().size(); i++) {
      PlayedSlot slot = timeline.slots().get(i);
      double millis = book.changeMillis(timeline.barOf(slot), slot);
      int to = slot.endTick() - (i + 1 < placed.early().length ? placed.early()[i + 1] : 0);
      sung.add(SlotTune.of(tunes.get(i), slot.tick() - placed.early()[i], to));
      PatternHeard heard =
          PatternHeard.of(song, book, timeline.barOf(slot), slot, !tunes.get(i).isEmpty());
      planned.add(planSlot(song, slot, sung.get(i), heard, millis, limit, fit, fingered.get(i)));
    }
    PlanProblem problem = new PlanProblem(planned, costs);
    ShapePlan plan =
        last.map(before -> PlanSolver.solve(problem, before))
            .orElseGet(() -> PlanSolver.solve(problem));
    last = Optional.of(plan);
    List<Slot> slots = new ArrayList<>();
    List<TuneWay> ways = new ArrayList<>();
    for (int i = 0; i < timeline.slots().size(); i++) {
      Shape shape = plan.chosen(i).shape();
      slots.add(slot(song, timeline.slots().get(i), shape, tunes.get(i), costs.reach()));
      ways.add(way(song, slots.get(i), plan.chosen(i), sung.get(i), fit));
    }
    tuneAlone(slots, ways, costs.reach());
    LaidNotes sounding = new SongLaying(song, timeline, slots, placed, ways, fit).sounding();
    Clock clock = Clock.of(song, timeline);
    WantedDamps damps =
        WantedDamps.of(
            song,
            sounding.slots(),
            sounding.damps(),
            new Damping(sounding.notes(), sounding.gestures(), clock, song.tempo(), costs.reach()));
    return new Arrangement(
        song,
        timeline,
        damps.slots(),
        sounding.notes(),
        sounding.gestures(),
        damps.all(),
        Holds.of(damps.slots(), sounding.added()),
        plan);
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
    if (known.size() > MOST_KNOWN) {
      known.clear();
      heardRows.clear();
      fretRows.clear();
      guidedRows.clear();
      tunes.clear();
    }
    return now;
  }

  private TuneFit fitFor(Reach reach, boolean onTop) {
    TuneFit now = fit;
    if (now.reach() != reach || now.onTop() != onTop) {
      now = new TuneFit(reach, onTop);
      fit = now;
    }
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

  /** What the pattern of a slot wants to be heard. */
  public static PatternHeard heard(Arrangement a, int slot) {
    Slot at = a.slots().get(slot);
    return PatternHeard.of(
        a.song(),
        new PatternBook(a.song()),
        a.timeline().barOf(at.played()),
        at.played(),
        !at.tune().isEmpty());
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
    List<Cost> heard = heard(a, slot).terms(shape);
    parts.addAll(heard);
    if (at.tune().isEmpty()) {
      return heard.isEmpty() ? alone : Cost.sum(alone.name(), parts);
    }
    TuneFit fit = TuneFit.of(a);
    SlotTune sung = SlotTune.of(at.tune(), at.fromTick(), at.toTick());
    double tune = TuneCandidates.way(query(a.song(), s.chord()), rated, sung, fit).cost();
    parts.add(Cost.term("tune beside the shape", tune));
    return Cost.sum(alone.name(), parts);
  }

  private PlanSlot planSlot(
      Song song,
      PlayedSlot slot,
      SlotTune tune,
      PatternHeard heard,
      double changeMillis,
      int limit,
      TuneFit fit,
      Optional<Candidates> fingered) {
    Reach reach = fit.reach();
    if (fingered.isPresent()) {
      Candidates rated = withTune(song, slot, heard(fingered.get(), heard), tune, fit);
      return new PlanSlot(rated, OptionalInt.empty(), changeMillis);
    }
    Optional<Shape> pin = song.pins().shape(slot.ref()).filter(p -> fits(p, reach));
    Candidates row = heard(candidates(song, slot.harmony(), limit, pin, reach), heard);
    if (!tune.notes().isEmpty() && slot.harmony() instanceof Harmony.Sounding s && row != RESTING) {
      row = tunes.withTune(query(song, s.chord()), row, tune, heard, pin, limit, fit);
    }
    OptionalInt pinned = OptionalInt.empty();
    for (int c = 0; pin.isPresent() && c < row.size(); c++) {
      pinned = row.get(c).shape().equals(pin.get()) ? OptionalInt.of(c) : pinned;
    }
    return new PlanSlot(row, pinned, changeMillis);
  }

  /**
   * The ways to finger the frets pinned in each slot; empty where none are, or none can be held.
   */
  private List<Optional<Candidates>> fingered(Song song, Timeline timeline, Reach reach) {
    List<Optional<Candidates>> ways = new ArrayList<>();
    for (PlayedSlot slot : timeline.slots()) {
      ways.add(
          song.pins()
              .frets(slot.ref())
              .map(f -> fingered(song, slot.harmony(), f, reach))
              .filter(row -> row != RESTING));
    }
    PairRuns runs = PairRuns.of(song, timeline.slots(), ways);
    for (int i = 0; i < ways.size(); i++) {
      Optional<PairRuns.Guide> guide = runs.guide(i);
      ways.set(i, ways.get(i).map(row -> guide.map(g -> guided(row, g)).orElse(row)));
    }
    return ways;
  }

  private Candidates guided(Candidates row, PairRuns.Guide guide) {
    return guidedRows.computeIfAbsent(
        new Guided(row, guide), g -> PairRuns.kept(g.row(), g.guide()));
  }

  /** Every way to finger frets that the player wants, the easiest first. */
  private Candidates fingered(Song song, Harmony harmony, FretRow frets, Reach reach) {
    return fretRows.computeIfAbsent(
        new Fretted(harmony, frets, song.guitar(), song.hand()),
        f -> {
          List<RatedShape> rows = new ArrayList<>();
          boolean beyond = frets.frets().stream().anyMatch(n -> n > reach.highestFret());
          List<RatedShape> ways = beyond ? List.of() : ShapeTrial.fingerings(frets.frets(), reach);
          for (RatedShape r : ways) {
            rows.add(new RatedShape(r.shape(), explain(song, harmony, r.shape()).value()));
          }
          if (rows.isEmpty()) {
            // Beyond this hand's limit, but the player insists: the fingers' own cost decides.
            rows.addAll(ShapeTrial.of(frets.frets(), reach).fingerings());
          }
          rows.sort(Comparator.comparingDouble(RatedShape::cost));
          List<RatedShape> best = rows.subList(0, Math.min(CANDIDATES, rows.size()));
          return best.isEmpty() ? RESTING : Candidates.of(best, best.size() == rows.size());
        });
  }

  /** Candidates of fixed frets, each with every way to play the tune over it. */
  private static Candidates withTune(
      Song song, PlayedSlot slot, Candidates row, SlotTune tune, TuneFit fit) {
    if (tune.notes().isEmpty() || !(slot.harmony() instanceof Harmony.Sounding s)) {
      return row;
    }
    List<RatedShape> ways = new ArrayList<>();
    for (RatedShape r : row) {
      ways.addAll(TuneCandidates.ways(query(song, s.chord()), r.shape(), r.cost(), tune, fit));
    }
    return Candidates.of(ways, row.all());
  }

  private static boolean fits(Shape shape, Reach reach) {
    return shape.grips().values().stream().allMatch(g -> g.fret() <= reach.highestFret());
  }

  private Candidates candidates(
      Song song, Harmony harmony, int limit, Optional<Shape> pin, Reach reach) {
    if (!(harmony instanceof Harmony.Sounding sounding)) {
      return pin.map(p -> Candidates.of(List.of(new RatedShape(p, 0)))).orElse(RESTING);
    }
    ShapeQuery query = query(song, sounding.chord());
    Candidates found =
        known.computeIfAbsent(
            new Asked(query, limit, Optional.empty()), asked -> search(asked, reach));
    if (pin.isEmpty() || found.stream().anyMatch(r -> r.shape().equals(pin.get()))) {
      return found;
    }
    return known.computeIfAbsent(
        new Asked(query, limit, pin),
        asked -> {
          List<RatedShape> more = new ArrayList<>(found == RESTING ? List.of() : found);
          more.add(new RatedShape(pin.get(), ShapeSearch.explain(query, pin.get()).value()));
          return Candidates.of(more, found.all());
        });
  }

  private Candidates heard(Candidates row, PatternHeard pattern) {
    return row == RESTING
        ? row
        : heardRows.computeIfAbsent(new Heard(row, pattern), h -> pattern.rated(row));
  }

  private static Candidates search(Asked asked, Reach reach) {
    RankedShapes search = ShapeSearch.find(asked.query(), reach);
    List<RatedShape> found = search.candidates(asked.limit(), FINGERINGS_EACH);
    boolean all = found.size() == search.size();
    return found.isEmpty() ? RESTING : Candidates.of(found, all);
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

  private Slot slot(Song song, PlayedSlot played, Shape shape, List<Sung> tune, Reach reach) {
    Optional<Shape> pin = song.pins().shape(played.ref());
    List<Remark> remarks = new ArrayList<>();
    pin.filter(p -> !fits(p, reach)).ifPresent(p -> remarks.add(beyondTheNeck(p, reach)));
    song.pins()
        .frets(played.ref())
        .filter(f -> !f.isOf(shape))
        .ifPresent(f -> remarks.add(noFingers(f, reach)));
    boolean pinned = song.pins().holds(played.ref());
    if (!shape.equals(Shape.NOTHING)) {
      StretchRule.of(shape, reach).map(f -> Remark.note(f.words())).ifPresent(remarks::add);
      return new Slot(played, Optional.of(shape), pinned, remarks, List.of(), tune);
    }
    List<WayOut> ways = List.of();
    if (played.harmony() instanceof Harmony.Sounding s) {
      Stuck stuck =
          noShape.computeIfAbsent(
              query(song, s.chord()),
              q -> new Stuck(WaysOut.reason(song, s.chord()), WaysOut.of(song, s.chord())));
      remarks.add(
          Remark.of(Remark.Kind.NO_SHAPE, stuck.reason(), new Remark.Figure(0, 1, "shapes")));
      ways = stuck.ways();
    } else if (played.harmony() instanceof Harmony.Unread u) {
      remarks.add(Remark.note("“" + u.text() + "” is not a chord: the hands rest"));
    }
    return new Slot(played, Optional.empty(), pinned, remarks, ways, tune);
  }
}
