package phalanx.song;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import phalanx.song.Timeline.PlayedBar;

class BarAtTickTest {

  @Test
  void everyTickLiesInTheBarThatHoldsIt() {
    Timeline timeline = Timeline.of(TestSongs.of("C | G | Am | F | C"));
    for (PlayedBar bar : timeline.bars()) {
      assertThat(timeline.barAt(bar.startTick())).isEqualTo(bar);
      assertThat(timeline.barAt(bar.endTick() - 1)).isEqualTo(bar);
    }
    assertThat(timeline.barAt(-1)).isEqualTo(timeline.bars().get(0));
    assertThat(timeline.barAt(timeline.lengthTicks())).isEqualTo(timeline.bars().get(4));
  }
}
