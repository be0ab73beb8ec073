package phalanx.instrument;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class TuningCheckTest {

  /** Open tunings are named after what their open strings sound: common practice, no source. */
  @ParameterizedTest
  @CsvSource({
    "STANDARD, E, true, '[0, 2, 2, 0, 0, 0]'",
    "OPEN_G, G, false, '[0, 0, 0, 0, 0, 0]'",
    "OPEN_D, D, false, '[0, 0, 0, 0, 0, 0]'",
    "OPEN_C, C, false, '[0, 0, 0, 0, 0, 0]'",
    "OPEN_E_MINOR, E, true, '[0, 0, 0, 0, 0, 0]'"
  })
  void theChordIsTheOneThatNeedsFewestFingers(
      UsualTuning tuning, String root, boolean minor, String frets) {
    TuningCheck check = TuningCheck.of(tuning.tuning()).orElseThrow();
    assertThat(check.root()).hasToString(root);
    assertThat(check.minor()).isEqualTo(minor);
    assertThat(check.frets()).hasToString(frets);
  }

  @ParameterizedTest
  @EnumSource(UsualTuning.class)
  void everyUsualTuningHasOneOverAllStrings(UsualTuning tuning) {
    TuningCheck check = TuningCheck.of(tuning.tuning()).orElseThrow();
    assertThat(check.frets()).hasSize(6);
    assertThat(check.frets().stream().filter(f -> f > 0).count()).isLessThanOrEqualTo(3);
  }
}
