package phalanx.theory;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MeterTest {

  /** How players count (common practice, no source). */
  @ParameterizedTest
  @CsvSource({
    "4/4,2,1 & 2 & 3 & 4 &",
    "2/4,4,1 e & a 2 e & a",
    "2/4,8,1 e & a 2 e & a",
    "3/4,3,1 trip let 2 trip let 3 trip let",
    "2/4,5,1 & 2 &",
    "6/8,3,1 2 3 4 5 6"
  })
  void countsOnEveryGrid(String meter, int parts, String words) {
    Meter in = Meter.parse(meter).orElseThrow();
    assertThat(in.syllables(parts).stream().map(Meter.Syllable::word))
        .containsExactly(words.split(" "));
    assertThat(in.syllables(parts).stream().map(Meter.Syllable::tick).collect(Collectors.toList()))
        .isSorted()
        .allMatch(t -> t < in.barTicks());
  }
}
