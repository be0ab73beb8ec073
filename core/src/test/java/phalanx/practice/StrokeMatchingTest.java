package phalanx.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import org.apache.commons.math3.stat.descriptive.DescriptiveStatistics;
import org.junit.jupiter.api.Test;
import phalanx.performance.Performance;
import phalanx.picking.PickFinger;
import phalanx.planning.Arranger;
import phalanx.song.OwnSongs;
import phalanx.song.Song;

/** Taps of simulated players, of whom every stroke is known. */
class StrokeMatchingTest {

  private static List<ExpectedStroke> strokes(Song song) {
    Performance performance = Performance.of(new Arranger().arrange(song));
    return ExpectedStroke.of(performance, 0, Integer.MAX_VALUE);
  }

  private static SimulatedPlayer player(long seed, double thumb, double drift, double missed) {
    return new SimulatedPlayer(seed, 0.015, thumb, 0, 0, drift, missed, 0);
  }

  /** Against a click: mean within 1 ms, spread within 5 %, of what was really played. */
  @Test
  void meanAndSpreadAreFound() {
    long seed = 0;
    for (Song song : OwnSongs.all().values()) {
      List<ExpectedStroke> expected = strokes(song);
      SimulatedPlayer.Playing playing = player(seed++, 0.006, 0, 0).play(expected, song.tempo());
      StrokeReport report = StrokeMatching.ofTaps(expected, playing.strokes(), song.tempo());
      DescriptiveStatistics truth = new DescriptiveStatistics();
      playing.played().stream()
          .filter(m -> m.stroke().isThumbs())
          .forEach(m -> truth.addValue(m.late()));
      Steadiness thumb = report.thumb();
      assertThat(thumb.mean()).as(song.title()).isEqualTo(truth.getMean(), within(0.001));
      double spread = truth.getStandardDeviation();
      assertThat(thumb.spread()).as(song.title()).isEqualTo(spread, within(0.05 * spread));
      assertThat(thumb.count()).isEqualTo((int) truth.getN());
      assertThat(report.missed()).isEmpty();
      assertThat(report.extra()).isEmpty();
    }
  }

  /**
   * With strokes uneven by 4 ms, or over two minutes by 15 ms: in half a minute these hide 0.2
   * beats (the standard error of a fitted curve).
   */
  @Test
  void driftIsFoundWithinAFifthOfABeat() {
    long seed = 100;
    for (Song song : OwnSongs.all().values()) {
      List<ExpectedStroke> expected = strokes(song);
      for (double drift : new double[] {-3, -0.4, 0, 1.5}) {
        List<PlayedStroke> taps =
            new SimulatedPlayer(seed++, 0.004, 0, 0, 0, drift, 0, 0)
                .play(expected, song.tempo())
                .strokes();
        StrokeReport report = StrokeMatching.ofTaps(expected, taps, song.tempo());
        double doubt = expected.get(expected.size() - 1).seconds() > 15 ? 0.2 : 0.6;
        assertThat(report.drift()).as(song.title()).isEqualTo(drift, within(doubt));
      }
    }
  }

  @Test
  void everyMissedAndEveryExtraStrokeIsFound() {
    long seed = 200;
    for (Song song : OwnSongs.all().values()) {
      List<ExpectedStroke> expected = strokes(song);
      SimulatedPlayer.Playing playing = player(seed++, 0, 0, 0.1).play(expected, song.tempo());
      StrokeReport report = StrokeMatching.ofTaps(expected, playing.strokes(), song.tempo());
      assertThat(new HashSet<>(report.missed()))
          .as(song.title())
          .isEqualTo(new HashSet<>(playing.missed()));
      assertThat(report.extra()).as(song.title()).isEmpty();
    }
  }

  @Test
  void oneTapTooManyIsExtra() {
    Song song = OwnSongs.all().get("Gravel Lane");
    List<ExpectedStroke> expected = strokes(song);
    List<PlayedStroke> taps = new ArrayList<>(player(5, 0, 0, 0).play(expected, 90).strokes());
    double when = expected.get(10).seconds() + 0.09;
    taps.add(new PlayedStroke(when, Optional.of(PickFinger.C)));
    taps.sort(Comparator.comparingDouble(PlayedStroke::seconds));
    StrokeReport report = StrokeMatching.ofTaps(expected, taps, song.tempo());
    assertThat(report.extra()).containsExactly(when);
    assertThat(report.missed()).isEmpty();
  }

  @Test
  void aBarThatIsRepeatedIsFollowed() {
    Song song = OwnSongs.all().get("Gravel Lane");
    List<ExpectedStroke> expected = strokes(song);
    List<PlayedStroke> taps = new ArrayList<>();
    double shift = 0;
    int third = expected.get(0).bar() + 2;
    double from = start(expected, third);
    double to = start(expected, third + 1);
    for (ExpectedStroke s : expected) {
      if (s.bar() == third + 1 && shift == 0) {
        shift = to - from;
        expected.stream().filter(e -> e.bar() == third).forEach(e -> taps.add(tap(e, to - from)));
      }
      taps.add(tap(s, shift));
    }
    taps.sort(Comparator.comparingDouble(PlayedStroke::seconds));
    StrokeReport report = StrokeMatching.ofTaps(expected, taps, song.tempo());
    assertThat(report.missed()).isEmpty();
    assertThat(report.extra()).isEmpty();
    assertThat(report.matched()).hasSize(taps.size());
  }

  private static double start(List<ExpectedStroke> expected, int bar) {
    return expected.stream().filter(e -> e.bar() == bar).findFirst().orElseThrow().seconds();
  }

  private static PlayedStroke tap(ExpectedStroke s, double shift) {
    return new PlayedStroke(s.seconds() + shift, Optional.of(s.finger()));
  }

  @Test
  void slowerThanAskedIsATempoAndNoMistake() {
    Song song = OwnSongs.all().get("Two Ferries");
    List<ExpectedStroke> expected = strokes(song);
    List<PlayedStroke> taps =
        expected.stream()
            .map(s -> new PlayedStroke(2 + s.seconds() * 1.25, Optional.of(s.finger())))
            .toList();
    StrokeReport report = StrokeMatching.ofTaps(expected, taps, song.tempo());
    assertThat(report.missed()).isEmpty();
    assertThat(report.tempo()).isEqualTo(0.8, within(0.001));
    assertThat(report.offset()).isEqualTo(2, within(0.002));
    assertThat(report.thumb().spread()).isLessThan(0.002);
  }

  @Test
  void whatIsStillToComeIsNotMissed() {
    List<ExpectedStroke> expected = strokes(OwnSongs.all().get("Heron"));
    List<PlayedStroke> begun = expected.subList(0, 20).stream().map(s -> tap(s, 0)).toList();
    List<PlayedStroke> gap = new ArrayList<>(begun);
    gap.remove(10);
    assertThat(StrokeMatching.ofTaps(expected, begun, 90).soFar().missed()).isEmpty();
    assertThat(StrokeMatching.ofTaps(expected, gap, 90).soFar().missed())
        .containsExactly(expected.get(10));
  }

  @Test
  void nothingTappedIsEverythingMissed() {
    List<ExpectedStroke> expected = strokes(OwnSongs.all().get("Heron"));
    StrokeReport report = StrokeMatching.ofTaps(expected, List.of(), 90);
    assertThat(report.missed()).hasSize(expected.size());
    assertThat(StrokeMatching.ofTaps(List.of(), List.of(), 90).matched()).isEmpty();
  }
}
