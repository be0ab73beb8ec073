package phalanx.chart;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import phalanx.fretting.FretRow;
import phalanx.instrument.Tuning;
import phalanx.instrument.UsualTuning;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.NoteNaming;

class RetuningTest {

  private static final SlotRef FIRST = new SlotRef(1, 0);
  private static final SlotRef SECOND = new SlotRef(2, 0);

  private static FretRow frets(Integer... frets) {
    return new FretRow(List.of(frets));
  }

  /** With ⑥ a tone down its open string is D: in a D chord it may sound, in a G chord not at 3. */
  @Test
  void aPinStaysWhereItsStringsDoOrItStillSoundsItsChord() {
    Song song =
        TestSongs.of("D | G")
            .pin(FIRST, frets(-1, -1, 0, 2, 3, 2))
            .pin(SECOND, frets(3, 2, 0, 0, 0, 3));
    Tuning dropped = UsualTuning.DROP_D.tuning();
    Song retuned = Retuning.of(song, dropped);
    assertThat(retuned.guitar().tuning()).isEqualTo(dropped);
    assertThat(retuned.chart()).isEqualTo(song.chart());
    assertThat(retuned.pins().frets()).containsOnlyKeys(FIRST);
    assertThat(Retuning.lost(song, retuned, NoteNaming.ENGLISH))
        .singleElement()
        .satisfies(lost -> assertThat(lost.words()).isEqualTo("bar 2, G: 320003"));
    Song low = TestSongs.of("D").pin(FIRST, frets(0, 0, 0, 2, 3, 2));
    assertThat(Retuning.of(low, dropped).pins().frets()).containsOnlyKeys(FIRST);
    assertThat(Retuning.lost(low, low, NoteNaming.ENGLISH)).isEmpty();
  }

  @Test
  void aChangeOfKeyLosesThePinsOfItsChords() {
    Song song = TestSongs.of("D | G").pin(FIRST, frets(-1, -1, 0, 2, 3, 2));
    Song moved = Transposition.bySemitones(song, 2);
    assertThat(Retuning.lost(song, moved, NoteNaming.ENGLISH)).hasSize(1);
  }
}
