package phalanx.advice;

import static java.util.stream.Collectors.toMap;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.findings.Review;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.instrument.UsualTuning;
import phalanx.melody.TuneNote;
import phalanx.melody.TuneReader;
import phalanx.melody.Want;
import phalanx.planning.Arranger;
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
            .with(1, TuneReader.read("f4 a c a", Meter.FOUR_FOUR).tune())
            .with(2, TuneReader.read("bb4 . d .", Meter.FOUR_FOUR).tune());
    return TestSongs.of("F | Bb | C7 | F")
        .withKey(Key.parse("F"))
        .withTune(tune)
        .withGuitar(Guitar.STEEL);
  }

  private static final int ALL = 1000;

  private static List<Ranked> ranked(Song song, List<SettingSuggestion> ways, int best) {
    return Advisor.rank(song, ways, best, r -> {}, () -> false);
  }

  private static List<Advised> ranked(Song song, List<SettingSuggestion> ways) {
    return ranked(song, ways, ALL).stream().map(Advised.class::cast).toList();
  }

  @Test
  void eachWayIsWhatPlanningItAloneGives() {
    Song song = song();
    List<SettingSuggestion> ways =
        Advisor.ways(
            song, Set.of(0, 3), List.of(Tuning.STANDARD, UsualTuning.DROP_D.tuning()), false);
    assertThat(ways).hasSize(2 * 2 * 12).doesNotHaveDuplicates();
    List<Advised> ranked = ranked(song, ways);
    assertThat(ranked).hasSameSizeAs(ways).isSortedAccordingTo(Ranked.EASIEST_FIRST);
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
    List<SettingSuggestion> ways =
        Advisor.ways(song, List.of(0, 1, 2, 3, 4, 5), List.of(Tuning.STANDARD), true);
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

  /** What the bounds cut away could not have won: the same best ways as without them. */
  @Test
  void theBestWaysAreThoseOfPlanningAllOfThem() {
    for (Song song : List.of(song(), song().withGuitar(Guitar.NYLON.withCapo(2)))) {
      List<Tuning> tunings = List.of(Tuning.STANDARD, UsualTuning.DADGAD.tuning());
      List<SettingSuggestion> ways = Advisor.ways(song, List.of(0, 1, 3, 5, 7), tunings, false);
      Map<SettingSuggestion, Double> costs =
          ranked(song, ways).stream().collect(toMap(Advised::way, Advised::costPerBar));
      List<Ranked> few = ranked(song, ways, 5);
      assertThat(few).extracting(Ranked::way).containsExactlyInAnyOrderElementsOf(ways);
      assertThat(few.subList(0, 5)).allMatch(Advised.class::isInstance);
      assertThat(few.subList(0, 5))
          .extracting(Ranked::costPerBar)
          .isEqualTo(costs.values().stream().sorted().limit(5).toList());
      List<Ranked> outdone = few.stream().filter(Pruned.class::isInstance).toList();
      assertThat(outdone).hasSizeGreaterThan(ways.size() / 3);
      assertThat(outdone)
          .allMatch(r -> r.costPerBar() > few.get(4).costPerBar())
          .allMatch(r -> r.costPerBar() <= costs.get(r.way()) + 1e-9);
    }
  }

  /** A capo above fret 7 is for those who find nothing else. */
  @Test
  void capoFarUpTheNeckComesLast() {
    Song song = song();
    List<Advised> ranked =
        ranked(song, Advisor.ways(song, List.of(0, 5, 9), List.of(Tuning.STANDARD), false));
    List<Boolean> far = ranked.stream().map(r -> r.way().capo() > 7).toList();
    assertThat(far).contains(true, false).isSorted();
  }

  @Test
  void theAnswerIsTheSameWhateverThreadsDo() {
    Song song = song();
    List<SettingSuggestion> ways =
        Advisor.ways(song, List.of(0, 2, 4), List.of(Tuning.STANDARD), false);
    assertThat(ranked(song, ways, 3)).isEqualTo(ranked(song, ways, 3));
  }

  @Test
  void newsComeAsTheyAreAndNothingComesAfterCancelling() {
    Song song = song();
    List<SettingSuggestion> ways =
        Advisor.ways(song, List.of(0, 3, 5), List.of(Tuning.STANDARD), false);
    List<Ranked> news = Collections.synchronizedList(new ArrayList<>());
    assertThat(Advisor.rank(song, ways, 3, news::add, () -> false))
        .containsExactlyInAnyOrderElementsOf(news);
    news.clear();
    List<Ranked> some = Advisor.rank(song, ways, 3, news::add, () -> !news.isEmpty());
    assertThat(some).hasSizeLessThan(ways.size());
    assertThat(Advisor.rank(song, ways, 3, news::add, () -> true)).isEmpty();
  }

  /** A tune sung an octave above the guitar's treble strings is offered an octave lower. */
  @Test
  void aTuneThatLiesHighComesDown() {
    Tune tune = Tune.NONE.with(1, TuneReader.read("e5 g5 a5 g5", Meter.FOUR_FOUR).tune());
    Song song = TestSongs.of("C | G").withKey(Key.parse("C")).withTune(tune);
    List<SettingSuggestion> ways = Advisor.ways(song, List.of(0), List.of(Tuning.STANDARD), false);
    assertThat(ways.get(0)).isEqualTo(SettingSuggestion.now(song));
    assertThat(ways.subList(1, ways.size())).isNotEmpty().allMatch(w -> w.octaves() < 0);
    assertThat(ways.get(1).octaves()).isEqualTo(-1);
    Song moved = ways.get(1).of(song);
    assertThat(moved.key().orElseThrow().tonic().chroma()).isEqualTo(1);
    TuneNote first = moved.tune().bars().get(1).notes().get(0);
    // E5 up a half step and down an octave: F4.
    assertThat(first.wants()).extracting(w -> ((Want.Sound) w).pitch().midi()).containsExactly(65);
  }

  @Test
  void pinsStayWhereChordAndStringsDo() {
    Song song = song();
    Arrangement planned = new Arranger().arrange(song);
    Song pinned = song.pin(planned.slots().get(0).played().ref(), planned.slots().get(0).held());
    assertThat(new SettingSuggestion(0, 3, Tuning.STANDARD, 0).of(pinned).pins())
        .isEqualTo(pinned.pins());
    assertThat(new SettingSuggestion(2, 0, Tuning.STANDARD, 0).of(pinned).pins().shapes())
        .isEmpty();
    assertThat(
            new SettingSuggestion(0, 0, UsualTuning.WHOLE_DOWN.tuning(), 0)
                .of(pinned)
                .pins()
                .shapes())
        .isEmpty();
    assertThat(SettingSuggestion.now(pinned).of(pinned)).isEqualTo(pinned);
    assertThat(
            new SettingSuggestion(0, 0, Tuning.STANDARD, 0)
                .of(song.withKey(Optional.empty()))
                .key())
        .isEmpty();
  }
}
