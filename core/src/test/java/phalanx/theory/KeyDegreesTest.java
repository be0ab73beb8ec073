package phalanx.theory;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The pitch classes of scales as theory books print them (from memory). */
class KeyDegreesTest {

  /** The harmonic chromatic scale on a tonic; common practice, no source. */
  @ParameterizedTest
  @CsvSource({
    "C, C D♭ D E♭ E F F♯ G A♭ A B♭ B",
    "G, G A♭ A B♭ B C C♯ D E♭ E F F♯",
    "Eb, E♭ E F G♭ G A♭ A B♭ B C D♭ D",
    "E minor, E F F♯ G G♯ A A♯ B C C♯ D D♯"
  })
  void everyPitchHasItsNameInTheKey(String name, String names) {
    Key key = Key.parse(name).orElseThrow();
    String found =
        IntStream.range(0, 12)
            .mapToObj(n -> key.nameOf((key.tonic().chroma() + n) % 12).toString())
            .collect(Collectors.joining(" "));
    assertThat(found).isEqualTo(names);
  }

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
