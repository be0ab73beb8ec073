package phalanx.embellishment;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.theory.Chord;
import phalanx.theory.Key;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;

/**
 * Two voices that go along the neck together by the steps of the scale, from tones of one chord to
 * tones of the next. Thirds and sixths keep their two strings, so that a finger stays on its string
 * as a guide; of tenths the upper voice keeps its string, and the lower, which is the bass, goes to
 * the next where it lies nearer (common practice, no source).
 */
public enum PairWalk {
  THIRDS(2, List.of(List.of(4, 5), List.of(3, 4), List.of(2, 3))),
  SIXTHS(5, List.of(List.of(3, 5), List.of(2, 4))),
  TENTHS(9, List.of(List.of(0, 4), List.of(0, 3), List.of(1, 5)));

  /** Which way it goes. */
  public enum Direction {
    UP(1),
    DOWN(-1);

    private final int step;

    Direction(int step) {
      this.step = step;
    }

    /** In the player's words. */
    public String words() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  private static final int OCTAVE = 12;

  /** Past the body’s edge pairs are hard to reach. */
  private static final int HIGHEST_FRET = 14;

  /** No two fingers hold a pair further apart than this. */
  private static final int WIDEST = 4;

  /** The highest of the thumb’s strings, ④. */
  private static final int HIGHEST_BASS = 2;

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

  /** Whether the lower voice is the bass itself, so that nothing is played below it. */
  public boolean isOnBass() {
    return this == TENTHS;
  }

  /**
   * Both voices at once.
   *
   * @param lowString string of the lower voice, 0 for ⑥ to 5 for ①
   * @param low its fret, from the capo
   * @param highString string of the upper voice
   * @param high its fret
   */
  public record Pair(int lowString, int low, int highString, int high) {}

  /**
   * A walk.
   *
   * @param pairs one after the other, the first of them tones of the chord it starts over, the last
   *     of that it leads to
   */
  public record Way(List<Pair> pairs) {

    public Way {
      pairs = List.copyOf(pairs);
    }

    /** The lower voice’s string at its beginning. */
    public int lowString() {
      return pairs.get(0).lowString();
    }
  }

  /**
   * Every walk of some pairs from one chord to another: where the lower voice is the bass, those
   * from the root first, then the lowest.
   *
   * @param from the chord it starts over
   * @param to the chord it leads to
   * @param count how many pairs, the one on the next chord included, 2 or more
   */
  public List<Way> ways(
      Guitar guitar, Key key, Chord from, Chord to, int count, Direction direction) {
    List<Integer> tones = tones(guitar, key, from, to);
    Set<Integer> start = chromas(from);
    Set<Integer> target = chromas(to);
    List<Way> ways = new ArrayList<>();
    for (List<Integer> on : strings) {
      for (int first = 0; first + steps < tones.size(); first++) {
        int last = first + direction.step * (count - 1);
        if (arePair(tones, first, start) && arePair(tones, last, target)) {
          List<Pair> pairs = pairs(guitar, tones, on, first, count, direction);
          if (pairs.size() == count) {
            ways.add(new Way(pairs));
          }
        }
      }
    }
    int root = from.bass().chroma();
    ways.sort(
        Comparator.<Way, Boolean>comparing(w -> isOnBass() && lowChroma(guitar, w) != root)
            .thenComparing(w -> w.pairs().stream().mapToInt(Pair::high).max().orElse(0)));
    return ways;
  }

  /** Whether a tone of the scale and the one above it are both tones of a chord. */
  private boolean arePair(List<Integer> tones, int low, Set<Integer> chord) {
    return low >= 0
        && low + steps < tones.size()
        && chord.contains(tones.get(low) % OCTAVE)
        && chord.contains(tones.get(low + steps) % OCTAVE);
  }

  private static int lowChroma(Guitar guitar, Way way) {
    Pair first = way.pairs().get(0);
    return Math.floorMod(guitar.shapeMidi(first.lowString(), first.low()), OCTAVE);
  }

  /** The pairs as far as they are on the neck. */
  private List<Pair> pairs(
      Guitar guitar,
      List<Integer> tones,
      List<Integer> on,
      int first,
      int count,
      Direction direction) {
    List<Pair> pairs = new ArrayList<>();
    int low = on.get(0);
    for (int i = 0; i < count; i++) {
      int at = first + direction.step * i;
      Optional<Pair> pair = pair(guitar, tones.get(at), tones.get(at + steps), low, on.get(1));
      if (pair.isEmpty()) {
        return List.of();
      }
      pairs.add(pair.get());
      low = isOnBass() ? pair.get().lowString() : low;
    }
    return pairs;
  }

  private Optional<Pair> pair(Guitar guitar, int lower, int upper, int lowString, int highString) {
    int high = upper - guitar.shapeMidi(highString, 0);
    int most = isOnBass() ? Math.min(HIGHEST_BASS, highString - 2) : lowString;
    return IntStream.rangeClosed(isOnBass() ? 0 : lowString, most)
        .mapToObj(s -> new Pair(s, lower - guitar.shapeMidi(s, 0), highString, high))
        .filter(PairWalk::isOnNeck)
        .min(
            Comparator.<Pair>comparingInt(p -> p.low() == 0 ? 0 : Math.abs(p.low() - p.high()))
                .thenComparing(p -> Math.abs(p.lowString() - lowString)));
  }

  private static boolean isOnNeck(Pair pair) {
    return pair.low() >= 0
        && pair.high() >= 0
        && pair.low() <= HIGHEST_FRET
        && pair.high() <= HIGHEST_FRET
        && (pair.low() == 0 || pair.high() == 0 || Math.abs(pair.low() - pair.high()) <= WIDEST);
  }

  private static Set<Integer> chromas(Chord chord) {
    return chord.notes().stream().map(NoteName::chroma).collect(Collectors.toSet());
  }

  /** The scale on the neck, with the chords’ tones where they have others of the same letter. */
  private static List<Integer> tones(Guitar guitar, Key key, Chord from, Chord to) {
    Set<Integer> scale =
        IntStream.range(0, Mode.DEGREES)
            .mapToObj(key::degree)
            .map(n -> of(to, n).or(() -> of(from, n)).orElse(n).chroma())
            .collect(Collectors.toSet());
    int lowest =
        IntStream.range(0, Tuning.STRINGS).map(s -> guitar.shapeMidi(s, 0)).min().orElseThrow();
    return IntStream.rangeClosed(lowest, guitar.shapeMidi(5, HIGHEST_FRET))
        .filter(m -> scale.contains(m % OCTAVE))
        .boxed()
        .toList();
  }

  private static Optional<NoteName> of(Chord chord, NoteName like) {
    return chord.notes().stream().filter(t -> t.letter() == like.letter()).findFirst();
  }
}
