package phalanx.picking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import phalanx.theory.Meter;

class PatternTest {

  private static final Pattern BAR = AlternatingThumb.FINGERS_BETWEEN.in(Meter.FOUR_FOUR);

  @Test
  void theThumbKeepsTheBeatAndTheFingersAnswer() {
    assertThat(BAR.steps())
        .extracting(Pattern.Step::tick)
        .containsExactly(0, 2520, 5040, 7560, 10080, 12600, 15120, 17640);
    assertThat(BAR.steps())
        .extracting(s -> s.roles().get(0))
        .containsExactly(
            Role.THUMB,
            Role.MIDDLE,
            Role.THUMB,
            Role.UPPER,
            Role.THUMB,
            Role.MIDDLE,
            Role.THUMB,
            Role.TUNE);
  }

  @Test
  void aCompoundBeatHasTwoAnswers() {
    Pattern six = AlternatingThumb.FINGERS_BETWEEN.in(new Meter(6, 8));
    assertThat(six.steps())
        .extracting(Pattern.Step::tick)
        .containsExactly(0, 2520, 5040, 7560, 10080, 12600);
  }

  @Test
  void aPinchIsOneStepOfTwoRoles() {
    Pattern pinch = AlternatingThumb.PINCH_AND_BETWEEN.in(Meter.FOUR_FOUR);
    assertThat(pinch.steps().get(0).roles()).containsExactlyInAnyOrder(Role.THUMB, Role.TUNE);
  }

  @ParameterizedTest
  @EnumSource(AlternatingThumb.class)
  void fillsOddMetresToo(AlternatingThumb pattern) {
    Pattern five = pattern.in(new Meter(5, 4));
    assertThat(five.steps().stream().filter(s -> s.roles().stream().anyMatch(Role::isThumb)))
        .hasSize(5);
  }

  @Test
  void aPartOfABarHasItsOwnSteps() {
    assertThat(BAR.between(10080, 20160)).hasSize(4);
    assertThat(BAR.between(1, 2520)).isEmpty();
  }

  @Test
  void stepsMustComeInOrderInsideTheBar() {
    Pattern.Step late = Pattern.Step.of(20160, Role.THUMB);
    Pattern.Step first = Pattern.Step.of(0, Role.THUMB);
    assertThatThrownBy(() -> new Pattern("x", 20160, List.of(late)))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Pattern("x", 20160, List.of(first, first)))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
