package phalanx.findings;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.fretting.Reach;
import phalanx.fretting.StretchRule;
import phalanx.performance.Performance;

/** Shapes wider than this hand takes at ease, with the fingers that are asked for. */
public final class Stretches implements Rule {

  /** Its name in files and on screens. */
  public static final String NAME = "stretch";

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    Reach reach = a.plan().problem().changes().reach();
    List<Found> found = new ArrayList<>();
    for (Slot slot : a.slots()) {
      slot.shape()
          .flatMap(s -> StretchRule.of(slot.asked(), reach))
          .map(
              s ->
                  new Finding(
                      NAME,
                      s.beyond() ? Grade.CANNOT : Grade.HEARD,
                      s.words(),
                      s.millimetres(),
                      s.limit(),
                      "mm"))
          .ifPresent(f -> found.add(Found.at(a, f, slot.fromTick(), Optional.empty())));
    }
    return found;
  }
}
