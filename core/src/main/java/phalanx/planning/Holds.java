package phalanx.planning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Slot;
import phalanx.fretting.Grip;
import phalanx.instrument.Finger;

/** Turns a row of shapes into what each finger holds: a finger that stays is one long hold. */
final class Holds {

  private final Map<Finger, Hold> open = new EnumMap<>(Finger.class);
  private final Map<Finger, TreeMap<Integer, Hold>> done = new EnumMap<>(Finger.class);
  private final Map<Finger, TreeMap<Integer, Hold>> beside = new EnumMap<>(Finger.class);

  private Holds() {
    for (Finger finger : Finger.values()) {
      done.put(finger, new TreeMap<>());
      beside.put(finger, new TreeMap<>());
    }
  }

  private static void put(Map<Finger, TreeMap<Integer, Hold>> holds, Hold hold) {
    holds.get(hold.finger()).put(hold.fromTick(), hold);
  }

  /**
   * What each finger holds.
   *
   * @param added notes for which a finger comes down beside the shape
   */
  static List<Hold> of(List<Slot> slots, List<Added> added) {
    Holds holds = new Holds();
    for (Slot slot : slots) {
      holds.enter(slot);
    }
    holds.open.values().forEach(h -> put(holds.done, h));
    laidAcross(added).forEach(holds::add);
    List<Hold> all = new ArrayList<>();
    holds.done.values().forEach(f -> all.addAll(f.values()));
    holds.beside.values().forEach(f -> all.addAll(f.values()));
    all.sort(Comparator.comparingInt(Hold::fromTick).thenComparing(Hold::finger));
    return all;
  }

  /** What one finger touches on several strings at once it does laid across them. */
  private static List<Added> laidAcross(List<Added> added) {
    Map<List<Object>, Added> merged = new LinkedHashMap<>();
    for (Added one : added) {
      List<Object> same =
          one.finger().isPresent()
              ? List.of(one.finger().get(), one.from(), one.grip().fret())
              : List.of(one, merged.size());
      merged.merge(same, one, Added::across);
    }
    return List.copyOf(merged.values());
  }

  private void enter(Slot slot) {
    Map<Finger, Grip> grips = slot.held().grips();
    for (Finger finger : Finger.values()) {
      Hold before = open.remove(finger);
      Grip now = grips.get(finger);
      // A finger that may rest stays where it is down already, so that what it pressed rings on.
      boolean stays = now != null && before != null && stays(before, now);
      now = slot.resting().contains(finger) && !stays ? null : now;
      if (now != null && before != null && stays(before, now)) {
        open.put(finger, hold(finger, now, before.fromTick(), slot.toTick()));
        continue;
      }
      if (before != null) {
        put(done, now != null && slides(before, now) ? guiding(before) : before);
      }
      if (now != null) {
        open.put(finger, hold(finger, now, slot.fromTick(), slot.toTick()));
      }
    }
  }

  /**
   * A finger that comes down beside the shape for a time, or one that lifts for an open string.
   *
   * @param finger the finger; empty for an open string
   * @param grip what it holds then
   * @param lifted fingers of the shape that are off their strings meanwhile
   */
  record Added(Optional<Finger> finger, Grip grip, int from, int to, Set<Finger> lifted) {

    /** The same finger over its strings and another's. */
    private Added across(Added other) {
      int low = Math.min(grip.lowString(), other.grip.lowString());
      int high = Math.max(grip.highString(), other.grip.highString());
      Set<Finger> both = new HashSet<>(lifted);
      both.addAll(other.lifted);
      return new Added(
          finger, new Grip(grip.fret(), low, high), from, Math.max(to, other.to), both);
    }
  }

  /**
   * A finger that holds something else meanwhile leaves it and comes back. One that lifts for
   * another note may itself have gone beside the shape with it: only its place in the shape counts.
   */
  private void add(Added added) {
    added.lifted().forEach(f -> interrupt(done.get(f), added.from(), added.to()));
    added
        .finger()
        .ifPresent(
            finger -> {
              interrupt(done.get(finger), added.from(), added.to());
              interrupt(beside.get(finger), added.from(), added.to());
              put(beside, hold(finger, added.grip(), added.from(), added.to()));
            });
  }

  /** Cuts a time out of a finger's holds; none of them overlap. */
  private static void interrupt(TreeMap<Integer, Hold> holds, int from, int to) {
    Integer first = holds.floorKey(from);
    List<Hold> met =
        List.copyOf(holds.subMap(first == null ? from : first, true, to, false).values());
    for (Hold h : met) {
      if (h.fromTick() < to && h.toTick() > from) {
        holds.remove(h.fromTick());
        if (h.fromTick() < from) {
          holds.put(h.fromTick(), during(h, h.fromTick(), from, false));
        }
        if (h.toTick() > to) {
          holds.put(to, during(h, to, h.toTick(), h.guides()));
        }
      }
    }
  }

  private static Hold during(Hold h, int from, int to, boolean guides) {
    return new Hold(h.finger(), h.fret(), h.lowString(), h.highString(), from, to, guides);
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
    return during(h, h.fromTick(), h.toTick(), true);
  }
}
