package phalanx.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.ChangeCosts.FingerMove;
import phalanx.fretting.ChangeCosts.Motion;
import phalanx.fretting.Shape;
import phalanx.song.Swing;

/** The changes from shape to shape with the time they need and the time they have. */
final class Changes {

  /**
   * A change.
   *
   * @param slot the slot it leads into
   * @param needed what the hand needs for it, ms
   * @param ticks from the last stroke before to the first one after, as played with swing
   */
  record Change(Slot slot, double needed, int ticks) {}

  private Changes() {}

  /** Every change for which a finger has to go somewhere. */
  static List<Change> of(Arrangement a) {
    List<Change> all = new ArrayList<>();
    for (int i = 1; i < a.slots().size(); i++) {
      Slot before = a.slots().get(i - 1);
      Slot slot = a.slots().get(i);
      List<Note> last = a.notesFrom(before.fromTick(), slot.fromTick());
      List<Note> first = a.notesFrom(slot.fromTick(), slot.toTick());
      Optional<Shape> from = before.shape();
      if (!last.isEmpty() && !first.isEmpty() && from.isPresent() && slot.shape().isPresent()) {
        double needed = needed(a.plan().problem().changes(), from.get(), slot.shape().get());
        int ticks = played(a, first.get(0)) - played(a, last.get(last.size() - 1));
        if (needed > 0 && ticks > 0) {
          all.add(new Change(slot, needed, ticks));
        }
      }
    }
    return all;
  }

  private static double needed(ChangeCosts costs, Shape from, Shape to) {
    return costs.moves(from, to).stream()
        .filter(m -> m.motion() == Motion.MOVES || m.motion() == Motion.SLIDES)
        .mapToDouble(
            (FingerMove m) -> costs.millisNeeded(m.millimetres(), m.motion() == Motion.SLIDES))
        .max()
        .orElse(0);
  }

  /** When a note is struck, with swing. */
  static int played(Arrangement a, Note note) {
    Swing swing = a.song().feel().swing();
    return a.timeline().barAt(note.tick()).played(note.tick(), swing) + note.delayTicks();
  }
}
