package phalanx.engraving.score;

import java.util.List;

/**
 * The heads of a written note, lowest first, and those of the short notes before it, in time.
 *
 * @param heads what sounds
 * @param graces what comes just before, without a time of its own
 */
record WrittenHeads(List<Head> heads, List<Head> graces) {

  WrittenHeads {
    heads = List.copyOf(heads);
    graces = List.copyOf(graces);
  }
}
