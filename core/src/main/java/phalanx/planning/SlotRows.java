package phalanx.planning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import phalanx.arrangement.tune.SlotTune;
import phalanx.arrangement.tune.TuneFit;
import phalanx.fretting.Candidates;
import phalanx.fretting.CostTerm;
import phalanx.fretting.FretRow;
import phalanx.fretting.PlanSlot;
import phalanx.fretting.RankedShapes;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.RecentlyUsed;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.fretting.ShapeStretches;
import phalanx.fretting.ShapeTrial;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.picking.HeardTones;
import phalanx.picking.PatternHeard;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.Timeline.PlayedSlot;

/**
 * The shapes each slot may choose from: those of its chord, those that the player pinned, with what
 * the pattern and the tune make of them. What a search found is kept for the next plan; safe for
 * use by several threads.
 */
final class SlotRows {

  /** Shapes of one chord the planner chooses from. */
  private static final int CANDIDATES = 60;

  /** So many of them are left once they are rated with a tune. */
  private static final int SUNG_CANDIDATES = 40;

  /** The same in songs of more slots than {@link #ENDLESS}. */
  private static final int FEWER_CANDIDATES = 15;

  /** The same for a part of a chord, of which many are tried. */
  private static final int PART_CANDIDATES = 20;

  /** Slots from which on memory counts more than the last candidate. */
  private static final int ENDLESS = 20_000;

  /** What is kept of each kind besides what a plan uses. */
  private static final int ROOM = 120;

  /** The hand off the strings, for slots where nothing is held. */
  private static final Candidates RESTING =
      Candidates.of(List.of(new RatedShape(Shape.NOTHING, 0)));

  /** What was asked: the shapes of a chord, so many of them, perhaps with one the player wants. */
  private record Asked(ShapeQuery query, int limit, Optional<Shape> pin) {}

  /** A row for a guitar and a hand, known by their reach. */
  private record Struck(Candidates row, Reach reach) {}

  /** Frets that the player wants for a harmony. */
  private record Fretted(Harmony harmony, FretRow frets, Guitar guitar, Hand hand) {}

  /** A row of candidates with a finger that stays. */
  private record Guided(Candidates row, PairRuns.Guide guide) {}

  /** A row of candidates under a pattern. */
  private record Heard(Candidates row, PatternHeard pattern, Guitar guitar, Hand hand) {}

  private final RecentlyUsed<Asked, Candidates> known;
  private final RecentlyUsed<Fretted, Candidates> fretRows = new RecentlyUsed<>(ROOM);
  private final RecentlyUsed<Guided, Candidates> guidedRows = new RecentlyUsed<>(ROOM);
  private final RecentlyUsed<Heard, Candidates> heardRows = new RecentlyUsed<>(ROOM);
  private final RecentlyUsed<Struck, Double> leastStruck = new RecentlyUsed<>(ROOM);
  private final TuneCandidates tunes = new TuneCandidates();

  SlotRows() {
    this(new RecentlyUsed<>(ROOM));
  }

  private SlotRows(RecentlyUsed<Asked, Candidates> known) {
    this.known = known;
  }

  /** Rows that share the shapes found for chords, and nothing else. */
  SlotRows withChords() {
    return new SlotRows(known);
  }

  /** How many candidates a slot of a song has. */
  static int limit(Timeline timeline, PlayedSlot slot) {
    int most = slot.share() < 1 ? PART_CANDIDATES : CANDIDATES;
    return timeline.slots().size() > ENDLESS ? FEWER_CANDIDATES : most;
  }

  /** Between two plans: lets go of what the last ones did not use. */
  void forgetUnused() {
    known.turn();
    heardRows.turn();
    fretRows.turn();
    guidedRows.turn();
    leastStruck.turn();
    tunes.forgetUnused();
  }

  /**
   * A slot as the solver sees it.
   *
   * @param changeMillis time the hand has to come to it, ms
   * @param limit how many candidates it has at most
   * @param most what a candidate may cost: dearer ones may be left out
   */
  PlanSlot slot(
      Song song,
      PlayedSlot slot,
      SlotTune tune,
      PatternHeard heard,
      double changeMillis,
      int limit,
      double most,
      TuneFit fit,
      Optional<Candidates> fingered) {
    Reach reach = fit.reach();
    if (fingered.isPresent()) {
      Candidates rated =
          withTune(song, slot, heard(fingered.get(), heard, reach), heard, tune, fit);
      return new PlanSlot(rated, OptionalInt.empty(), changeMillis);
    }
    Optional<Shape> pin = song.pins().shape(slot.ref()).filter(p -> fits(p, reach));
    Candidates row = heard(candidates(song, slot.harmony(), limit, pin, reach), heard, reach);
    if (!tune.notes().isEmpty() && slot.harmony() instanceof Harmony.Sounding s && row != RESTING) {
      ShapeQuery query = Arranger.query(song, s.chord());
      int left = Math.min(limit, SUNG_CANDIDATES);
      row = tunes.withTune(query, row, tune, heard, pin, left, most, fit);
    }
    OptionalInt pinned = OptionalInt.empty();
    for (int c = 0; pin.isPresent() && c < row.size(); c++) {
      pinned = row.get(c).shape().equals(pin.get()) ? OptionalInt.of(c) : pinned;
    }
    return new PlanSlot(row, pinned, changeMillis);
  }

  /** What the cheapest of a row costs if all fingers that stretch may rest. */
  private static double leastStruck(Candidates row, Reach reach) {
    double held =
        row.stream()
            .mapToDouble(r -> r.cost() - ShapeStretches.of(r.shape(), reach).most())
            .min()
            .orElseThrow();
    return held + 3 * CostTerm.OPEN_BASS.weight();
  }

  /** What the shapes of a slot's chord cost at least, whatever pattern and tune make of them. */
  double leastAlone(Song song, PlayedSlot slot, int limit, Reach reach) {
    boolean free = !song.pins().holds(slot.ref()) && slot.harmony() instanceof Harmony.Sounding;
    if (!free) {
      return CostTerm.LEAST_OF_A_SHAPE;
    }
    Candidates row = candidates(song, slot.harmony(), limit, Optional.empty(), reach);
    double least = leastStruck.get(new Struck(row, reach), s -> leastStruck(s.row(), s.reach()));
    return Math.min(least, least * slot.share());
  }

  /**
   * The ways to finger the frets pinned in each slot; empty where none are, or none can be held.
   */
  List<Optional<Candidates>> fingered(Song song, Timeline timeline, Reach reach) {
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
    return guidedRows.get(new Guided(row, guide), g -> PairRuns.kept(g.row(), g.guide()));
  }

  /** Every way to finger frets that the player wants, the easiest first. */
  private Candidates fingered(Song song, Harmony harmony, FretRow frets, Reach reach) {
    return fretRows.get(
        new Fretted(harmony, frets, song.guitar(), song.hand()),
        f -> {
          List<RatedShape> rows = new ArrayList<>();
          boolean beyond = frets.frets().stream().anyMatch(n -> n > reach.highestFret());
          List<RatedShape> ways = beyond ? List.of() : ShapeTrial.fingerings(frets.frets(), reach);
          for (RatedShape r : ways) {
            rows.add(new RatedShape(r.shape(), Arranger.explain(song, harmony, r.shape()).value()));
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
      Song song, PlayedSlot slot, Candidates row, PatternHeard heard, SlotTune tune, TuneFit fit) {
    if (tune.notes().isEmpty() || !(slot.harmony() instanceof Harmony.Sounding s)) {
      return row;
    }
    List<RatedShape> ways = new ArrayList<>();
    for (RatedShape r : row) {
      ways.addAll(TuneCandidates.ways(Arranger.query(song, s.chord()), r, heard, tune, fit));
    }
    return Candidates.of(ways, row.all());
  }

  /** Whether a neck has the frets of a shape. */
  static boolean fits(Shape shape, Reach reach) {
    return shape.grips().values().stream().allMatch(g -> g.fret() <= reach.highestFret());
  }

  private Candidates candidates(
      Song song, Harmony harmony, int limit, Optional<Shape> pin, Reach reach) {
    if (!(harmony instanceof Harmony.Sounding sounding)) {
      return pin.map(p -> Candidates.of(List.of(new RatedShape(p, 0)))).orElse(RESTING);
    }
    ShapeQuery query = Arranger.query(song, sounding.chord());
    Candidates found =
        known.get(new Asked(query, limit, Optional.empty()), asked -> search(asked, reach));
    if (pin.isEmpty() || found.stream().anyMatch(r -> r.shape().equals(pin.get()))) {
      return found;
    }
    return known.get(
        new Asked(query, limit, pin),
        asked -> {
          List<RatedShape> more = new ArrayList<>(found == RESTING ? List.of() : found);
          more.add(new RatedShape(pin.get(), ShapeSearch.explain(query, pin.get()).value()));
          return Candidates.of(more, found.all());
        });
  }

  private Candidates heard(Candidates row, PatternHeard pattern, Reach reach) {
    return row == RESTING
        ? row
        : heardRows.get(
            new Heard(row, pattern, reach.guitar(), reach.hand()),
            h -> struck(row, new HeardTones(pattern), reach));
  }

  private static Candidates struck(Candidates row, HeardTones heard, Reach reach) {
    List<RatedShape> struck = new ArrayList<>(row.size());
    for (RatedShape r : row) {
      struck.add(StruckShape.of(r.shape(), heard, reach).rated(r.cost()));
    }
    return Candidates.of(struck, row.all());
  }

  private Candidates search(Asked asked, Reach reach) {
    if (asked.limit() == PART_CANDIDATES) {
      Asked whole = new Asked(asked.query(), CANDIDATES, Optional.empty());
      Candidates found = known.get(whole, w -> search(w, reach));
      List<RatedShape> best = found.subList(0, Math.min(PART_CANDIDATES, found.size()));
      return found == RESTING ? found : Candidates.of(List.copyOf(best), false);
    }
    RankedShapes search = ShapeSearch.find(asked.query(), reach);
    List<RatedShape> found = search.candidates(asked.limit(), Arranger.FINGERINGS_EACH);
    boolean all = found.size() == search.size();
    return found.isEmpty() ? RESTING : Candidates.of(found, all);
  }
}
