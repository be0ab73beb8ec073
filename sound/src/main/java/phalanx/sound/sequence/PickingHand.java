package phalanx.sound.sequence;

import java.util.Collection;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import phalanx.picking.PickFinger;
import phalanx.sound.strings.Plucker;

/**
 * With what each finger of the picking hand plucks, and which come to rest on the next string: a
 * finger where it plays the tune, the thumb wherever it plucks a string alone.
 *
 * @param pluckers what of each finger leaves the string; every finger has one
 * @param resting the fingers that play rest strokes; the others play free ones
 */
public record PickingHand(Map<PickFinger, Plucker> pluckers, Set<PickFinger> resting) {

  /** All but the thumb. */
  public static final List<PickFinger> FINGERS =
      List.of(PickFinger.I, PickFinger.M, PickFinger.A, PickFinger.C);

  /** The thumb's flesh and the fingers' nails, in free strokes. */
  public static final PickingHand USUAL =
      new PickingHand(Map.of(), Set.of())
          .with(FINGERS, Plucker.NAIL)
          .with(List.of(PickFinger.P), Plucker.FLESH);

  public PickingHand {
    Map<PickFinger, Plucker> all = new EnumMap<>(PickFinger.class);
    for (PickFinger finger : PickFinger.values()) {
      all.put(finger, pluckers.getOrDefault(finger, Plucker.NAIL));
    }
    pluckers = Map.copyOf(all);
    resting = Set.copyOf(resting);
  }

  /** What of a finger leaves the string. */
  public Plucker of(PickFinger finger) {
    return pluckers.get(finger);
  }

  /** What all the fingers but the thumb have in common; empty where they differ. */
  public Optional<Plucker> common() {
    return FINGERS.stream().map(this::of).distinct().count() == 1
        ? Optional.of(of(PickFinger.I))
        : Optional.empty();
  }

  /** Whether a finger comes to rest on the next string. */
  public boolean rests(PickFinger finger) {
    return resting.contains(finger);
  }

  /** With something else of some fingers. */
  public PickingHand with(Collection<PickFinger> fingers, Plucker plucker) {
    Map<PickFinger, Plucker> changed = new EnumMap<>(PickFinger.class);
    changed.putAll(pluckers);
    fingers.forEach(f -> changed.put(f, plucker));
    return new PickingHand(changed, resting);
  }

  /** With rest strokes of some fingers, or free ones. */
  public PickingHand resting(Collection<PickFinger> fingers, boolean rest) {
    Set<PickFinger> changed = EnumSet.noneOf(PickFinger.class);
    changed.addAll(resting);
    if (rest) {
      changed.addAll(fingers);
    } else {
      changed.removeAll(fingers);
    }
    return new PickingHand(pluckers, changed);
  }
}
