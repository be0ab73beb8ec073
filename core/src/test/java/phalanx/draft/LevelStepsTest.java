package phalanx.draft;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import phalanx.arrangement.Arrangement;
import phalanx.findings.Review;
import phalanx.fretting.Grip;
import phalanx.planning.Arranger;
import phalanx.song.Bar;
import phalanx.song.OwnSongs;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** One step easier or fuller: laws over songs of our own. */
class LevelStepsTest {

  private static final int MOST_STEPS = 6;

  static Stream<Map.Entry<String, Song>> songs() {
    return OwnSongs.all().entrySet().stream().limit(4);
  }

  private static Set<List<Integer>> tune(Arrangement a) {
    Set<List<Integer>> tune = new HashSet<>();
    a.notes().stream()
        .filter(a::isOfTune)
        .filter(n -> !a.isGrace(n))
        .forEach(n -> tune.add(List.of(n.tick(), n.midi())));
    return tune;
  }

  /** The level moves as it should, the tune stays, nothing new is hard, and the ladder ends. */
  @ParameterizedTest
  @MethodSource("songs")
  void everyStepGoesTheRightWay(Map.Entry<String, Song> song) {
    for (boolean easier : new boolean[] {true, false}) {
      Song now = song.getValue();
      List<Integer> bars = now.chart().bars().stream().map(Bar::id).limit(2).toList();
      Set<String> said = new HashSet<>();
      for (int n = 0; n < MOST_STEPS; n++) {
        Optional<LevelStep> step = LevelSteps.next(now, bars, easier, List.of(), () -> false);
        if (step.isEmpty()) {
          break;
        }
        LevelStep taken = step.get();
        double moved = taken.after() - taken.before();
        assertThat(easier ? -moved : moved).as(taken.words()).isPositive();
        Arrangement before = new Arranger().arrange(now);
        assertThat(tune(taken.arrangement())).as(taken.words()).containsAll(tune(before));
        assertThat(Review.of(taken.arrangement()).tally().heard())
            .isLessThanOrEqualTo(Review.of(before).tally().heard());
        assertThat(said.add(taken.words() + taken.after())).isTrue();
        assertThat(taken.song()).isNotEqualTo(now);
        now = taken.song();
      }
    }
  }

  /** The whole song fuller has other steps than less: a second voice, or a thumb that walks. */
  @Test
  void aFullSongIsMadeFuller() {
    Song song = OwnSongs.all().get("Heron");
    List<Integer> all = song.chart().bars().stream().map(Bar::id).toList();
    Set<String> words = new HashSet<>();
    for (int n = 0; n < 3; n++) {
      Optional<LevelStep> step = LevelSteps.next(song, all, false, List.of(), () -> false);
      if (step.isPresent()) {
        words.add(step.get().words());
        song = step.get().song();
      }
    }
    assertThat(words).anyMatch(w -> w.contains("thirds and sixths") || w.contains("walks"));
  }

  /** A barre gives way to a shape of first position with the same bass. */
  @Test
  void aBarreIsMadeEasier() {
    Song song = TestSongs.of("C | F | C | F");
    assertThat(OpenShapes.in(new Arranger().arrange(song)))
        .hasValueSatisfying(
            s ->
                assertThat(new Arranger().arrange(s).slots())
                    .allMatch(
                        slot -> slot.asked().grips().values().stream().noneMatch(Grip::isBarre)));
  }

  @Test
  void aStepSaysWhatItDid() {
    Song song = OwnSongs.all().get("Gravel Lane");
    List<Integer> first = List.of(song.chart().bars().get(0).id());
    LevelStep step = LevelSteps.next(song, first, true, List.of(), () -> false).orElseThrow();
    assertThat(step.words()).contains("bar 1");
    assertThat(LevelSteps.next(song, first, true, List.of(), () -> true)).isEmpty();
  }
}
