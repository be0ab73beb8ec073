package phalanx.planning;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleSupplier;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.arrangement.tune.SlotTune;
import phalanx.arrangement.tune.TuneFit;
import phalanx.arrangement.tune.TuneWay;
import phalanx.findings.Review;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.Cost;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.RecentlyUsed;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapePlan;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.performance.Performance;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.text.Texts;
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

  private final SlotRows rows = new SlotRows();
  private final RecentlyUsed<ShapeQuery, BothHands.Stuck> noShape = new RecentlyUsed<>(200);
  private volatile ChangeCosts changes = changes(Song.untitled());
  private volatile TuneFit fit = new TuneFit(changes.reach(), true);
  private volatile Optional<ShapePlan> last = Optional.empty();
  private volatile Optional<ShapePlan> lastAdapted = Optional.empty();

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
    return plan(song, outdated).arrangement();
  }

  /**
   * Plans a song and says what is hard in the plan, which was looked through for it anyway.
   *
   * @param outdated asked again and again, by several threads
   * @throws CancellationException if it was outdated before the plan was done
   */
  public Reviewed plan(Song song, BooleanSupplier outdated) {
    ChangeCosts costs = changesFor(song);
    TuneFit fit = fitFor(costs.reach(), song.tune().onTop());
    SongSlots slots = SongSlots.of(song, rows, costs, fit);
    Adaptation planning = new Adaptation(noShape, lastAdapted, outdated);
    ShapePlan plan = planning.solved(slots, last);
    last = Optional.of(plan);
    Refinement.Played best = planning.best(slots, plan);
    lastAdapted = planning.last();
    return new Reviewed(best.performance(), best.review());
  }

  /**
   * A plan that was looked through.
   *
   * @param performance the plan in time
   * @param review what is hard in it
   */
  public record Reviewed(Performance performance, Review review) {

    /** The plan. */
    public Arrangement arrangement() {
      return performance.arrangement();
    }
  }

  /**
   * A first plan of a song, in a small part of the time: shapes chosen as if there were no tune,
   * which is played over them as far as they allow. Nothing is corrected by what would be found.
   *
   * @throws CancellationException if it was outdated before the plan was done
   */
  public Arrangement preliminary(Song song, BooleanSupplier outdated) {
    ChangeCosts costs = changesFor(song);
    SongSlots slots = SongSlots.of(song, rows, costs, fitFor(costs.reach(), song.tune().onTop()));
    ShapePlan plan = new Adaptation(noShape, Optional.empty(), outdated).shapesAlone(slots);
    return new BothHands(slots, noShape).under(plan);
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
    Adaptation planning = new Adaptation(noShape, Optional.empty(), () -> false);
    return new Attempt.Planned(planning.best(slots, plan.get()).arrangement());
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

  /** What a shape costs in a slot, what the tune there costs over it included. */
  public static Cost explain(Arrangement a, int slot, RatedShape rated) {
    Slot at = a.slots().get(slot);
    Shape shape = rated.shape();
    Cost alone = explain(a.song(), at.played().harmony(), shape);
    if (!(at.played().harmony() instanceof Harmony.Sounding s)) {
      return alone;
    }
    Reach reach = a.plan().problem().changes().reach();
    StruckShape struck = StruckShape.of(shape, at.heard(), reach);
    List<Cost> parts = struck.terms(alone.parts(), rated);
    if (!at.tune().isEmpty()) {
      TuneFit fit = TuneFit.of(a);
      SlotTune sung = SlotTune.of(at.tune(), at.fromTick(), at.toTick());
      TuneWay way = TuneCandidates.way(query(a.song(), s.chord()), rated, sung, fit);
      parts.add(Cost.term(Texts.of("arranger.tuneBesideTheShape"), way.cost() + struck.lost(way)));
    }
    return Cost.sum(alone.name(), parts);
  }
}
