package phalanx.planning;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.IntStream;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Slot;
import phalanx.fretting.Grip;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;
import phalanx.instrument.Tuning;
import phalanx.picking.Fingered;

/** When each string is struck again, stopped, or left by its finger, so that it rings no longer. */
final class StringCuts {

  private final List<Slot> slots;
  private final List<Damp> damps = new ArrayList<>();
  private final List<TreeSet<Integer>> cuts = new ArrayList<>();
  private final List<Set<Integer>> stops = new ArrayList<>();

  /** The strings on which a finger is beside the shape now, with the strings each has left. */
  private final Map<Integer, List<Integer>> beside = new TreeMap<>();

  private int besideTick = -1;
  private int besideSlot = -1;

  StringCuts(List<Slot> slots, List<VoicedStep> voiced, List<Fingered> fingers) {
    this.slots = slots;
    for (int s = 0; s < Tuning.STRINGS; s++) {
      cuts.add(new TreeSet<>());
      stops.add(new HashSet<>());
    }
    for (int i = 0; i < voiced.size(); i++) {
      cut(voiced.get(i), fingers.get(i));
    }
  }

  /** A string stops ringing where it is struck again or stopped. */
  private void cut(VoicedStep on, Fingered fingers) {
    int tick = on.placed().tick();
    on.plucks().stream()
        .filter(p -> on.isMade(p, fingers))
        .forEach(
            p -> {
              cuts.get(p.string()).add(tick);
              leaving(on, p).forEach(s -> cuts.get(s).add(tick));
              covered(on, p).forEach(s -> cuts.get(s).add(tick));
              endTogether(p.string(), tick, on.placed().slot());
              p.step()
                  .filter(s -> s.finger().isPresent() || !s.left().isEmpty())
                  .ifPresent(s -> liftOthers(s, leaving(on, p), tick, on.placed().slot()));
            });
    if (fingers.gesture()) {
      on.brushed().forEach(s -> cuts.get(s).add(tick));
      on.hit().ifPresent(h -> h.damped().forEach(s -> cuts.get(s).add(tick)));
    }
    for (Damp damp : on.damps()) {
      damps.add(damp);
      damp.strings().forEach(s -> cuts.get(s).add(tick));
      damp.strings().forEach(s -> stops.get(s).add(tick));
    }
  }

  /**
   * When one of the fingers that are beside the shape together goes back, for its own string or for
   * one that it left, the others do: that one in its place and they in theirs were not tried. Over
   * another shape the fingers have left nothing any more.
   */
  private void endTogether(int string, int tick, int slot) {
    boolean goesBack =
        beside.containsKey(string)
            || besideSlot == slot && beside.values().stream().anyMatch(l -> l.contains(string));
    beside.remove(string);
    if (goesBack && besideTick != tick) {
      beside.keySet().forEach(s -> cuts.get(s).add(tick));
      beside.clear();
    }
  }

  /** A finger beside the shape lifts when the next comes down: together they were not tried. */
  private void liftOthers(ExtraFinger step, List<Integer> leaves, int tick, int slot) {
    if (besideTick != tick) {
      beside.keySet().stream().filter(s -> s != step.string()).forEach(s -> cuts.get(s).add(tick));
      beside.clear();
      besideTick = tick;
    }
    beside.put(step.string(), leaves);
    besideSlot = slot;
  }

  /** The strings that the finger leaves which comes down beside the shape. */
  List<Integer> leaving(VoicedStep on, VoicedStroke p) {
    if (p.step().isEmpty()) {
      return List.of();
    }
    Shape shape = slots.get(on.placed().slot()).held();
    Optional<Finger> finger = p.step().filter(s -> !s.joins(shape)).flatMap(ExtraFinger::finger);
    Set<Integer> left = p.step().map(ExtraFinger::left).orElse(Set.of());
    return IntStream.range(0, Tuning.STRINGS)
        .filter(s -> s != p.string())
        .filter(s -> left.contains(s) || finger.isPresent() && shape.finger(s).equals(finger))
        .boxed()
        .toList();
  }

  /** The strings between that a finger presses which lies across several. */
  private List<Integer> covered(VoicedStep on, VoicedStroke p) {
    Shape shape = slots.get(on.placed().slot()).held();
    if (p.step().flatMap(ExtraFinger::finger).isEmpty()) {
      return List.of();
    }
    Grip grip = p.step().get().grip(shape);
    return IntStream.rangeClosed(grip.lowString(), grip.highString())
        .filter(s -> s != p.string() && shape.fret(s).orElse(0) <= grip.fret())
        .filter(s -> !shape.finger(s).equals(p.step().get().finger()))
        .boxed()
        .toList();
  }

  /** When a note on a string ends that is struck over a slot: cut off, or the hand leaves. */
  int ringsUntil(int tick, int string, int slot) {
    int leaves = slots.get(slot).toTick();
    return after(string, tick).map(cut -> Math.min(cut, leaves)).orElse(leaves);
  }

  /** When what rings on a string after a tick is cut off. */
  Optional<Integer> after(int string, int tick) {
    return Optional.ofNullable(cuts.get(string).higher(tick));
  }

  /** Whether the pattern stops a string at a tick. */
  boolean isStopped(int string, int tick) {
    return stops.get(string).contains(tick);
  }

  /** The strings that the pattern stops, by time. */
  List<Damp> damps() {
    return damps;
  }
}
