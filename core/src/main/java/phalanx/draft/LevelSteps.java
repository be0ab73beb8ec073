package phalanx.draft;

import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import phalanx.arrangement.Arrangement;
import phalanx.embellishment.Fill;
import phalanx.findings.Review;
import phalanx.findings.Tally;
import phalanx.level.PlanLevel;
import phalanx.planning.Arranger;
import phalanx.song.Song;

/**
 * A selection made easier, or fuller, by one step at a time. Each step is an edit that the player
 * could have made; taken is the one that moves the level most for what it changes to the ear, and
 * only such as keep the tune and the bass of beat one and add nothing that is hard (common
 * practice, no source). Where there is none, the ladder is at its end.
 */
public final class LevelSteps {

  /** A level that moves less than this is not worth a step. */
  private static final double LEAST = 0.02;

  /** What the whole song may move the other way, as where a change before the bars is longer. */
  private static final double WRONG = 0.005;

  private final Arranger arranger = new Arranger();
  private final Song song;
  private final List<Integer> bars;
  private final boolean easier;
  private final List<Fill> fills;
  private final BooleanSupplier cancelled;

  private LevelSteps(
      Song song, List<Integer> bars, boolean easier, List<Fill> fills, BooleanSupplier cancelled) {
    this.song = song;
    this.bars = List.copyOf(bars);
    this.easier = easier;
    this.fills = List.copyOf(fills);
    this.cancelled = cancelled;
  }

  /**
   * The next step.
   *
   * @param bars identities of the bars it may change
   * @param easier whether it is to be easier, else fuller
   * @param fills what may go into the end of a phrase
   * @param cancelled asked often; nothing is found then
   * @return empty at the end of the ladder
   */
  public static Optional<LevelStep> next(
      Song song, List<Integer> bars, boolean easier, List<Fill> fills, BooleanSupplier cancelled) {
    return new LevelSteps(song, bars, easier, fills, cancelled).next();
  }

  private Optional<LevelStep> next() {
    Arrangement now = arranger.arrange(song);
    PlanLevel level = PlanLevel.of(now);
    Tally hard = Review.of(now).tally();
    double here = here(now, level);
    LevelEdits edits = new LevelEdits(song, bars, fills, cancelled);
    return (easier ? edits.easier(now, level) : edits.fuller())
        .stream()
            .filter(e -> !cancelled.getAsBoolean())
            .map(e -> tried(e, now, level, here, hard))
            .filter(Objects::nonNull)
            .max(Comparator.comparingDouble(s -> worth(s, now)));
  }

  /** How hard the bars are, on average: in a long song one bar hardly moves the whole. */
  private double here(Arrangement a, PlanLevel level) {
    return a.timeline().bars().stream()
        .filter(b -> bars.contains(b.written()))
        .mapToDouble(b -> level.bars().get(b.number()))
        .average()
        .orElse(level.level());
  }

  private LevelStep tried(
      LevelEdits.Edit edit, Arrangement now, PlanLevel level, double here, Tally hard) {
    Arrangement then = arranger.arrange(edit.song());
    PlanLevel after = PlanLevel.of(then);
    int way = easier ? -1 : 1;
    double there = here(then, after);
    Tally tally = Review.of(then).tally();
    boolean holds =
        way * (there - here) >= LEAST
            && way * (after.level() - level.level()) >= -WRONG
            && tally.cannot() <= hard.cannot()
            && tally.heard() <= hard.heard()
            && KeptNotes.of(now).areIn(then);
    return holds ? new LevelStep(edit.words(), edit.song(), then, here, there) : null;
  }

  /** How far the level moves for each note that is there no more, or new. */
  private static double worth(LevelStep step, Arrangement now) {
    int changed = Math.abs(step.arrangement().notes().size() - now.notes().size());
    double moved = Math.abs(step.after() - step.before());
    return moved / (1 + changed);
  }
}
