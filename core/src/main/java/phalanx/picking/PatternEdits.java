package phalanx.picking;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.TreeSet;
import phalanx.theory.Meter;

/** Edits of a pattern, each a function from one pattern to the next. */
public final class PatternEdits {

  private PatternEdits() {}

  /** A style written out for a metre, so that its strokes can be changed. */
  public static WrittenPattern written(PickingStyle style, Meter meter) {
    return style instanceof WrittenPattern w && w.meter().equals(meter)
        ? w
        : new WrittenPattern(style.title(), style.words(), meter, style.in(meter));
  }

  /**
   * With a stroke more, or less where there was one. All thumb strokes are one row: which string
   * the thumb takes is its route's.
   *
   * @param tick where in the pattern, 0 to less than its length
   */
  public static WrittenPattern toggle(WrittenPattern pattern, Role role, int tick) {
    TreeMap<Integer, TreeSet<Role>> strokes = new TreeMap<>();
    for (Pattern.Step step : pattern.pattern().steps()) {
      strokes.put(step.tick(), new TreeSet<>(step.roles()));
    }
    TreeSet<Role> here = strokes.computeIfAbsent(tick, t -> new TreeSet<>());
    boolean gone = here.removeIf(r -> r == role || r.isThumb() && role.isThumb());
    if (!gone) {
      here.add(role);
    }
    List<Pattern.Step> steps = new ArrayList<>();
    strokes.forEach(
        (at, roles) -> {
          if (!roles.isEmpty()) {
            steps.add(new Pattern.Step(at, new ArrayList<>(roles)));
          }
        });
    Pattern next = new Pattern(pattern.title(), pattern.pattern().lengthTicks(), steps);
    return new WrittenPattern(own(pattern.title()), "", pattern.meter(), next);
  }

  /** A changed pattern is not the shelf's any more. */
  private static String own(String title) {
    return title.endsWith(" (mine)") ? title : title + " (mine)";
  }

  /** Whether a role is struck at a tick; any thumb role stands for the thumb. */
  public static boolean struck(Pattern pattern, Role role, int tick) {
    return pattern.steps().stream()
        .filter(s -> s.tick() == tick)
        .flatMap(s -> s.roles().stream())
        .anyMatch(r -> r == role || r.isThumb() && role.isThumb());
  }
}
