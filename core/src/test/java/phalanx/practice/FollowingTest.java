package phalanx.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import phalanx.performance.Performance;
import phalanx.planning.Arranger;
import phalanx.song.OwnSongs;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** Where the player is, sound after sound, while it is played. */
class FollowingTest {

  private static final int SONGS = 6;

  /** So many sounds after a jump it may still be looked for. */
  private static final int LOOKED_FOR = 4;

  /** Something played, and when. */
  private record Played(Moment moment, double seconds, int sinceJump) {}

  /**
   * A song as somebody plays it who learns it: uneven, slower here and there, with a stop, a bar
   * played again, and one moment in twelve left out.
   */
  private static List<Played> played(List<Moment> moments, Random chance) {
    List<Played> played = new ArrayList<>();
    double now = chance.nextDouble();
    double slower = 1;
    int since = 0;
    int again = moments.size() / 2;
    boolean repeated = false;
    for (int m = 0; m < moments.size(); m++, since++) {
      if (m > 0) {
        double gap = moments.get(m).seconds() - moments.get(m - 1).seconds();
        slower = Math.max(0.85, Math.min(1.5, slower + 0.03 * chance.nextGaussian()));
        now += slower * Math.max(0.02, gap);
        now += m == moments.size() / 4 ? 3 : 0;
      }
      if (chance.nextInt(12) > 0) {
        played.add(new Played(moments.get(m), now + 0.012 * chance.nextGaussian(), since));
      }
      if (m == again && !repeated) {
        repeated = true;
        int bar = moments.get(m).bar();
        while (m > 0 && moments.get(m - 1).bar() == bar) {
          m--;
        }
        m--;
        now += 0.5;
        since = -1;
      }
    }
    return played;
  }

  /** What is heard of it: mostly its own pitches, weaker ones of others. */
  private static HeardSound heard(Played played, Random chance) {
    float[] pitches = new float[HeardSound.PITCHES];
    for (int p = 0; p < pitches.length; p++) {
      pitches[p] = 0.3f * chance.nextFloat();
    }
    for (ExpectedStroke stroke : played.moment().strokes()) {
      int at = stroke.note().midi() - HeardSound.LOWEST;
      if (at >= 0 && at < pitches.length) {
        pitches[at] = 0.5f + 0.5f * chance.nextFloat();
      }
    }
    return new HeardSound(played.seconds(), 8, pitches, pitches, new float[0]);
  }

  @Test
  void thePlayerIsFollowedThroughStopsAndRepeats() {
    Random chance = new Random(12);
    int right = 0;
    int all = 0;
    List<Song> songs = new ArrayList<>(OwnSongs.all().values());
    for (Song song : songs.subList(0, SONGS)) {
      Performance performance = Performance.of(new Arranger().arrange(song));
      List<Moment> moments = Moment.of(ExpectedStroke.all(performance, 0, Integer.MAX_VALUE));
      SoundMatching following = new SoundMatching(performance, 0, Integer.MAX_VALUE, 1);
      for (Played p : played(moments, chance)) {
        following.hear(List.of(heard(p, chance)));
        if (p.sinceJump() >= LOOKED_FOR) {
          all++;
          right += following.place().orElseThrow().bar() == p.moment().bar() ? 1 : 0;
        }
      }
    }
    assertThat((double) right / all).isGreaterThan(0.97);
  }

  /** Told at once or one after the other, it is the same. */
  @Test
  void whatIsHeardInPiecesIsTheSameAsAtOnce() {
    Random chance = new Random(3);
    Song song = OwnSongs.all().values().iterator().next();
    Performance performance = Performance.of(new Arranger().arrange(song));
    List<Moment> moments = Moment.of(ExpectedStroke.all(performance, 0, Integer.MAX_VALUE));
    List<HeardSound> sounds = played(moments, chance).stream().map(p -> heard(p, chance)).toList();
    SoundMatching pieces = new SoundMatching(performance, 0, Integer.MAX_VALUE, 1);
    assertThat(pieces.place()).isEmpty();
    for (HeardSound sound : sounds) {
      pieces.hear(List.of(sound));
      pieces.report();
    }
    assertThat(pieces.report())
        .isEqualTo(SoundMatching.of(performance, 0, Integer.MAX_VALUE, sounds));
  }

  /** Lateness is told by beat and by change of chords. */
  @Test
  void strokesAreToldByBeatAndByChange() {
    Song song = TestSongs.of("| C | G | C | G |");
    Performance performance = Performance.of(new Arranger().arrange(song));
    List<MatchedStroke> strokes =
        ExpectedStroke.of(performance, 0, Integer.MAX_VALUE).stream()
            .map(s -> new MatchedStroke(s, s.seconds(), s.seconds() + lateness(s)))
            .toList();
    StrokeReport report = new StrokeReport(0, strokes, List.of(), List.of(), List.of(), 1, 0);
    assertThat(report.byBeat().keySet()).contains(1, 2, 3, 4);
    assertThat(report.byBeat().get(2).mean()).isEqualTo(0.01, within(1e-9));
    assertThat(report.byBeat().get(3).mean()).isEqualTo(0, within(1e-9));
    assertThat(new ArrayList<>(report.byChange().keySet())).containsExactly("C to G", "G to C");
    assertThat(report.byChange().get("C to G").mean()).isEqualTo(0.03, within(1e-9));
  }

  private static double lateness(ExpectedStroke s) {
    return s.change().filter("C to G"::equals).isPresent()
        ? 0.03
        : s.isOnBeat() && Math.rint(s.beat()) == 2 ? 0.01 : 0;
  }
}
