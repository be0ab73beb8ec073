package phalanx.planning;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
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
    return WAYS.stream()
        .sorted((a, b) -> Boolean.compare(!inKey(root + a), !inKey(root + b)))
        .flatMap(way -> at(root + way, held, below).stream())
        .findFirst();
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
