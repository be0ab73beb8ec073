package phalanx.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import phalanx.desktop.Demo;
import phalanx.performance.Performance;
import phalanx.planning.Arranger;
import phalanx.song.Song;

class HeardPlaceTest {

  private static TreeSet<Integer> shown(Song song, double seconds) {
    Performance performance = Performance.of(new Arranger().arrange(song));
    TreeSet<Integer> shown = new TreeSet<>();
    for (double at = 0; at < seconds; at += 0.01) {
      shown.add(HeardPlace.of(performance, at).onBeat().tick());
    }
    return shown;
  }

  @Test
  void calmItStepsFromBeatToBeat() {
    Song song = Demo.song();
    int beat = song.meter().beatTicks();
    assertThat(shown(song, 5 * 60 / song.tempo() - 0.02))
        .containsExactly(0, beat, 2 * beat, 3 * beat, 4 * beat);
  }

  /** A pick-up of a beat and a half begins between two beats; the next begins on one. */
  @Test
  void aPickUpKeepsTheBeatsOfItsMetre() {
    Song song = Demo.song();
    int beat = song.meter().beatTicks();
    Song picked = song.withFeel(song.feel().withPickup(3 * beat / 2));
    assertThat(shown(picked, 2.4 * 60 / song.tempo())).containsExactly(0, beat / 2, 3 * beat / 2);
  }
}
