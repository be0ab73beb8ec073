package phalanx.planning;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import phalanx.arrangement.tune.SlotTune;
import phalanx.arrangement.tune.TunePlace;
import phalanx.arrangement.tune.TuneWay;
import phalanx.fretting.Cost;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeStretches;
import phalanx.fretting.Stance;
import phalanx.instrument.Finger;
import phalanx.picking.PatternHeard;

/**
 * A shape with what is struck of it: what that costs beside holding it, and which of its fingers
 * may rest.
 *
 * @param struck the strings that the pattern strikes over it
 * @param heard what is not heard over it
 * @param bass the first bass, as a MIDI note from the capo
 * @param stretches the stretches between its fingers
 */
record StruckShape(
    Shape shape,
    Set<Integer> struck,
    List<Cost> heard,
    OptionalInt bass,
    ShapeStretches stretches) {

  static StruckShape of(Shape shape, PatternHeard pattern, Reach reach) {
    PatternHeard.Over over = pattern.over(shape);
    return new StruckShape(
        shape, over.strings(), over.terms(), pattern.bass(shape), ShapeStretches.of(shape, reach));
  }

  /** Whether the pattern strikes nothing at all: then nobody knows what may rest. */
  private boolean isSilent() {
    return struck.isEmpty();
  }

  private Set<Finger> resting(Set<Integer> tune) {
    if (isSilent()) {
      return Set.of();
    }
    Set<Integer> all = new HashSet<>(struck);
    all.addAll(tune);
    return shape.fingersOff(all);
  }

  /** The strings on which a way of the tune has a note under a finger of the shape. */
  private static Set<Integer> strings(TuneWay way) {
    Set<Integer> strings = new HashSet<>();
    way.places().stream()
        .flatMap(p -> p.stream())
        .filter(TunePlace::inShape)
        .forEach(p -> strings.add(p.string()));
    return strings;
  }

  /** What a candidate made of it costs beside holding it and beside a tune. */
  List<Cost> terms(RatedShape rated) {
    List<Cost> terms = new ArrayList<>(heard);
    terms.addAll(stretches.terms(rated.resting()));
    double played = rated.found() - stretches.foundWeight(rated.resting());
    if (played > 0) {
      terms.add(Cost.term("found when it is played", played));
    }
    return terms;
  }

  private double extra(Set<Integer> tune) {
    double sum = stretches.cost(resting(tune));
    for (Cost term : heard) {
      sum += term.value();
    }
    return sum;
  }

  /** What it costs with what is struck of it, where holding it costs so much. */
  double cost(double held) {
    return held + extra(Set.of());
  }

  /** A candidate without a tune. */
  RatedShape rated(double held) {
    Set<Finger> resting = resting(Set.of());
    Stance stance = Stance.of(shape, resting).over(bass);
    double found = stretches.foundWeight(resting);
    return new RatedShape(shape, cost(held), resting, found, stance, stance);
  }

  /**
   * A candidate with a way to play the tune.
   *
   * @param cost what it costs without the tune
   */
  RatedShape rated(double cost, SlotTune tune, TuneWay way) {
    Set<Integer> strings = strings(way);
    Set<Finger> resting = resting(strings);
    double more = extra(strings) - extra(Set.of()) + way.cost();
    return new RatedShape(
        shape,
        cost + more,
        resting,
        stretches.foundWeight(resting),
        tune.entry(shape, resting, way).over(bass),
        tune.exit(shape, resting, way).over(bass));
  }
}
