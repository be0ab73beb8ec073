package phalanx.arrangement;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import phalanx.fretting.Candidates;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.melody.Slur;
import phalanx.picking.StringRoles;

/** The shapes of a chord that carry a tune, rated with the tune on them. Kept for the next plan. */
final class TuneCandidates {

  /** Pitches of a slot's tune that shapes are looked for with on top. */
  private static final int MOST_TOPS = 4;

  /** Shapes looked at for each. */
  private static final int EACH_TOP = 16;

  /** What of a note counts for its place. */
  private record Voice(int midi, Optional<Integer> string, boolean together, Optional<Slur> slur) {}

  private record Asked(
      ShapeQuery query, Candidates base, List<Voice> voices, Optional<Shape> pin) {}

  private final Map<Asked, Candidates> known = new ConcurrentHashMap<>();

  void clear() {
    known.clear();
  }

  /**
   * The candidates of a chord, and more with the tune on top, each rated with what the tune costs
   * over it.
   */
  Candidates withTune(
      ShapeQuery query,
      Candidates base,
      List<Sung> tune,
      Optional<Shape> pin,
      int limit,
      TuneFit fit) {
    List<Voice> voices = new ArrayList<>();
    for (int n = 0; n < tune.size(); n++) {
      boolean together = n > 0 && tune.get(n - 1).tick() == tune.get(n).tick();
      Sung note = tune.get(n);
      voices.add(new Voice(note.midi(), note.string(), together, note.slur()));
    }
    return known.computeIfAbsent(
        new Asked(query, base, voices, pin), a -> rated(query, base, tune, pin, limit, fit));
  }

  private static Candidates rated(
      ShapeQuery query,
      Candidates base,
      List<Sung> tune,
      Optional<Shape> pin,
      int limit,
      TuneFit fit) {
    Map<Shape, Double> costs = new LinkedHashMap<>();
    base.forEach(r -> costs.put(r.shape(), r.cost()));
    List<Integer> pitches = tune.stream().map(Sung::midi).distinct().limit(MOST_TOPS).toList();
    for (int midi : pitches) {
      int sounding = midi + query.guitar().capo();
      ShapeSearch.find(query.withTop(sounding), fit.reach())
          .candidates(EACH_TOP, 2)
          .forEach(r -> costs.putIfAbsent(r.shape(), r.cost()));
    }
    List<RatedShape> rated = new ArrayList<>();
    costs.forEach(
        (shape, cost) -> rated.add(new RatedShape(shape, cost + cost(query, shape, tune, fit))));
    rated.sort(Comparator.comparingDouble(RatedShape::cost));
    List<RatedShape> best = new ArrayList<>(rated.subList(0, Math.min(limit, rated.size())));
    // What the player pinned stays a candidate however the tune lies on it.
    rated.stream()
        .filter(r -> pin.equals(Optional.of(r.shape())) && !best.contains(r))
        .forEach(best::add);
    return Candidates.of(best);
  }

  /** What the tune costs over a shape. */
  static double cost(ShapeQuery query, Shape shape, List<Sung> tune, TuneFit fit) {
    return StringRoles.root(shape, query.chord(), query.guitar())
        .map(root -> fit.way(shape, root, tune).cost())
        .orElse(0.0);
  }
}
