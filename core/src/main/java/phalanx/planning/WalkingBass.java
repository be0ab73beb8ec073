package phalanx.planning;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import phalanx.fretting.AddedFinger;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.theory.Key;

/** The last bass note before a change, a step away from the next chord's root (common practice). */
final class WalkingBass {

  /** The thumb's strings ⑥ ⑤ ④. */
  private static final int BASS_STRINGS = 3;

  /** Steps to the next root in semitones, the usual first; those in the key come before others. */
  private static final List<Integer> WAYS = List.of(-2, -1, 2, 1);

  private final Reach reach;
  private final Optional<Key> key;

  WalkingBass(Reach reach, Optional<Key> key) {
    this.reach = reach;
    this.key = key;
  }

  /**
   * A step that the hand reaches while it holds a shape.
   *
   * @param root the next bass note, as a MIDI note counted from the capo
   * @param below the string it has to lie below, because a finger plucks that one
   */
  Optional<ExtraFinger> into(int root, Shape held, int below) {
    return into(root, 0, held, below);
  }

  /**
   * The same at the end of a longer walk.
   *
   * @param side -1 where it comes from below, 1 from above, 0 where it is all the same
   */
  Optional<ExtraFinger> into(int root, int side, Shape held, int below) {
    return WAYS.stream()
        .sorted(
            Comparator.<Integer, Boolean>comparing(way -> !inKey(root + way))
                .thenComparing(way -> Integer.signum(way) == -side))
        .flatMap(way -> at(root + way, held, below).stream())
        .findFirst();
  }

  /**
   * An earlier step of a longer walk: so many steps of the scale before the root, on the side from
   * which the bass comes. Empty where that would lead past the bass of now.
   *
   * @param root the next bass note, as a MIDI note counted from the capo
   * @param here the bass note of now
   * @param steps how many steps before it, 2 or more
   */
  Optional<ExtraFinger> into(int root, int here, int steps, Shape held, int below) {
    int side = here < root ? -1 : 1;
    int midi = root;
    for (int step = 0; step < steps; step++) {
      midi += side;
      while (!inKey(midi)) {
        midi += side;
      }
    }
    boolean past = side < 0 ? midi <= here : midi >= here;
    int step = midi;
    return past || key.isEmpty()
        ? Optional.empty()
        : at(step, held, below).or(() -> opened(step, held, below));
  }

  /**
   * The note before the last of a walk that goes round the root: a step of the key beyond it.
   *
   * @param root the next bass note, as a MIDI note counted from the capo
   * @param here the bass note of now
   */
  Optional<ExtraFinger> round(int root, int here, Shape held, int below) {
    int side = here < root ? 1 : -1;
    int midi = root + side;
    while (!inKey(midi)) {
      midi += side;
    }
    int step = midi;
    return key.isEmpty()
        ? Optional.empty()
        : at(step, held, below).or(() -> opened(step, held, below));
  }

  /** An open string from which a finger lifts for the step. */
  private Optional<ExtraFinger> opened(int midi, Shape held, int below) {
    for (int s = 0; s < Math.min(BASS_STRINGS, below); s++) {
      Optional<Finger> finger = held.finger(s);
      boolean single = finger.filter(f -> !held.grips().get(f).isBarre()).isPresent();
      if (single && reach.guitar().shapeMidi(s, 0) == midi) {
        return Optional.of(new ExtraFinger(s, 0, Optional.empty(), Set.of(s)));
      }
    }
    return Optional.empty();
  }

  private boolean inKey(int midi) {
    return key.isEmpty() || key.get().degreeOf(Math.floorMod(midi, 12)).isPresent();
  }

  private Optional<ExtraFinger> at(int midi, Shape held, int below) {
    Optional<ExtraFinger> found = Optional.empty();
    for (int s = Math.min(BASS_STRINGS, below) - 1; s >= 0 && found.isEmpty(); s--) {
      int fret = midi - reach.guitar().shapeMidi(s, 0);
      if (fret == 0 && held.finger(s).isEmpty()) {
        found = Optional.of(new ExtraFinger(s, 0, Optional.empty()));
      } else if (fret > 0 && fret <= reach.highestFret()) {
        int string = s;
        boolean already = held.fret(s).equals(OptionalInt.of(fret));
        Optional<Finger> finger = already ? held.finger(s) : AddedFinger.on(held, s, fret, reach);
        found =
            finger
                .filter(f -> AddedFinger.ownStays(held, string, fret, f, reach))
                .map(f -> new ExtraFinger(string, fret, Optional.of(f)));
      }
    }
    return found;
  }
}
