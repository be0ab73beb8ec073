package phalanx.arrangement.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.MelodyNote;
import phalanx.arrangement.Slot;
import phalanx.arrangement.tune.TuneLine;
import phalanx.planning.Arranger;
import phalanx.song.Harmony;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Timeline;
import phalanx.song.Tune;

class TuneProposalTest {

  private static List<MelodyNote> line(Song song) {
    return TuneLine.of(song.withTune(TuneProposal.of(song)), Timeline.of(song));
  }

  /** Guide tones over a cadence move by step: the seventh falls to the third (theory books). */
  @Test
  void theSeventhFallsToTheThird() {
    List<MelodyNote> line = line(TestSongs.of("Dm7 | G7 | Cmaj7"));
    assertThat(line).hasSize(3);
    for (int n = 1; n < 3; n++) {
      assertThat(Math.abs(line.get(n).midi() - line.get(n - 1).midi())).isLessThanOrEqualTo(2);
    }
    assertThat(line.stream().map(s -> s.midi() % 12).toList())
        .isIn(List.of(0, 11, 11), List.of(5, 5, 4), List.of(0, 11, 4), List.of(5, 5, 11));
  }

  @ParameterizedTest
  @ValueSource(strings = {"G | D/F# | Em7 | C", "Am . F . | C . G .", "C | N.C. | F7#9 | Bb"})
  void everyNoteIsOneTheChordHasAndTheHandReaches(String chords) {
    Song song = TestSongs.of(chords);
    Arrangement a = new Arranger().arrange(song.withTune(TuneProposal.of(song)));
    List<MelodyNote> seen = new ArrayList<>();
    for (Slot slot : a.slots()) {
      if (slot.played().harmony() instanceof Harmony.Sounding s) {
        MelodyNote sung = slot.tune().get(0);
        seen.add(sung);
        assertThat(s.chord().intervalOf(Math.floorMod(sung.midi(), 12))).isPresent();
        assertThat(sung.endTick()).isEqualTo(slot.played().endTick());
      }
    }
    assertThat(seen).isNotEmpty();
    assertThat(a.slots())
        .allMatch(s -> s.remarks().stream().noneMatch(r -> r.contains("out of reach")));
  }

  @Test
  void nothingIsProposedOverNothing() {
    assertThat(TuneProposal.of(Song.untitled())).isEqualTo(Tune.NONE);
  }
}
