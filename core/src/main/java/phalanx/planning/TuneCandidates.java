package phalanx.planning;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.MelodyNote;
import phalanx.arrangement.tune.SlotTune;
import phalanx.arrangement.tune.TuneFit;
import phalanx.arrangement.tune.TuneSearch;
import phalanx.arrangement.tune.TuneWay;
import phalanx.fretting.Candidates;
import phalanx.fretting.CostTerm;
import phalanx.fretting.RatedShape;
import phalanx.fretting.RecentlyUsed;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.instrument.Tuning;
import phalanx.melody.Slur;
import phalanx.picking.PatternHeard;
import phalanx.picking.StringRoles;
import phalanx.technique.Technique;

/**
 * The shapes of a chord with one way each to play the tune there, rated together. A shape comes in
 * several ways where a note sounds on over a change, one for each place it can be held in, so that
 * the plan can keep it where it is. Kept for the next plan.
 */
public final class TuneCandidates {

  /** Pitches of a slot's tune that shapes are looked for with on top. */
  private static final int MOST_TOPS = 4;

  /** Shapes looked at for each. */
  private static final int EACH_TOP = 16;

  /** So many are kept however dear: what is found may rule out the cheapest. */
  private static final int FEWEST = 16;

  /**
   * What is so much dearer than the cheapest leaves out a note of the tune that the other plays: no
   * two changes cost as much.
   */
  private static final double HOPELESS = CostTerm.CANNOT_BE_DONE.weight() / 2;

  /** What of a note counts for its place. */
  private record Voice(
      int midi,
      Optional<Integer> string,
      boolean together,
      boolean legato,
      boolean rings,
      Optional<Slur> slur,
      Set<Technique> techniques) {}

  private record Asked(
      ShapeQuery query,
      Candidates base,
      List<Voice> voices,
      SlotTune.Edges edges,
      Optional<Shape> pin,
      boolean onTop) {}

  private final RecentlyUsed<ShapeQuery, List<RatedShape>> tops = new RecentlyUsed<>(120);
  private final RecentlyUsed<Asked, Candidates> known = new RecentlyUsed<>(120);

  void forgetUnused() {
    known.turn();
    tops.turn();
  }

  /**
   * The candidates of a chord, and more with the tune on top, each with a way to play the tune.
   *
   * @param base the candidates, what they cost under the pattern included
   * @param heard what the pattern wants to be heard
   * @param limit how many there are at most
   * @param most what they may cost; what is found under such a limit is not kept
   */
  Candidates withTune(
      ShapeQuery query,
      Candidates base,
      SlotTune tune,
      PatternHeard heard,
      Optional<Shape> pin,
      int limit,
      double most,
      TuneFit fit) {
    List<Voice> voices = new ArrayList<>();
    for (int n = 0; n < tune.notes().size(); n++) {
      MelodyNote note = tune.notes().get(n);
      boolean together = n > 0 && tune.notes().get(n - 1).tick() == note.tick();
      boolean legato = TuneFit.legato(tune.notes(), n);
      voices.add(
          new Voice(
              note.midi(),
              note.string(),
              together,
              legato,
              note.rings(),
              note.slur(),
              note.techniques()));
    }
    Asked asked = new Asked(query, base, voices, tune.edges(), pin, fit.onTop());
    return most < Double.POSITIVE_INFINITY
        ? known.peek(asked).orElseGet(() -> rated(query, base, tune, heard, pin, limit, most, fit))
        : known.get(asked, a -> rated(query, base, tune, heard, pin, limit, most, fit));
  }

  private Candidates rated(
      ShapeQuery query,
      Candidates base,
      SlotTune tune,
      PatternHeard heard,
      Optional<Shape> pin,
      int limit,
      double most,
      TuneFit fit) {
    Map<Shape, Double> costs = new LinkedHashMap<>();
    base.forEach(r -> costs.put(r.shape(), r.cost()));
    StruckShapes struck = new StruckShapes(heard, fit.reach());
    List<Integer> pitches =
        tune.notes().stream()
            .filter(n -> !n.isNatural())
            .map(MelodyNote::frettedMidi)
            .distinct()
            .limit(MOST_TOPS)
            .toList();
    for (int midi : pitches) {
      tops.get(withNote(query, midi), q -> ShapeSearch.find(q, fit.reach()).candidates(EACH_TOP, 2))
          .forEach(r -> costs.computeIfAbsent(r.shape(), shape -> struck.of(shape).cost(r.cost())));
    }
    return cheapest(query, base.all(), costs, struck, tune, pin, limit, most, fit);
  }

  /**
   * Shapes with a note of the tune on top; with room for it where it is no tone of the chord, or
   * lies so high that nobody holds a chord there.
   */
  private static ShapeQuery withNote(ShapeQuery query, int midi) {
    boolean isTone = query.chord().spelling(Math.floorMod(midi, 12)).isPresent();
    int sounding = midi + query.guitar().capo();
    boolean held = isTone && lowestFret(query, sounding) <= query.highestFret();
    return held ? query.withTop(sounding) : query.withAllBelow(sounding);
  }

  /** The lowest fret at which a note lies; beyond any neck where it lies on no string. */
  private static int lowestFret(ShapeQuery query, int sounding) {
    int lowest = Integer.MAX_VALUE;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      int fret = sounding - query.guitar().midi(s, 0);
      lowest = fret < 0 ? lowest : Math.min(lowest, fret);
    }
    return lowest;
  }

  /**
   * What one more may cost beside those found: less than the dearest where there are enough, and
   * not so much that no change from and to the chords around could make up for it.
   *
   * @param best what was found, the cheapest first
   */
  private static double dearest(List<RatedShape> best, int limit) {
    if (best.size() < FEWEST) {
      return Double.POSITIVE_INFINITY;
    }
    double hopeless = Math.max(best.get(FEWEST - 1).cost(), best.get(0).cost() + HOPELESS);
    return best.size() < limit ? hopeless : Math.min(hopeless, best.get(limit - 1).cost());
  }

  /** The cheapest ways over shapes that cost so much without the tune. */
  private static Candidates cheapest(
      ShapeQuery query,
      boolean all,
      Map<Shape, Double> costs,
      StruckShapes struck,
      SlotTune tune,
      Optional<Shape> pin,
      int limit,
      double dearest,
      TuneFit fit) {
    List<Map.Entry<Shape, Double>> shapes = new ArrayList<>(costs.entrySet());
    shapes.sort(Map.Entry.comparingByValue());
    List<RatedShape> best = new ArrayList<>();
    List<RatedShape> pinned = new ArrayList<>();
    boolean complete = all;
    TuneSearch search = fit.search(tune);
    for (Map.Entry<Shape, Double> entry : shapes) {
      Shape shape = entry.getKey();
      boolean isPinned = pin.equals(Optional.of(shape));
      // The tune only adds to what a shape costs.
      double last = Math.min(dearest, dearest(best, limit));
      boolean late = entry.getValue() > last;
      if (!late || isPinned) {
        double most = isPinned ? Double.POSITIVE_INFINITY : last;
        List<RatedShape> ways =
            ways(query, new RatedShape(shape, entry.getValue()), struck, tune, search, most);
        complete &= most == Double.POSITIVE_INFINITY;
        ways.forEach(way -> addInOrder(way, best));
        pinned.addAll(isPinned ? ways : List.of());
      }
      complete &= !late && best.size() <= limit;
      best.subList(Math.min(limit, best.size()), best.size()).clear();
    }
    double last = dearest(best, limit);
    complete &= !best.removeIf(r -> r.cost() > last);
    if (best.isEmpty()) {
      // All are too dear: one of them shows it.
      RatedShape first = new RatedShape(shapes.get(0).getKey(), shapes.get(0).getValue());
      best.addAll(ways(query, first, struck, tune, search, Double.POSITIVE_INFINITY));
      complete = false;
    }
    // What the player pinned stays a candidate however the tune lies on it.
    pinned.stream().filter(r -> !best.contains(r)).forEach(best::add);
    return Candidates.of(best, complete);
  }

  /** Puts one more among the cheapest, behind those that cost the same. */
  private static void addInOrder(RatedShape one, List<RatedShape> best) {
    int low = 0;
    int high = best.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (best.get(middle).cost() <= one.cost()) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    best.add(low, one);
  }

  /**
   * A shape in every way that differs in what sounds on over a change.
   *
   * @param rated the shape with what it costs without the tune
   */
  public static List<RatedShape> ways(
      ShapeQuery query, RatedShape rated, PatternHeard heard, SlotTune tune, TuneFit fit) {
    return ways(
        query,
        rated,
        new StruckShapes(heard, fit.reach()),
        tune,
        fit.search(tune),
        Double.POSITIVE_INFINITY);
  }

  /** Sums of the same costs in another order differ by less, as a share. */
  private static final double ROUNDING = 1e-9;

  /** Those of them that cost no more than a limit; dearer ones may be among them. */
  private static List<RatedShape> ways(
      ShapeQuery query,
      RatedShape rated,
      StruckShapes shapes,
      SlotTune tune,
      TuneSearch search,
      double most) {
    Shape shape = rated.shape();
    Optional<Integer> root = StringRoles.root(shape, query.chord(), query.guitar());
    if (root.isEmpty()) {
      return List.of(rated);
    }
    double left = most - rated.cost() + ROUNDING * (1 + Math.abs(most));
    List<RatedShape> all = new ArrayList<>();
    for (TuneWay way : search.ways(shape, root.get(), left)) {
      if (way.cost() <= left) {
        all.add(shapes.of(shape).rated(rated.cost(), tune, way));
      }
    }
    return all;
  }

  /**
   * A shape as a candidate, with every way to play the tune, if there is one.
   *
   * @param held the shape with what holding it costs
   */
  public static List<RatedShape> rated(
      ShapeQuery query, RatedShape held, PatternHeard heard, SlotTune tune, TuneFit fit) {
    RatedShape struck = StruckShape.of(held.shape(), heard, fit.reach()).rated(held.cost());
    return tune.notes().isEmpty() ? List.of(struck) : ways(query, struck, heard, tune, fit);
  }

  /**
   * The way to play the tune that a candidate was rated with; the cheapest over its shape where it
   * was rated without one.
   */
  static TuneWay way(ShapeQuery query, RatedShape chosen, SlotTune tune, TuneFit fit) {
    Shape shape = chosen.shape();
    List<TuneWay> ways =
        StringRoles.root(shape, query.chord(), query.guitar())
            .map(root -> fit.ways(shape, root, tune))
            .orElse(List.of());
    return ways.stream()
        .filter(way -> tune.entry(shape, way).isLike(chosen.entry()))
        .filter(way -> tune.exit(shape, way).isLike(chosen.exit()))
        .findFirst()
        .or(() -> ways.stream().findFirst())
        .orElse(TuneWay.NONE);
  }
}
