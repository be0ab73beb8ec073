package phalanx.embellishment;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.melody.TuneNote;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.TunePitches;
import phalanx.theory.Key;

/** A second voice in thirds, in sixths where the third is foreign (common practice, no source). */
class TuneInThirdsTest {

  private static Song song(String chords, String... bars) {
    return TestSongs.singing(TestSongs.of(chords), bars).withKey(Key.parse("C"));
  }

  private static List<Integer> midis(Song song, int note) {
    TuneNote sung = song.tune().at(1, song.chart()).notes().get(note);
    return sung.wants().stream().map(w -> TunePitches.of(song, w).pitch().midi()).toList();
  }

  /**
   * E over C gets C, C over C gets the sixth E, F over G7 gets D, D over C, foreign, B of the key.
   */
  @ParameterizedTest
  @CsvSource({
    "C, e5 . . ., 4",
    "C, c5 . . ., 8",
    "G7, f5 . . ., 3",
    "Am, c5 . . ., 3",
    "C, d5 g3 . ., 3"
  })
  void theIntervalBelongsToTheChordOrTheKey(String chord, String bar, int below) {
    Song two = TuneInThirds.in(song(chord, bar), List.of(1)).orElseThrow();
    List<Integer> midis = midis(two, 0);
    assertThat(midis).hasSize(2);
    assertThat(midis.get(0) - midis.get(1)).isEqualTo(below);
  }

  /**
   * Off the beat, slurred, low or several at once, or held with no tone of the chord a third or a
   * sixth below: such notes stay alone.
   */
  @ParameterizedTest
  @CsvSource({"d5 . . .", "[. e5] . . .", "e3 . . .", "c5+e . . .", "e5(v) . . ."})
  void otherNotesStayAlone(String bar) {
    assertThat(TuneInThirds.in(song("C", bar), List.of(1))).isEmpty();
  }

  @Test
  void onlyTheBarsAskedForChangeAndNoNoteOfTheTune() {
    Song before = song("C | G", "e5 d c g4", "b4 . d5 .");
    Song two = TuneInThirds.in(before, List.of(2)).orElseThrow();
    assertThat(two.tune().own(1)).isEqualTo(before.tune().own(1));
    List<TuneNote> was = before.tune().own(2).orElseThrow().notes();
    List<TuneNote> is = two.tune().own(2).orElseThrow().notes();
    for (int n = 0; n < was.size(); n++) {
      assertThat(is.get(n).wants().get(0)).isEqualTo(was.get(n).wants().get(0));
      assertThat(is.get(n).lengthTicks()).isEqualTo(was.get(n).lengthTicks());
    }
  }
}
