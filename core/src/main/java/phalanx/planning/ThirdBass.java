package phalanx.planning;

import java.util.Optional;
import java.util.Set;
import phalanx.fretting.AddedFinger;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.picking.Role;
import phalanx.picking.StringRoles;
import phalanx.theory.Chord;
import phalanx.theory.Interval;

/**
 * The third voice of a thumb's route 5-4-6-4: the chord's fifth below its root, for which a free
 * finger comes down on ⑥ or the root’s own finger goes over to it and back, as players hold C and
 * B7 (common practice, no source).
 */
final class ThirdBass {

  private static final int LOWEST = 0;
  private static final int FIFTH = 5;

  private ThirdBass() {}

  /** Where the fifth lies below the root; empty where the shape has it, or the hand does not. */
  static Optional<ExtraFinger> of(Shape shape, Chord chord, StringRoles roles, Reach reach) {
    Optional<Integer> root = roles.string(Role.ROOT);
    Optional<Interval> fifth =
        chord.intervals().stream().filter(i -> i.number() == FIFTH).findFirst();
    if (root.isEmpty() || root.get() == LOWEST || fifth.isEmpty()) {
      return Optional.empty();
    }
    int rootMidi = reach.guitar().shapeMidi(root.get(), shape.fret(root.get()).orElse(0));
    if (Math.floorMod(rootMidi, 12) != chord.root().chroma()) {
      return Optional.empty();
    }
    int midi = rootMidi - 12 + fifth.get().semitones() % 12;
    int fret = midi - reach.guitar().shapeMidi(LOWEST, 0);
    boolean there = shape.fret(LOWEST).orElse(0) == fret;
    if (fret <= 0 || fret > reach.highestFret() || there) {
      return Optional.empty();
    }
    // The index lies down for a wider barre; any other finger rather goes over.
    Optional<Finger> free =
        AddedFinger.on(shape, LOWEST, fret, reach)
            .filter(f -> f == Finger.INDEX || !shape.grips().containsKey(f))
            .filter(f -> AddedFinger.ownStays(shape, LOWEST, fret, f, reach));
    if (free.isPresent()) {
      return Optional.of(new ExtraFinger(LOWEST, fret, free));
    }
    return AddedFinger.on(shape.without(Set.of(root.get())), LOWEST, fret, reach)
        .filter(f -> AddedFinger.ownStays(shape, LOWEST, fret, f, reach))
        .map(f -> new ExtraFinger(LOWEST, fret, Optional.of(f), Set.of(root.get())));
  }
}
