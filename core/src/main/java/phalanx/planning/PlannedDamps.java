package phalanx.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Slot;
import phalanx.performance.ForeignRing;
import phalanx.performance.Performance;

/**
 * A string that would ring into a chord it does not belong to is stopped by whatever is free for
 * it, without being asked, as players do (common practice, no source); but not where the player
 * lets it ring.
 */
final class PlannedDamps {

  private PlannedDamps() {}

  /** What stops all that can be stopped. */
  static List<Damp> in(Arrangement a) {
    Map<Integer, Set<Integer>> ringing = new TreeMap<>();
    for (ForeignRing ring : ForeignRing.in(Performance.of(a))) {
      Slot slot = a.slots().get(ring.slot());
      if (!a.song().pins().ringing(slot.played().ref()).contains(ring.string())) {
        ringing.computeIfAbsent(ring.slot(), k -> new TreeSet<>()).add(ring.string());
      }
    }
    if (ringing.isEmpty()) {
      return List.of();
    }
    Damping damping = Damping.in(a);
    List<Damp> all = new ArrayList<>();
    ringing.forEach(
        (slot, strings) ->
            damping.stopping(a.slots().get(slot), strings).forEach(d -> all.add(d.asPlanned())));
    return all;
  }
}
