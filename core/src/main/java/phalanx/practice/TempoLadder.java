package phalanx.practice;

import java.util.ArrayList;
import java.util.List;
import phalanx.song.Feel;
import phalanx.text.Texts;

/**
 * The tempos of a drill, attempt by attempt.
 *
 * @param goal where it begins and where it leads
 * @param rules when it goes up and down
 * @param tempo the tempo of the next attempt, quarter notes a minute
 * @param attempts what went before, in order
 */
public record TempoLadder(
    Drill.TempoGoal goal, LadderRules rules, double tempo, List<Attempt> attempts) {

  /**
   * An attempt.
   *
   * @param tempo how fast
   * @param outcome how it went
   */
  public record Attempt(double tempo, Outcome outcome) {}

  public TempoLadder {
    attempts = List.copyOf(attempts);
  }

  /** A ladder at its foot. */
  public static TempoLadder of(Drill.TempoGoal goal, LadderRules rules) {
    return new TempoLadder(goal, rules, goal.start(), List.of());
  }

  /**
   * A ladder as the log has it: it goes on where the last attempt left it, at most at its goal. A
   * new day begins at the tempo that was last clean.
   */
  public static TempoLadder of(Drill.TempoGoal goal, LadderRules rules, List<Attempt> before) {
    double tempo =
        before.stream()
            .filter(a -> a.outcome() == Outcome.CLEAN)
            .reduce((a, b) -> b)
            .map(Attempt::tempo)
            .orElse(goal.start());
    return new TempoLadder(goal, rules, Math.min(goal.goal(), tempo), List.of());
  }

  /** The same ladder where the drill leads elsewhere, because the song or its ceiling changed. */
  public TempoLadder leadingTo(Drill.TempoGoal other) {
    return goal.equals(other)
        ? this
        : new TempoLadder(other, rules, Math.min(other.goal(), tempo), attempts);
  }

  /** The same ladder by other rules. */
  public TempoLadder by(LadderRules other) {
    return rules.equals(other) ? this : new TempoLadder(goal, other, tempo, attempts);
  }

  /** The ladder after another attempt at its tempo. */
  public TempoLadder after(Outcome outcome) {
    List<Attempt> all = new ArrayList<>(attempts);
    all.add(new Attempt(tempo, outcome));
    double next = tempo;
    if (outcome == Outcome.CLEAN && row(all, Outcome.CLEAN) >= rules.cleanToRise()) {
      next = Math.min(goal.goal(), tempo + step());
    } else if (outcome == Outcome.MISSED && row(all, Outcome.MISSED) >= rules.missedToFall()) {
      next = Math.max(Feel.SLOWEST, tempo - step());
    }
    return new TempoLadder(goal, rules, next, all);
  }

  /** At least one beat a minute, whole beats. */
  private double step() {
    return Math.max(1, Math.round(tempo * rules.stepPercent() / 100));
  }

  /** Attempts at the end that went one way at this tempo; rests between them do not count. */
  private int row(List<Attempt> all, Outcome wanted) {
    int row = 0;
    for (int a = all.size() - 1; a >= 0; a--) {
      Attempt attempt = all.get(a);
      if (attempt.outcome() == Outcome.RESTED) {
        continue;
      }
      if (attempt.outcome() != wanted || attempt.tempo() != tempo) {
        break;
      }
      row++;
    }
    return row;
  }

  /** Whether the goal was played clean as often as a step asks for. */
  public boolean isReached() {
    return tempo >= goal.goal() && row(attempts, Outcome.CLEAN) >= rules.cleanToRise();
  }

  /** What it does, in a line. */
  public String words() {
    return Texts.of(
        "tempoLadder.cleanUpMissedIn",
        number(rules.cleanToRise()),
        step(),
        number(rules.missedToFall()),
        step());
  }

  /** Where it ends, and why. */
  public String end() {
    return goal.limit().orElse(Texts.of("tempoLadder.itEndsAtThe", goal.goal()));
  }

  private static String number(int of) {
    return List.of(
            Texts.of("tempoLadder.one"),
            Texts.of("tempoLadder.two"),
            Texts.of("tempoLadder.three"),
            Texts.of("tempoLadder.four"),
            Texts.of("tempoLadder.five"))
        .stream()
        .skip(of - 1)
        .findFirst()
        .orElse(String.valueOf(of));
  }
}
