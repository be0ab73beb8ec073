package phalanx.practice;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.findings.Changes;
import phalanx.performance.Performance;
import phalanx.text.Texts;
import phalanx.theory.Ticks;

/**
 * The changes of shape of an arrangement, the hardest first: those whose furthest finger has least
 * time for its way.
 */
public final class HardChanges {

  private HardChanges() {}

  /**
   * A change from one chord to the next.
   *
   * @param from what the hand leaves
   * @param to what it comes to
   * @param needed what the furthest finger needs, ms
   * @param has what it has at the song's tempo, ms
   */
  public record HardChange(Slot from, Slot to, double needed, double has) {

    /** Both chords. */
    public String pair() {
      return HardChanges.pair(from, to);
    }

    /** How much of its time it takes; more than 1 where it comes late. */
    public double share() {
      return needed / has;
    }
  }

  /** Two chords, one after the other. */
  static String pair(Slot from, Slot to) {
    return Texts.of(
        "hardChanges.to", from.played().harmony().label(), to.played().harmony().label());
  }

  /** Every change from one pair of shapes to another, once, the hardest first. */
  public static List<HardChange> of(Arrangement arrangement) {
    double tempo = arrangement.song().tempo();
    Set<List<Object>> seen = new HashSet<>();
    return Changes.ofShapes(arrangement, Performance.of(arrangement)).stream()
        .map(c -> change(arrangement, c, tempo))
        .sorted(Comparator.comparingDouble(c -> -c.share()))
        .filter(c -> seen.add(List.of(c.from().held(), c.to().held())))
        .toList();
  }

  private static HardChange change(Arrangement a, Changes.Change change, double tempo) {
    Slot from = a.slots().get(a.slotAt(change.slot().fromTick()) - 1);
    return new HardChange(
        from, change.slot(), change.needed(), Ticks.millis(change.ticks(), tempo));
  }
}
