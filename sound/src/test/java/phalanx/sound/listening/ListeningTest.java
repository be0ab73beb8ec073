package phalanx.sound.listening;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import org.apache.commons.math3.stat.descriptive.DescriptiveStatistics;
import org.junit.jupiter.api.Test;
import phalanx.performance.Performance;
import phalanx.planning.Arranger;
import phalanx.practice.Evenness;
import phalanx.practice.ExpectedStroke;
import phalanx.practice.HeardSound;
import phalanx.practice.MatchedStroke;
import phalanx.practice.SimulatedPlayer;
import phalanx.practice.SoundMatching;
import phalanx.practice.Steadiness;
import phalanx.practice.StrokeReport;
import phalanx.song.OwnSongs;
import phalanx.song.Song;

/**
 * Simulated players heard through a simulated microphone, every stroke known. Tempo, noise, gain,
 * tuning and the silence before are drawn for each song, so that nothing is made to measure.
 */
class ListeningTest {

  private static final double JITTER = 0.015;

  /** A song as somebody played it and as it was heard. */
  private record Take(
      Performance performance,
      List<ExpectedStroke> expected,
      SimulatedPlayer.Playing playing,
      SimulatedMicrophone microphone,
      StrokeReport report) {}

  private static List<HeardSound> heard(float[] samples, int rate) {
    Decimator decimator = new Decimator(rate);
    Listener listener = new Listener(decimator.rate(), 440);
    float[] some = samples.clone();
    int count = decimator.apply(some, some.length);
    List<HeardSound> all = new ArrayList<>(listener.hear(some, count));
    all.addAll(listener.end());
    return all;
  }

  private static Take take(Song song, SimulatedPlayer player, Random draw, int wrong) {
    double tempo = 60 + 80 * draw.nextDouble();
    Performance performance = Performance.of(new Arranger().arrange(song.withTempo(tempo)));
    List<ExpectedStroke> expected = ExpectedStroke.of(performance, 0, Integer.MAX_VALUE);
    SimulatedPlayer.Playing playing = player.play(expected, tempo);
    Map<ExpectedStroke, Integer> elsewhere = new HashMap<>();
    for (int k = wrong; wrong > 0 && k < expected.size(); k += wrong) {
      int string = expected.get(k).note().string();
      elsewhere.put(expected.get(k), string == 0 ? 1 : string - 1);
    }
    SimulatedMicrophone microphone =
        new SimulatedMicrophone(
            List.of(22_050, 44_100, 48_000).get(draw.nextInt(3)),
            draw.nextDouble(),
            0.01,
            0.003 * draw.nextDouble(),
            0.1 + 0.9 * draw.nextDouble(),
            438 + 4 * draw.nextDouble());
    float[] samples = microphone.hear(performance, playing, elsewhere, draw.nextLong());
    StrokeReport report =
        SoundMatching.of(performance, 0, Integer.MAX_VALUE, heard(samples, microphone.rate()));
    return new Take(performance, expected, playing, microphone, report);
  }

  private static SimulatedPlayer player(long seed, double thumb, double missed) {
    return new SimulatedPlayer(seed, JITTER, thumb, 0, 0, 0, missed, 0);
  }

  private static double median(List<Double> of) {
    double[] sorted = of.stream().mapToDouble(Math::abs).sorted().toArray();
    return sorted[sorted.length / 2];
  }

  /** How late each stroke was really heard, by stroke. */
  private static Map<ExpectedStroke, Double> truth(Take take) {
    Map<ExpectedStroke, Double> truth = new HashMap<>();
    take.playing()
        .played()
        .forEach(m -> truth.put(m.stroke(), m.heard() + take.microphone().lead()));
    return truth;
  }

  @Test
  void strokesAreHeardWhenTheyWerePlayed() {
    Random draw = new Random(20);
    List<Double> errors = new ArrayList<>();
    DescriptiveStatistics spreads = new DescriptiveStatistics();
    DescriptiveStatistics heardSpreads = new DescriptiveStatistics();
    int all = 0;
    int right = 0;
    for (Map.Entry<String, Song> song : OwnSongs.all().entrySet()) {
      Take take = take(song.getValue(), player(draw.nextLong(), 0, 0), draw, 0);
      Map<ExpectedStroke, Double> truth = truth(take);
      all += truth.size();
      for (MatchedStroke m : take.report().matched()) {
        double off = m.heard() - truth.get(m.stroke());
        errors.add(off);
        right += Math.abs(off) < 0.05 ? 1 : 0;
      }
      DescriptiveStatistics thumb = new DescriptiveStatistics();
      take.playing().played().stream()
          .filter(m -> m.stroke().isThumbs())
          .forEach(m -> thumb.addValue(m.late()));
      Steadiness heard = take.report().thumb();
      // A song has some thirty strokes of the thumb: chance alone moves their mean by 3 ms.
      assertThat(heard.mean()).as(song.getKey()).isEqualTo(thumb.getMean(), within(0.005));
      double spread = thumb.getStandardDeviation();
      // Where most are pinches, two strokes that are heard as one come together.
      assertThat(heard.spread()).as(song.getKey()).isEqualTo(spread, within(0.4 * spread));
      spreads.addValue(spread);
      heardSpreads.addValue(heard.spread());
    }
    assertThat((double) right / all).isGreaterThan(0.97);
    assertThat(median(errors)).isLessThan(0.005);
    double real = spreads.getQuadraticMean();
    assertThat(heardSpreads.getQuadraticMean()).isEqualTo(real, within(0.2 * real));
  }

  @Test
  void missedStrokesAndWrongStringsAreTold() {
    Random draw = new Random(30);
    int told = 0;
    int wrong = 0;
    int missed = 0;
    int seen = 0;
    int found = 0;
    int played = 0;
    for (Map.Entry<String, Song> song : OwnSongs.all().entrySet()) {
      Take take = take(song.getValue(), player(draw.nextLong(), 0, 0.1), draw, 0);
      Set<ExpectedStroke> left = new HashSet<>(take.playing().missed());
      missed += left.size();
      seen += (int) take.report().missed().stream().filter(left::contains).count();
      played += take.playing().played().size();
      found +=
          (int) take.report().matched().stream().filter(m -> !left.contains(m.stroke())).count();
      Take other = take(song.getValue(), player(draw.nextLong(), 0, 0), draw, 13);
      for (int k = 13; k < other.expected().size(); k += 13) {
        wrong++;
        ExpectedStroke stroke = other.expected().get(k);
        told += other.report().matched().stream().noneMatch(m -> m.stroke().equals(stroke)) ? 1 : 0;
      }
    }
    assertThat((double) found / played).isGreaterThan(0.95);
    assertThat((double) seen / missed).isGreaterThan(0.7);
    assertThat((double) told / wrong).isGreaterThan(0.75);
  }

  /** Strings that are not the program’s own, in another room. */
  @Test
  void anotherGuitarIsHeardAsWell() {
    Random draw = new Random(50);
    int all = 0;
    int right = 0;
    List<Double> errors = new ArrayList<>();
    for (Song song : OwnSongs.all().values()) {
      double tempo = 60 + 80 * draw.nextDouble();
      Performance performance = Performance.of(new Arranger().arrange(song.withTempo(tempo)));
      List<ExpectedStroke> expected = ExpectedStroke.of(performance, 0, Integer.MAX_VALUE);
      SimulatedPlayer.Playing playing = player(draw.nextLong(), 0.006, 0).play(expected, tempo);
      double lead = draw.nextDouble();
      float[] samples =
          new KarplusStrong(44_100, draw.nextLong())
              .hear(performance, playing.played(), lead, 0.01, 440);
      StrokeReport report =
          SoundMatching.of(performance, 0, Integer.MAX_VALUE, heard(samples, 44_100));
      Map<ExpectedStroke, Double> truth = new HashMap<>();
      playing.played().forEach(m -> truth.put(m.stroke(), m.heard() + lead));
      all += truth.size();
      int mine = 0;
      for (MatchedStroke m : report.matched()) {
        double off = m.heard() - truth.get(m.stroke());
        errors.add(off);
        mine += Math.abs(off) < 0.05 ? 1 : 0;
      }
      right += mine;
    }
    assertThat((double) right / all).isGreaterThan(0.97);
    assertThat(median(errors)).isLessThan(0.005);
  }

  /** One stroke in ten is missed, and a bar is played twice: the tape is cut there. */
  @Test
  void aRepeatedBarIsFollowed() {
    Random draw = new Random(40);
    int played = 0;
    int found = 0;
    for (Song song : OwnSongs.all().values()) {
      Performance performance = Performance.of(new Arranger().arrange(song));
      List<ExpectedStroke> expected = ExpectedStroke.of(performance, 0, Integer.MAX_VALUE);
      SimulatedPlayer.Playing playing =
          player(draw.nextLong(), 0, 0.1).play(expected, song.tempo());
      float[] once =
          SimulatedMicrophone.QUIET_ROOM.hear(performance, playing, Map.of(), draw.nextLong());
      var bars = performance.arrangement().timeline().bars();
      int bar = 1 + draw.nextInt(bars.size() - 2);
      int from = sample(performance, bars.get(bar).startTick());
      int to = sample(performance, bars.get(bar).endTick());
      float[] twice = new float[once.length + to - from];
      System.arraycopy(once, 0, twice, 0, to);
      System.arraycopy(once, from, twice, to, once.length - from);
      StrokeReport report =
          SoundMatching.of(performance, 0, Integer.MAX_VALUE, heard(twice, 44_100));
      Set<ExpectedStroke> matched = new HashSet<>();
      report.matched().forEach(m -> matched.add(m.stroke()));
      played += playing.played().size();
      found += (int) playing.played().stream().filter(m -> matched.contains(m.stroke())).count();
      int number = bars.get(bar).number();
      long inBar = report.matched().stream().filter(m -> m.stroke().bar() == number).count();
      long strokes = playing.played().stream().filter(m -> m.stroke().bar() == number).count();
      assertThat(inBar).as(song.title() + ": heard twice").isGreaterThan(strokes);
    }
    assertThat((double) found / played).isGreaterThan(0.95);
  }

  /** A little before a tick, where the player does not strike yet. */
  private static int sample(Performance performance, int tick) {
    return (int) Math.max(0, Math.round((performance.clock().seconds(tick, 0) - 0.04) * 44_100));
  }

  /** The program’s own sound, from its first sample on, is on time to the millisecond or so. */
  @Test
  void whatIsRenderedIsOnTime() {
    Song song = OwnSongs.all().get("Gravel Lane");
    Performance performance = Performance.of(new Arranger().arrange(song));
    List<ExpectedStroke> expected = ExpectedStroke.of(performance, 0, Integer.MAX_VALUE);
    SimulatedPlayer exact = new SimulatedPlayer(1, 0, 0, 0, 0, 0, 0, 0);
    float[] samples =
        SimulatedMicrophone.QUIET_ROOM.hear(
            performance, exact.play(expected, song.tempo()), Map.of(), 1);
    StrokeReport report =
        SoundMatching.of(performance, 0, Integer.MAX_VALUE, heard(samples, 44_100));
    assertThat(report.offset()).isEqualTo(0, within(0.002));
    assertThat(Math.abs(report.thumb().mean())).isLessThan(0.003);
    assertThat(Math.abs(report.fingers().mean())).isLessThan(0.003);
    assertThat(report.drift()).isEqualTo(0, within(0.2));
  }

  /** How loud a player’s strokes are drawn, dB, is told, whatever each string does by itself. */
  @Test
  void unevenLoudnessIsToldApart() {
    List<Double> spreads = new ArrayList<>();
    for (double drawn : new double[] {0, 3, 6}) {
      Random draw = new Random(60);
      double squares = 0;
      int count = 0;
      for (Song song : OwnSongs.all().values()) {
        Performance performance = Performance.of(new Arranger().arrange(song));
        List<ExpectedStroke> expected = ExpectedStroke.of(performance, 0, Integer.MAX_VALUE);
        List<MatchedStroke> played =
            player(draw.nextLong(), 0, 0).play(expected, song.tempo()).played().stream()
                .map(m -> atLevel(m, drawn * draw.nextGaussian()))
                .toList();
        float[] samples =
            new KarplusStrong(44_100, draw.nextLong()).hear(performance, played, 0.3, 0.003, 440);
        Evenness heard =
            SoundMatching.of(performance, 0, Integer.MAX_VALUE, heard(samples, 44_100))
                .evenness(s -> true);
        squares += heard.count() * heard.spread() * heard.spread();
        count += heard.count();
      }
      spreads.add(Math.sqrt(squares / count));
    }
    // Each pluck of this guitar is another burst of noise: what that does by itself is taken off.
    double own = spreads.get(0);
    assertThat(own).isLessThan(2.6);
    assertThat(Math.sqrt(spreads.get(1) * spreads.get(1) - own * own)).isEqualTo(3, within(0.5));
    assertThat(Math.sqrt(spreads.get(2) * spreads.get(2) - own * own)).isEqualTo(6, within(0.8));
  }

  private static MatchedStroke atLevel(MatchedStroke m, double level) {
    return new MatchedStroke(m.stroke(), m.expected(), m.heard(), OptionalDouble.of(level));
  }

  @Test
  void silenceIsNothingHeard() {
    assertThat(heard(new float[100_000], 44_100)).isEmpty();
    assertThat(heard(new float[0], 8000)).isEmpty();
  }
}
