package phalanx.suggestion;

import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.findings.Found;
import phalanx.instrument.StringSign;
import phalanx.song.NoteRef;

/** Pins let go, and the ways out of a chord that has no shape. */
final class PinWays {

  private PinWays() {}

  /** The pins at the place of a finding let go. */
  static Stream<PossibleEdit> of(Arrangement a, Found found) {
    Slot slot = a.slots().get(ShapeWays.slotAt(a, found));
    Stream<PossibleEdit> shape =
        a.song().pins().shape(slot.played().ref()).stream()
            .map(
                s ->
                    new PossibleEdit(
                        "let go of the pinned shape " + s.fretText(),
                        song -> song.unpin(slot.played().ref())));
    Stream<PossibleEdit> frets =
        a.song().pins().frets(slot.played().ref()).stream()
            .map(
                f ->
                    new PossibleEdit(
                        "let go of the pinned frets " + f.text(),
                        song -> song.unpin(slot.played().ref())));
    Stream<PossibleEdit> damps =
        found.string().stream()
            .filter(s -> a.song().pins().damped(slot.played().ref()).contains(s))
            .map(
                s ->
                    new PossibleEdit(
                        "let " + StringSign.of(s) + " ring",
                        song -> song.withPins(song.pins().damping(slot.played().ref(), s, false))));
    shape = Stream.concat(Stream.concat(shape, frets), damps);
    return Stream.concat(
        a.song().pins().strings().keySet().stream()
            .filter(n -> n.bar() == found.ref().bar() && n.tick() == found.ref().tick())
            .map(n -> letGo(a, n)),
        shape);
  }

  private static PossibleEdit letGo(Arrangement a, NoteRef note) {
    String sign = StringSign.of(a.song().pins().string(note).orElseThrow());
    return new PossibleEdit(
        "let go of the pinned " + sign, song -> song.withPins(song.pins().without(note)));
  }

  /** What would make a chord playable that has no shape. */
  static Stream<PossibleEdit> shapes(Arrangement a, Found found) {
    Slot slot = a.slots().get(ShapeWays.slotAt(a, found));
    return slot.waysOut().stream()
        .map(w -> new PossibleEdit(w.words(), song -> w.edit().apply(song, slot.played().ref())));
  }
}
