package phalanx.sound.sequence;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.performance.Performance;
import phalanx.picking.AlternatingThumb;
import phalanx.planning.Arranger;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.sound.strings.HandNoise;

/** A finger squeaks along wound strings, not along plain ones (common practice, no source). */
class WoundStringNoiseTest {

  /** A slide on string ④ of steel, which is wound, and on ①, which is plain. */
  @ParameterizedTest
  @CsvSource({
    "4:2 . /4:5 ., 0.5, 1",
    "4:2 . /4:5 ., 0, 0",
    "1:2 . /1:5 ., 0.5, 0",
    "4:2 . 4:5 ., 0.5, 0"
  })
  void aSlideIsHeardOnAWoundString(String tune, double freedom, int squeaks) {
    Song song =
        TestSongs.singing(TestSongs.of("G"), tune)
            .withPattern(AlternatingThumb.THUMB_ALONE)
            .withTempo(60);
    Performance performance = Performance.of(new Arranger().arrange(song));
    EventSequence score = EventSequence.of(performance, Interpretation.EXACT.free(freedom));
    assertThat(score.events())
        .filteredOn(e -> e instanceof Event.Noise n && n.kind() == HandNoise.SQUEAK)
        .hasSize(squeaks);
  }
}
