package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.picking.PatternReader;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** A brush passes neighbouring strings: it cannot leave out the one in the middle. */
class BrushedStringsTest {

  @Test
  void aBrushGoesRoundTheTuneAndNotOverIt() {
    String pattern = "name: x\nmetre: 4/4\nbrush | . | 5-1 | . | 5-1 |\nthumb | o | . | o | . |\n";
    for (String tune : List.of("g3 . . .", "a3 . . .", "c4 . . .", "e4 . . .", "b3 . . .")) {
      Song song =
          TestSongs.singing(TestSongs.of("| C | Am |"), tune, tune)
              .withPattern(PatternReader.read(pattern).patterns().get(0));
      Arrangement a = new Arranger().arrange(song);
      TreeMap<Integer, List<Integer>> brushed = new TreeMap<>();
      a.notes().stream()
          .filter(Note::isBrushed)
          .forEach(n -> brushed.computeIfAbsent(n.tick(), t -> new ArrayList<>()).add(n.string()));
      assertThat(brushed).as(tune).isNotEmpty();
      brushed.forEach(
          (tick, strings) -> {
            List<Integer> sorted = strings.stream().sorted().toList();
            for (int s = 1; s < sorted.size(); s++) {
              for (int between = sorted.get(s - 1) + 1; between < sorted.get(s); between++) {
                int string = between;
                assertThat(
                        a.notes().stream()
                            .filter(n -> n.string() == string)
                            .noneMatch(n -> n.tick() < tick && n.tick() + n.lengthTicks() > tick))
                    .as("%s: %s at %d passes ringing %d", tune, sorted, tick, string)
                    .isTrue();
              }
            }
          });
    }
  }
}
