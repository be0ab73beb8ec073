package phalanx.planning;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
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
import phalanx.instrument.Tuning;
import phalanx.picking.PatternHeard;
import phalanx.text.Texts;

/**
 * A shape with what is struck of it: what that costs beside holding it, and which of its fingers
 * may rest.
 *
 * @param struck the strings that the pattern strikes over it
 * @param heard what is not heard over it
 * @param bass the first bass, as a MIDI note from the capo
 * @param stretches the stretches between its fingers
 * @param pattern what the pattern strikes; what is held for a share of the chord’s time counts for
 *     that share, but findings count in full
 * @param unheard what {@code heard} comes to
 * @param alone what it costs beside holding it where no tune is played over it
 */
record StruckShape(
    Shape shape,
    Set<Integer> struck,
    List<Cost> heard,
    OptionalInt bass,
    ShapeStretches stretches,
    PatternHeard pattern,
    double unheard,
    double alone) {

  static StruckShape of(Shape shape, PatternHeard pattern, Reach reach) {
    PatternHeard.Over over = pattern.over(shape);
    ShapeStretches stretches = ShapeStretches.of(shape, reach);
    double heard = sum(over.terms());
    double alone = extra(stretches, resting(shape, over.strings(), Set.of()), heard, pattern);
    return new StruckShape(
        shape, over.strings(), over.terms(), pattern.bass(shape), stretches, pattern, heard, alone);
  }

  private Set<Finger> resting(Set<Integer> tune) {
    return resting(shape, struck, tune);
  }

  /** Where the pattern strikes nothing at all, nobody knows what may rest. */
  private static Set<Finger> resting(Shape shape, Set<Integer> struck, Set<Integer> tune) {
    if (struck.isEmpty()) {
      return Set.of();
    }
    if (tune.isEmpty()) {
      return shape.fingersOff(struck);
    }
    Set<Integer> all = new HashSet<>(struck);
    all.addAll(tune);
    return shape.fingersOff(all);
  }

  /** The strings on which a way of the tune has a note under a finger of the shape. */
  private static Set<Integer> strings(TuneWay way) {
    Set<Integer> strings = new HashSet<>();
    for (Optional<TunePlace> place : way.places()) {
      if (place.isPresent() && place.get().inShape()) {
        strings.add(place.get().string());
      }
    }
    return strings;
  }

  /**
   * What a candidate made of it costs beside a tune.
   *
   * @param held what holding the shape costs, term by term
   */
  List<Cost> terms(List<Cost> held, RatedShape rated) {
    double found = stretches.foundWeight(rated.resting());
    List<Cost> terms = new ArrayList<>(held);
    terms.addAll(heard);
    stretches.terms(rated.resting()).stream().filter(t -> t.value() < 0).forEach(terms::add);
    terms.replaceAll(t -> t.times(pattern.share()));
    stretches.terms(rated.resting()).stream().filter(t -> t.value() >= 0).forEach(terms::add);
    double played = rated.found() - found;
    if (played > 0) {
      terms.add(Cost.term(Texts.of("struckShape.foundWhenItIs"), played));
    }
    return terms;
  }

  private static double extra(
      ShapeStretches stretches, Set<Finger> resting, double heard, PatternHeard pattern) {
    double found = stretches.foundWeight(resting);
    double sum = stretches.cost(resting) - found;
    sum += heard;
    return sum * pattern.share() + found;
  }

  /** What it costs with what is struck of it, where holding it all the time costs so much. */
  double cost(double held) {
    return held * pattern.share() + alone;
  }

  /** A candidate without a tune. */
  RatedShape rated(double held) {
    Set<Finger> resting = resting(Set.of());
    Stance stance = Stance.of(shape, resting).over(bass);
    double found = stretches.foundWeight(resting);
    return new RatedShape(shape, cost(held), resting, found, stance, stance);
  }

  /**
   * What is not heard while the hand is away from the shape for notes of the tune: the share of the
   * notes for which it leaves all but the bass.
   */
  double lost(TuneWay way) {
    double lost = 0;
    for (Optional<TunePlace> place : way.places()) {
      Set<Integer> left = place.map(TunePlace::left).orElse(Set.of());
      if (left.size() > 1 && left.size() >= pressed() - 1) {
        double more = sum(pattern.over(shape.without(left)).terms()) - unheard;
        lost += Math.max(0, more) / way.places().size();
      }
    }
    return lost * pattern.share();
  }

  private long pressed() {
    return IntStream.range(0, Tuning.STRINGS).filter(s -> shape.finger(s).isPresent()).count();
  }

  private static double sum(List<Cost> terms) {
    double sum = 0;
    for (Cost term : terms) {
      sum += term.value();
    }
    return sum;
  }

  /**
   * A candidate with a way to play the tune.
   *
   * @param cost what it costs without the tune
   */
  RatedShape rated(double cost, SlotTune tune, TuneWay way) {
    Set<Integer> strings = strings(way);
    Set<Finger> resting = resting(strings);
    double more = extra(stretches, resting, unheard, pattern) - alone + way.cost() + lost(way);
    return new RatedShape(
        shape,
        cost + more,
        resting,
        stretches.foundWeight(resting),
        tune.entry(shape, resting, way).over(bass),
        tune.exit(shape, resting, way).over(bass));
  }
}
