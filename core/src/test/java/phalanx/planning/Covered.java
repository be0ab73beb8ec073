package phalanx.planning;

import java.util.List;
import phalanx.arrangement.Hold;
import phalanx.arrangement.Note;
import phalanx.instrument.Finger;

/** Looks whether the hold chart keeps a finger down as long as its note rings. */
final class Covered {

  private Covered() {}

  /** Whether holds of the finger, one after another without a gap, have the note's place. */
  static boolean by(List<Hold> holds, Finger finger, Note note) {
    int covered = note.tick();
    for (Hold hold : holds) {
      boolean place =
          hold.finger() == finger
              && hold.fret() == note.fret()
              && hold.lowString() <= note.string()
              && note.string() <= hold.highString();
      if (place && hold.fromTick() <= covered) {
        covered = Math.max(covered, hold.toTick());
      }
    }
    return covered >= note.tick() + note.lengthTicks();
  }
}
