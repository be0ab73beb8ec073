package phalanx.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.instrument.StringSign;
import phalanx.performance.Performance;
import phalanx.performance.Sounded;
import phalanx.song.Harmony;
import phalanx.theory.Phrase;
import phalanx.theory.Ticks;

/**
 * Open strings that ring on into a chord they do not belong to. A fretted note ends when its finger
 * leaves; an open string rings until it is struck, pressed, or touched.
 */
final class RingsOver implements Rule {

  static final String NAME = "rings into the next chord";

  /** How long a foreign string may ring on, quarters: shorter than a beat it is not noticed. */
  private static final double HEARD = 1;

  /**
   * Seconds after which an open string is no longer noticed under what is struck anew (common
   * practice, no source).
   */
  private static final double DIES_AWAY = 4;

  @Override
  public List<Found> in(Arrangement a, Performance p) {
    List<Found> found = new ArrayList<>();
    int next = 0;
    for (Sounded ringing : p.notes()) {
      while (next < a.slots().size() && a.slots().get(next).fromTick() <= ringing.note().tick()) {
        next++;
      }
      if (ringing.note().fret() == 0) {
        into(a, ringing, next).ifPresent(found::add);
      }
    }
    found.sort(Comparator.comparingInt(Found::tick));
    return found;
  }

  /** The first chord that a string rings into and does not belong to. */
  private static Optional<Found> into(Arrangement a, Sounded ringing, int next) {
    int string = ringing.note().string();
    int midi = a.song().guitar().shapeMidi(string, 0);
    for (int i = next; i < a.slots().size(); i++) {
      Slot slot = a.slots().get(i);
      if (slot.fromTick() >= ringing.endTick() || isFaint(a, ringing.note(), slot)) {
        return Optional.empty();
      }
      boolean foreign =
          slot.shape().isPresent()
              && slot.played().harmony() instanceof Harmony.Sounding s
              && s.chord().intervalOf(Math.floorMod(midi, 12)).isEmpty();
      if (foreign) {
        return finding(a, slot, string, Math.min(ringing.endTick(), slot.toTick()));
      }
    }
    return Optional.empty();
  }

  /** Whether a string has died away when a chord begins. */
  private static boolean isFaint(Arrangement a, Note note, Slot slot) {
    double quarters = (double) (slot.fromTick() - note.tick()) / Ticks.PER_QUARTER;
    return quarters * 60 / a.timeline().barAt(note.tick()).tempo() > DIES_AWAY;
  }

  private static Optional<Found> finding(Arrangement a, Slot slot, int string, int until) {
    double quarters = (double) (until - slot.fromTick()) / Ticks.PER_QUARTER;
    String words = "%s rings on into %s for %.1f quarters and is not in it";
    String label = slot.played().harmony().label();
    return quarters > HEARD
        ? Optional.of(
            Found.at(
                a,
                new Finding(
                    NAME,
                    Grade.HEARD,
                    Phrase.of(words, StringSign.of(string), label, quarters),
                    quarters,
                    HEARD,
                    "quarters"),
                slot.fromTick(),
                Optional.of(string)))
        : Optional.empty();
  }
}
