package phalanx.arrangement;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import phalanx.fretting.Grip;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;

/** Turns a row of shapes into what each finger holds: a finger that stays is one long hold. */
final class Holds {

  private final Map<Finger, Hold> open = new EnumMap<>(Finger.class);
  private final List<Hold> done = new ArrayList<>();

  private Holds() {}

  static List<Hold> of(List<Slot> slots) {
    Holds holds = new Holds();
    for (Slot slot : slots) {
      holds.enter(slot);
    }
    holds.done.addAll(holds.open.values());
    holds.done.sort(Comparator.comparingInt(Hold::fromTick).thenComparing(Hold::finger));
    return holds.done;
  }

  private void enter(Slot slot) {
    Map<Finger, Grip> grips = slot.shape().map(Shape::grips).orElse(Map.of());
    for (Finger finger : Finger.values()) {
      Hold before = open.remove(finger);
      Grip now = grips.get(finger);
      if (now != null && before != null && stays(before, now)) {
        open.put(finger, hold(finger, now, before.fromTick(), slot.endTick()));
        continue;
      }
      if (before != null) {
        done.add(now != null && slides(before, now) ? guiding(before) : before);
      }
      if (now != null) {
        open.put(finger, hold(finger, now, slot.played().tick(), slot.endTick()));
      }
    }
  }

  private static Hold hold(Finger finger, Grip grip, int from, int to) {
    return new Hold(finger, grip.fret(), grip.lowString(), grip.highString(), from, to, false);
  }

  private static boolean sameStrings(Hold hold, Grip grip) {
    return hold.lowString() == grip.lowString() && hold.highString() == grip.highString();
  }

  private static boolean stays(Hold hold, Grip grip) {
    return sameStrings(hold, grip) && hold.fret() == grip.fret();
  }

  private static boolean slides(Hold hold, Grip grip) {
    return sameStrings(hold, grip) && hold.fret() != grip.fret();
  }

  private static Hold guiding(Hold h) {
    return new Hold(
        h.finger(), h.fret(), h.lowString(), h.highString(), h.fromTick(), h.toTick(), true);
  }
}
