package phalanx.chart;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.song.TestSongs;
import phalanx.theory.Key;

/**
 * Progressions every player knows, with the key every player hears (common practice, no source).
 */
class ProbableKeyTest {

  @ParameterizedTest
  @CsvSource({
    "G, G | C | D | G",
    "G, Em | C | G | D",
    "G, G | D/F# | Em | C",
    "D, D | A | Bm | G",
    "E, E | A | B7 | E",
    "C, Dm | G7 | C | Am",
    "A, Bm7 | E7 | A | D",
    "Am, Am | E7 | Am | E7",
    "Am, Am | G | F | E7 | Am",
    "Em, Em | D | C | B7 | Em",
    "Dm, Dm | Gm | A7 | Dm",
    "F, F | Bb | C7 | F",
    "Bb, Cm7 | F7 | Bbmaj7 | Ebmaj7 | Bb",
    "C, C | A7 | D7 | G7 | C",
    "F#m, F#m | D | A | E | F#m",
    "Bm, Bm | F#7 | A | E | G | D | Em | F#7 | Bm",
    "Eb, Eb | Ab | Bb7 | Eb",
    "A, A7 | D7 | A7 | E7 | A",
    "Gm, Gm | Eb | F | D7 | Gm"
  })
  void theKeyIsThatOfTheProgression(String key, String chart) {
    assertThat(ProbableKey.of(TestSongs.of(chart).chart())).contains(Key.parse(key).orElseThrow());
  }

  @Test
  void oneChordSpeaksForNoKey() {
    assertThat(ProbableKey.of(TestSongs.of("G | G | G").chart())).isEmpty();
    assertThat(ProbableKey.of(TestSongs.of("N.C. | N.C.").chart())).isEmpty();
  }
}
