package phalanx.desktop.model;

import java.util.HashSet;
import java.util.Set;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.performance.Performance;
import phalanx.practice.Drill;
import phalanx.practice.DrillKind;
import phalanx.practice.Excerpt;

/**
 * A drill as it is seen and heard.
 *
 * @param drill the drill
 * @param seen its bars with everything in them
 * @param later the notes among them that come in a later layer
 * @param heard its bars with its own notes alone
 * @param clicks its first full bar without notes
 */
public record ShownDrill(
    Drill drill, Performance seen, Set<Note> later, Performance heard, Performance clicks) {

  public ShownDrill {
    later = Set.copyOf(later);
  }

  /** A drill of an arrangement. */
  static ShownDrill of(Arrangement whole, Drill drill) {
    int from = drill.fromTick();
    int to = drill.toTick();
    Performance heard = Performance.of(Excerpt.of(drill.played(), from, to));
    Performance clicks = Performance.of(Excerpt.silent(drill.played(), from, to));
    boolean ofTheSong = drill.played().timeline().bars().equals(whole.timeline().bars());
    if (drill.kind() == DrillKind.OPEN_STRINGS || !ofTheSong) {
      return new ShownDrill(drill, heard, Set.of(), heard, clicks);
    }
    Arrangement bars = Excerpt.of(whole, from, to);
    Set<Note> later = new HashSet<>(bars.notes());
    later.removeAll(new HashSet<>(drill.notes()));
    return new ShownDrill(drill, Performance.of(bars), later, heard, clicks);
  }
}
