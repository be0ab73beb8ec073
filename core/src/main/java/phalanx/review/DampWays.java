package phalanx.review;

import java.util.Optional;
import java.util.stream.Stream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Slot;
import phalanx.arrangement.laying.Damping;
import phalanx.instrument.StringSign;

/** A string that rings on is stopped by whatever is free. */
final class DampWays {

  private DampWays() {}

  static Stream<WayOutOf> of(Arrangement a, Found found) {
    Slot slot = a.slots().get(ShapeWays.slotAt(a, found));
    Optional<Damp> damp = found.string().flatMap(s -> Damping.in(a).when(slot, s));
    return damp.stream()
        .map(
            d ->
                new WayOutOf(
                    "damp " + StringSign.of(d.strings().get(0)) + ": " + d.by().words(),
                    song ->
                        song.withPins(
                            song.pins().damping(slot.played().ref(), d.strings().get(0), true))));
  }
}
