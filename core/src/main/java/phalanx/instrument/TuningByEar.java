package phalanx.instrument;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import phalanx.theory.Pitch;

/**
 * How to reach a tuning by ear: which string to begin with, and each other against one that is
 * right by then. No string is further than two comparisons from the first, so that the ear's errors
 * do not add up. Strings that are as they were come first, then those that go down, the smaller
 * changes of pull before the larger, so that the neck moves late; strings that go up come last.
 *
 * @param first the string to begin with, from a reference tone; 0 for ⑥ to 5 for ①
 * @param steps the others, in order
 */
public record TuningByEar(int first, List<TuningStep> steps) {

  /** What one comparison more costs against an easier one. */
  private static final double FURTHER = 0.2;

  private static final int OCTAVE = 12;
  private static final int FOURTH = 5;
  private static final int FIFTH = 7;

  public TuningByEar {
    steps = List.copyOf(steps);
  }

  /** All strings in the order they are tuned in, 0 for ⑥ to 5 for ①. */
  public List<Integer> order() {
    List<Integer> order = new ArrayList<>(List.of(first));
    steps.forEach(s -> order.add(s.string()));
    return order;
  }

  /**
   * The way to a tuning.
   *
   * @param from how the guitar is tuned before
   * @param pulls how hard its strings pull in the new tuning, ⑥ to ①
   * @param a4 frequency of A4, Hz
   */
  public static TuningByEar of(Tuning from, Tuning to, List<StringPull> pulls, double a4) {
    return new Search(from, to, pulls, a4).best();
  }

  /** Tries every first string with every set of strings tuned right from it. */
  private static final class Search {

    private final Tuning from;
    private final Tuning to;
    private final List<StringPull> pulls;
    private final double a4;

    Search(Tuning from, Tuning to, List<StringPull> pulls, double a4) {
      this.from = from;
      this.to = to;
      this.pulls = pulls;
      this.a4 = a4;
    }

    TuningByEar best() {
      int least = strings().map(s -> Math.abs(change(s))).min().orElse(0);
      boolean allUp = strings().allMatch(s -> change(s) > 0);
      double cheapest = Double.POSITIVE_INFINITY;
      int start = 0;
      int[] against = new int[Tuning.STRINGS];
      for (int first = 0; first < Tuning.STRINGS; first++) {
        boolean mayBegin = allUp || change(first) <= 0;
        boolean still = Math.abs(change(first)) == least || strings().noneMatch(this::isStill);
        for (int near = 0; mayBegin && still && near < 1 << Tuning.STRINGS; near++) {
          int[] tree = tree(first, near | 1 << first);
          double cost = cost(first, tree);
          if (cost < cheapest) {
            cheapest = cost;
            start = first;
            against = tree;
          }
        }
      }
      return ordered(start, against);
    }

    private static IntStream strings() {
      return IntStream.range(0, Tuning.STRINGS);
    }

    private boolean isStill(int string) {
      return change(string) == 0;
    }

    private int change(int string) {
      return to.midi(string) - from.midi(string);
    }

    /** For each string the one it is tuned against; near ones against the first. */
    private int[] tree(int first, int near) {
      int[] against = new int[Tuning.STRINGS];
      for (int s = 0; s < Tuning.STRINGS; s++) {
        int string = s;
        against[s] =
            (near >> s & 1) == 1
                ? first
                : strings()
                    .filter(t -> (near >> t & 1) == 1 && mayCompare(string, t))
                    .boxed()
                    .min(Comparator.comparingDouble(t -> effort(string, t)))
                    .orElse(first);
      }
      return against;
    }

    /** What stays waits for nothing that moves, and nothing waits for what goes up. */
    private boolean mayCompare(int string, int against) {
      return turn(against) <= turn(string);
    }

    /** 0 for strings that stay, 1 for those that go down, 2 for those that go up. */
    private int turn(int string) {
      return change(string) == 0 ? 0 : change(string) < 0 ? 1 : 2;
    }

    private double cost(int first, int[] against) {
      return strings()
          .filter(s -> s != first)
          .mapToDouble(s -> effort(s, against[s]) + (against[s] == first ? 0 : FURTHER))
          .sum();
    }

    private double effort(int string, int against) {
      return TuningByEar.effort(step(string, against));
    }

    private TuningByEar ordered(int first, int[] against) {
      List<Integer> waiting = new ArrayList<>(strings().filter(s -> s != first).boxed().toList());
      waiting.sort(
          Comparator.comparing(this::turn)
              .thenComparing(s -> Math.abs(moves(s)))
              .thenComparing(s -> Math.abs(s - first)));
      List<Integer> right = new ArrayList<>(List.of(first));
      List<TuningStep> steps = new ArrayList<>();
      while (!waiting.isEmpty()) {
        int next =
            waiting.stream().filter(s -> right.contains(against[s])).findFirst().orElseThrow();
        steps.add(step(next, against[next]));
        right.add(next);
        waiting.remove(Integer.valueOf(next));
      }
      return new TuningByEar(first, steps);
    }

    /** How much the pull of a string changes, newtons. */
    private double moves(int string) {
      double share = Math.pow(2, -2.0 * change(string) / OCTAVE);
      return pulls.get(string).newtons() * (1 - share);
    }

    private TuningStep step(int string, int against) {
      int above = to.midi(string) - to.midi(against);
      int fret = Math.floorMod(above, OCTAVE);
      int octaves = Math.floorDiv(above, OCTAVE);
      TuningStep.How how =
          fret == 0 && octaves == 2
              ? TuningStep.How.HARMONIC
              : octaves == 0 ? TuningStep.How.FRET : TuningStep.How.OCTAVE;
      // Two octaves up sounds over fret 5, a quarter of the string.
      int place = how == TuningStep.How.HARMONIC ? FOURTH : fret;
      return new TuningStep(string, against, how, place, octaves, check(string, against));
    }

    private Optional<TuningStep.Check> check(int string, int against) {
      int low = to.midi(string) < to.midi(against) ? string : against;
      int high = low == string ? against : string;
      double lowHz = Pitch.frequency(to.midi(low), a4);
      double highHz = Pitch.frequency(to.midi(high), a4);
      return switch (to.midi(high) - to.midi(low)) {
        case FOURTH -> Optional.of(check(low, 5, 4 * lowHz, high, 7, 3 * highHz));
        case FIFTH -> Optional.of(check(low, 7, 3 * lowHz, high, 12, 2 * highHz));
        default -> Optional.empty();
      };
    }

    private static TuningStep.Check check(
        int low, int lowFret, double one, int high, int highFret, double other) {
      double cents = 100 * OCTAVE * Math.log(other / one) / Math.log(2);
      return new TuningStep.Check(
          low, lowFret, high, highFret, Math.abs(cents), Math.abs(other - one));
    }
  }

  /** How hard a comparison is to hear (common practice, no source): low frets and octaves first. */
  private static double effort(TuningStep step) {
    return switch (step.how()) {
      case FRET -> step.fret() <= FOURTH ? 1 : step.fret() <= FIFTH ? 1.3 : 1.9;
      case OCTAVE -> (step.fret() == 0 ? 1 : 1.4 + 0.05 * step.fret()) + further(step.octaves());
      case HARMONIC -> 1.2;
    };
  }

  private static double further(int octaves) {
    return Math.abs(octaves) > 1 ? 1 : 0;
  }
}
