package phalanx.desktop.strip;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.arrangement.Arrangement;
import phalanx.desktop.Demo;
import phalanx.performance.Performance;
import phalanx.planning.Arranger;
import phalanx.song.BarLyrics;
import phalanx.song.Lyrics;
import phalanx.song.Song;

class StripLayoutTest {

  private static final Arrangement DEMO = Demo.arrangement();

  @ParameterizedTest
  @ValueSource(doubles = {0.4, 0.7, 1, 1.6, 2.2})
  void everySlotIsFoundWhereItIsDrawn(double zoom) {
    StripLayout layout = new StripLayout(Performance.of(DEMO), 820, zoom);
    for (int i = 0; i < DEMO.slots().size(); i++) {
      StripLayout.StripSystem system = layout.systemOf(i);
      double x = layout.x(system, DEMO.slots().get(i).played().tick());
      assertThat(new StripTouch(layout).slotAt(x, system.y() + 60)).contains(i);
    }
  }

  @Test
  void showsTwoBarsAcrossAtTheUsualSizeAndMoreWhenSmaller() {
    assertThat(new StripLayout(Performance.of(DEMO), 820, 1).systems().get(0).bars()).hasSize(2);
    assertThat(new StripLayout(Performance.of(DEMO), 820, 0.4).systems().get(1).bars().size())
        .isGreaterThan(2);
  }

  @Test
  void nothingOverlapsFromTopToBottom() {
    StripLayout layout = new StripLayout(Performance.of(DEMO), 820, 1);
    double bottom = 0;
    for (StripLayout.StripSystem system : layout.systems()) {
      assertThat(system.y()).isGreaterThanOrEqualTo(bottom);
      bottom = system.y() + layout.systemHeight();
    }
    assertThat(layout.height()).isGreaterThanOrEqualTo(bottom);
    assertThat(layout.stringY(5)).isGreaterThan(layout.laneY(layout.lanes().get(3)));
    assertThat(layout.lettersY()).isLessThan(layout.thumbY());
    assertThat(layout.thumbY()).isLessThan(layout.countY());
  }

  @Test
  void wordsStandBelowTheCountOfTheirBar() {
    Song song = DEMO.song();
    int second = song.chart().bars().get(1).id();
    Song sung = song.withWords(Lyrics.NONE.with(second, BarLyrics.of("where the lamp is lit")));
    StripLayout layout = new StripLayout(Performance.of(new Arranger().arrange(sung)), 820, 1);
    StripLayout.StripSystem system = layout.systems().get(0);
    Lyrics.Line line = layout.words(system).get(0);
    assertThat(line.text()).isEqualTo("where the lamp is lit");
    assertThat(layout.x(system, line.tick()))
        .isGreaterThan(layout.barX(system, system.bars().get(1)));
    assertThat(layout.wordsY()).isBetween(layout.countY() + 12, layout.systemHeight() - 4);
    assertThat(layout.systemHeight())
        .isGreaterThan(new StripLayout(Performance.of(DEMO), 820, 1).systemHeight());
  }

  @Test
  void onlyWhatCanBeSeenIsVisible() {
    StripLayout layout = new StripLayout(Performance.of(DEMO), 820, 1);
    assertThat(layout.visible(0, 300)).hasSize(1);
    assertThat(layout.visible(layout.height() - 40, layout.height()))
        .contains(layout.systems().get(layout.systems().size() - 1));
    assertThat(layout.visible(0, layout.height())).isEqualTo(layout.systems());
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.4, 0.7, 1, 1.6, 2.2})
  void everySystemLiesBetweenTwoCutsWithItsHeading(double zoom) {
    StripLayout layout = new StripLayout(Performance.of(DEMO), 820, zoom);
    assertThat(layout.cuts()).isSorted().hasSize(layout.systems().size() + 1);
    for (int s = 0; s < layout.systems().size(); s++) {
      StripLayout.StripSystem system = layout.systems().get(s);
      double top = layout.cuts().get(s);
      double bottom = layout.cuts().get(s + 1);
      assertThat(system.top()).isGreaterThanOrEqualTo(top);
      assertThat(system.y() + layout.systemHeight()).isLessThanOrEqualTo(bottom);
      assertThat(layout.visible(top, bottom)).containsExactly(system);
    }
  }

  @Test
  void upAndDownComeBackToTheSamePlace() {
    StripLayout layout = new StripLayout(Performance.of(DEMO), 820, 1);
    int slot = 5;
    assertThat(new StripTouch(layout).slotAcross(new StripTouch(layout).slotAcross(slot, 1), -1))
        .isEqualTo(slot);
    assertThat(new StripTouch(layout).slotAcross(0, -1)).isZero();
  }

  @Test
  void aPointBesideTheBarsIsNoSlot() {
    StripLayout layout = new StripLayout(Performance.of(DEMO), 820, 1);
    assertThat(new StripTouch(layout).slotAt(10, 100)).isEmpty();
    assertThat(new StripTouch(layout).slotAt(400, layout.height() + 50)).isEmpty();
  }
}
