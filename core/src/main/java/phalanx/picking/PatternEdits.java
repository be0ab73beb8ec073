package phalanx.picking;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import phalanx.technique.Technique;
import phalanx.theory.Meter;

/** Edits of a pattern, each a function from one pattern to the next. */
public final class PatternEdits {

  private static final Set<Technique> MUTED = Set.of(Technique.Plain.PALM_MUTE);

  private PatternEdits() {}

  /** What came of an edit: the pattern, or why no hand can play it. */
  public sealed interface Result {

    /** The pattern as it is now. */
    record Done(WrittenPattern pattern) implements Result {}

    /** Nothing was changed. */
    record Refused(String reason) implements Result {}
  }

  /** A style written out for a metre, so that its strokes can be changed. */
  public static WrittenPattern written(PickingStyle style, Meter meter) {
    return style instanceof WrittenPattern w && w.meter().equals(meter)
        ? w
        : new WrittenPattern(style.title(), style.words(), meter, style.in(meter));
  }

  /**
   * With a stroke more at a tick, in place of what stands in its row; taken out if it is there.
   *
   * @param tick where in the pattern, 0 to less than its length
   */
  public static Result toggle(WrittenPattern pattern, Stroke stroke, int tick) {
    Pattern.Step here = step(pattern.pattern(), tick);
    return change(pattern, toggled(here, stroke));
  }

  private static Pattern.Step toggled(Pattern.Step here, Stroke stroke) {
    List<Stroke> strokes = new ArrayList<>(here.strokes());
    boolean same = strokes.contains(stroke);
    strokes.removeIf(s -> Cell.row(s).equals(Cell.row(stroke)) || isThumb(s) && isThumb(stroke));
    if (!same) {
      strokes.add(stroke);
    }
    Pattern.Step next = here.withStrokes(strokes);
    boolean rolls = next.plucks().count() >= 2;
    return rolls ? next : new Pattern.Step(here.tick(), strokes, Optional.empty(), here.early());
  }

  /** The thumb is on one string at a time, whichever row says so. */
  private static boolean isThumb(Stroke stroke) {
    return stroke instanceof Stroke.OnRole r && r.role().isThumb();
  }

  /** With the plucks at a tick rolled, or together again. */
  public static Result roll(WrittenPattern pattern, Optional<Roll> roll, int tick) {
    Pattern.Step here = step(pattern.pattern(), tick);
    return change(pattern, new Pattern.Step(tick, here.strokes(), roll, here.early()));
  }

  /** With the next chord coming at a tick already, or no longer. */
  public static Result early(WrittenPattern pattern, int tick) {
    Pattern.Step here = step(pattern.pattern(), tick);
    if (!here.early() && !PatternRules.mayComeEarly(tick, pattern.meter())) {
      return new Result.Refused("the next chord comes half a beat before the bar line at most");
    }
    return change(pattern, new Pattern.Step(tick, here.strokes(), here.roll(), !here.early()));
  }

  private static Result change(WrittenPattern pattern, Pattern.Step next) {
    Optional<String> trouble = PatternRules.trouble(next);
    if (trouble.isPresent()) {
      return new Result.Refused(trouble.get());
    }
    WrittenPattern changed = with(pattern, next);
    return PatternWriter.canWrite(changed.pattern(), changed.meter().beatTicks())
        ? new Result.Done(changed)
        : new Result.Refused(
            "a row cuts a beat into eight equal parts at most: another grid is here");
  }

  /** With a step in place of the one at its tick. */
  public static WrittenPattern with(WrittenPattern pattern, Pattern.Step next) {
    TreeMap<Integer, Pattern.Step> steps = new TreeMap<>();
    pattern.pattern().steps().forEach(s -> steps.put(s.tick(), s));
    steps.remove(next.tick());
    if (!next.isEmpty()) {
      steps.put(next.tick(), next);
    }
    int length = pattern.pattern().lengthTicks();
    Pattern changed = new Pattern(pattern.title(), length, List.copyOf(steps.values()));
    return own(pattern.withPattern(changed));
  }

  /** The step at a tick; an empty one where nothing is struck. */
  public static Pattern.Step step(Pattern pattern, int tick) {
    return pattern.steps().stream()
        .filter(s -> s.tick() == tick)
        .findFirst()
        .orElse(Pattern.Step.of(tick));
  }

  /**
   * With the thumb's strokes damped by the heel of the hand, or ringing again where all are damped;
   * strokes that are played in another special way stay so.
   */
  public static WrittenPattern thumbMuted(WrittenPattern pattern) {
    return own(pattern.withPattern(thumbMuted(pattern.pattern())));
  }

  static Pattern thumbMuted(Pattern pattern) {
    Set<Technique> wanted = isThumbMuted(pattern) ? Set.of() : MUTED;
    List<Pattern.Step> steps = new ArrayList<>();
    for (Pattern.Step step : pattern.steps()) {
      List<Stroke> strokes =
          step.strokes().stream()
              .map(s -> mayBeMuted(s) ? ((Stroke.Pluck) s).played(wanted) : s)
              .toList();
      steps.add(step.withStrokes(strokes));
    }
    return new Pattern(pattern.name(), pattern.lengthTicks(), steps);
  }

  /** Whether every stroke of the thumb that can be is damped by the heel of the hand. */
  public static boolean isThumbMuted(Pattern pattern) {
    List<Stroke.Pluck> thumb =
        pattern.steps().stream()
            .flatMap(Pattern.Step::plucks)
            .filter(PatternEdits::mayBeMuted)
            .toList();
    return !thumb.isEmpty() && thumb.stream().allMatch(p -> p.techniques().equals(MUTED));
  }

  private static boolean mayBeMuted(Stroke stroke) {
    return stroke instanceof Stroke.Pluck p
        && p.role().isThumb()
        && (p.techniques().isEmpty() || p.techniques().equals(MUTED));
  }

  /**
   * With the fingers’ inner strings exchanged: what was on ③ is on ② and the other way round, so
   * that the same figure runs in the other direction.
   */
  public static WrittenPattern innerExchanged(WrittenPattern pattern) {
    List<Pattern.Step> steps =
        pattern.pattern().steps().stream()
            .map(s -> s.withStrokes(s.strokes().stream().map(PatternEdits::exchanged).toList()))
            .toList();
    int length = pattern.pattern().lengthTicks();
    return own(pattern.withPattern(new Pattern(pattern.title(), length, steps)));
  }

  /** Which finger plays it then follows from the string. */
  private static Stroke exchanged(Stroke stroke) {
    if (stroke instanceof Stroke.Pluck p && exchanged(p.role()) != p.role()) {
      return new Stroke.Pluck(exchanged(p.role()), p.force(), Optional.empty(), p.techniques());
    }
    return stroke instanceof Stroke.Stop s ? new Stroke.Stop(exchanged(s.role())) : stroke;
  }

  private static Role exchanged(Role role) {
    return role == Role.MIDDLE ? Role.UPPER : role == Role.UPPER ? Role.MIDDLE : role;
  }

  /** Twice as long, so that the second half can be varied; up to sixteen bars. */
  public static WrittenPattern doubled(WrittenPattern pattern) {
    if (2 * pattern.bars() > WrittenPattern.MOST_BARS) {
      return pattern;
    }
    int length = pattern.pattern().lengthTicks();
    List<Pattern.Step> steps = new ArrayList<>(pattern.pattern().steps());
    pattern.pattern().steps().forEach(s -> steps.add(s.at(s.tick() + length)));
    return own(pattern.withPattern(new Pattern(pattern.title(), 2 * length, steps)));
  }

  /** Its first half alone; as it is if it has one bar or an odd number. */
  public static WrittenPattern halved(WrittenPattern pattern) {
    if (pattern.bars() % 2 > 0) {
      return pattern;
    }
    int half = pattern.pattern().lengthTicks() / 2;
    List<Pattern.Step> steps = pattern.pattern().between(0, half);
    return own(pattern.withPattern(new Pattern(pattern.title(), half, steps)));
  }

  /** A changed pattern is not the shelf's any more. */
  private static WrittenPattern own(WrittenPattern pattern) {
    String title = pattern.title();
    return pattern.named(title.endsWith(" (mine)") ? title : title + " (mine)", "");
  }

  /** The stroke on a role at a tick. */
  public static Optional<Stroke> stroke(Pattern pattern, Role role, int tick) {
    return step(pattern, tick).strokes().stream()
        .filter(s -> s instanceof Stroke.OnRole r && r.role() == role)
        .findFirst();
  }
}
