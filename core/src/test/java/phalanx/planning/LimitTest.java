package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import phalanx.arrangement.Arrangement;
import phalanx.fretting.Shape;
import phalanx.instrument.UsualTuning;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/**
 * What a search says of a song that it gives up: its cost is never less than that, and a limit of
 * the song's own cost always plans it, though single shapes may cost less than nothing.
 */
class LimitTest {

  private static final List<String> CHARTS =
      List.of(
          "A | A | D | D | D | D", "D | D | A | A", "F | F | Bb | C7", "Am . E7 . | Dm | G7 | C");

  private static Stream<Song> songs(UsualTuning tuning) {
    List<Song> songs = new ArrayList<>();
    for (String chart : CHARTS) {
      for (int capo : List.of(0, 3)) {
        Song song = TestSongs.of(chart);
        Song plain = song.withGuitar(song.guitar().withTuning(tuning.tuning()).withCapo(capo));
        songs.add(plain);
        songs.add(pinned(plain));
        songs.add(TestSongs.singing(plain, "g4 . b d", "d5 . b4 g"));
      }
    }
    return songs.stream();
  }

  /** With a dear shape pinned to the second chord. */
  private static Song pinned(Song song) {
    Arrangement plan = new Arranger().arrange(song);
    List<Shape> others =
        phalanx.arrangement.board.ShapeChoice.of(plan, 1, 5).stream()
            .map(phalanx.arrangement.board.ShapeChoice::shape)
            .toList();
    return others.isEmpty()
        ? song
        : song.pin(plan.slots().get(1).played().ref(), others.get(others.size() - 1));
  }

  @ParameterizedTest
  @EnumSource
  void itsOwnCostAsLimitAlwaysPlansASongAndNoBoundIsAboveIt(UsualTuning tuning) {
    songs(tuning)
        .forEach(
            song -> {
              double own = new Arranger().arrange(song).plan().cost();
              assertThat(new Arranger().attempt(song, () -> own))
                  .isInstanceOfSatisfying(
                      Attempt.Planned.class,
                      p -> assertThat(p.arrangement().plan().cost()).isEqualTo(own));
              for (double share : new double[] {0, 0.5, 0.99}) {
                double limit = own - Math.abs(own) * (1 - share) - 0.01;
                double said = new Arranger().cost(song, () -> limit);
                assertThat(said)
                    .as("%s, limit %s", song.chart(), limit)
                    .isLessThanOrEqualTo(own + 1e-9);
              }
            });
  }

  /** The case in which it once gave up on a part of the sum. */
  @Test
  void openDIsNotGivenUpOnTheWay() {
    Song song = TestSongs.of("A | A | D | D | D | D");
    Song open = song.withGuitar(song.guitar().withTuning(UsualTuning.OPEN_D.tuning()));
    double own = new Arranger().arrange(open).plan().cost();
    assertThat(new Arranger().cost(open, () -> own)).isEqualTo(own);
  }
}
