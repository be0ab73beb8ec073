package phalanx.review;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Remark;
import phalanx.arrangement.Slot;
import phalanx.song.FindingRef;
import phalanx.song.Timeline.PlayedBar;

/**
 * A finding and where it is.
 *
 * @param finding what was found
 * @param bar number of the bar as played
 * @param tick its time from the start of the song
 * @param string the string it is about, 0 for ⑥ to 5 for ①
 * @param ref where it stands in the song as written
 */
public record Found(Finding finding, int bar, int tick, Optional<Integer> string, FindingRef ref) {

  /** A finding at a tick of an arrangement. */
  static Found at(Arrangement a, Finding finding, int tick, Optional<Integer> string) {
    PlayedBar bar = a.timeline().barAt(tick);
    FindingRef ref = new FindingRef(bar.written(), tick - bar.startTick(), finding.rule());
    return new Found(finding, bar.number(), tick, string, ref);
  }

  /** What was remarked of some kinds while the hands were put together, as findings of a rule. */
  static List<Found> remarked(Arrangement a, String rule, Remark.Kind first, Remark.Kind... more) {
    Set<Remark.Kind> kinds = EnumSet.of(first, more);
    List<Found> found = new ArrayList<>();
    for (Slot slot : a.slots()) {
      for (Remark r : slot.found()) {
        if (kinds.contains(r.kind())) {
          Remark.Figure figure = r.figure().orElseThrow();
          Finding finding =
              new Finding(rule, r.words(), figure.measured(), figure.limit(), figure.unit());
          found.add(at(a, finding, r.tick().orElse(slot.fromTick()), r.string()));
        }
      }
    }
    return found.stream().distinct().toList();
  }

  /** Whether this is the same finding in another plan of the song. */
  public boolean isSameAs(Found other) {
    return ref.equals(other.ref) && tick == other.tick && string.equals(other.string);
  }

  /** What the player noted when they decided to leave it as it is; empty if they did not. */
  public Optional<String> accepted(Arrangement a) {
    return a.song().pins().accepted(ref);
  }
}
