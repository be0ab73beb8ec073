package phalanx.picking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import phalanx.theory.Ticks;

class FingerAssignmentTest {

  private static Strike strike(double quarters, Integer... strings) {
    return new Strike((int) (quarters * Ticks.PER_QUARTER), List.of(), List.of(strings));
  }

  private static String letters(List<Strike> strikes, HandSchool school) {
    StringBuilder letters = new StringBuilder();
    for (List<PickFinger> together : FingerAssignment.assign(strikes, school, 90).orElseThrow()) {
      together.forEach(f -> letters.append(f.letter()));
    }
    return letters.toString();
  }

  /** The schools' home strings (common practice, no source). */
  @Test
  void keepsEachSchoolsHomeStrings() {
    List<Strike> up = List.of(strike(0, 3), strike(0.5, 4), strike(1, 5));
    assertThat(letters(up, HandSchool.THUMB_AND_THREE)).isEqualTo("ima");
    assertThat(letters(up, HandSchool.THUMB_AND_TWO)).isIn("imm", "imi");
    assertThat(letters(List.of(strike(0, 3, 4, 5)), HandSchool.THUMB_AND_THREE)).isEqualTo("ima");
    List<Strike> four = List.of(strike(0, 2), strike(0.5, 3), strike(1, 4), strike(1.5, 5));
    assertThat(letters(four, HandSchool.THUMB_AND_FOUR)).isEqualTo("imac");
    assertThat(letters(List.of(strike(0, 2, 3, 4, 5)), HandSchool.THUMB_AND_FOUR))
        .isEqualTo("imac");
  }

  /** Lines are played by strict alternation of i and m, on whatever strings (common practice). */
  @Test
  void alternatesStrictlyInALine() {
    List<Strike> line = new ArrayList<>();
    int[] strings = {3, 3, 4, 4, 4, 5, 4, 3};
    for (int i = 0; i < strings.length; i++) {
      line.add(strike(i / 2.0, strings[i]));
    }
    assertThat(letters(line, HandSchool.LINE_PLAYING)).isIn("imimimim", "mimimimi");
    assertThat(letters(List.of(strike(0, 3, 4, 5)), HandSchool.LINE_PLAYING)).isEqualTo("ima");
  }

  @Test
  void neverCrossesFingersWithinAPinch() {
    assertThat(letters(List.of(strike(0, 4, 5)), HandSchool.THUMB_AND_TWO)).isEqualTo("im");
  }

  @Test
  void refusesWhatNoFingerCanRepeatInTime() {
    // Thirty-second notes at 150 are 50 ms apart; two fingers alternating come back after 100 ms.
    List<Strike> run = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      run.add(strike(i / 8.0, 5));
    }
    assertThat(FingerAssignment.assign(run, HandSchool.THUMB_AND_TWO, 150)).isEmpty();
    assertThat(FingerAssignment.assign(run, HandSchool.THUMB_AND_TWO, 60)).isPresent();
  }

  @Test
  void equalsBruteForceOnThreeHundredSmallRows() {
    Random random = new Random(5);
    for (int trial = 0; trial < 300; trial++) {
      HandSchool school = HandSchool.values()[trial % HandSchool.values().length];
      List<Strike> strikes = new ArrayList<>();
      double at = 0;
      for (int i = 0; i < 5; i++) {
        at += (1 + random.nextInt(4)) / 8.0;
        int low = 2 + random.nextInt(3);
        strikes.add(random.nextBoolean() ? strike(at, low) : strike(at, low, low + 1));
      }
      double tempo = 60 + random.nextInt(120);
      double best = best(strikes, new ArrayList<>(), school, tempo);
      var assigned = FingerAssignment.assign(strikes, school, tempo);
      assertThat(assigned.isEmpty()).isEqualTo(best == Double.POSITIVE_INFINITY);
      assigned.ifPresent(
          rows -> {
            List<int[]> choice =
                rows.stream()
                    .map(r -> r.stream().mapToInt(f -> f.ordinal() - 1).toArray())
                    .toList();
            assertThat(FingerAssignment.cost(strikes, choice, school, tempo))
                .isCloseTo(best, within(1e-9));
          });
    }
  }

  private static double best(
      List<Strike> strikes, List<int[]> choice, HandSchool school, double tempo) {
    if (choice.size() == strikes.size()) {
      return FingerAssignment.cost(strikes, choice, school, tempo);
    }
    double best = Double.POSITIVE_INFINITY;
    int strings = strikes.get(choice.size()).strings().size();
    for (int[] fingers : FingerAssignment.choices(strings, school.fingers().size())) {
      choice.add(fingers);
      best = Math.min(best, best(strikes, choice, school, tempo));
      choice.remove(choice.size() - 1);
    }
    return best;
  }
}
