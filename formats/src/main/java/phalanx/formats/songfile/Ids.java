package phalanx.formats.songfile;

import java.util.HashSet;
import java.util.Set;
import phalanx.formats.Texts;
import phalanx.song.Chart;

/** The identities of a file's sections and bars; what has none of its own gets a new one. */
final class Ids {

  /** Highest number a section or bar may have. */
  static final int MOST = Chart.HIGHEST_ID;

  private final Set<Integer> taken = new HashSet<>();
  private int next = 1;

  /** Marks as taken what the sections and bars of a file say, wherever it can be read. */
  Ids(Field sections) {
    sections
        .node()
        .forEach(
            s -> {
              mark(s.path("id").asInt());
              s.path("bars").forEach(b -> mark(b.path("id").asInt()));
            });
  }

  private void mark(int id) {
    next = Math.max(next, id < MOST ? id + 1 : 1);
  }

  /** The identity a field states; a new one, and a fault noted, where it is none or is taken. */
  int of(Field id, Faults faults) {
    int stated = faults.or(0, () -> id.whole(1, MOST));
    if (stated > 0 && taken.add(stated)) {
      return stated;
    }
    if (stated > 0) {
      String words = Texts.of("ids.twoPartsOfA", stated);
      faults.note(new Field.Fault(id.pointer(), words));
    }
    while (!taken.add(next)) {
      next = next < MOST ? next + 1 : 1;
    }
    return next;
  }
}
