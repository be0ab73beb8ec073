package phalanx.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import phalanx.arrangement.tune.SlotTune;
import phalanx.arrangement.tune.TunePlace;
import phalanx.arrangement.tune.TuneWay;
import phalanx.fretting.Cost;
import phalanx.fretting.CostTerm;
import phalanx.fretting.FingerSet;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeStretches;
import phalanx.fretting.Stance;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.picking.HeardTones;
import phalanx.picking.PatternHeard;
import phalanx.text.Texts;

/**
 * A shape with what is struck of it: what that costs beside holding it, and which of its fingers
 * may rest.
 *
 * @param struck the strings that the pattern strikes over it, as bits, 1 for ⑥ to 32 for ①
 * @param bass the first bass, as a MIDI note from the capo
 * @param stretches the stretches between its fingers
 * @param heard what the pattern strikes and makes heard; what is held for a share of the chord’s
 *     time counts for that share, but findings count in full
 * @param unheard what it costs that something is not heard over it
 * @param alone what it costs beside holding it where no tune is played over it
 */
record StruckShape(
    Shape shape,
    int struck,
    OptionalInt bass,
    ShapeStretches stretches,
    HeardTones heard,
    double unheard,
    double alone) {

  static StruckShape of(Shape shape, PatternHeard pattern, Reach reach) {
    return of(shape, new HeardTones(pattern), reach);
  }

  static StruckShape of(Shape shape, HeardTones heard, Reach reach) {
    HeardTones.Over over = heard.over(shape);
    int struck = over.strings();
    ShapeStretches stretches = ShapeStretches.of(shape, reach);
    FingerSet resting = resting(shape, struck, 0);
    double alone = extra(stretches, resting, over.cost(), heard.pattern().share());
    return new StruckShape(shape, struck, over.bass(), stretches, heard, over.cost(), alone);
  }

  private double share() {
    return heard.pattern().share();
  }

  private FingerSet resting(int tune) {
    return resting(shape, struck, tune);
  }

  /** Where the pattern strikes nothing at all, nobody knows what may rest. */
  private static FingerSet resting(Shape shape, int struck, int tune) {
    return struck == 0 ? FingerSet.NONE : shape.fingersOff(struck | tune);
  }

  /** The strings on which a way of the tune has a note under a finger of the shape, as bits. */
  private static int strings(TuneWay way) {
    int strings = 0;
    for (Optional<TunePlace> place : way.places()) {
      strings |= place.isPresent() && place.get().inShape() ? 1 << place.get().string() : 0;
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
    terms.addAll(heard.terms(shape));
    stretches.terms(rated.resting()).stream().filter(t -> t.value() < 0).forEach(terms::add);
    terms.replaceAll(t -> t.times(share()));
    stretches.terms(rated.resting()).stream().filter(t -> t.value() >= 0).forEach(terms::add);
    double played = rated.found() - found;
    if (played > 0) {
      terms.add(Cost.term(Texts.of("struckShape.foundWhenItIs"), played));
    }
    return terms;
  }

  private static double extra(
      ShapeStretches stretches, Set<Finger> resting, double unheard, double share) {
    double found = stretches.foundWeight(resting);
    double sum = stretches.cost(resting) - found;
    sum += unheard;
    return sum * share + found;
  }

  /** What it costs with what is struck of it, where holding it all the time costs so much. */
  double cost(double held) {
    return held * share() + alone;
  }

  /** A candidate without a tune. */
  RatedShape rated(double held) {
    FingerSet resting = resting(0);
    Stance stance = Stance.of(shape, resting).over(bass);
    double found = stretches.foundWeight(resting);
    return new RatedShape(shape, cost(held), resting, found, stance, stance);
  }

  /**
   * What is not heard because of the tune: while the hand is away from the shape for notes of it,
   * the share of the notes for which it leaves all but the bass; and the open strings of a tuning
   * that is chosen for them, where the tune lies on the only ones.
   */
  double lost(TuneWay way) {
    double lost = hidesOpenStrings(way) ? CostTerm.NOTHING_RINGS.weight() : 0;
    for (Optional<TunePlace> place : way.places()) {
      Set<Integer> left = place.isPresent() ? place.get().left() : Set.of();
      if (left.size() > 1 && left.size() >= pressed() - 1) {
        double more = heard.cost(shape.without(left)) - unheard;
        lost += Math.max(0, more) / way.places().size();
      }
    }
    return lost * share();
  }

  private boolean hidesOpenStrings(TuneWay way) {
    if (struck == 0 || !heard.isRetuned()) {
      return false;
    }
    int sung = 0;
    for (Optional<TunePlace> place : way.places()) {
      if (place.isPresent() && place.get().fret() == 0) {
        return false;
      }
      sung |= place.isPresent() ? 1 << place.get().string() : 0;
    }
    int open = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      open |= shape.isOpen(s) ? 1 << s : 0;
    }
    // Where no string of the shape is open that was counted with it.
    return open != 0 && (open & struck & ~sung) == 0;
  }

  private int pressed() {
    int pressed = 0;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      pressed += shape.isPressed(s) ? 1 : 0;
    }
    return pressed;
  }

  /**
   * A candidate with a way to play the tune.
   *
   * @param cost what it costs without the tune
   */
  RatedShape rated(double cost, SlotTune tune, TuneWay way) {
    FingerSet resting = resting(strings(way));
    double more = extra(stretches, resting, unheard, share()) - alone + way.cost() + lost(way);
    return new RatedShape(
        shape,
        cost + more,
        resting,
        stretches.foundWeight(resting),
        tune.entry(shape, resting, way).over(bass),
        tune.exit(shape, resting, way).over(bass));
  }
}
