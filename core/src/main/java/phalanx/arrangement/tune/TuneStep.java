package phalanx.arrangement.tune;

import java.util.List;
import java.util.Optional;
import phalanx.fretting.AddedFinger;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.CostTerm;
import phalanx.fretting.Grip;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.Stop;
import phalanx.melody.Slur;

/**
 * What it costs the hands to go on from notes of the tune to the next. Weights are by judgement.
 */
final class TuneStep {

  /** Cost of each string the tune leaps over. */
  private static final double LEAP = CostTerm.TUNE_LEAP.weight();

  /** Cost of one finger taking the next note at another place. */
  private static final double AGAIN = CostTerm.TUNE_AGAIN.weight();

  private final Reach reach;

  TuneStep(Reach reach) {
    this.reach = reach;
  }

  /**
   * The cost of a step over a shape; 0 where no note is reached before or after it.
   *
   * @param last places of the notes before
   * @param now places of the notes that come
   * @param slur how the fretting hand makes them, if it does
   * @param rings whether the notes before are to ring into them
   */
  double cost(
      Shape shape, List<TunePlace> last, List<TunePlace> now, Optional<Slur> slur, boolean rings) {
    if (last.isEmpty() || now.isEmpty()) {
      return 0;
    }
    return slur.isPresent()
        ? slurred(shape, last, now, slur.get())
        : plucked(last, now) + (rings ? stopped(last, now) : 0);
  }

  /** Notes that ring are stopped by the next on their string, unless it is the same again. */
  private static double stopped(List<TunePlace> last, List<TunePlace> now) {
    return CostTerm.TUNE_STOPPED.weight()
        * last.stream()
            .filter(
                b -> now.stream().anyMatch(p -> p.string() == b.string() && p.fret() != b.fret()))
            .count();
  }

  private double slurred(Shape shape, List<TunePlace> last, List<TunePlace> now, Slur slur) {
    return ChangeCosts.SLUR_LOST
        * now.stream()
            .filter(p -> last.stream().noneMatch(b -> canSlur(shape, b, last, p, slur)))
            .count();
  }

  private double plucked(List<TunePlace> last, List<TunePlace> now) {
    double again = 0;
    for (TunePlace to : now) {
      double most = 0;
      for (TunePlace from : last) {
        most = Math.max(most, again(from, to));
      }
      again += most;
    }
    return LEAP * Math.abs(last.get(last.size() - 1).string() - now.get(0).string()) + again;
  }

  /** What it costs a finger to go on to another place. */
  private double again(TunePlace from, TunePlace to) {
    boolean same = from.string() == to.string() && from.fret() == to.fret();
    return !same && to.finger().isPresent() && from.finger().equals(to.finger())
        ? AGAIN + ChangeCosts.MOVE_PER_MM * reach.distance(from.grip(), to.grip())
        : 0;
  }

  /**
   * Whether the fretting hand can make a note from one before it: on the same string, upwards for a
   * hammer-on, downwards with both fingers down for a pull-off, by the same finger for a slide.
   *
   * @param together the notes that begin with the one before, itself among them
   */
  boolean canSlur(Shape shape, TunePlace from, List<TunePlace> together, TunePlace to, Slur slur) {
    // What is touched is plucked, and leaves nothing to pull off from.
    boolean touched = from.node().isPresent() || to.node().isPresent();
    boolean string = from.string() == to.string() && !touched;
    boolean sameFinger = to.finger().isPresent() && from.finger().equals(to.finger());
    return string
        && switch (slur) {
          case HAMMER_ON -> to.fret() > from.fret() && !sameFinger;
          case PULL_OFF ->
              to.fret() < from.fret() && !sameFinger && bothDown(shape, from, together, to);
          case SLIDE -> to.fret() != from.fret() && sameFinger;
        };
  }

  private boolean bothDown(Shape shape, TunePlace from, List<TunePlace> together, TunePlace to) {
    List<TunePlace> others = together.stream().filter(p -> !p.equals(from)).toList();
    if (to.inShape() || to.finger().isEmpty()) {
      return to.left().isEmpty()
          && together.stream().noneMatch(p -> p.left().contains(to.string()));
    }
    boolean elsewhere = shape.grips().containsKey(to.finger().get());
    boolean leaves = together.stream().anyMatch(p -> !p.left().isEmpty());
    if (elsewhere || from.inShape() || !to.left().isEmpty() || leaves) {
      return false;
    }
    if (from.finger().isEmpty()
        || !reach.spans(to.finger().get(), to.grip(), from.finger().get(), from.grip())) {
      return false;
    }
    if (shape.grips().isEmpty() && others.isEmpty()) {
      // With nothing else held the fingers are as the line has them.
      return true;
    }
    Shape held = shape.with(to.string(), new Stop.Pressed(to.fret(), to.finger().get()));
    for (TunePlace other : others) {
      if (!other.inShape() && other.finger().isPresent()) {
        // A note that sounds on over a change may have had its finger elsewhere.
        Grip down = held.grips().get(other.finger().get());
        if (other.finger().equals(to.finger()) || down != null && down.fret() != other.fret()) {
          return false;
        }
        held = held.with(other.string(), new Stop.Pressed(other.fret(), other.finger().get()));
      }
    }
    return (others.isEmpty() || AddedFinger.together(held, reach))
        && AddedFinger.on(held, from.string(), from.fret(), reach).equals(from.finger());
  }
}
