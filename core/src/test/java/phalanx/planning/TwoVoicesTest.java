package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Remark;
import phalanx.melody.TuneReader;
import phalanx.song.TestSongs;
import phalanx.song.Tune;
import phalanx.theory.Meter;

/**
 * Tunes in thirds and sixths: movable pairs over a bass, for which the hand leaves the chord where
 * it has to (common practice, no source).
 */
class TwoVoicesTest {

  private static Arrangement plan(String chord, String bar) {
    Tune tune = Tune.NONE.with(1, TuneReader.read(bar, Meter.FOUR_FOUR).tune());
    return new Arranger().arrange(TestSongs.of(chord).withTune(tune));
  }

  private static List<Note> tune(Arrangement a, int tick) {
    return a.notesFrom(tick, tick + 1).stream().filter(n -> n.part() == Note.Part.TUNE).toList();
  }

  @ParameterizedTest
  @CsvSource({
    "A, c#4+e4 d4+f#4 e4+g#4 f#4+a4",
    "A, e4+c#5 f#4+d5 g#4+e5 a4+f#5",
    "D, f#4+a4 g4+b4 a4+c#5 b4+d5",
    "D, f#4+d5 g4+e5 a4+f#5 b4+g5",
    "E, g#4+b4 a4+c#5 b4+d#5 c#5+e5",
    "E, g#3+e4 a3+f#4 b3+g#4 c#4+a4",
    "G, b3+d4 c4+e4 d4+f#4 e4+g4",
    "G, b3+g4 c4+a4 d4+b4 e4+c5",
    "C, e4+g4 f4+a4 g4+b4 a4+c5",
    "C, e4+c5 f4+d5 g4+e5 a4+f5",
    "Am, c4+e4 d4+f4 e4+g4 f4+a4",
    "Em, g4+b4 a4+c5 b4+d5 c5+e5"
  })
  void pairsClimbOverABass(String chord, String bar) {
    Arrangement a = plan(chord, bar);
    assertThat(a.slots().stream().flatMap(s -> s.found().stream()).map(Remark::kind))
        .as("%s %s", a.slots().get(0).held(), a.notes())
        .doesNotContain(Remark.Kind.TUNE_REACH);
    for (int beat = 0; beat < 4; beat++) {
      assertThat(tune(a, beat * 5040)).hasSize(2).extracting(Note::string).doesNotHaveDuplicates();
    }
    assertThat(a.notesFrom(0, 1)).anyMatch(n -> n.part() == Note.Part.BASS);
  }

  /** The hand is never in two places: what is pressed at once lies within five frets. */
  @Test
  void bothNotesOfAPairLieUnderOneHand() {
    Arrangement a = plan("A", "f#4 e4+g#4 f#4+a4 g#4+b4");
    for (int beat = 0; beat < 4; beat++) {
      int tick = beat * 5040;
      List<Integer> frets =
          a.notesFrom(tick, tick + 1).stream().map(Note::fret).filter(f -> f > 0).sorted().toList();
      assertThat(frets.isEmpty() ? 0 : frets.get(frets.size() - 1) - frets.get(0)).isLessThan(5);
    }
  }
}
