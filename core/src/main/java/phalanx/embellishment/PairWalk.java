package phalanx.embellishment;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import phalanx.instrument.Guitar;
import phalanx.theory.Chord;
import phalanx.theory.Key;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;

/**
 * Two strings that climb the neck together by the steps of the scale, to the next chord (common
 * practice, no source).
 */
public enum PairWalk {
  THIRDS(2, List.of(List.of(4, 5), List.of(3, 4), List.of(2, 3))),
  SIXTHS(5, List.of(List.of(3, 5), List.of(2, 4))),
  TENTHS(9, List.of(List.of(2, 5), List.of(1, 4), List.of(1, 3)));

  private static final int OCTAVE = 12;

  /** Past the body’s edge pairs are hard to reach. */
  private static final int HIGHEST_FRET = 14;

  /** No two fingers hold a pair further apart than this. */
  private static final int WIDEST = 4;

  private final int steps;
  private final List<List<Integer>> strings;

  PairWalk(int steps, List<List<Integer>> strings) {
    this.steps = steps;
    this.strings = strings;
  }

  /** In the player's words. */
  public String words() {
    return name().toLowerCase(Locale.ROOT);
  }

  /**
   * Both strings at once.
   *
   * @param low fret of the lower string, from the capo
   * @param high fret of the upper string
   */
  public record Pair(int low, int high) {}

  /**
   * A walk.
   *
   * @param lowString 0 for ⑥ to 5 for ①
   * @param highString the other string
   * @param pairs rising, the last of them tones of the chord it leads to
   */
  public record Way(int lowString, int highString, List<Pair> pairs) {

    public Way {
      pairs = List.copyOf(pairs);
    }
  }

  /**
   * Every walk of some pairs to a chord, the lowest first.
   *
   * @param from the chord it starts over
   * @param to the chord it leads to
   * @param count how many pairs, the one on the next chord included
   */
  public List<Way> ways(Guitar guitar, Key key, Chord from, Chord to, int count) {
    Set<Integer> scale = scale(key, to);
    Set<Integer> target = chromas(to);
    List<Integer> tones =
        IntStream.rangeClosed(guitar.shapeMidi(0, 0), guitar.shapeMidi(5, HIGHEST_FRET))
            .filter(m -> scale.contains(m % OCTAVE))
            .boxed()
            .toList();
    List<Way> ways = new ArrayList<>();
    for (List<Integer> on : strings) {
      for (int last = count - 1; last + steps < tones.size(); last++) {
        boolean arrives =
            target.contains(tones.get(last) % OCTAVE)
                && target.contains(tones.get(last + steps) % OCTAVE);
        List<Pair> pairs = new ArrayList<>();
        for (int i = last - count + 1; i <= last; i++) {
          pairs.add(
              new Pair(
                  tones.get(i) - guitar.shapeMidi(on.get(0), 0),
                  tones.get(i + steps) - guitar.shapeMidi(on.get(1), 0)));
        }
        if (arrives && pairs.stream().allMatch(PairWalk::isOnNeck)) {
          ways.add(new Way(on.get(0), on.get(1), pairs));
        }
      }
    }
    Set<Integer> start = chromas(from);
    ways.sort(
        Comparator.<Way>comparingInt(w -> foreign(guitar, w, start))
            .thenComparing(w -> w.pairs().get(0).high()));
    return ways;
  }

  private static boolean isOnNeck(Pair pair) {
    return pair.low() >= 0
        && pair.high() >= 0
        && pair.low() <= HIGHEST_FRET
        && pair.high() <= HIGHEST_FRET
        && (pair.low() == 0 || pair.high() == 0 || Math.abs(pair.low() - pair.high()) <= WIDEST);
  }

  /** How many notes of the first pair are none of the chord it starts over. */
  private static int foreign(Guitar guitar, Way way, Set<Integer> chord) {
    Pair first = way.pairs().get(0);
    int low = guitar.shapeMidi(way.lowString(), first.low());
    int high = guitar.shapeMidi(way.highString(), first.high());
    return (int) IntStream.of(low, high).filter(m -> !chord.contains(m % OCTAVE)).count();
  }

  private static Set<Integer> chromas(Chord chord) {
    return chord.notes().stream().map(NoteName::chroma).collect(Collectors.toSet());
  }

  /** The key's scale, with the next chord's tones where it has others of the same letter. */
  private static Set<Integer> scale(Key key, Chord to) {
    return IntStream.range(0, Mode.DEGREES)
        .mapToObj(key::degree)
        .map(
            n ->
                to.notes().stream()
                    .filter(t -> t.letter() == n.letter())
                    .findFirst()
                    .orElse(n)
                    .chroma())
        .collect(Collectors.toSet());
  }
}
