package phalanx.theory;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.song.TestSongs;

class BorrowingTest {

  private static Key key(String text) {
    return Key.parse(text).orElseThrow();
  }

  /** How players explain chords from outside the key (common practice, no source). */
  @ParameterizedTest
  @CsvSource({
    "D,C,from Mixolydian or the parallel minor",
    "D,F,from the parallel minor",
    "D,Bb,from the parallel minor",
    "D,Gm,from the parallel minor",
    "D minor,G,from Dorian",
    "A minor,E7,from harmonic minor",
    "C,D7,'V of V, or from Lydian'",
    "C,A7,V of ii",
    "G,B7,V of vi",
    "C,C7,'V of IV, or from Mixolydian'",
    "C,Db,from Phrygian",
    "D dorian,Bb,from the parallel minor"
  })
  void saysWhereAForeignChordComesFrom(String key, String symbol, String words) {
    assertThat(Borrowing.of(key(key), TestSongs.chord(symbol)).orElseThrow().words())
        .startsWith(words);
  }

  @ParameterizedTest
  @CsvSource({"D,G", "D,Em7", "D,A7", "D,D/F#", "A minor,G", "D dorian,G7", "E phrygian,F"})
  void aChordOfTheKeyIsNotBorrowed(String key, String symbol) {
    assertThat(Borrowing.of(key(key), TestSongs.chord(symbol))).isEmpty();
  }

  @Test
  void aSingleNoteOverAMinorKeyPointsToDorian() {
    NoteName b = NoteName.parse("B").orElseThrow();
    Borrowing borrowing = Borrowing.of(key("D minor"), List.of(b)).orElseThrow();
    assertThat(borrowing.foreign()).containsExactly(b);
    assertThat(borrowing.scales()).first().isEqualTo(Mode.DORIAN);
  }

  /** Church modes on one tonic, from their place in the major scale (music theory). */
  @ParameterizedTest
  @CsvSource({
    "D dorian,D E F G A B C,0",
    "E phrygian,E F G A B C D,0",
    "F lydian,F G A B C D E,0",
    "G mixolydian,G A B C D E F,0",
    "A minor,A B C D E F G,0",
    "B locrian,B C D E F G A,0",
    "Eb,Eb F G Ab Bb C D,-3"
  })
  void spellsTheScaleAndItsSignature(String key, String notes, int fifths) {
    Key read = key(key);
    List<String> degrees =
        java.util.stream.IntStream.range(0, 7).mapToObj(d -> read.degree(d).ascii()).toList();
    assertThat(String.join(" ", degrees)).isEqualTo(notes);
    assertThat(read.fifths()).isEqualTo(fifths);
  }
}
