package phalanx.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Gesture;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.fretting.Muting;
import phalanx.fretting.Shape;
import phalanx.instrument.StringSign;
import phalanx.instrument.Tuning;
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

  @Override
  public List<Found> in(Arrangement a) {
    List<Found> found = new ArrayList<>();
    for (int i = 1; i < a.slots().size(); i++) {
      Slot before = a.slots().get(i - 1);
      Slot slot = a.slots().get(i);
      if (slot.shape().isPresent() && slot.played().harmony() instanceof Harmony.Sounding s) {
        for (int string = 0; string < Tuning.STRINGS; string++) {
          int midi = a.song().guitar().shapeMidi(string, 0);
          boolean foreign = s.chord().intervalOf(Math.floorMod(midi, 12)).isEmpty();
          if (foreign && isLeftAlone(slot.shape().get(), string) && rings(a, before, string)) {
            finding(a, slot, string).ifPresent(found::add);
          }
        }
      }
    }
    return found;
  }

  /** Whether nothing of the next shape touches a string. */
  private static boolean isLeftAlone(Shape shape, int string) {
    return shape.sounds(string)
        ? shape.finger(string).isEmpty()
        : Muting.of(shape).stream()
            .anyMatch(m -> m.string() == string && m.reason() == Muting.Reason.NOT_STRUCK);
  }

  /** Whether a string rings open when a chord ends. */
  private static boolean rings(Arrangement a, Slot slot, int string) {
    List<Note> struck =
        a.notesFrom(slot.fromTick(), slot.toTick()).stream()
            .filter(n -> n.string() == string)
            .toList();
    if (struck.isEmpty()) {
      return false;
    }
    Note last = struck.get(struck.size() - 1);
    return last.fret() == 0 && last.tick() + last.lengthTicks() >= slot.toTick();
  }

  private static Optional<Found> finding(Arrangement a, Slot slot, int string) {
    int from = slot.fromTick();
    int struck =
        a.notesFrom(from, slot.toTick()).stream()
            .filter(n -> n.string() == string)
            .mapToInt(Note::tick)
            .findFirst()
            .orElse(slot.toTick());
    int damped =
        a.gesturesFrom(from, slot.toTick()).stream()
            .filter(g -> g instanceof Gesture.Hit h && h.kind().damps(string))
            .mapToInt(Gesture::tick)
            .findFirst()
            .orElse(slot.toTick());
    double quarters = (double) (IntStream.of(struck, damped).min().orElse(from) - from);
    quarters /= Ticks.PER_QUARTER;
    String words = "%s rings on into %s for %.1f quarters and is not in it";
    String label = slot.played().harmony().label();
    return quarters > HEARD
        ? Optional.of(
            Found.at(
                a,
                new Finding(
                    NAME,
                    Phrase.of(words, StringSign.of(string), label, quarters),
                    quarters,
                    HEARD,
                    "quarters"),
                from,
                Optional.of(string)))
        : Optional.empty();
  }
}
