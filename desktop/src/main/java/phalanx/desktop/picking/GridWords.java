package phalanx.desktop.picking;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import phalanx.desktop.drawing.PatternWords;
import phalanx.desktop.drawing.ShapeWords;
import phalanx.desktop.texts.Texts;
import phalanx.picking.Force;
import phalanx.picking.Pattern;
import phalanx.picking.Role;
import phalanx.picking.Stroke;
import phalanx.picking.WrittenPattern;

/** What stands under the cursor of the grid, for those who hear the screen instead of seeing it. */
final class GridWords {

  private GridWords() {}

  /**
   * {@code fingers between, thumb, beat 2: stroke, accented}.
   *
   * @param tick from the start of the pattern
   * @param parts equal parts of a beat that can be struck
   */
  static String of(WrittenPattern pattern, GridLayout.Row row, int tick, int parts) {
    int beat = pattern.meter().beatTicks();
    int number = 1 + tick / beat;
    String time =
        tick % beat == 0
            ? Texts.of("gridWords.beat", number)
            : Texts.of("gridWords.part", number, 1 + tick % beat * parts / beat, parts);
    Optional<Pattern.Step> step =
        pattern.pattern().steps().stream().filter(s -> s.tick() == tick).findFirst();
    List<String> done = new ArrayList<>();
    step.ifPresent(s -> tell(s, row, done));
    return PatternWords.name(pattern)
        + ", "
        + row.name()
        + ", "
        + time
        + ": "
        + (done.isEmpty() ? Texts.of("gridWords.nothing") : String.join(", ", done));
  }

  private static void tell(Pattern.Step step, GridLayout.Row row, List<String> done) {
    for (Stroke stroke : step.strokes()) {
      Optional<Role> role =
          stroke instanceof Stroke.OnRole r ? Optional.of(r.role()) : Optional.empty();
      boolean sweeps = stroke instanceof Stroke.Brush && row.role().isPresent();
      if (role.equals(row.role()) || sweeps) {
        say(stroke, done);
      }
    }
    if (!done.isEmpty()) {
      step.roll()
          .map(
              r ->
                  r.towardsTreble() ? Texts.of("gridWords.rollUp") : Texts.of("gridWords.rollDown"))
          .ifPresent(done::add);
    }
    if (step.early()) {
      done.add(Texts.of("gridWords.early"));
    }
  }

  private static void say(Stroke stroke, List<String> done) {
    if (stroke instanceof Stroke.Pluck p) {
      done.add(
          p.finger()
              .map(f -> Texts.of("gridWords.strokeBy", f.words()))
              .orElse(Texts.of("gridWords.stroke")));
      p.techniques().stream().map(t -> t.meaning()).sorted().forEach(done::add);
    } else if (stroke instanceof Stroke.Tremolo t) {
      done.add(Texts.of("gridWords.tremolo", t.strokes()));
    } else if (stroke instanceof Stroke.Stop) {
      done.add(Texts.of("gridWords.stops"));
    } else if (stroke instanceof Stroke.Brush b) {
      done.add(Texts.of("gridWords.brush", ShapeWords.number(b.from()), ShapeWords.number(b.to())));
    } else if (stroke instanceof Stroke.Knock k) {
      done.add(k.hit().words());
    }
    if (stroke.force() != Force.PLAIN) {
      done.add(
          stroke.force() == Force.SOFT
              ? Texts.of("gridWords.soft")
              : Texts.of("gridWords.accented"));
    }
  }
}
