package phalanx.performance;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.song.Harmony;
import phalanx.theory.Ticks;

/**
 * An open string that rings on into a chord it does not belong to, long enough to be heard. A
 * fretted note ends when its finger leaves; an open string rings until it is struck, pressed, or
 * touched.
 *
 * @param slot number of the first chord that it rings into and is foreign to
 * @param string the string, 0 for ⑥ to 5 for ①
 * @param quarters how long it rings there, quarters
 */
public record ForeignRing(int slot, int string, double quarters) {

  /**
   * How long a foreign string may ring on, quarters: shorter than a beat it is not noticed (common
   * practice, no source).
   */
  public static final double HEARD = 1;

  /**
   * Seconds after which an open string is no longer noticed under what is struck anew (common
   * practice, no source).
   */
  private static final double DIES_AWAY = 4;

  /** Every one in a performance, by the notes that ring. */
  public static List<ForeignRing> in(Performance p) {
    Arrangement a = p.arrangement();
    List<ForeignRing> found = new ArrayList<>();
    int next = 0;
    for (Sounded ringing : p.notes()) {
      while (next < a.slots().size() && a.slots().get(next).fromTick() <= ringing.note().tick()) {
        next++;
      }
      if (ringing.note().fret() == 0) {
        of(a, ringing, next).filter(r -> r.quarters > HEARD).ifPresent(found::add);
      }
    }
    return found;
  }

  private static Optional<ForeignRing> of(Arrangement a, Sounded ringing, int next) {
    int string = ringing.note().string();
    for (int i = next; i < a.slots().size(); i++) {
      Slot slot = a.slots().get(i);
      if (slot.fromTick() >= ringing.endTick() || isFaint(a, ringing.note(), slot)) {
        return Optional.empty();
      }
      // The tune is meant to sound as long as it is written, over any chord.
      boolean meant =
          ringing.note().part() == Note.Part.TUNE && ringing.note().endTick() > slot.fromTick();
      if (!meant && isForeign(a, slot, string)) {
        int until = Math.min(ringing.endTick(), slot.toTick());
        double quarters = (double) (until - slot.fromTick()) / Ticks.PER_QUARTER;
        return Optional.of(new ForeignRing(i, string, quarters));
      }
    }
    return Optional.empty();
  }

  private static boolean isForeign(Arrangement a, Slot slot, int string) {
    int midi = a.song().guitar().shapeMidi(string, 0);
    return slot.shape().isPresent()
        && slot.played().harmony() instanceof Harmony.Sounding s
        && s.chord().intervalOf(Math.floorMod(midi, 12)).isEmpty();
  }

  /** Whether a string has died away when a chord begins. */
  private static boolean isFaint(Arrangement a, Note note, Slot slot) {
    double quarters = (double) (slot.fromTick() - note.tick()) / Ticks.PER_QUARTER;
    return quarters * 60 / a.timeline().barAt(note.tick()).tempo() > DIES_AWAY;
  }
}
