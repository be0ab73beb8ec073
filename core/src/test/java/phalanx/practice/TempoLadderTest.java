package phalanx.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.testing.Draws;

/** The ladder against rows that were worked out by hand: c clean, m missed, r a rest. */
class TempoLadderTest {

  private static final Drill.TempoGoal GOAL = new Drill.TempoGoal(50, 60, Optional.empty());

  private static TempoLadder climb(TempoLadder ladder, String row) {
    TempoLadder now = ladder;
    for (char c : row.toCharArray()) {
      now = now.after(c == 'c' ? Outcome.CLEAN : c == 'm' ? Outcome.MISSED : Outcome.RESTED);
    }
    return now;
  }

  /** Steps of four hundredths from 50: 52, 54, 56, 58, 60. */
  @ParameterizedTest
  @CsvSource({
    "'', 50",
    "c, 50",
    "cc, 50",
    "ccc, 52",
    "ccrc, 52",
    "ccmc, 50",
    "ccmccc, 52",
    "m, 50",
    "mm, 48",
    "mrm, 48",
    "mcm, 50",
    "cccmm, 50",
    "cccccc, 54",
    "cccccccccccccccccc, 60",
    "cccmmmm, 48",
    "mmmm, 46"
  })
  void threeCleanRaiseItAndTwoMissedLowerIt(String row, double tempo) {
    assertThat(climb(TempoLadder.of(GOAL, LadderRules.USUAL), row).tempo()).isEqualTo(tempo);
  }

  @Test
  void itEndsAtItsGoalWhenThatWasCleanOftenEnough() {
    TempoLadder top = climb(TempoLadder.of(GOAL, LadderRules.USUAL), "ccc".repeat(5));
    assertThat(top.tempo()).isEqualTo(60);
    assertThat(top.isReached()).isFalse();
    assertThat(climb(top, "ccc").isReached()).isTrue();
    assertThat(top.end()).contains("the song’s tempo, 60");
    Drill.TempoGoal limited = new Drill.TempoGoal(50, 55, Optional.of("the hands hold to 55"));
    assertThat(TempoLadder.of(limited, LadderRules.USUAL).end()).contains("hold to 55");
  }

  @Test
  void anotherDayGoesOnWhereItWasClean() {
    List<TempoLadder.Attempt> before = new ArrayList<>();
    before.add(new TempoLadder.Attempt(54, Outcome.CLEAN));
    before.add(new TempoLadder.Attempt(56, Outcome.MISSED));
    assertThat(TempoLadder.of(GOAL, LadderRules.USUAL, before).tempo()).isEqualTo(54);
    assertThat(TempoLadder.of(GOAL, LadderRules.USUAL, List.of()).tempo()).isEqualTo(50);
    before.add(new TempoLadder.Attempt(90, Outcome.CLEAN));
    assertThat(TempoLadder.of(GOAL, LadderRules.USUAL, before).tempo()).isEqualTo(60);
  }

  @Test
  void itNeverLeavesItsRangeWhateverHappens() {
    for (int seed = 0; seed < 200; seed++) {
      Draws draws = new Draws(new java.util.Random(seed).ints(300, 0, 1000).boxed().toList());
      TempoLadder ladder = TempoLadder.of(GOAL, new LadderRules(1 + seed % 4, 1 + seed % 3, 5));
      for (int k = 0; k < 100; k++) {
        double was = ladder.tempo();
        ladder = ladder.after(Outcome.values()[draws.nextInt(3)]);
        assertThat(ladder.tempo()).isBetween(20.0, 60.0);
        assertThat(Math.abs(ladder.tempo() - was)).isLessThanOrEqualTo(3);
      }
    }
  }

  @Test
  void rulesOutsideOfReasonAreRefused() {
    assertThatThrownBy(() -> new LadderRules(0, 2, 4)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new LadderRules(3, 2, Double.NaN))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
