package phalanx.formats.manners;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.arrangement.Arrangement;
import phalanx.draft.Draft;
import phalanx.draft.Drafts;
import phalanx.draft.Manner;
import phalanx.fretting.FretRow;
import phalanx.level.PlanLevel;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.ThumbRoute;
import phalanx.song.OwnSongs;
import phalanx.song.Patterns.Scope;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Key;
import phalanx.theory.Meter;

/** A lead sheet played in several manners (common practice, no source). */
class DraftsTest {

  private static final Drafts.Wish USUAL = Drafts.Wish.of(MannerShelf.all());

  private static final Song SONG =
      TestSongs.singing(
              TestSongs.of("G | C | D7 | G", "Em | Am | D7 | G"),
              "b3 . d4 .",
              "c4 . e4 .",
              "a3 . d4 c4",
              "b3 . . .",
              "g3 . b3 .",
              "c4 . . a3",
              "d4 . c4 a3",
              "g3 . . .")
          .withKey(Key.parse("G"))
          .withTempo(84);

  private static List<Draft> drafts(Song song, Drafts.Wish wish) {
    return Drafts.of(song, wish, d -> {}, () -> false);
  }

  private static Drafts.Wish level(double level) {
    return new Drafts.Wish(OptionalDouble.of(level), MannerShelf.all(), List.of(), 3);
  }

  private static Set<List<Integer>> tune(Arrangement a) {
    Set<List<Integer>> tune = new TreeSet<>((x, y) -> x.toString().compareTo(y.toString()));
    a.notes().stream().filter(a::isOfTune).forEach(n -> tune.add(List.of(n.tick(), n.midi())));
    return tune;
  }

  @Test
  void threeMannersThatCanBePlayedAreOfferedAndEachSaysWhatItDid() {
    List<Draft> drafts = drafts(SONG, USUAL);
    assertThat(drafts).hasSize(3);
    assertThat(drafts).extracting(d -> d.manner().name()).doesNotHaveDuplicates();
    assertThat(drafts).extracting(d -> d.arrangement().notes()).doesNotHaveDuplicates();
    for (Draft draft : drafts) {
      assertThat(draft.tally().cannot()).isZero();
      assertThat(draft.sections()).hasSize(2);
      assertThat(draft.sections().get(0).did()).contains(draft.manner().about());
      assertThat(draft.notesABeat()).isBetween(0.5, 4.0);
      assertThat(draft.level().level()).isBetween(PlanLevel.LOWEST, PlanLevel.HIGHEST);
    }
    // The first of two sections is the sparser one.
    assertThat(drafts)
        .anySatisfy(
            d -> assertThat(d.sections().get(0).did()).isNotEqualTo(d.sections().get(1).did()));
  }

  @Test
  void theBestComesFirstAndTheAnswerIsAlwaysTheSame() {
    Drafts.Wish all = new Drafts.Wish(OptionalDouble.empty(), MannerShelf.all(), List.of(), 100);
    List<Draft> drafts = drafts(SONG, all);
    assertThat(drafts).hasSizeGreaterThan(12);
    assertThat(drafts.get(0).tally())
        .isEqualTo(drafts.stream().map(Draft::tally).min((a, b) -> a.hard() - b.hard()).get());
    assertThat(drafts(SONG, all))
        .extracting(Draft::song)
        .isEqualTo(drafts.stream().map(Draft::song).toList());
  }

  /** Every draft sings the same tune, note for note. */
  @Test
  void noDraftTouchesTheTune() {
    Drafts.Wish all = new Drafts.Wish(OptionalDouble.empty(), MannerShelf.all(), List.of(), 100);
    List<Draft> drafts = drafts(SONG, all);
    Set<List<Integer>> sung = tune(drafts.get(0).arrangement());
    assertThat(sung).hasSizeGreaterThan(15);
    for (Draft draft : drafts) {
      // A harmonic over the last chord is the ending’s, not the tune’s.
      Set<List<Integer>> own = tune(draft.arrangement());
      assertThat(own).as(draft.manner().name()).containsAll(sung.stream().limit(15).toList());
    }
  }

  @Test
  void whatThePlayerDecidedStays() {
    int second = SONG.sections().get(1).id();
    FretRow row = new FretRow(List.of(3, 2, 0, 0, 0, 3));
    Song decided =
        SONG.pin(new SlotRef(1, 0), row)
            .withPatterns(
                SONG.patterns().with(new Scope.OfSection(second), AlternatingThumb.THUMB_ALONE));
    for (Draft draft : drafts(decided, USUAL)) {
      assertThat(draft.song().pins().frets(new SlotRef(1, 0))).contains(row);
      assertThat(draft.song().patterns().sections().get(second))
          .isEqualTo(AlternatingThumb.THUMB_ALONE);
      assertThat(draft.sections().get(1).did()).contains("its own pattern, as it was");
    }
  }

  /** A thumb of a section’s own stays, also where the drafts of a high level walk. */
  @Test
  void aThumbOfASectionsOwnStaysAtEveryLevel() {
    int second = SONG.sections().get(1).id();
    Song decided = SONG.withThumb(SONG.picking().thumb().with(second, ThumbRoute.STEADY));
    Drafts.Wish all =
        new Drafts.Wish(OptionalDouble.of(5), MannerShelf.all(), List.of(), Integer.MAX_VALUE);
    assertThat(drafts(decided, all))
        .hasSizeGreaterThan(20)
        .allSatisfy(
            d ->
                assertThat(d.song().picking().thumb().sections())
                    .containsEntry(second, ThumbRoute.STEADY));
  }

  @Test
  void aLowerLevelIsEasierAndTheLowestHasNothingHard() {
    Draft easy = drafts(SONG, level(1)).get(0);
    Draft full = drafts(SONG, level(4)).get(0);
    assertThat(easy.level().level()).isLessThan(full.level().level());
    assertThat(easy.notesABeat()).isLessThan(full.notesABeat());
    assertThat(easy.tally().all()).isZero();
    assertThat(easy.ceiling().orElse(999.0)).isGreaterThan(SONG.tempo());
    assertThat(easy.arrangement().slots())
        .allMatch(s -> s.asked().grips().values().stream().noneMatch(g -> g.isBarre()));
    // A second voice may lie under it.
    assertThat(tune(full.arrangement())).containsAll(tune(easy.arrangement()));
  }

  /** A flat key is played in open shapes that sound the same where it is to be easy. */
  @Test
  void aBeginnerGetsACapo() {
    Song flat =
        TestSongs.singing(
                TestSongs.of("Ab | Db | Eb7 | Ab"),
                "c4 . eb4 .",
                "db4 . ab3 .",
                "bb3 c4 db4 bb3",
                "ab3 . . .")
            .withKey(Key.parse("Ab"));
    Draft draft = drafts(flat, level(1)).get(0);
    assertThat(draft.song().guitar().capo()).isPositive();
    assertThat(draft.song().key()).isNotEqualTo(flat.key());
    List<Integer> sounds =
        draft.arrangement().notes().stream()
            .filter(n -> n.tick() == 0 && draft.arrangement().isOfTune(n))
            .map(n -> n.midi() % 12)
            .toList();
    assertThat(sounds).containsExactly(0);
  }

  static Stream<Map.Entry<String, Song>> songs() {
    return OwnSongs.all().entrySet().stream().limit(3);
  }

  @ParameterizedTest
  @MethodSource("songs")
  void everySongHasDraftsThatCanBePlayed(Map.Entry<String, Song> song) {
    List<Draft> drafts = drafts(song.getValue(), USUAL);
    assertThat(drafts).isNotEmpty();
    assertThat(drafts.get(0).tally().cannot()).isZero();
  }

  @ParameterizedTest
  @ValueSource(strings = {"3/4", "6/8"})
  void otherMetresHaveMannersOfTheirOwn(String meter) {
    Song song = TestSongs.of("G | C | D | G");
    song = song.withFeel(song.feel().withMeter(Meter.parse(meter).orElseThrow()).withTempo(100));
    assertThat(drafts(song, USUAL)).hasSize(3);
  }

  @Test
  void aRareMetreHasThePlainWays() {
    Song song = TestSongs.of("G | C");
    song = song.withFeel(song.feel().withMeter(Meter.parse("5/4").orElseThrow()));
    List<Draft> drafts = drafts(song, USUAL);
    assertThat(drafts).isNotEmpty();
    assertThat(drafts.get(0).song().pattern().in(song.meter()).lengthTicks())
        .isEqualTo(song.meter().barTicks());
  }

  @Test
  void aCancelledSearchEndsAtOnce() {
    assertThat(Drafts.of(SONG, USUAL, d -> {}, () -> true)).isEmpty();
  }

  @Test
  void theShelfHasTenMannersAndMore() {
    assertThat(MannerShelf.all()).hasSizeGreaterThanOrEqualTo(10);
    assertThat(MannerShelf.all()).extracting(Manner::name).doesNotHaveDuplicates();
    for (String metre : List.of("4/4", "3/4", "6/8")) {
      assertThat(MannerShelf.all())
          .filteredOn(m -> m.in(Meter.parse(metre).orElseThrow()).isPresent())
          .as(metre)
          .hasSizeGreaterThanOrEqualTo(5);
    }
    assertThat(MannerShelf.named("quiet ROLL")).isPresent();
    assertThat(MannerShelf.named("nothing of the kind")).isEmpty();
  }
}
