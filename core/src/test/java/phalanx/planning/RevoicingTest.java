package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Slot;
import phalanx.arrangement.tune.TuneFit;
import phalanx.findings.Review;
import phalanx.fretting.ChangeCosts;
import phalanx.fretting.Cost;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeSearch;
import phalanx.song.Bar;
import phalanx.song.ChartEdits;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Timeline;
import phalanx.theory.Ticks;

/**
 * One chord held in several shapes within its time. Where a player would do so: common practice, no
 * source.
 */
class RevoicingTest {

  private static final int BEAT = Ticks.PER_QUARTER;

  private static Shape shape(String frets) {
    Song song = TestSongs.of("Am");
    return ShapeSearch.find(Arranger.query(song, TestSongs.chord("Am"))).candidates(200, 1).stream()
        .map(r -> r.shape())
        .filter(s -> s.fretText().equals(frets))
        .findFirst()
        .orElseThrow();
  }

  private static Song climbing() {
    Song song = TestSongs.of("Am | Am | E7 | Am").withTempo(70);
    return TestSongs.singing(song, "a3 c4 e4 a4", "c5 a4 e4 c4", "b3 e4 g#4 b4", "a4 . a3 .");
  }

  /** A tune that climbs from the open position to fret 5: the hand follows it on its way. */
  @Test
  void aChordIsHeldInTwoShapesWhereItsTuneClimbs() {
    Arrangement a = new Arranger().arrange(climbing());
    Slot first = a.slots().get(0);
    Slot second = a.slots().get(1);
    assertThat(second.played().isPart()).isTrue();
    assertThat(second.played().ref()).isEqualTo(new SlotRef(first.played().ref().bar(), 3 * BEAT));
    assertThat(first.held().fretText()).isEqualTo("x02210");
    assertThat(second.held().frets()).contains(5).doesNotContain(1, 2, 3);
    assertThat(first.endTick()).isEqualTo(second.played().tick());
  }

  /** A tune within the hand's place leaves every chord in one shape. */
  @Test
  void aChordStaysOneWhereTheTuneStays() {
    Song song = TestSongs.of("C | Am | F | G | C").withTempo(80);
    Arrangement a =
        new Arranger()
            .arrange(
                TestSongs.singing(
                    song, "e4 . d4 c4", "c4 . e4 .", "f4 . c4 .", "g4 . d4 b3", "c4 . . ."));
    assertThat(a.slots()).hasSize(5).noneMatch(s -> s.played().isPart());
  }

  /** Under a limit a slot may lack dearer shapes, but none that costs no more. */
  @Test
  void aLimitLeavesOutOnlyShapesThatAreDearer() {
    Song song = climbing();
    Reach reach = new Reach(song.guitar(), song.hand());
    SongSlots slots =
        SongSlots.of(song, new SlotRows(), new ChangeCosts(reach), new TuneFit(reach, true));
    for (int slot = 0; slot < slots.count(); slot++) {
      SongSlots fresh =
          SongSlots.of(song, new SlotRows(), new ChangeCosts(reach), new TuneFit(reach, true));
      List<Double> all =
          slots.row(slot).candidates().stream().map(RatedShape::cost).sorted().toList();
      double most = all.get(all.size() / 3);
      assertThat(fresh.row(slot, most).candidates().stream().map(RatedShape::cost).sorted())
          .filteredOn(c -> c <= most)
          .containsExactlyElementsOf(all.stream().filter(c -> c <= most).toList());
      assertThat(fresh.row(slot, most).candidates()).hasSizeLessThan(all.size());
      assertThat(fresh.row(slot, all.get(0) - 100).least())
          .as("where all are too dear, one shows it")
          .isGreaterThan(all.get(0) - 100);
    }
  }

  /** Parts cost less than the chord in one shape, and neither hides something hard. */
  @Test
  void partsAreOnlyTakenWhereTheyAreBetter() {
    for (Map.Entry<String, Song> song : MusicFiguresTest.songs().entrySet()) {
      Arrangement a = new Arranger().arrange(song.getValue());
      if (a.slots().stream().anyMatch(s -> s.played().isPart())) {
        Arrangement whole = new Arranger().arrange(inOneShape(song.getValue(), a));
        assertThat(hard(a)).as(song.getKey()).isLessThanOrEqualTo(hard(whole));
        assertThat(a.plan().ease()).as(song.getKey()).isLessThan(whole.plan().ease());
        for (int i = 1; i < a.slots().size(); i++) {
          Slot slot = a.slots().get(i);
          assertThat(slot.played().isPart() && slot.held().sameFrets(a.slots().get(i - 1).held()))
              .as("%s: a part without another shape", song.getKey())
              .isFalse();
        }
      }
    }
  }

  /** The song with its chords in parts pinned to the shape that each of them is longest held in. */
  private static Song inOneShape(Song song, Arrangement a) {
    Song whole = song;
    for (int i = 0; i < a.slots().size(); i++) {
      if (a.slots().get(i).played().isPart()) {
        Slot longest =
            Stream.of(a.slots().get(i - 1), a.slots().get(i))
                .max(Comparator.comparingInt(s -> s.played().lengthTicks()))
                .orElseThrow();
        whole = whole.pin(a.slots().get(i - 1).played().ref(), longest.held());
      }
    }
    return whole;
  }

  private static long hard(Arrangement a) {
    return Review.of(a).findings().stream().filter(f -> f.finding().grade().isHard()).count();
  }

  /** What is held for a part of the time counts for that part, and the terms add up. */
  @Test
  void theCostOfPartsAddsUp() {
    Arrangement a = new Arranger().arrange(climbing());
    Cost cost = a.plan().explain((i, rated) -> Arranger.explain(a, i, rated));
    double sum = 0;
    for (int i = 0; i < a.slots().size(); i++) {
      sum += Arranger.explain(a, i, a.plan().chosen(i)).value();
      assertThat(Arranger.explain(a, i, a.plan().chosen(i)).value())
          .isCloseTo(a.plan().chosen(i).cost(), within());
    }
    assertThat(cost.value()).isCloseTo(a.plan().cost(), within());
    assertThat(sum).isLessThanOrEqualTo(cost.value());
  }

  private static org.assertj.core.data.Offset<Double> within() {
    return org.assertj.core.data.Offset.offset(1e-6);
  }

  /**
   * A shape pinned while a chord lasts is held from there on, and the chord before it as before.
   */
  @Test
  void aPinInTheMiddleOfAChordBeginsAPart() {
    Song song = TestSongs.of("Am | Dm");
    int bar = song.chart().bars().get(0).id();
    Shape high = shape("x07555");
    Song low = song.pin(new SlotRef(bar, 0), shape("x02210"));
    Arrangement a = new Arranger().arrange(low.pin(new SlotRef(bar, 2 * BEAT), high));
    assertThat(a.slots()).hasSize(3);
    assertThat(a.slots().get(0).held().fretText()).isEqualTo("x02210");
    assertThat(a.slots().get(1).held()).isEqualTo(high);
    assertThat(a.slots().get(1).played().lengthTicks()).isEqualTo(2 * BEAT);
    assertThat(a.slots().get(0).held()).isNotEqualTo(high);
    Set<Integer> late = new HashSet<>();
    a.notesFrom(2 * BEAT, 4 * BEAT)
        .forEach(n -> late.add(high.fret(n.string()).orElse(-1) - n.fret()));
    assertThat(late).as("struck notes of the second half lie in the pinned shape").containsOnly(0);
  }

  /** Where the chord changes, the shape that was pinned in the middle of it goes with it. */
  @Test
  void aPinOfAPartGoesWithItsChord() {
    Song song = TestSongs.of("Am | Am | Dm");
    Bar going = song.chart().bars().get(1).withChanges(List.of());
    song = song.editChart(chart -> ChartEdits.replace(chart, going));
    int second = going.id();
    Shape high = shape("x07555");
    Song pinned = song.pin(new SlotRef(second, 2 * BEAT), high);
    assertThat(Timeline.of(pinned).slots()).hasSize(4);
    Song other =
        pinned.editChart(
            chart ->
                ChartEdits.replace(
                    chart,
                    chart
                        .bars()
                        .get(0)
                        .withChanges(TestSongs.of("Em").chart().bars().get(0).changes())));
    assertThat(other.pins().shapes()).isEmpty();
    assertThat(Timeline.of(other).slots()).hasSize(3);
  }

  @Test
  void theTimelineIsCutOnlyInsideItsChords() {
    Timeline whole = Timeline.of(TestSongs.of("Am | Dm"));
    assertThat(whole.cut(Set.of(0, 4 * BEAT, 99 * BEAT))).isEqualTo(whole);
    Timeline cut = whole.cut(Set.of(BEAT)).cut(Set.of(3 * BEAT));
    assertThat(cut).isEqualTo(whole.cut(Set.of(BEAT, 3 * BEAT)));
    assertThat(cut.slots().subList(0, 3).stream().map(Timeline.PlayedSlot::share).toList())
        .isEqualTo(List.of(0.25, 0.5, 0.25));
  }
}
