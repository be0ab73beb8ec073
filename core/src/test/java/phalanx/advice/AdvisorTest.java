package phalanx.advice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.laying.Arranger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.instrument.UsualTuning;
import phalanx.melody.TuneReader;
import phalanx.review.Review;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Tune;
import phalanx.theory.Key;
import phalanx.theory.Meter;

class AdvisorTest {

  /** F, B♭ and C without a capo: players would rather hold E, A and B, or C, F and G. */
  private static Song song() {
    Tune tune =
        Tune.NONE
            .with(1, TuneReader.read("f4 a c' a", Meter.FOUR_FOUR).tune())
            .with(2, TuneReader.read("bb4 . d' .", Meter.FOUR_FOUR).tune());
    return TestSongs.of("F | Bb | C7 | F")
        .withKey(Key.parse("F"))
        .withTune(tune)
        .withGuitar(Guitar.STEEL);
  }

  private static List<Advised> ranked(Song song, List<Way> ways) {
    return Advisor.rank(song, ways, a -> {}, () -> false);
  }

  @Test
  void eachWayIsWhatPlanningItAloneGives() {
    Song song = song();
    List<Way> ways =
        Advisor.ways(
            song, Set.of(0, 3), List.of(Tuning.STANDARD, UsualTuning.DROP_D.tuning()), false);
    assertThat(ways).hasSize(2 * 2 * 12).doesNotHaveDuplicates();
    List<Advised> ranked = ranked(song, ways);
    assertThat(ranked).hasSameSizeAs(ways).isSortedAccordingTo(Advised.EASIEST_FIRST);
    for (Advised a : List.of(ranked.get(0), ranked.get(17), ranked.get(47))) {
      Arrangement alone = new Arranger().arrange(a.way().of(song));
      assertThat(a.costPerBar()).isCloseTo(alone.plan().cost() / 4, within(1e-9));
      assertThat(a.tally()).isEqualTo(Review.of(alone).tally());
      assertThat(a.ceiling()).isEqualTo(Review.of(alone).ceiling().song());
    }
  }

  @Test
  void theSoundingKeyIsKeptWhereAsked() {
    Song song = song().withGuitar(Guitar.STEEL.withCapo(1));
    List<Way> ways = Advisor.ways(song, List.of(0, 1, 2, 3, 4, 5), List.of(Tuning.STANDARD), true);
    assertThat(ways).hasSize(6).allMatch(w -> w.soundsAs(song));
    for (Advised a : ranked(song, ways)) {
      int tonic = a.song().key().orElseThrow().tonic().chroma() + a.way().capo();
      // F with a capo on 1 sounds in F sharp.
      assertThat(Math.floorMod(tonic, 12)).isEqualTo(6);
    }
  }

  /** Shapes of E with a capo are easier than F without one: common practice, no source. */
  @Test
  void theBestWayIsNeverWorseThanTheOneItIsIn() {
    Song song = song();
    List<Advised> ranked =
        ranked(
            song, Advisor.ways(song, List.of(0, 1, 3, 5), List.of(song.guitar().tuning()), true));
    Advised now = Advisor.now(song);
    assertThat(ranked).anyMatch(a -> a.way().equals(now.way()));
    assertThat(ranked.get(0).costPerBar()).isLessThan(now.costPerBar());
    assertThat(ranked.get(0).way().capo()).isPositive();
  }

  @Test
  void newsComeAsTheyAreAndNothingIsBegunAfterCancelling() {
    Song song = song();
    List<Way> ways = Advisor.ways(song, List.of(0), List.of(Tuning.STANDARD), false);
    List<Advised> news = Collections.synchronizedList(new ArrayList<>());
    AtomicInteger asked = new AtomicInteger();
    List<Advised> some = Advisor.rank(song, ways, news::add, () -> asked.incrementAndGet() > 3);
    assertThat(some).hasSize(3).containsExactlyInAnyOrderElementsOf(news);
  }

  @Test
  void pinsStayWhereChordAndStringsDo() {
    Song song = song();
    Arrangement planned = new Arranger().arrange(song);
    Song pinned = song.pin(planned.slots().get(0).played().ref(), planned.slots().get(0).held());
    assertThat(new Way(0, 3, Tuning.STANDARD).of(pinned).pins()).isEqualTo(pinned.pins());
    assertThat(new Way(2, 0, Tuning.STANDARD).of(pinned).pins().shapes()).isEmpty();
    assertThat(new Way(0, 0, UsualTuning.DROP_D.tuning()).of(pinned).pins().shapes()).isEmpty();
    assertThat(Way.now(pinned).of(pinned)).isEqualTo(pinned);
    assertThat(new Way(0, 0, Tuning.STANDARD).of(song.withKey(Optional.empty())).key()).isEmpty();
  }
}
