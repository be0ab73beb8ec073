package phalanx.song;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.chart.ChartLine;
import phalanx.chart.ChartReader;
import phalanx.chart.ChartWriter;
import phalanx.chart.Notation;
import phalanx.theory.Meter;

/** A tempo that begins with a bar: its mark, its place in the chart, the time it makes. */
class TempoMarkTest {

  private static ChartLine read(String line) {
    return ChartReader.read(line, Notation.in(Meter.FOUR_FOUR), java.util.Optional::of);
  }

  @Property
  void aMarkIsReadBackToAThousandth(
      @ForAll @IntRange(min = 20_000, max = 400_000) int thousandths) {
    double tempo = thousandths / 1000.0;
    assertThat(TempoMark.parse(TempoMark.of(tempo))).contains(tempo);
  }

  @ParameterizedTest
  @ValueSource(strings = {"q=19", "q=401", "q=", "♩=abc", "q=1e2", "q=100.1234"})
  void whatIsNoTempoIsSaidWithItsPlace(String mark) {
    assertThat(TempoMark.parse(mark)).isEmpty();
    ChartLine line = read("| G | " + mark + " C |");
    assertThat(line.problems())
        .singleElement()
        .satisfies(
            p -> {
              assertThat(p.column()).isEqualTo(6);
              assertThat(p.message()).startsWith("expected a tempo from ♩=20 to ♩=400");
            });
    assertThat(line.bars()).hasSize(2);
    assertThat(line.bars().get(1).changes()).hasSize(1);
  }

  @Test
  void metreAndTempoStandInAnyOrderAndAreWrittenBack() {
    for (String text : new String[] {"| q=72 3/4 G | C |", "| 3/4 Q=72 G | C |"}) {
      ChartLine line = read(text);
      assertThat(line.problems()).isEmpty();
      Bar first = line.bars().get(0);
      assertThat(first.tempo()).contains(72.0);
      assertThat(first.meter()).contains(new Meter(3, 4));
      String written =
          ChartWriter.line(line.bars(), Notation.in(Meter.FOUR_FOUR), java.util.Optional::of);
      assertThat(written).isEqualTo("| 3/4 ♩=72 G | C |");
      assertThat(read(written).bars()).isEqualTo(line.bars());
    }
  }

  /** Ticks evened to the first tempo are in proportion to seconds, whatever tempos lie between. */
  @Property(tries = 200)
  void evenedTicksAreInProportionToSeconds(
      @ForAll @IntRange(min = 20, max = 400) int first,
      @ForAll @IntRange(min = 20, max = 400) int second,
      @ForAll @IntRange(max = 80_639) int tick) {
    Song song = TestSongs.of("| G | C | q=" + second + " D | G |").withTempo(first);
    Clock clock = Clock.of(song, Timeline.of(song));
    double seconds = clock.evened(tick, 0) / 5040.0 * 60 / first;
    assertThat(seconds).isCloseTo(clock.seconds(tick, 0), within(1e-3));
    assertThat(clock.seconds(tick + 1, 0)).isGreaterThan(clock.seconds(tick, 0));
  }
}
