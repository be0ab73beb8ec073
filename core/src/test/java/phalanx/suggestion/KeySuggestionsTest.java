package phalanx.suggestion;

import static org.assertj.core.api.Assertions.assertThat;
import static phalanx.song.TestSongs.singing;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.tune.TuneLine;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Timeline;
import phalanx.theory.Key;

/** Another key or capo that keeps a tune in reach. */
class KeySuggestionsTest {

  private static final Arranger ARRANGER = new Arranger();

  /**
   * With the capo moved against the shapes every chord and every note of the tune sounds as before.
   */
  @Test
  void aMovedCapoSoundsAsBefore() {
    Song song = singing(TestSongs.of("G | D/F#").withKey(Key.parse("G")), "b4 . d 2:3", "a4 . . .");
    Song capo = song.withGuitar(song.guitar().withCapo(2));
    List<PossibleEdit> ways =
        KeySuggestions.of(ARRANGER.arrange(capo))
            .filter(w -> w.words().endsWith("sounds as before"))
            .toList();
    assertThat(ways).hasSize(7);
    for (PossibleEdit way : ways) {
      Song moved = way.edit().apply(capo);
      assertThat(sounding(moved)).as(way.words()).isEqualTo(sounding(capo));
    }
  }

  private static List<Integer> sounding(Song song) {
    int capo = song.guitar().capo();
    List<Integer> all = new ArrayList<>();
    for (var slot : ARRANGER.arrange(song).slots()) {
      if (slot.played().isPart()) {
        continue;
      }
      var chord = ((phalanx.song.Harmony.Sounding) slot.played().harmony()).chord();
      all.add(Math.floorMod(chord.root().chroma() + capo, 12));
      all.add(Math.floorMod(chord.bass().chroma() + capo, 12));
    }
    TuneLine.of(song, Timeline.of(song)).forEach(n -> all.add(n.midi() + capo));
    return all;
  }
}
