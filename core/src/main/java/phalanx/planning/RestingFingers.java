package phalanx.planning;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import phalanx.arrangement.Damp;
import phalanx.arrangement.Damper;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.fretting.Shape;
import phalanx.instrument.Finger;

/**
 * Which fingers of each shape may rest. A finger is asked for where something it presses is struck
 * while the chord lasts, where it stops a string, and where it keeps a note of the tune (common
 * practice, no source).
 */
final class RestingFingers {

  private final List<Note> notes;

  /** What fingers of the fretting hand stop. */
  private final List<Damp> damps;

  private RestingFingers(List<Note> notes, List<Damp> damps) {
    this.notes = notes;
    this.damps = damps.stream().filter(d -> d.by() instanceof Damper.Fretting).toList();
  }

  /**
   * The slots with the fingers that may rest in each.
   *
   * @param notes everything that sounds, by time
   * @param damps every string that is stopped
   */
  static List<Slot> in(List<Slot> slots, List<Note> notes, List<Damp> damps) {
    RestingFingers resting = new RestingFingers(notes, damps);
    List<Slot> all = new ArrayList<>();
    List<Note> goingOn = new ArrayList<>();
    int next = 0;
    for (Slot slot : slots) {
      for (; next < notes.size() && notes.get(next).tick() < slot.fromTick(); next++) {
        goingOn.add(notes.get(next));
      }
      goingOn.removeIf(n -> n.part() != Note.Part.TUNE || n.endTick() <= slot.fromTick());
      all.add(slot.shape().isEmpty() ? slot : slot.resting(resting.in(slot, next, goingOn)));
    }
    return all;
  }

  private Set<Finger> in(Slot slot, int firstNote, List<Note> goingOn) {
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
    return rest;
  }

  private static void ask(Note note, Shape shape, Set<Finger> rest) {
    if (note.fretFinger().isPresent() && shape.finger(note.string()).equals(note.fretFinger())) {
      rest.remove(note.fretFinger().get());
    }
  }
}
