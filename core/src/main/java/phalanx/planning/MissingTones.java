package phalanx.planning;

import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.Remark;
import phalanx.arrangement.Slot;
import phalanx.picking.PatternHeard;
import phalanx.text.Texts;
import phalanx.theory.Chord;

/**
 * What no stroke can bring of a chord is said: its third and seventh, not every colour. A chord
 * that is held in parts has them in one of its parts. To be asked for one slot after the other.
 */
final class MissingTones {

  private final List<Slot> slots;

  /** What was not heard so far of the chord that is held in parts. */
  private Set<Integer> before = Set.of();

  MissingTones(List<Slot> slots) {
    this.slots = slots;
  }

  /**
   * What is to be said of a slot.
   *
   * @param unheard the pitch classes that no stroke brings there
   */
  Optional<Remark> of(int slot, Collection<Integer> unheard) {
    Set<Integer> missing = new HashSet<>(unheard);
    if (slots.get(slot).played().isPart()) {
      missing.retainAll(before);
    }
    before = missing;
    boolean goesOn = slot + 1 < slots.size() && slots.get(slot + 1).played().isPart();
    return goesOn
        ? Optional.empty()
        : slots.get(slot).played().harmony().sounding().flatMap(c -> remark(slot, c, missing));
  }

  private Optional<Remark> remark(int slot, Chord chord, Set<Integer> missing) {
    boolean third = PatternHeard.third(chord).filter(missing::contains).isPresent();
    boolean seventh = PatternHeard.seventh(chord).filter(missing::contains).isPresent();
    if (!third && !seventh) {
      return Optional.empty();
    }
    String what =
        third && seventh
            ? Texts.of("missingTones.thirdAndSeventh")
            : third ? Texts.of("missingTones.third") : Texts.of("missingTones.seventh");
    return Optional.of(
        new Remark(
            Remark.Kind.UNHEARD,
            Texts.of(
                "missingTones.isHeardWithoutIts", slots.get(slot).played().harmony().label(), what),
            Optional.empty(),
            Optional.empty(),
            Optional.of(new Remark.Figure(0, 1, "strokes"))));
  }
}
