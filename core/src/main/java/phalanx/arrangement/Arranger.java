package phalanx.arrangement;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.Cost;
import phalanx.fretting.PlanProblem;
import phalanx.fretting.PlanSlot;
import phalanx.fretting.PlanSolver;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapePlan;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.picking.Pattern;
import phalanx.song.Harmony;
import phalanx.song.Meter;
import phalanx.song.Song;
import phalanx.song.Timeline;
import phalanx.song.Timeline.PlayedSlot;
import phalanx.theory.Chord;
import phalanx.theory.Ticks;

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

  /** Fingerings of the same frets among them. */
  private static final int FINGERINGS_EACH = 3;

  /** The hand off the strings, for slots where nothing is held. */
  private static final List<RatedShape> RESTING = List.of(new RatedShape(Shape.NOTHING, 0));

  private final Map<ShapeQuery, List<RatedShape>> known = new ConcurrentHashMap<>();

  /** Plans a song. */
  public Arrangement arrange(Song song) {
    Timeline timeline = Timeline.of(song);
    Pattern pattern = pattern(song);
    Reach reach = new Reach(song.guitar(), song.hand());
    double changeMillis = Ticks.millis(pattern.closestSteps(), song.tempo());
    List<PlanSlot> planned =
        timeline.slots().stream().map(s -> planSlot(song, s, changeMillis, reach)).toList();
    ShapePlan plan = PlanSolver.solve(new PlanProblem(planned, new ChangeCosts(reach), false));
    List<Slot> slots = new ArrayList<>();
    for (int i = 0; i < timeline.slots().size(); i++) {
      slots.add(slot(song, timeline.slots().get(i), plan.chosen(i).shape()));
    }
    Picking picking = Picking.of(song, pattern, slots);
    return new Arrangement(song, timeline, picking.slots(), picking.notes(), Holds.of(slots), plan);
  }

  /** The song's pattern for its metre. */
  public static Pattern pattern(Song song) {
    Meter meter = song.meter();
    return song.pattern().bar(meter.barTicks(), meter.beatTicks(), meter.isCompound());
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

  private PlanSlot planSlot(Song song, PlayedSlot slot, double changeMillis, Reach reach) {
    List<RatedShape> candidates = candidates(song, slot.harmony(), reach);
    Optional<Shape> pin = Optional.ofNullable(song.pins().get(slot.ref()));
    if (pin.isEmpty()) {
      return new PlanSlot(candidates, OptionalInt.empty(), changeMillis);
    }
    for (int c = 0; c < candidates.size(); c++) {
      if (candidates.get(c).shape().equals(pin.get())) {
        return new PlanSlot(candidates, OptionalInt.of(c), changeMillis);
      }
    }
    List<RatedShape> more = new ArrayList<>(candidates);
    double cost = explain(song, slot.harmony(), pin.get()).value();
    more.add(new RatedShape(pin.get(), cost));
    return new PlanSlot(more, OptionalInt.of(more.size() - 1), changeMillis);
  }

  private List<RatedShape> candidates(Song song, Harmony harmony, Reach reach) {
    if (harmony instanceof Harmony.Sounding s) {
      List<RatedShape> found =
          known.computeIfAbsent(
              query(song, s.chord()),
              q -> ShapeSearch.find(q, reach).candidates(CANDIDATES, FINGERINGS_EACH));
      return found.isEmpty() ? RESTING : found;
    }
    return RESTING;
  }

  private static Slot slot(Song song, PlayedSlot played, Shape shape) {
    boolean pinned = song.pins().containsKey(played.ref());
    if (!shape.equals(Shape.NOTHING)) {
      return new Slot(played, Optional.of(shape), pinned, List.of());
    }
    return new Slot(played, Optional.empty(), pinned, whyNothing(played.harmony()));
  }

  private static List<String> whyNothing(Harmony harmony) {
    if (harmony instanceof Harmony.Sounding s) {
      return List.of("no shape of " + s.label() + " is within reach with this tuning and capo");
    }
    return harmony instanceof Harmony.Unread u
        ? List.of("“" + u.text() + "” is not a chord: the hands rest")
        : List.of();
  }
}
