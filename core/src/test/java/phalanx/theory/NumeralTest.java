package phalanx.theory;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Roman numerals as textbooks of harmony figure them (common practice, no source). */
class NumeralTest {

  @ParameterizedTest
  @CsvSource({
    "Eb, Bb7, V⁷",
    "Eb, Bb7/D, V⁶₅",
    "Eb, Bb7/F, V⁴₃",
    "Eb, Bb7/Ab, V⁴₂",
    "C, G/B, V⁶",
    "C, C/G, I⁶₄",
    "C, Dm7/F, ii⁶₅",
    "C, Bm7b5/D, viiø⁶₅",
    "C, Cmaj7/B, Imaj⁴₂",
    "Am, E7/G#, V⁶₅",
    "Am, G#dim7/B, vii°⁶₅",
    "G, D/E, V/E",
    "C, Fm, iv",
    "C, Bb, ♭VII"
  })
  void aChordHasItsNumeral(String key, String chord, String numeral) {
    ChordReading.Read read = (ChordReading.Read) ChordReader.read(chord);
    String found = Key.parse(key).orElseThrow().numeral(read.chord());
    assertThat(found.replace("♯", "")).isEqualTo(numeral);
  }
}
