package phalanx.findings;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.instrument.StringSign;
import phalanx.performance.ForeignRing;
import phalanx.performance.Performance;
import phalanx.text.Texts;

/** Open strings that ring on into a chord they do not belong to, but those the player lets ring. */
public final class RingsOver implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "rings into the next chord";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    List<Found> found = new ArrayList<>();
    for (ForeignRing ring : ForeignRing.in(p)) {
      Slot slot = a.slots().get(ring.slot());
      if (!a.song().pins().ringing(slot.played().ref()).contains(ring.string())) {
        found.add(Found.at(a, finding(slot, ring), slot.fromTick(), Optional.of(ring.string())));
      }
    }
    found.sort(Comparator.comparingInt(Found::tick));
    return found;
  }

  private static Finding finding(Slot slot, ForeignRing ring) {
    String words =
        Texts.of(
            "ringsOver.ringsOnIntoFor",
            StringSign.of(ring.string()),
            slot.played().harmony().label(),
            ring.quarters());
    return new Finding(NAME, Grade.HEARD, words, ring.quarters(), ForeignRing.HEARD, "quarters");
  }
}
