package phalanx.picking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import phalanx.theory.Ticks;

class FingerAssignmentTest {

  private static Strike strike(double quarters, Integer... strings) {
    return Strike.of((int) (quarters * Ticks.PER_QUARTER), Optional.empty(), List.of(strings));
  }

  private static String letters(List<Strike> strikes, HandSchool school) {
    StringBuilder letters = new StringBuilder();
    for (Fingered together : FingerAssignment.assign(strikes, school, 90)) {
      new TreeMap<>(together.fingers()).values().forEach(f -> letters.append(f.letter()));
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

  /** A pick with m, a and c: the index finger holds it (common practice, no source). */
  @Test
  void aPickLeavesTheIndexFingerOut() {
    HandSchool school = HandSchool.PICK_AND_FINGERS;
    assertThat(letters(List.of(strike(0, 3), strike(0.5, 4), strike(1, 5)), school))
        .isEqualTo("mac");
    Strike wanted =
        new Strike(0, Optional.of(0), List.of(3), Map.of(3, PickFinger.I), Set.of(), Map.of());
    assertThat(letters(List.of(wanted), school)).isEqualTo("pm");
    Strike tapped =
        new Strike(0, Optional.of(0), List.of(), Map.of(), Set.of(PickFinger.I), Map.of());
    assertThat(FingerAssignment.assign(List.of(tapped), school, 90))
        .singleElement()
        .satisfies(f -> assertThat(f.gesture()).isFalse())
        .satisfies(f -> assertThat(f.fingers()).hasSize(1));
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

  /** A run in the order p a m i (common practice, no source). */
  @Test
  void aLineFromTheThumbGoesRoundInItsOrder() {
    List<Strike> line = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      line.add(strike(i / 4.0, 3 + i % 3));
    }
    assertThat(letters(line, HandSchool.LINE_FROM_THUMB)).isEqualTo("pamipami");
  }

  @Test
  void leavesOutWhatNoFingerCanRepeatInTime() {
    // Thirty-second notes at 150 are 50 ms apart; two fingers alternating come back after 100 ms.
    List<Strike> run = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      run.add(strike(i / 8.0, 5));
    }
    List<Fingered> quick = FingerAssignment.assign(run, HandSchool.THUMB_AND_TWO, 150);
    assertThat(quick.stream().filter(f -> f.fingers().isEmpty())).isNotEmpty();
    assertThat(FingerAssignment.cost(run, quick, HandSchool.THUMB_AND_TWO, 150)).isFinite();
    assertThat(FingerAssignment.assign(run, HandSchool.THUMB_AND_TWO, 60))
        .allMatch(f -> f.fingers().size() == 1);
  }

  @Test
  void aWantedFingerIsTakenWhereItCanBe() {
    Strike wanted =
        new Strike(0, Optional.of(1), List.of(5), Map.of(5, PickFinger.I), Set.of(), Map.of());
    assertThat(letters(List.of(wanted), HandSchool.THUMB_AND_THREE)).isEqualTo("pi");
    Strike little =
        new Strike(0, Optional.of(1), List.of(5), Map.of(5, PickFinger.C), Set.of(), Map.of());
    assertThat(letters(List.of(little), HandSchool.THUMB_AND_TWO)).isEqualTo("pc");
    Strike soon =
        new Strike(400, Optional.empty(), List.of(5), Map.of(5, PickFinger.I), Set.of(), Map.of());
    assertThat(letters(List.of(wanted, soon), HandSchool.THUMB_AND_THREE)).isIn("pia", "pai");
  }

  @Test
  void aHitTakesItsFingersAndTheyNeedTimeToComeBack() {
    Set<PickFinger> click = HitKind.CLICK.fingers();
    Strike hit = new Strike(0, Optional.of(0), List.of(), Map.of(), click, Map.of());
    List<Fingered> slow =
        FingerAssignment.assign(List.of(hit, strike(0.5, 4)), HandSchool.THUMB_AND_THREE, 90);
    assertThat(slow).allMatch(Fingered::gesture);
    assertThat(slow.get(1).fingers()).hasSize(1);
    List<Fingered> quick =
        FingerAssignment.assign(List.of(hit, strike(0.125, 4)), HandSchool.THUMB_AND_THREE, 90);
    assertThat(quick.get(1).fingers()).isEmpty();
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
        List<Integer> strings = random.nextBoolean() ? List.of(low) : List.of(low, low + 1);
        Optional<HitKind> hit =
            random.nextInt(4) > 0
                ? Optional.empty()
                : Optional.of(HitKind.values()[random.nextInt(HitKind.values().length)]);
        Set<PickFinger> gesture = hit.map(HitKind::fingers).orElse(Set.of());
        List<Set<PickFinger>> lighter =
            random.nextBoolean() ? List.of() : hit.map(HitKind::besideTheTune).orElse(List.of());
        Optional<Integer> thumb = random.nextInt(3) > 0 ? Optional.empty() : Optional.of(0);
        Map<Integer, PickFinger> wanted =
            random.nextInt(5) > 0 ? Map.of() : Map.of(low, PickFinger.values()[random.nextInt(5)]);
        int tick = (int) (at * Ticks.PER_QUARTER);
        strikes.add(new Strike(tick, thumb, strings, wanted, gesture, lighter, Map.of(low, 30)));
      }
      double tempo = 60 + random.nextInt(120);
      double best = best(strikes, new ArrayList<>(), school, tempo);
      List<Fingered> assigned = FingerAssignment.assign(strikes, school, tempo);
      double cost = FingerAssignment.cost(strikes, assigned, school, tempo);
      // Where everything can be played it is played as cheaply as can be; else something is left.
      if (best < Double.POSITIVE_INFINITY) {
        assertThat(cost).isCloseTo(best, within(1e-9));
      } else {
        assertThat(cost).isBetween(Fingerings.GESTURE_LEFT_OUT, 1e6);
      }
    }
  }

  private static double best(
      List<Strike> strikes, List<Fingered> choice, HandSchool school, double tempo) {
    if (choice.size() == strikes.size()) {
      return FingerAssignment.cost(strikes, choice, school, tempo);
    }
    double best = Double.POSITIVE_INFINITY;
    Strike strike = strikes.get(choice.size());
    List<Set<PickFinger>> gestures = new ArrayList<>(strike.lighter());
    gestures.add(strike.gesture());
    for (Set<PickFinger> taken : gestures) {
      for (Fingered fingers : everyWay(strike, taken, school)) {
        choice.add(fingers);
        best = Math.min(best, best(strikes, choice, school, tempo));
        choice.remove(choice.size() - 1);
      }
    }
    return best;
  }

  /** Every map from strings to fingers that does not cross, by counting through all of them. */
  private static List<Fingered> everyWay(Strike strike, Set<PickFinger> taken, HandSchool school) {
    List<Fingered> ways = new ArrayList<>();
    int strings = strike.strings().size();
    for (int code = 0; code < Math.pow(5, strings); code++) {
      Map<Integer, PickFinger> fingers = new TreeMap<>();
      strike.thumb().ifPresent(t -> fingers.put(t, PickFinger.P));
      int rest = code;
      boolean allowed = true;
      for (int string : strike.strings()) {
        PickFinger finger = PickFinger.values()[rest % 5];
        rest /= 5;
        allowed &= !(school.hasPick() && finger == PickFinger.I);
        allowed &=
            school.fingers().contains(finger)
                || strike.wanted().containsValue(finger)
                || finger == PickFinger.P && school == HandSchool.LINE_FROM_THUMB;
        fingers.put(string, finger);
      }
      List<PickFinger> rising = List.copyOf(fingers.values());
      for (int k = 1; k < rising.size(); k++) {
        allowed &= rising.get(k).compareTo(rising.get(k - 1)) > 0;
      }
      // The index finger holds the pick: what needs it cannot be done.
      allowed &= !(school.hasPick() && taken.contains(PickFinger.I));
      if (allowed && rising.stream().noneMatch(taken::contains)) {
        ways.add(new Fingered(fingers, Optional.of(taken)));
      }
    }
    return ways;
  }
}
