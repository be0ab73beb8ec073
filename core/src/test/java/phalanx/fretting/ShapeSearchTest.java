package phalanx.fretting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.theory.Chord;
import phalanx.theory.ChordReader;
import phalanx.theory.ChordReading;
import phalanx.theory.NoteName;

class ShapeSearchTest {

  private static final String[] SYMBOLS = {
    "C", "Am7", "F#m7b5", "Bb", "G13", "D/F#", "Esus4", "Ab7#9"
  };

  static Chord chord(String symbol) {
    return ((ChordReading.Read) ChordReader.read(symbol)).chord();
  }

  private static ShapeQuery query(String symbol) {
    return ShapeQuery.of(chord(symbol), Guitar.NYLON, Hand.MEDIUM);
  }

  /**
   * Open shapes every player learns first must be found and stand near the top (common practice).
   */
  @ParameterizedTest
  @CsvSource({
    "C,x32010", "G,320003", "Am,x02210", "D,xx0232", "E,022100", "Em,022000", "A,x02220",
    "Dm,xx0231", "D7,xx0212", "B7,x21202", "D/F#,200232", "Cmaj7,x32000", "Em7,020000", "F,133211"
  })
  void ranksTheFamiliarShapesHigh(String symbol, String frets) {
    List<String> first =
        ShapeSearch.find(query(symbol)).candidates(5, 1).stream()
            .map(s -> s.shape().fretText())
            .toList();
    assertThat(first).contains(frets);
  }

  @Property
  void everyShapeIsOneTheQueryAllows(
      @ForAll @IntRange(max = 7) int which, @ForAll @IntRange(max = 5000) int rank) {
    ShapeQuery query = query(SYMBOLS[which]);
    RankedShapes found = ShapeSearch.find(query);
    Shape shape = found.get(rank % found.size()).shape();
    List<Integer> midi = shape.midi(Guitar.NYLON);
    assertThat(Math.floorMod(midi.get(0), 12)).isEqualTo(query.chord().bass().chroma());
    assertThat(midi)
        .allMatch(
            m ->
                query.chord().intervalOf(Math.floorMod(m, 12)).isPresent()
                    || m % 12 == query.chord().bass().chroma());
    query.chord().tones().stream()
        .filter(t -> t.essential())
        .map(t -> query.chord().root().plus(t.interval()).chroma())
        .forEach(chroma -> assertThat(midi).anyMatch(m -> m % 12 == chroma));
    Reach reach = new Reach(Guitar.NYLON, Hand.MEDIUM);
    reach
        .widestSpan(shape)
        .ifPresent(s -> assertThat(s.millimetres()).isLessThanOrEqualTo(s.limit() + 1e-9));
  }

  @Property
  void theExplanationAddsUpToTheCost(
      @ForAll @IntRange(max = 7) int which, @ForAll @IntRange(max = 5000) int rank) {
    ShapeQuery query = query(SYMBOLS[which]);
    RankedShapes found = ShapeSearch.find(query);
    RatedShape rated = found.get(rank % found.size());
    Cost cost = ShapeSearch.explain(query, rated.shape());
    assertThat(cost.value()).isCloseTo(rated.cost(), within(1e-9));
    assertThat(cost.parts().stream().mapToDouble(Cost::value).sum())
        .isCloseTo(rated.cost(), within(1e-9));
  }

  @Test
  void findsTheCapoShapeAndItsSoundingNotes() {
    Guitar capo = Guitar.NYLON.withCapo(2);
    RankedShapes found = ShapeSearch.find(ShapeQuery.of(chord("G"), capo, Hand.MEDIUM));
    RatedShape shape = found.fingering(List.of(3, 2, 0, 0, 0, 3)).orElseThrow();
    assertThat(shape.shape().midi(capo)).containsExactly(45, 49, 52, 57, 61, 69);
  }

  /** Check values of the trade (common practice, no source). */
  @Test
  void offersTheThumbAndTheFreeingFingerings() {
    RankedShapes f = ShapeSearch.find(query("F"));
    assertThat(f)
        .anyMatch(
            r ->
                r.shape().finger(0).equals(Optional.of(Finger.THUMB))
                    && !r.shape().grips().containsKey(Finger.LITTLE));
    RankedShapes c = ShapeSearch.find(query("C").withBass(NoteName.parse("G")));
    assertThat(c).anyMatch(r -> r.shape().toString().equals("332010 342·1·"));
    assertThat(ShapeSearch.find(query("F").withoutThumb()))
        .noneMatch(r -> r.shape().grips().containsKey(Finger.THUMB));
  }

  @Test
  void putsTheTuneOnTop() {
    RankedShapes found = ShapeSearch.find(query("C").withTop(67));
    assertThat(found).isNotEmpty();
    assertThat(found)
        .allMatch(
            r -> r.shape().midi(Guitar.NYLON).stream().mapToInt(m -> m).max().orElse(0) == 67);
  }

  /** C5 over G: no tone of it, at fret 8 of ①, 13 of ②, 17 of ③, 22 of ④. */
  @Test
  void leavesRoomForANoteAbove() {
    RankedShapes found = ShapeSearch.find(query("G").withAllBelow(72));
    assertThat(found).anyMatch(r -> r.shape().toString().equals("x 10 9 7 x x ·431··"));
    assertThat(found)
        .allSatisfy(
            r -> {
              Shape shape = r.shape();
              assertThat(shape.midi(Guitar.NYLON)).allMatch(m -> m < 72);
              int low = shape.grips().values().stream().mapToInt(Grip::fret).min().orElse(0);
              assertThat(List.of(8, 13, 17, 22)).anyMatch(f -> low <= f && f <= low + 5);
              long still = shape.grips().values().stream().filter(g -> g.lowString() < 5).count();
              assertThat(still)
                  .isLessThan(shape.finger(0).equals(Optional.of(Finger.THUMB)) ? 5 : 4);
            });
  }

  @ParameterizedTest
  @ValueSource(strings = {"C", "G13", "F#m7b5"})
  void aSmallerHandHoldsNoMoreShapes(String symbol) {
    int small = ShapeSearch.find(ShapeQuery.of(chord(symbol), Guitar.NYLON, Hand.SMALL)).size();
    int medium = ShapeSearch.find(ShapeQuery.of(chord(symbol), Guitar.NYLON, Hand.MEDIUM)).size();
    int large = ShapeSearch.find(ShapeQuery.of(chord(symbol), Guitar.NYLON, Hand.LARGE)).size();
    assertThat(small).isLessThan(medium);
    assertThat(medium).isLessThan(large);
  }

  @Test
  void saysHowSilentStringsAreKeptQuiet() {
    Shape shape = Shape.of(new int[] {3, -1, 0, 0, 0, 3}, new int[] {2, 0, 0, 0, 0, 3});
    assertThat(Muting.of(shape))
        .containsExactly(
            new Muting.Muted(
                1,
                Muting.Reason.TIP,
                Optional.of(Finger.numbered(2)),
                "muted by the tip of finger 2"));
    Shape d = Shape.of(new int[] {-1, -1, 0, 2, 3, 2}, new int[] {0, 0, 0, 1, 3, 2});
    assertThat(Muting.of(d))
        .extracting(Muting.Muted::reason)
        .containsExactly(Muting.Reason.THUMB, Muting.Reason.NOT_STRUCK);
  }
}
