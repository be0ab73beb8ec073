package phalanx.picking;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * One way to finger a strike, with what of its cost does not depend on what came before: the same
 * strike comes again and again in a song. Fingers are in order of their strings, ⑥ first.
 */
final class StrikeFingering {

  /** What tells strikes apart whose fingerings are not the same. */
  record Asked(
      Optional<Integer> thumb,
      List<Integer> strings,
      Map<Integer, PickFinger> wanted,
      Set<PickFinger> gesture,
      List<Set<PickFinger>> lighter) {

    static Asked of(Strike strike) {
      return new Asked(
          strike.thumb(), strike.strings(), strike.wanted(), strike.gesture(), strike.lighter());
    }
  }

  private final Fingered fingered;
  private final int[] strings;
  private final PickFinger[] fingers;
  private final int thumb;
  private final List<PickFinger> taken;
  private final List<PickFinger> remembered;
  private final double cost;

  StrikeFingering(Strike strike, Fingered fingered, HandSchool school) {
    this.fingered = fingered;
    TreeMap<Integer, PickFinger> rising = new TreeMap<>(fingered.fingers());
    strings = rising.keySet().stream().mapToInt(s -> s).toArray();
    fingers = rising.values().toArray(PickFinger[]::new);
    thumb = strike.thumb().orElse(-1);
    taken = fingered.taken().map(List::copyOf).orElse(List.of());
    remembered = rising.values().stream().filter(school::remembers).toList();
    double sum = Fingerings.cost(strike, fingered);
    for (int k = 0; k < strings.length; k++) {
      sum += isByThumb(k) ? 0 : FingerAssignment.AWAY * school.away(fingers[k], strings[k]);
    }
    cost = sum;
  }

  Fingered fingered() {
    return fingered;
  }

  /** What it costs whatever came before. */
  double cost() {
    return cost;
  }

  /** How many strings are plucked. */
  int count() {
    return strings.length;
  }

  /** The k-th plucked string, 0 for ⑥ to 5 for ①. */
  int string(int k) {
    return strings[k];
  }

  /** The finger that plucks it. */
  PickFinger finger(int k) {
    return fingers[k];
  }

  /** Whether it is the thumb's own stroke. */
  boolean isByThumb(int k) {
    return strings[k] == thumb;
  }

  /** The fingers that its hit or brush takes. */
  List<PickFinger> taken() {
    return taken;
  }

  /** Those of its fingers that count for the order of what follows, from the lowest string up. */
  List<PickFinger> remembered() {
    return remembered;
  }
}
