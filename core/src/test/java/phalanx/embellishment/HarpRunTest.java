package phalanx.embellishment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Attack;
import phalanx.arrangement.Note;
import phalanx.findings.Review;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeTrial;
import phalanx.instrument.Guitar;
import phalanx.picking.PickFinger;
import phalanx.planning.Arranger;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Tune;
import phalanx.theory.Meter;
import phalanx.theory.NoteName;
import phalanx.theory.ScaleNaming;

class HarpRunTest {

  private static final List<Integer> BARRE = List.of(5, 5, 5, 5, 5, 5);

  private static HarpRun run(List<Integer> frets, String order) {
    return HarpRun.of(frets, HarpRun.order(order).orElseThrow(), Guitar.STEEL);
  }

  /**
   * A barre at fret 5 in standard tuning: an A minor pentatonic run (common practice, no source).
   */
  @Test
  void aBarreAtFretFiveRunsUpAMinorPentatonic() {
    HarpRun run = run(BARRE, "4 6* 3 5* 2 4* 1 3*");
    assertThat(run.scale()).contains("A minor pentatonic");
    // G3 A3 C4 D4 E4 G4 A4 C5, a step of the scale each.
    assertThat(run.notes())
        .extracting(HarpRun.HarpNote::midi)
        .containsExactly(55, 57, 60, 62, 64, 67, 69, 72);
    assertThat(run.notes())
        .extracting(n -> n.pick().orElseThrow())
        .startsWith(PickFinger.A, PickFinger.P, PickFinger.A);
    assertThat(run.notes().get(1).touchFret()).contains(17);
  }

  /** Over D9 held x54555: its eight pitches, D's ninth chord without other notes. */
  @Test
  void aNinthChordNamesItsEightPitches() {
    HarpRun run = run(List.of(-1, 5, 4, 5, 5, 5), "3 5* 2 4* 1 3* 2 4*");
    assertThat(run.notes())
        .extracting(n -> n.name().toString())
        .containsExactly("C", "D", "E", "F♯", "A", "C", "E", "F♯");
    assertThat(run.scale()).isPresent();
  }

  /**
   * Five tones of a pentatonic make it one; with less the run is an arpeggio, and the finger that
   * is missing is named (theory of scales).
   */
  @Test
  void aRunIsOnlyCalledByAScaleThatIsAllThere() {
    assertThat(run(List.of(-1, -1, 0, 2, 3, 2), "2 4* 1 3*").scale())
        .contains("arpeggio of D, F♯, A");
    assertThat(run(List.of(0, 0, 0, 0, 0, 0), "4 6* 3 5* 2 4* 1 3*").scale())
        .contains("E minor pentatonic");
    assertThat(run(List.of(0, 2, 2, 0, 3, 0), "4 6* 3 5* 2 4* 1 3*").scale())
        .hasValueSatisfying(s -> assertThat(s).startsWith("arpeggio of E, G, B, D; with "))
        .hasValueSatisfying(s -> assertThat(s).contains("A on ③ 2", "E minor pentatonic"));
  }

  @Test
  void proposalsAlternateAndUseSoundingStringsOnly() {
    for (String frets : List.of("555555", "x54555", "x32010", "320003", "xx0232")) {
      List<Integer> shape = frets.chars().map(c -> c == 'x' ? -1 : c - '0').boxed().toList();
      for (List<HarpRun.Step> order : HarpRun.proposals(shape)) {
        HarpRun run = HarpRun.of(shape, order, Guitar.STEEL);
        for (int i = 1; i < order.size(); i++) {
          assertThat(order.get(i).touched()).isNotEqualTo(order.get(i - 1).touched());
          assertThat(order.get(i).string()).isNotEqualTo(order.get(i - 1).string());
        }
        long pulled = order.stream().filter(o -> o.above() != 0).count();
        assertThat(run.notes()).hasSize(order.size() + (int) pulled);
        assertThat(HarpRun.order(HarpRun.text(order))).contains(order);
      }
    }
    assertThat(HarpRun.proposals(BARRE)).hasSize(12);
    assertThat(HarpRun.proposals(List.of(-1, -1, 0, 2, 3, 2))).isNotEmpty();
    assertThat(HarpRun.proposals(List.of(-1, -1, -1, 0, 0, 0))).isNotEmpty();
  }

  /**
   * With a pull-off as third note a beat has three: over a barre at fret 5 the little or ring
   * finger comes down on the next note of A minor pentatonic (common practice, no source).
   */
  @Test
  void aPullOffMakesThreeNotesABeat() {
    HarpRun run = run(BARRE, "4p 6* 3p 5* 2p 4* 1p 3*");
    assertThat(run.scale()).contains("A minor pentatonic");
    assertThat(run.notes())
        .extracting(HarpRun.HarpNote::fret)
        .containsExactly(7, 5, 5, 7, 5, 5, 8, 5, 5, 8, 5, 5);
    assertThat(run.notes())
        .extracting(n -> n.pick().map(PickFinger::letter).orElse("-"))
        .containsExactly("a", "-", "p", "a", "-", "p", "a", "-", "p", "a", "-", "p");
    assertThat(run.bar(Meter.FOUR_FOUR).notes()).hasSize(12).allMatch(n -> n.lengthTicks() == 1680);
    assertThat(run(BARRE, "4p3 6*").notes().get(0).fret()).isEqualTo(8);
    assertThat(HarpRun.text(HarpRun.order("4p 6* 3p1 5*").orElseThrow())).isEqualTo("4p 6* 3p1 5*");
  }

  /** Both hands can play it: every pull-off stays one, and nothing is hard at a calm tempo. */
  @Test
  void aRunWithPullOffsIsPlayedOverTheHeldShape() {
    HarpRun run = run(BARRE, "4p 6* 3p 5* 2p 4* 1p 3*");
    Arrangement a = new Arranger().arrange(into(run));
    assertThat(a.notes())
        .extracting(Note::midi)
        .containsExactlyElementsOf(run.notes().stream().map(HarpRun.HarpNote::midi).toList());
    assertThat(a.notes()).filteredOn(n -> n.attack() == Attack.PULLED).hasSize(4);
    assertThat(Review.of(a).tally().hard()).isZero();
  }

  @Test
  void whatIsNoOrderOrSilentIsRefused() {
    assertThat(HarpRun.order("7 1*")).isEmpty();
    assertThat(HarpRun.order("")).isEmpty();
    assertThatThrownBy(() -> run(List.of(-1, 3, 2, 0, 1, 0), "4 6*"))
        .hasMessageContaining("string 6 does not sound");
  }

  private static Song into(HarpRun run) {
    Song song = TestSongs.of("Am7").withTempo(70).withTune(Tune.NONE.withOnTop(false));
    Shape held = ShapeTrial.fingerings(BARRE, new Reach(song.guitar(), song.hand())).get(0).shape();
    return run.into(song, new SlotRef(1, 0), held);
  }

  /** In a song the run is played as it was built, its touching finger free for every note. */
  @Test
  void aRunIsPlayedOverTheHeldShape() {
    HarpRun run = run(BARRE, "4 6* 3 5* 2 4* 1 3*");
    Song song = into(run);
    Shape held = song.pins().shape(new SlotRef(1, 0)).orElseThrow();
    Arrangement a = new Arranger().arrange(song);
    assertThat(a.notes()).extracting(Note::midi).containsExactly(55, 57, 60, 62, 64, 67, 69, 72);
    assertThat(a.notes().stream().filter(n -> n.harmonic().isPresent()))
        .hasSize(4)
        .allMatch(n -> n.isPickedBy(PickFinger.P));
    assertThat(a.notes()).noneMatch(n -> n.isPickedBy(PickFinger.I));
    assertThat(a.slots().get(0).held()).isEqualTo(held);
    assertThat(Review.of(a).tally().hard()).isZero();
  }

  /** A long run goes into its bar in sixteenths; a short bar takes as much as it has room for. */
  @Test
  void aRunFitsItsBar() {
    HarpRun twice = run(BARRE, "4 6* 3 5* 2 4* 1 3* 2 4* 3 5* 4 6*");
    assertThat(twice.bar(Meter.FOUR_FOUR).notes()).hasSize(14);
    assertThat(twice.bar(Meter.parse("3/4").orElseThrow()).notes()).hasSize(12);
    assertThat(run(BARRE, "4 6* 3 5*").bar(Meter.FOUR_FOUR).notes())
        .allMatch(n -> n.lengthTicks() == 2520);
  }

  /** Names of scales by their steps: common practice, no source. */
  @ParameterizedTest
  @CsvSource({
    "C, '0 2 4 5 7 9 11', C major",
    "A, '9 0 2 4 7', A minor pentatonic",
    "C, '0 3 5 6 7 10', C blues scale",
    "G, '7 9 11 0 2 4 5', G Mixolydian",
    "D, '2 4 6', D major pentatonic"
  })
  void scalesAreNamedByTheirSteps(String root, String chromas, String name) {
    List<Integer> notes =
        java.util.Arrays.stream(chromas.split(" ")).map(Integer::valueOf).toList();
    assertThat(
            ScaleNaming.of(notes, List.of(NoteName.parse(root).orElseThrow()))
                .map(ScaleNaming.Scale::words))
        .isEqualTo(Optional.of(name));
  }
}
