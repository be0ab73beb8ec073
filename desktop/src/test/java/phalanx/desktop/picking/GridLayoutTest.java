package phalanx.desktop.picking;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.picking.Role;
import phalanx.theory.Meter;

class GridLayoutTest {

  @ParameterizedTest
  @CsvSource({"4/4,1,1,4", "4/4,1,2,8", "4/4,2,4,32", "6/8,1,3,6", "3/4,1,8,24", "5/4,1,5,25"})
  void everyPartOfABeatCanBeStruck(String text, int bars, int parts, int columns) {
    Meter meter = Meter.parse(text).orElseThrow();
    GridLayout layout = new GridLayout(meter, 0, bars * meter.barTicks(), parts, 800);
    assertThat(layout.ticks()).hasSize(columns).isSorted().doesNotHaveDuplicates();
    assertThat(layout.ticks().get(0)).isZero();
    assertThat(layout.ticks().get(columns - 1)).isLessThan(bars * meter.barTicks());
  }

  @Test
  void everyPlaceIsFoundWhereItIsDrawn() {
    GridLayout layout = new GridLayout(Meter.FOUR_FOUR, 20160, 20160, 4, 826);
    for (GridLayout.Row row : GridLayout.ROWS) {
      assertThat(layout.rowAt(layout.y(row))).contains(row);
    }
    for (int tick : layout.ticks()) {
      assertThat(layout.tickAt(layout.x(tick) + 3)).contains(tick);
    }
    assertThat(layout.tickAt(20)).isEmpty();
    assertThat(layout.rowAt(0)).isEmpty();
    assertThat(layout.ticks().get(0)).isEqualTo(20160);
    assertThat(layout.shows(20159)).isFalse();
    assertThat(layout.stringY(5)).isEqualTo(layout.y(GridLayout.row(Role.TUNE)));
    assertThat(layout.stringY(0)).isEqualTo(layout.y(GridLayout.row(Role.ROOT)));
  }
}
