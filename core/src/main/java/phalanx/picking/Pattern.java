package phalanx.picking;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * One or more bars of picking, written on roles so that it fits any shape.
 *
 * @param name what the player calls it
 * @param lengthTicks length of the bars it fills
 * @param steps what is struck when, in order
 * @throws IllegalArgumentException if a step is out of order or outside the bar
 */
public record Pattern(String name, int lengthTicks, List<Step> steps) {

  /** In what order the fingers of a tremolo come after the thumb (common practice). */
  private static final List<PickFinger> TREMOLO = List.of(PickFinger.A, PickFinger.M, PickFinger.I);

  public Pattern {
    steps = List.copyOf(steps);
    int last = -1;
    for (Step step : steps) {
      if (step.tick() <= last || step.tick() >= lengthTicks) {
        throw new IllegalArgumentException("step out of order or outside the bar: " + step);
      }
      last = step.tick();
    }
  }

  /** The same under another name. */
  Pattern named(String other) {
    return name.equals(other) ? this : new Pattern(other, lengthTicks, steps);
  }

  /**
   * What is done at one instant; several plucks are a pinch, or a roll.
   *
   * @param tick ticks from the start of the bar
   * @param strokes what is struck or stopped
   * @param roll how the plucked strings follow each other; together if it is empty
   * @param early whether the next bar's chord comes here already
   */
  public record Step(int tick, List<Stroke> strokes, Optional<Roll> roll, boolean early) {
    public Step {
      // Rows from top to bottom, so that steps that do the same are equal.
      strokes = isSorted(strokes) ? List.copyOf(strokes) : sorted(strokes);
    }

    private static boolean isSorted(List<Stroke> strokes) {
      for (int k = 1; k < strokes.size(); k++) {
        if (Cell.place(strokes.get(k - 1)) > Cell.place(strokes.get(k))) {
          return false;
        }
      }
      return true;
    }

    private static List<Stroke> sorted(List<Stroke> strokes) {
      return strokes.stream().sorted(Comparator.comparingInt(Cell::place)).toList();
    }

    /** Plain strokes on roles together. */
    public static Step of(int tick, Role... roles) {
      List<Stroke> plucks = new ArrayList<>();
      Stream.of(roles).map(Stroke.Pluck::of).forEach(plucks::add);
      return new Step(tick, plucks, Optional.empty(), false);
    }

    /** The roles plucked. */
    public List<Role> roles() {
      return plucks().map(Stroke.Pluck::role).toList();
    }

    /** The plucks among the strokes. */
    public Stream<Stroke.Pluck> plucks() {
      return strokes.stream().filter(Stroke.Pluck.class::isInstance).map(Stroke.Pluck.class::cast);
    }

    /** Whether nothing is done. */
    public boolean isEmpty() {
      return strokes.isEmpty() && !early;
    }

    /** At another time. */
    public Step at(int other) {
      return new Step(other, strokes, roll, early);
    }

    /** With other strokes. */
    public Step withStrokes(List<Stroke> other) {
      return new Step(tick, other, roll, early);
    }

    /** What is done here and in another step at the same time; the first of two on a role stays. */
    Step joined(Step other) {
      List<Stroke> all = new ArrayList<>(strokes);
      for (Stroke stroke : other.strokes) {
        boolean taken =
            stroke instanceof Stroke.OnRole r
                && strokes.stream()
                    .anyMatch(s -> s instanceof Stroke.OnRole mine && mine.role() == r.role());
        if (!taken) {
          all.add(stroke);
        }
      }
      return new Step(tick, all, roll.or(other::roll), early || other.early);
    }
  }

  /** The steps from one tick of the bar up to, not including, another. */
  public List<Step> between(int from, int to) {
    return between(from, to, 0);
  }

  /** The same in a later bar of the pattern, which begins so many ticks ahead. */
  public List<Step> between(int from, int to, int ahead) {
    return steps.stream()
        .filter(s -> s.tick() >= from + ahead && s.tick() < to + ahead)
        .map(s -> s.at(s.tick() - ahead))
        .toList();
  }

  /**
   * With every tremolo written out as single strokes.
   *
   * @param beatTicks length of a beat
   */
  public Pattern plain(int beatTicks) {
    boolean already =
        steps.stream()
            .flatMap(s -> s.strokes().stream())
            .noneMatch(Stroke.Tremolo.class::isInstance);
    return already ? this : new Pattern(name, lengthTicks, plain(steps, beatTicks, lengthTicks));
  }

  /** Steps with every tremolo written out, as far as it goes before {@code end}. */
  public static List<Step> plain(List<Step> steps, int beatTicks, int end) {
    TreeMap<Integer, Step> all = new TreeMap<>();
    for (Step step : steps) {
      List<Stroke> stay = new ArrayList<>();
      for (Stroke stroke : step.strokes()) {
        if (stroke instanceof Stroke.Tremolo t) {
          for (int n = 0; n < t.strokes(); n++) {
            int tick = step.tick() + n * beatTicks / t.parts();
            Optional<PickFinger> finger = Optional.of(TREMOLO.get(n % TREMOLO.size()));
            Stroke pluck = new Stroke.Pluck(t.role(), t.force(), finger);
            if (tick < end) {
              join(all, new Step(tick, List.of(pluck), Optional.empty(), false));
            }
          }
        } else {
          stay.add(stroke);
        }
      }
      join(all, step.withStrokes(stay));
    }
    return List.copyOf(all.values());
  }

  private static void join(TreeMap<Integer, Step> all, Step step) {
    all.merge(step.tick(), step, Step::joined);
  }
}
