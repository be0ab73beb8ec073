package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Remark;
import phalanx.instrument.Guitar;
import phalanx.instrument.UsualTuning;
import phalanx.melody.TuneReader;
import phalanx.planning.OldTunesTest.Old;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Tune;
import phalanx.theory.Meter;

/**
 * Tunes that lie up the neck: the hand goes there with the chord, whether its tones are in the tune
 * or not (common practice, no source).
 */
class HighTuneTest {

  private static final Arranger ARRANGER = new Arranger();

  private static List<Remark> missed(Arrangement a) {
    return LowTuneTest.missed(a, "above the last fret");
  }

  /** A suspension is no tone of its chord; it was missed over every shape at the nut. */
  @ParameterizedTest
  @ValueSource(strings = {"G", "D/F#", "Em", "Am", "Bm", "D7", "E7", "A7", "F", "B7"})
  void everyNoteUpToTheTwelfthFretIsPlayedOverAChord(String chord) {
    for (int midi : IntStream.rangeClosed(64, 76).toArray()) {
      String[] names = {
        "c", "c#", "d", "d#", "e", "f", "f#", "g", "g#", "a", "a#", "b",
      };
      String note = names[midi % 12] + (midi / 12 - 1);
      Tune tune = Tune.NONE.with(1, TuneReader.read(note + " . . .", Meter.FOUR_FOUR).tune());
      Arrangement a = ARRANGER.arrange(TestSongs.of(chord).withTune(tune));
      assertThat(missed(a)).as("%s over %s", note, chord).isEmpty();
      assertThat(a.notesFrom(0, 1))
          .as("%s over %s %s", note, chord, a.slots().get(0).held())
          .anyMatch(n -> n.part() == Note.Part.TUNE && n.midi() == midi);
    }
  }

  /** A tune around the seventh fret is played where it lies, the bass with it. */
  @Test
  void theHandStandsWhereTheTuneIs() {
    Tune tune = Tune.NONE.with(1, TuneReader.read("b4 c5 b a", Meter.FOUR_FOUR).tune());
    Arrangement a = ARRANGER.arrange(TestSongs.of("D/F#").withTune(tune));
    assertThat(missed(a)).isEmpty();
    assertThat(a.notes())
        .filteredOn(n -> n.fret() > 0)
        .as(a.slots().get(0).held().toString())
        .allMatch(n -> 5 <= n.fret() && n.fret() <= 10);
    assertThat(a.notesFrom(0, 1)).anyMatch(n -> n.part() == Note.Part.BASS);
  }

  /** At fret 17 of ① a finger goes for the note, and the chord stays where a hand can hold it. */
  @ParameterizedTest
  @ValueSource(strings = {"G", "D", "Em"})
  void nobodyHoldsAChordBeyondTheFifteenthFret(String chord) {
    Tune tune = Tune.NONE.with(1, TuneReader.read("g5 . d5 .", Meter.FOUR_FOUR).tune());
    Song song = TestSongs.of(chord).withTune(tune);
    Guitar tuned = song.guitar().withTuning(UsualTuning.DADGAD.tuning());
    Arrangement a = ARRANGER.arrange(song.withGuitar(tuned));
    assertThat(a.slots())
        .allSatisfy(s -> assertThat(s.asked().grips().values()).allMatch(g -> g.fret() <= 15));
  }

  /** Every note that the neck has is played where a whole tune is put an octave higher. */
  @ParameterizedTest
  @MethodSource("phalanx.planning.OldTunesTest#tunes")
  void noNoteOfAHighTuneIsLeftOut(Old old) {
    Song typed = OldTunesTest.song(old);
    Song high = typed.withTune(typed.tune().octaves(1));
    assertThat(missed(ARRANGER.arrange(high))).isEmpty();
  }
}
