package phalanx.fretting;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Hand;
import phalanx.instrument.Tuning;
import phalanx.song.TestSongs;

/** What players do with the fretting hand; all of it common practice, no source. */
class HandCheckValuesTest {

  private static final Reach REACH = new Reach(Guitar.STEEL, Hand.MEDIUM);

  private static ShapeQuery query(String symbol) {
    return ShapeQuery.of(TestSongs.chord(symbol), Guitar.STEEL, Hand.MEDIUM);
  }

  private static ShapeTrial trial(Integer... frets) {
    return ShapeTrial.of(List.of(frets), REACH);
  }

  private static List<String> names(Integer... frets) {
    return trial(frets).names().stream().map(n -> n.chord().ascii()).toList();
  }

  @Test
  void aThumbRouteOnTheTwoLowStringsAsksForCWithItsLittleFingerOnTheFifth() {
    RankedShapes found =
        ShapeSearch.find(query("C").withBass(Optional.empty()).withSounding(Set.of(0, 1)));
    assertThat(found)
        .isNotEmpty()
        .allMatch(r -> r.shape().sounds(0) && r.shape().sounds(1))
        .anyMatch(r -> r.shape().toString().equals("332010 342·1·"));
  }

  @Test
  void fWithTheThumbOverLeavesTheLittleFingerFree() {
    List<RatedShape> thumb =
        ShapeSearch.find(query("F")).stream()
            .filter(r -> r.shape().finger(0).equals(Optional.of(Finger.THUMB)))
            .filter(r -> r.shape().fret(0).equals(OptionalInt.of(1)))
            .toList();
    assertThat(thumb).anyMatch(r -> !r.shape().grips().containsKey(Finger.LITTLE));
  }

  @Test
  void aHandThatKeepsItsThumbBehindTheNeckIsNotOfferedIt() {
    ShapeQuery query =
        ShapeQuery.of(TestSongs.chord("F"), Guitar.STEEL, Hand.MEDIUM.withThumbOver(false));
    assertThat(ShapeSearch.find(query)).noneMatch(r -> r.shape().grips().containsKey(Finger.THUMB));
  }

  @Test
  void theMajorNinthOnTheTenthFretIsFingered2143AndNamed() {
    ShapeTrial trial = trial(-1, 10, 9, 11, 10, -1);
    assertThat(trial.fingerings().get(0).shape().fingerText()).isEqualTo("·2143·");
    assertThat(trial.names().get(0).chord().ascii()).isEqualTo("Gmaj9");
    assertThat(names(-1, 10, 9, 10, 10, -1)).contains("G9");
    assertThat(names(-1, 10, 8, 10, 10, -1)).contains("Gm9");
    assertThat(names(-1, 9, 8, 9, 10, -1)).contains("F#7#9");
    assertThat(names(-1, 9, 8, 10, 9, -1)).contains("F#maj9");
  }

  /** The relay: through the whole row no finger moves that could stay in the plan's next shape. */
  @Test
  void aRowOfNinthsKeepsItsFingersInARelay() {
    ChangeCosts changes = new ChangeCosts(REACH);
    List<List<Integer>> row =
        List.of(
            List.of(-1, 10, 9, 11, 10, -1),
            List.of(-1, 10, 9, 10, 10, -1),
            List.of(-1, 10, 8, 10, 10, -1),
            List.of(-1, 9, 8, 9, 10, -1),
            List.of(-1, 9, 8, 10, 9, -1));
    List<PlanSlot> slots = new ArrayList<>();
    for (List<Integer> frets : row) {
      slots.add(new PlanSlot(ShapeTrial.of(frets, REACH).fingerings(), OptionalInt.empty(), 2000));
    }
    List<Shape> shapes = PlanSolver.solve(new PlanProblem(slots, changes)).shapes();
    assertThat(shapes.get(0).fingerText()).isEqualTo("·2143·");
    for (int i = 1; i < shapes.size(); i++) {
      Shape from = shapes.get(i - 1);
      Shape to = shapes.get(i);
      List<Shape> ways =
          ShapeTrial.of(row.get(i), REACH).fingerings().stream().map(RatedShape::shape).toList();
      for (int string : from.soundingStrings()) {
        Optional<Finger> held = from.finger(string);
        boolean goesOn = held.isPresent() && from.fret(string).equals(to.fret(string));
        boolean couldStay = ways.stream().anyMatch(w -> w.finger(string).equals(held));
        assertThat(!goesOn || !couldStay || to.finger(string).equals(held))
            .as("%s → %s on %d", from, to, string)
            .isTrue();
      }
    }
    assertThat(shapes.get(1).fingerText()).isEqualTo("·2143·");
  }

  @Test
  void aVeryWideShapeGetsTheStretchFinding() {
    ShapeTrial trial = trial(-1, 4, 6, 2, -1, 0);
    Shape shape = trial.fingerings().get(0).shape();
    StretchRule.Stretch stretch = StretchRule.of(shape, REACH).orElseThrow();
    assertThat(stretch.millimetres()).isGreaterThan(stretch.limit());
    assertThat(stretch.words()).contains("mm apart");
    assertThat(StretchRule.of(trial(-1, 3, 2, 0, 1, 0).fingerings().get(0).shape(), REACH))
        .isEmpty();
  }

  @Test
  void whatNoHandCanHoldSaysWhy() {
    assertThat(trial(1, -1, -1, -1, -1, 9).trouble()).get().asString().startsWith("out of reach");
    assertThat(trial(1, 2, 3, 1, 2, 3).trouble()).get().asString().startsWith("needs more fingers");
    assertThat(trial(0, 0, 0, 0, 0, 22).trouble()).get().asString().contains("20 frets");
    assertThat(trial(-1, 3, 2, 0, 1, 0).trouble()).isEmpty();
  }

  @Test
  void allowedStretchesReachFurtherAtAHighCost() {
    Reach wide = new Reach(Guitar.STEEL, Hand.MEDIUM.withStretches(true));
    int[] frets = {-1, 4, 6, 2, -1, 0};
    List<Double> tame = new ArrayList<>();
    new FingerSearch(new ShapeMeasure(REACH), true).search(frets, (g, cost) -> tame.add(cost));
    assertThat(tame).isEmpty();
    RatedShape stretched = trial(-1, 4, 6, 2, -1, 0).fingerings().get(0);
    Reach.Span span = wide.widestSpan(stretched.shape()).orElseThrow();
    assertThat(span.millimetres())
        .isGreaterThan(span.limit())
        .isLessThanOrEqualTo(span.limit() * Hand.STRETCH);
    assertThat(stretched.cost()).isGreaterThan(1);
  }

  @Test
  void aMeasuredHandReachesInProportion() {
    assertThat(Hand.measured(Hand.MEDIUM_SPREAD).limit(Finger.INDEX, Finger.LITTLE))
        .isEqualTo(Hand.MEDIUM.limit(Finger.INDEX, Finger.LITTLE));
    assertThat(Hand.measured(126).limit(Finger.INDEX, Finger.LITTLE))
        .isEqualTo(Hand.SMALL.limit(Finger.INDEX, Finger.LITTLE));
  }

  /** A capo over ⑤ ④ ③ on fret 2 leaves the others ringing from the nut, two frets lower. */
  @Test
  void aPartialCapoLeavesStringsFree() {
    Guitar guitar = Guitar.STEEL.withCapo(2, Set.of(1, 2, 3));
    assertThat(guitar.midi(0, 0)).isEqualTo(40);
    assertThat(guitar.midi(1, 0)).isEqualTo(47);
    assertThat(guitar.midi(0, 2)).isEqualTo(44);
    assertThat(guitar.shapeMidi(0, 0)).isEqualTo(38);
    // E B E A B E: the open strings are an E suspended fourth, written a tone lower.
    RankedShapes open =
        ShapeSearch.find(ShapeQuery.of(TestSongs.chord("Dsus4"), guitar, Hand.MEDIUM));
    assertThat(open.get(0).shape().fretText()).isEqualTo("000000");
  }

  @Test
  void beyondTheBodyACutawayHelps() {
    ShapeQuery plain = query("C").withHighestFret(20);
    ShapeQuery cut =
        ShapeQuery.of(TestSongs.chord("C"), Guitar.STEEL.withBody(14, true), Hand.MEDIUM)
            .withHighestFret(20);
    List<Integer> high = List.of(-1, 15, 17, 17, 17, 15);
    double without = ShapeSearch.find(plain).fingering(high).orElseThrow().cost();
    assertThat(ShapeSearch.find(cut).fingering(high).orElseThrow().cost()).isLessThan(without);
  }

  /** In any tuning of six strings every shape that is found sounds its chord. */
  @ParameterizedTest
  @CsvSource({"D A D G A D,G", "D G D G B D,C", "C G C G C E,F", "D A D F# A D,Bm7"})
  void everyTuningHasItsShapes(String tuning, String symbol) {
    Guitar guitar = Guitar.STEEL.withTuning(Tuning.parse(tuning).orElseThrow());
    RankedShapes found =
        ShapeSearch.find(ShapeQuery.of(TestSongs.chord(symbol), guitar, Hand.MEDIUM));
    assertThat(found).isNotEmpty();
    IntStream.range(0, Math.min(50, found.size()))
        .mapToObj(found::get)
        .flatMap(r -> r.shape().midi(guitar).stream())
        .forEach(
            m -> assertThat(TestSongs.chord(symbol).intervalOf(Math.floorMod(m, 12))).isPresent());
  }

  /** One shape, several names. */
  @Test
  void namesAlternativesAsPlayersDo() {
    assertThat(names(-1, 3, 2, 0, 0, 0)).startsWith("Cmaj7");
    assertThat(trial(-1, 3, 2, 0, 0, 0).names())
        .anyMatch(n -> n.rootless() && n.chord().ascii().startsWith("Am9"));
    // D over an E bass: E A D F#, an E ninth with the fourth in place of the third.
    assertThat(names(0, 0, 0, 2, 3, 2)).contains("D/E").anyMatch(n -> n.matches("E(7|9)sus4"));
    // C6 and Am7 have the same notes; the bass decides which comes first.
    assertThat(names(-1, 3, 5, 5, 5, 5)).startsWith("C6").contains("Am7/C");
    assertThat(names(-1, 0, 2, 0, 1, 0)).startsWith("Am7").contains("C6/A");
    // A diminished seventh chord is four chords.
    assertThat(names(-1, -1, 0, 1, 0, 1))
        .startsWith("Ddim7")
        .contains("Fdim7/D", "Abdim7/D", "Bdim7/D");
  }

  /**
   * D as x54232: index and little finger are nearer to their limit, but at ease; middle and little
   * finger are not, and that is said. The plan weighs it as it says it.
   */
  @Test
  void aStretchOfNeighboursIsNotHiddenByAWiderSpan() {
    Shape shape = trial(-1, 5, 4, 2, 3, 2).fingerings().get(0).shape();
    Reach.Span widest = REACH.widestSpan(shape).orElseThrow();
    assertThat(StretchRule.isNotable(widest)).isFalse();
    assertThat(StretchRule.of(shape, REACH).orElseThrow().millimetres()).isBetween(63.0, 64.5);
    assertThat(ShapeStretches.of(shape, REACH).foundWeight(Set.of()))
        .isEqualTo(CostTerm.WILL_BE_HEARD.weight());
  }
}
