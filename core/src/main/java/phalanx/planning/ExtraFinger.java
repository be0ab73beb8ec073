package phalanx.planning;

import java.util.Collection;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import phalanx.fretting.Grip;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;

/**
 * A note outside the shape that is held, in the bass or of the tune.
 *
 * @param string 0 for ⑥ to 5 for ①
 * @param fret from the capo, 0 open
 * @param finger the fretting finger; empty for an open string
 * @param left strings whose finger leaves them for it
 */
record ExtraFinger(int string, int fret, Optional<Finger> finger, Set<Integer> left) {

  ExtraFinger(int string, int fret, Optional<Finger> finger) {
    this(string, fret, finger, Set.of());
  }

  /**
   * Whether its finger lies down as a barre with what it holds already, instead of leaving that.
   */
  boolean joins(Shape shape) {
    return finger
        .map(f -> shape.grips().get(f))
        .filter(g -> g.fret() == fret && !left.contains(g.lowString()))
        .isPresent();
  }

  /**
   * Every string that a finger leaves for it: those it makes free and those its own finger held.
   */
  Set<Integer> leaves(Shape shape) {
    Set<Integer> all = new HashSet<>(left);
    IntStream.range(0, Tuning.STRINGS)
        .filter(s -> finger.isPresent() && shape.finger(s).equals(finger))
        .forEach(all::add);
    return all;
  }

  /** With more strings whose finger leaves them for it. */
  ExtraFinger leaving(Set<Integer> more) {
    Set<Integer> all = new HashSet<>(more);
    all.remove(string);
    all.addAll(left);
    return new ExtraFinger(string, fret, finger, all);
  }

  /**
   * The same, but its finger does not lie across a string that another presses lower meanwhile.
   *
   * @param others what is beside the shape together with it
   */
  ExtraFinger apart(Shape shape, Collection<ExtraFinger> others) {
    Grip grip = grip(shape);
    boolean meets =
        finger.isPresent()
            && others.stream()
                .filter(o -> o.string != string && o.fret < grip.fret())
                .anyMatch(o -> grip.lowString() <= o.string && o.string <= grip.highString());
    return meets ? leaving(leaves(shape)) : this;
  }

  /** What its finger holds then. */
  Grip grip(Shape shape) {
    return joins(shape)
        ? finger
            .map(f -> shape.grips().get(f))
            .map(
                g ->
                    new Grip(
                        fret, Math.min(string, g.lowString()), Math.max(string, g.highString())))
            .orElseThrow()
        : new Grip(fret, string, string);
  }
}
