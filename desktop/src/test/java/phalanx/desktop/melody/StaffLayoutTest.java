package phalanx.desktop.melody;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.desktop.Demo;
import phalanx.song.Song;
import phalanx.theory.Pitch;

class StaffLayoutTest {

  private static final Song SONG = Demo.song();
  private static final StaffLayout LAYOUT = new StaffLayout(SONG, 820);

  /**
   * A guitar is written an octave above its sound, so the five lines are e3 to f4 as they sound
   * (notation as every method has it).
   */
  @ParameterizedTest
  @CsvSource({"E3,0", "F3,1", "G3,2", "F4,8", "E4,7", "E2,-7", "B4,11", "C♯4,5"})
  void pitchesLieOnTheirLines(String pitch, int step) {
    assertThat(StaffLayout.step(Pitch.parse(pitch).orElseThrow())).isEqualTo(step);
  }

  @Test
  void linesAndStepsAgree() {
    StaffLayout.Cell cell = LAYOUT.cells().get(0);
    assertThat(LAYOUT.noteY(cell, 0)).isEqualTo(LAYOUT.lineY(cell, 4));
    assertThat(LAYOUT.noteY(cell, 8)).isEqualTo(LAYOUT.lineY(cell, 0));
  }

  @Test
  void everyBarIsFoundWhereItIsDrawn() {
    assertThat(LAYOUT.cells()).hasSize(SONG.chart().bars().size());
    for (StaffLayout.Cell cell : LAYOUT.cells()) {
      assertThat(LAYOUT.at(cell.x() + 5, cell.y() + 5)).contains(cell);
      assertThat(LAYOUT.cell(cell.bar().id())).contains(cell);
      assertThat(cell.x() + LAYOUT.barWidth()).isLessThanOrEqualTo(820);
      assertThat(LAYOUT.noteX(cell, 0, 20160)).isGreaterThan(cell.x());
      assertThat(LAYOUT.noteX(cell, 20159, 20160)).isLessThan(cell.x() + LAYOUT.barWidth());
    }
    assertThat(LAYOUT.at(5, 5)).isEmpty();
  }

  @Test
  void onlyWhatCanBeSeenIsDrawn() {
    assertThat(LAYOUT.visible(0, 200).size()).isBetween(2, 8);
    assertThat(LAYOUT.visible(0, LAYOUT.height())).hasSize(LAYOUT.cells().size());
  }
}
