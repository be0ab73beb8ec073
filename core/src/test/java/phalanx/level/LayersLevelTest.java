package phalanx.level;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import phalanx.arrangement.Arrangement;
import phalanx.planning.Arranger;
import phalanx.practice.Drill;
import phalanx.practice.DrillKind;
import phalanx.practice.Drills;
import phalanx.practice.PracticeOrder;
import phalanx.song.OwnSongs;
import phalanx.song.Song;

/** Each layer of practice is at least as hard as the one before: it has all of it, and more. */
class LayersLevelTest {

  private static final Set<DrillKind> LAYERS =
      Set.of(DrillKind.THUMB, DrillKind.LAYER, DrillKind.SLURS);

  static Stream<Map.Entry<String, Song>> songs() {
    return OwnSongs.all().entrySet().stream().limit(6);
  }

  @ParameterizedTest
  @MethodSource("songs")
  void noLayerIsEasierThanTheOneBefore(Map.Entry<String, Song> song) {
    Arrangement whole = new Arranger().arrange(song.getValue());
    Map<List<Integer>, Double> before = new TreeMap<>(Comparator.comparing(Object::toString));
    int compared = 0;
    for (Drill drill : Drills.ofSong(whole, PracticeOrder.values()[0])) {
      if (LAYERS.contains(drill.kind())) {
        List<Integer> part = List.of(drill.fromTick(), drill.toTick());
        double level = PlanLevel.of(drill.played()).level();
        if (before.containsKey(part)) {
          assertThat(level).as(drill.title()).isGreaterThanOrEqualTo(before.get(part) - 1e-9);
          compared++;
        }
        before.put(part, level);
      }
    }
    assertThat(compared).isPositive();
  }
}
