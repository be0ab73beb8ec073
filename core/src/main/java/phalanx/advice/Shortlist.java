package phalanx.advice;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import phalanx.instrument.Tuning;

/**
 * What a player has to choose from: of ways that differ in their capo alone one, for frets that
 * only become narrower make them all alike.
 */
public final class Shortlist {

  /** A capo that is easier by less than this share is not worth going higher for. */
  private static final double SLIGHT = 1.05;

  private Shortlist() {}

  private record Kind(int semitones, Tuning tuning, int octaves) {}

  /**
   * The easiest ways, those first; of each kind the one with the lowest capo that is hardly harder
   * than its easiest.
   *
   * @param most so many at most
   */
  public static List<Advised> of(Collection<? extends Ranked> ranked, int most) {
    Map<Kind, List<Advised>> kinds = new LinkedHashMap<>();
    for (Ranked r : ranked) {
      if (r instanceof Advised a) {
        Kind kind = new Kind(a.way().semitones(), a.way().tuning(), a.way().octaves());
        kinds.computeIfAbsent(kind, k -> new ArrayList<>()).add(a);
      }
    }
    return kinds.values().stream()
        .map(Shortlist::handiest)
        .sorted(Ranked.EASIEST_FIRST)
        .limit(most)
        .toList();
  }

  private static Advised handiest(List<Advised> kind) {
    double least = kind.stream().mapToDouble(Advised::costPerBar).min().orElseThrow();
    return kind.stream()
        .filter(a -> a.costPerBar() <= least * SLIGHT)
        .min(Comparator.comparing(a -> a.way().capo()))
        .orElseThrow();
  }
}
