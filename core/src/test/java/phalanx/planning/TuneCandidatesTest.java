package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.MelodyNote;
import phalanx.arrangement.tune.SlotTune;
import phalanx.arrangement.tune.TuneFit;
import phalanx.fretting.Candidates;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.ShapeQuery;
import phalanx.fretting.ShapeSearch;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.song.TestSongs;

/** The shapes a chord with a tune may choose from, against every shape rated by itself. */
class TuneCandidatesTest {

  private static final int LIMIT = 60;
  private static final int FEWEST = 16;

  /** Half of what a note costs that is left out: no change of chords costs as much. */
  private static final double HOPELESS = 500;

  private static final Reach REACH = new Reach(Guitar.STEEL, Hand.MEDIUM);
  private static final TuneFit FIT = new TuneFit(REACH, true);

  private static SlotTune tune(Random random) {
    List<MelodyNote> notes = new ArrayList<>();
    for (int n = 0; n < 4; n++) {
      int midi = 60 + random.nextInt(22);
      notes.add(
          new MelodyNote(
              n * 2520, (n + 1) * 2520, midi, Optional.empty(), "", Optional.empty(), 1, n * 2520));
    }
    return SlotTune.of(notes, 0, 4 * 2520);
  }

  @Test
  void nothingIsLeftOutThatAPlanCouldChoose() {
    Random random = new Random(21);
    int shortened = 0;
    for (String name : List.of("G", "C", "Am7", "D7", "F#m", "Bb", "E", "Dm7")) {
      ShapeQuery query = ShapeQuery.of(TestSongs.chord(name), Guitar.STEEL, Hand.MEDIUM);
      Candidates base = Candidates.of(ShapeSearch.find(query, REACH).candidates(LIMIT, 3), false);
      for (int trial = 0; trial < 6; trial++) {
        SlotTune tune = tune(random);
        Candidates found =
            new TuneCandidates()
                .withTune(
                    query,
                    base,
                    tune,
                    TunePlanTest.UNHEARD,
                    Optional.empty(),
                    LIMIT,
                    Double.POSITIVE_INFINITY,
                    FIT);
        double least = found.least();
        assertThat(found).hasSizeBetween(FEWEST, LIMIT);
        assertThat(found.subList(FEWEST, found.size()))
            .allMatch(r -> r.cost() <= Math.max(least + HOPELESS, found.get(FEWEST - 1).cost()));
        double last = found.get(found.size() - 1).cost();
        for (RatedShape shape : base) {
          for (RatedShape way :
              TuneCandidates.ways(query, shape, TunePlanTest.UNHEARD, tune, FIT)) {
            boolean may =
                way.cost() <= least + HOPELESS && (found.size() < LIMIT || way.cost() < last);
            assertThat(!may || found.contains(way)).as("%s over %s", way, tune).isTrue();
          }
        }
        shortened += found.size() < LIMIT ? 1 : 0;
      }
    }
    assertThat(shortened).as("rows with hopeless shapes").isPositive();
  }
}
