package phalanx.desktop.chart;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.song.Bar;
import phalanx.song.Chart;
import phalanx.song.Section;
import phalanx.song.Song;

class ChartLayoutTest {

  private static final double WIDTH = 830;

  private static Song song(int... barsOfSections) {
    List<Section> sections = new ArrayList<>();
    int id = 1;
    for (int count : barsOfSections) {
      List<Bar> bars = new ArrayList<>();
      for (int b = 0; b < count; b++) {
        bars.add(Bar.of(id++, List.of()));
      }
      sections.add(Section.of(id++, "S", bars));
    }
    return Song.untitled().withChart(new Chart(sections));
  }

  @Test
  void everySectionBeginsARowOfItsOwn() {
    ChartLayout layout = new ChartLayout(song(5, 3), WIDTH);
    assertThat(layout.perRow()).isEqualTo(4);
    List<ChartLayout.Row> rows = layout.visible(0, layout.height());
    assertThat(rows).extracting(r -> r.cells().size()).containsExactly(4, 1, 3);
    assertThat(rows).extracting(r -> r.heading().isPresent()).containsExactly(true, false, true);
    assertThat(rows.get(2).cells()).extracting(ChartLayout.Cell::number).containsExactly(6, 7, 8);
  }

  /** An arc is taken hold of above the bar line where it begins, and let go at the nearest. */
  @Test
  void theBeginningOfAPhraseIsAboveItsBarLine() {
    ChartLayout layout = new ChartLayout(song(9), WIDTH);
    for (ChartLayout.Row row : layout.visible(0, layout.height())) {
      for (ChartLayout.Cell cell : row.cells()) {
        double above = cell.y() - ChartLayout.PHRASES / 2;
        int bar = cell.bar().id();
        assertThat(layout.beginningAt(cell.x() + 3, above)).contains(bar);
        assertThat(layout.beginningAt(cell.x() + layout.barWidth() / 2, above)).isEmpty();
        assertThat(layout.beginningAt(cell.x() + 3, cell.y() + 20)).isEmpty();
        assertThat(layout.nearest(cell.x() + layout.barWidth() / 3, above)).contains(bar);
        assertThat(layout.nearest(cell.x() + layout.barWidth() / 3, cell.y() + 20)).contains(bar);
        assertThat(layout.barAt(cell.x() + 3, above)).isEmpty();
      }
    }
  }

  @Test
  void everyBarIsFoundWhereItIsDrawn() {
    ChartLayout layout = new ChartLayout(song(9, 4), WIDTH);
    for (ChartLayout.Row row : layout.visible(0, layout.height())) {
      for (ChartLayout.Cell cell : row.cells()) {
        double x = cell.x() + layout.barWidth() / 2;
        assertThat(layout.barAt(x, cell.y() + 20)).contains(cell.bar().id());
        assertThat(layout.cell(cell.bar().id())).contains(cell);
      }
      row.heading().ifPresent(s -> assertThat(layout.headingAt(row.y() - 12)).contains(s));
    }
    assertThat(layout.barAt(WIDTH + 50, 60)).isEmpty();
    assertThat(layout.barAt(40, 5)).isEmpty();
  }

  /** Of a long song only the rows of the view are looked at. */
  @ParameterizedTest
  @ValueSource(ints = {20, 500, 2000})
  void aLongSongShowsAsFewRowsAsAShortOne(int bars) {
    ChartLayout layout = new ChartLayout(song(bars), WIDTH);
    double top = layout.height() / 2;
    assertThat(layout.visible(top, top + 700).size()).isLessThanOrEqualTo(9);
  }

  @Test
  void chordsStandInTheirBarInTheOrderOfTime() {
    ChartLayout layout = new ChartLayout(song(4), WIDTH);
    ChartLayout.Cell cell = layout.cell(2).orElseThrow();
    double last = cell.x();
    for (int tick = 0; tick < 20160; tick += 2520) {
      double x = layout.x(cell, tick, 20160);
      assertThat(x).isGreaterThan(last).isLessThan(cell.x() + layout.barWidth());
      last = x;
    }
  }

  /** A pick-up is bar 0 here as it is wherever bars are counted. */
  @Test
  void aPickUpIsBarZero() {
    Song song = phalanx.desktop.Demo.song();
    Song withPickUp = song.withFeel(song.feel().withPickup(5040));
    int first = song.chart().bars().get(0).id();
    int second = song.chart().bars().get(1).id();
    assertThat(new ChartLayout(song, 900).cell(first).orElseThrow().number()).isEqualTo(1);
    ChartLayout layout = new ChartLayout(withPickUp, 900);
    assertThat(layout.cell(first).orElseThrow().number()).isZero();
    assertThat(layout.cell(second).orElseThrow().number()).isEqualTo(1);
    assertThat(withPickUp.barNumber(second)).isEqualTo(1);
    assertThat(withPickUp.barNumbered(0)).contains(first);
    assertThat(withPickUp.barNumbered(1)).contains(second);
  }
}
