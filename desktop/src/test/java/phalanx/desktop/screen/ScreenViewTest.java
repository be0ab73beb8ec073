package phalanx.desktop.screen;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.input.KeyCode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ScreenViewTest {

  @ParameterizedTest
  @CsvSource({"DIGIT1, 1", "DIGIT9, 9", "DIGIT0, 0", "NUMPAD1, 1", "NUMPAD7, 7", "P, -1", "F1, -1"})
  void figuresAreReadFromBothPartsOfTheKeyboard(KeyCode code, int digit) {
    assertThat(ScreenView.digit(code)).isEqualTo(digit);
  }
}
