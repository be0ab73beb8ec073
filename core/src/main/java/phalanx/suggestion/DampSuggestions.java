package phalanx.suggestion;

import java.util.Optional;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Slot;
import phalanx.findings.Found;
import phalanx.instrument.StringSign;
import phalanx.planning.Damping;
import phalanx.text.Texts;

/** A string that rings on is stopped by whatever is free. */
final class DampSuggestions {

  private DampSuggestions() {}

  static Stream<PossibleEdit> of(Arrangement a, Found found) {
    Slot slot = a.slots().get(a.slotAt(found.tick()));
    Optional<Damp> damp = found.string().flatMap(s -> Damping.in(a).when(slot, s));
    return damp.stream()
        .map(
            d ->
                new PossibleEdit(
                    Texts.of(
                        "dampSuggestions.damp", StringSign.of(d.strings().get(0)), d.by().words()),
                    song ->
                        song.withPins(
                            song.pins().damping(slot.played().ref(), d.strings().get(0), true))));
  }
}
