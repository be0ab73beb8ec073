package phalanx.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.findings.StretchRule;
import phalanx.fretting.Reach;

/** Shapes wider than this hand takes at ease. */
final class Stretches implements Rule {

  @Override
  public List<Found> in(Arrangement a) {
    Reach reach = a.plan().problem().changes().reach();
    List<Found> found = new ArrayList<>();
    for (Slot slot : a.slots()) {
      slot.shape()
          .flatMap(s -> StretchRule.of(s, reach))
          .ifPresent(f -> found.add(Found.at(a, f, slot.fromTick(), Optional.empty())));
    }
    return found;
  }
}
