package phalanx.suggestion;

import java.util.Comparator;
import java.util.HashSet;
import java.util.Set;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.findings.Found;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapePlan.Alternative;
import phalanx.text.Texts;

/** Other shapes at the chord of a finding, at the one after it and at the one before. */
final class OtherShapeSuggestions {

  /** Other shapes that are tried at each. */
  private static final int TRIED = 6;

  private final Arrangement a;
  private final int at;

  OtherShapeSuggestions(Arrangement a, Found found) {
    this.a = a;
    at = a.slotAt(found.tick());
  }

  Stream<PossibleEdit> all() {
    return Stream.of(at, at + 1, at - 1)
        .filter(slot -> slot >= 0 && slot < a.slots().size())
        .flatMap(this::at);
  }

  private Stream<PossibleEdit> at(int slot) {
    Slot here = a.slots().get(slot);
    if (here.pinned() || here.shape().isEmpty()) {
      return Stream.empty();
    }
    Set<String> seen = new HashSet<>();
    return a.plan().alternatives(slot).stream()
        .sorted(Comparator.comparingDouble(Alternative::extraCost))
        .map(other -> other.shape().shape())
        .filter(s -> !s.sameFrets(here.shape().get()) && seen.add(s.fretText()))
        .limit(TRIED)
        .map(
            s -> PossibleEdit.holding(words(here, s), song -> song.pin(here.played().ref(), s), s));
  }

  private static String words(Slot slot, Shape shape) {
    return Texts.of(
        "otherShapeSuggestions.holdAs", slot.played().harmony().label(), shape.fretText());
  }
}
