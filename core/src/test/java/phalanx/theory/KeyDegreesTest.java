package phalanx.theory;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The pitch classes of scales as theory books print them (from memory). */
class KeyDegreesTest {

  @ParameterizedTest
  @CsvSource({
    "C, 0 2 4 5 7 9 11",
    "G, 7 9 11 0 2 4 6",
    "F, 5 7 9 10 0 2 4",
    "Am, 9 11 0 2 4 5 7",
    "D dorian, 2 4 5 7 9 11 0"
  })
  void aPitchClassIsADegreeOrOutside(String name, String scale) {
    Key key = Key.parse(name).orElseThrow();
    List<Integer> chromas = List.of(scale.split(" ")).stream().map(Integer::valueOf).toList();
    IntStream.range(0, 12)
        .forEach(
            chroma ->
                assertThat(key.degreeOf(chroma).orElse(-1)).isEqualTo(chromas.indexOf(chroma)));
  }
}
