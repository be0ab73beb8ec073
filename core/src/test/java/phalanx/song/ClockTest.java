package phalanx.song;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import phalanx.song.Timeline.PlayedBar;

class ClockTest {

  private static Song song() {
    Song song = TestSongs.of("C | G | Am | F").withTempo(120);
    Bar third = song.chart().bars().get(2).withTempo(Optional.of(60.0));
    song = song.editChart(c -> ChartEdits.replace(c, third));
    return song.withFeel(song.feel().withSwing(Swing.TRIPLET));
  }

  @Test
  void theTickHeardAtATimeIsTheOneThatSoundsThen() {
    Timeline timeline = Timeline.of(song());
    Clock clock = Clock.of(song(), timeline);
    for (int tick = 0; tick < timeline.lengthTicks(); tick += 630) {
      double seconds = clock.seconds(tick, 0);
      int heard = clock.tickAt(seconds + 1e-9);
      assertThat(clock.seconds(heard, 0)).isCloseTo(seconds, within(1e-3));
      assertThat(Math.abs(heard - tick)).isLessThanOrEqualTo(2);
    }
    assertThat(clock.tickAt(-1)).isZero();
    assertThat(clock.tickAt(1000)).isEqualTo(timeline.lengthTicks() - 1);
  }

  /** Four quarters at 120 take two seconds, at 60 four. */
  @Test
  void barsFollowEachOther() {
    Timeline timeline = Timeline.of(song());
    Clock clock = Clock.of(song(), timeline);
    double at = 0;
    for (PlayedBar bar : timeline.bars()) {
      assertThat(clock.seconds(bar.startTick(), 0)).isCloseTo(at, within(1e-9));
      at += 240 / bar.tempo();
      assertThat(clock.startOfNext(bar)).isCloseTo(at, within(1e-9));
    }
    assertThat(at).isCloseTo(clock.seconds(), within(1e-9));
  }

  @Test
  void aSongWithoutBarsHasNoTime() {
    Song empty = Song.untitled();
    assertThat(Clock.of(empty, Timeline.of(empty)).tickAt(3)).isZero();
  }

  /** Slower by a quarter lasts a third longer, whatever tempos lie within. */
  @Test
  void aSongPacedOtherwiseKeepsItsProportions() {
    Song paced = song().paced(90);
    assertThat(paced.tempo()).isEqualTo(90);
    assertThat(paced.chart().bars().get(2).tempo()).contains(45.0);
    double before = Clock.of(song(), Timeline.of(song())).seconds();
    assertThat(Clock.of(paced, Timeline.of(paced)).seconds())
        .isCloseTo(before / 0.75, within(1e-9));
    assertThat(song().paced(25).chart().bars().get(2).tempo()).contains(Feel.SLOWEST);
  }

  /**
   * The curve of a final ritard, integrated beat by beat in small steps (the formula itself is the
   * source named at {@link Ritard}).
   */
  @Test
  void aRitardFollowsItsCurve() {
    Song song = song();
    Song slower = song.withFeel(song.feel().withRitard(Optional.of(new Ritard(2, 0.5))));
    Clock clock = Clock.of(slower, Timeline.of(slower));
    Clock even = Clock.of(song, Timeline.of(song));
    // Both bars are at 60, which lasts on from the third: four seconds each.
    int steps = 200_000;
    Timeline timeline = Timeline.of(slower);
    double all = 0;
    for (int i = 0; i < steps; i++) {
      all += 2 * 4.0 / steps / Math.cbrt(1 + (0.125 - 1) * (i + 0.5) / steps);
    }
    double before = even.seconds(2 * 20160, 0);
    assertThat(clock.seconds(2 * 20160, 0)).isCloseTo(before, within(1e-9));
    assertThat(clock.seconds() - before).isCloseTo(all, within(1e-3));
    assertThat(clock.tempo(timeline.bars().get(3), timeline.lengthTicks()))
        .isCloseTo(30, within(1e-9));
    for (int tick = 0; tick < timeline.lengthTicks(); tick += 630) {
      assertThat(clock.tickAt(clock.seconds(tick, 0) + 1e-9)).isBetween(tick - 2, tick + 2);
    }
  }
}
