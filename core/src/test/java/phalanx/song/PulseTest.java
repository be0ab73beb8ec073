package phalanx.song;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.theory.Meter;

/** Six eighths are felt in two (common practice, no source). */
class PulseTest {

  @ParameterizedTest
  @CsvSource({
    "6/8,90,♩. = 60,7560",
    "9/8,99,♩. = 66,7560",
    "12/8,120,♩. = 80,7560",
    "4/4,92,♩ = 92,5040",
    "3/4,66,♩ = 66,5040",
    "3/8,100,♩ = 100,5040",
    "7/8,140,♩ = 140,5040"
  })
  void tempoIsToldInTheBeatThatIsFelt(String meter, double quarters, String mark, int ticks) {
    Pulse pulse = Pulse.of(Meter.parse(meter).orElseThrow());
    assertThat(pulse.mark(quarters)).isEqualTo(mark);
    assertThat(pulse.ticks()).isEqualTo(ticks);
  }
}
