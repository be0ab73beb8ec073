package phalanx.planning;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Damper;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.fretting.Grip;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.StretchRule;
import phalanx.instrument.Finger;

/**
 * Which fingers of each shape may rest. A finger is asked for where something it presses is struck
 * while the chord lasts, where it stops a string, and where it keeps a note that it pressed before,
 * as long as that is no stretch (common practice, no source).
 */
final class RestingFingers {

  private final List<Note> notes;
  private final List<Damp> damps;
  private final Reach reach;

  private RestingFingers(List<Note> notes, List<Damp> damps, Reach reach) {
    this.notes = notes;
    this.damps = damps;
    this.reach = reach;
  }

  /**
   * The slots with the fingers that may rest in each.
   *
   * @param notes everything that sounds, by time
   * @param damps every string that is stopped
   */
  static List<Slot> in(List<Slot> slots, List<Note> notes, List<Damp> damps, Reach reach) {
    RestingFingers resting = new RestingFingers(notes, damps, reach);
    List<Slot> all = new ArrayList<>();
    List<Note> goingOn = new ArrayList<>();
    int next = 0;
    for (Slot slot : slots) {
      for (; next < notes.size() && notes.get(next).tick() < slot.fromTick(); next++) {
        goingOn.add(notes.get(next));
      }
      goingOn.removeIf(n -> n.part() != Note.Part.TUNE || n.endTick() <= slot.fromTick());
      Optional<Slot> before =
          all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
      all.add(
          slot.shape().isEmpty() ? slot : slot.resting(resting.in(slot, next, goingOn, before)));
    }
    return all;
  }

  private Set<Finger> in(Slot slot, int firstNote, List<Note> goingOn, Optional<Slot> before) {
    Shape shape = slot.held();
    Set<Finger> rest = EnumSet.noneOf(Finger.class);
    rest.addAll(shape.grips().keySet());
    goingOn.forEach(n -> ask(n, shape, rest));
    for (int n = firstNote; n < notes.size() && notes.get(n).tick() < slot.toTick(); n++) {
      ask(notes.get(n), shape, rest);
    }
    for (Damp damp : damps) {
      if (damp.tick() >= slot.fromTick()
          && damp.tick() < slot.toTick()
          && damp.by() instanceof Damper.Fretting f) {
        rest.remove(f.finger());
      }
    }
    before.ifPresent(b -> keep(b, shape, rest));
    return rest;
  }

  private static void ask(Note note, Shape shape, Set<Finger> rest) {
    if (shape.finger(note.string()).equals(note.fretFinger())) {
      note.fretFinger().ifPresent(rest::remove);
    }
  }

  /** A finger that stays where it pressed a note keeps it. */
  private void keep(Slot before, Shape shape, Set<Finger> rest) {
    Map<Finger, Grip> earlier = before.asked().grips();
    Map<Finger, Grip> now = shape.grips();
    for (Finger finger : List.copyOf(rest)) {
      Grip there = earlier.get(finger);
      Grip here = now.get(finger);
      boolean stays =
          there != null
              && there.fret() == here.fret()
              && there.lowString() <= here.highString()
              && here.lowString() <= there.highString();
      if (stays) {
        rest.remove(finger);
        if (StretchRule.of(shape.lifting(rest), reach).isPresent()) {
          rest.add(finger);
        }
      }
    }
  }
}
