package phalanx.engraving.score;

import java.util.List;
import phalanx.notation.WrittenNote;

/**
 * A written note of a voice with its heads, lowest first; a rest has none.
 *
 * @param written what stands there
 * @param heads its heads
 * @param graces the small heads before it, in time
 * @param up whether its stem goes up
 * @param flagged whether it has a flag of its own, being in no beam
 */
record Stroke(
    WrittenNote written, List<Head> heads, List<Head> graces, boolean up, boolean flagged) {

  Stroke {
    heads = List.copyOf(heads);
    graces = List.copyOf(graces);
  }

  int tick() {
    return written.tick();
  }

  boolean isRest() {
    return heads.isEmpty();
  }

  Stroke with(List<Head> others) {
    return new Stroke(written, others, graces, up, flagged);
  }

  /** The head the stem comes from: the one furthest from where the stem ends. */
  Head root() {
    return up ? heads.get(0) : heads.get(heads.size() - 1);
  }

  /** The head nearest to the end of the stem. */
  Head tip() {
    return up ? heads.get(heads.size() - 1) : heads.get(0);
  }
}
