package phalanx.arrangement.board;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.melody.TuneReader;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Tune;
import phalanx.theory.Key;
import phalanx.theory.Meter;

class TuneBoardTest {

  private static TuneBoard board(String chords, String key, String notes) {
    Tune tune =
        Tune.NONE.with(1, TuneReader.read(notes, Meter.FOUR_FOUR, TuneReader.MIDDLE).tune());
    Song song = TestSongs.of(chords).withKey(Key.parse(key)).withTune(tune);
    return TuneBoard.of(new Arranger().arrange(song), 1);
  }

  /** What a note is in a chord and a key, as theory books count (from memory). */
  @ParameterizedTest
  @CsvSource({
    "C, C, c5, root of C, degree 1",
    "C, C, e5, third of C, degree 3",
    "Am, C, c5, minor third of Am, degree 1",
    "G7, C, f5, seventh of G7, degree 4",
    "Cmaj7, C, b4, major seventh of Cmaj7, degree 7",
    "Em, Em, b4, fifth of Em, degree 5",
    "C, C, f#5, not in C, outside the key"
  })
  void aNoteIsNamedInItsChordAndKey(
      String chord, String key, String note, String inChord, String inKey) {
    TuneBoard.Entry entry = board(chord, key, note).entries().get(0);
    assertThat(entry.inChord()).isEqualTo(inChord);
    assertThat(entry.inKey()).isEqualTo(inKey);
  }

  @Test
  void itSaysWhereANoteLiesOrThatNoHandReachesIt() {
    TuneBoard.Entry open = board("C", "C", "e4").entries().get(0);
    assertThat(open.place()).isEqualTo("① open");
    assertThat(open.played().orElseThrow().midi()).isEqualTo(64);
    TuneBoard.Entry high = board("C", "C", "c8").entries().get(0);
    assertThat(high.played()).isEmpty();
    assertThat(high.place()).isEqualTo("out of reach: it lies above the last fret");
  }

  @Test
  void aBarThatIsNotPlayedHasNoNotes() {
    assertThat(board("C", "C", "-")).isEqualTo(TuneBoard.EMPTY);
  }
}
