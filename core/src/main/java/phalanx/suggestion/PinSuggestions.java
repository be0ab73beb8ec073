package phalanx.suggestion;

import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.findings.Found;
import phalanx.instrument.StringSign;
import phalanx.song.NoteRef;
import phalanx.song.SlotRef;
import phalanx.text.Texts;

/** Pins let go, and the ways out of a chord that has no shape. */
final class PinSuggestions {

  private PinSuggestions() {}

  /** The pins at the place of a finding let go. */
  static Stream<PossibleEdit> of(Arrangement a, Found found) {
    Slot slot = a.slots().get(a.slotAt(found.tick()));
    Stream<PossibleEdit> shape = held(a, slot);
    Stream<PossibleEdit> damps =
        found.string().stream()
            .filter(s -> a.song().pins().damped(slot.played().ref()).contains(s))
            .map(
                s ->
                    new PossibleEdit(
                        Texts.of("pinSuggestions.letRing", StringSign.of(s)),
                        song -> song.withPins(song.pins().damping(slot.played().ref(), s, false))));
    shape = Stream.concat(shape, damps);
    return Stream.concat(
        a.song().pins().strings().keySet().stream()
            .filter(n -> n.bar() == found.ref().bar() && n.tick() == found.ref().tick())
            .map(n -> letGo(a, n)),
        shape);
  }

  /** The shapes pinned at the chord of a finding, at the one before it and at the one after. */
  static Stream<PossibleEdit> around(Arrangement a, Found found) {
    int at = a.slotAt(found.tick());
    return Stream.of(at, at - 1, at + 1)
        .filter(i -> i >= 0 && i < a.slots().size())
        .flatMap(i -> held(a, a.slots().get(i)));
  }

  private static Stream<PossibleEdit> held(Arrangement a, Slot slot) {
    SlotRef at = slot.played().ref();
    String label = slot.played().harmony().label();
    Stream<String> shape =
        a.song().pins().shape(at).stream()
            .map(s -> Texts.of("pinSuggestions.thePinnedShape", s.fretText()));
    Stream<String> frets =
        a.song().pins().frets(at).stream()
            .map(f -> Texts.of("pinSuggestions.thePinnedFrets", f.text()));
    return Stream.concat(shape, frets)
        .map(
            w ->
                new PossibleEdit(
                    Texts.of("pinSuggestions.letGoOfOf", w, label), song -> song.unpin(at)));
  }

  private static PossibleEdit letGo(Arrangement a, NoteRef note) {
    String sign = StringSign.of(a.song().pins().string(note).orElseThrow());
    return new PossibleEdit(
        Texts.of("pinSuggestions.letGoOfThe", sign),
        song -> song.withPins(song.pins().without(note)));
  }

  /** What would make a chord playable that has no shape. */
  static Stream<PossibleEdit> shapes(Arrangement a, Found found) {
    Slot slot = a.slots().get(a.slotAt(found.tick()));
    return slot.waysOut().stream()
        .map(w -> new PossibleEdit(w.words(), song -> w.edit().apply(song, slot.played().ref())));
  }
}
