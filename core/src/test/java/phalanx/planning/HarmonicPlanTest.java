package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.tune.TuneLine;
import phalanx.instrument.Finger;
import phalanx.melody.TuneReader;
import phalanx.melody.TuneWriter;
import phalanx.picking.AlternatingThumb;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.song.Timeline;
import phalanx.technique.Technique;
import phalanx.theory.Meter;

/** Natural harmonics of which the player names the node. Their places: physics of the string. */
class HarmonicPlanTest {

  private static List<Note> tune(String bar) {
    Song song =
        TestSongs.singing(TestSongs.of("Em"), bar).withPattern(AlternatingThumb.THUMB_ALONE);
    Arrangement a = new Arranger().arrange(song);
    return a.notes().stream().filter(n -> n.part() == Note.Part.TUNE).toList();
  }

  @ParameterizedTest
  @CsvSource({
    "b5@1(h7), 3, 1",
    "b5@1(h19), 3, 2",
    "e6@1(h5), 4, 1",
    "g#6@1(h4), 5, 1",
    "g#6@1(h3.9), 5, 1",
    "g#6@1(h9), 5, 2",
    "g#6@1(h8.8), 5, 2",
    "g#6@1(h15.9), 5, 3",
    "b6@1(h3.2), 6, 1",
    "e5@1(h12), 2, 1"
  })
  void theNodeThatIsNamedIsTouched(String cell, int harmonic, int node) {
    assertThat(tune(cell + " . . ."))
        .singleElement()
        .satisfies(
            n ->
                assertThat(n.techniques()).contains(new Technique.NaturalHarmonic(harmonic, node)));
  }

  @Test
  void aNodeThatDoesNotSoundThePitchHasNoPlace() {
    assertThat(tune("e5@1(h7) . . .")).isEmpty();
    assertThat(tune("e5@1(h) . . .")).hasSize(1);
    Song off = TestSongs.singing(TestSongs.of("Em"), "e5@1(h7) f5(h) . .");
    assertThat(new Arranger().arrange(off).slots().get(0).remarks())
        .anyMatch(r -> r.contains("E5 is out of reach at that node: it sounds on ① over 12"))
        .anyMatch(r -> r.contains("F5 is no natural harmonic of any open string"));
  }

  @Test
  void everyNodeIsReadAsItIsWritten() {
    assertThat(Technique.NaturalHarmonic.ALL).hasSize(17);
    for (Technique.NaturalHarmonic node : Technique.NaturalHarmonic.ALL) {
      String text = "e5(" + node.text() + ")";
      TuneReader.Result read = TuneReader.read(text, Meter.FOUR_FOUR);
      assertThat(read.problems()).isEmpty();
      assertThat(read.tune().notes().get(0).techniques()).containsExactly(node);
      assertThat(TuneWriter.write(read.tune(), Meter.FOUR_FOUR)).isEqualTo(text);
    }
  }

  /** A place on the neck with a node gives the overtone of that node on that string. */
  @Test
  void aPlaceSoundsItsNode() {
    Song song = TestSongs.singing(TestSongs.of("Em"), "1:3(h3.2) 1:3(h2.7) 1:12(h) .");
    assertThat(TuneLine.of(song, Timeline.of(song)))
        .extracting(s -> s.midi())
        .containsExactly(95, 98, 76);
  }

  private static Arrangement alone(String bar) {
    Song song = TestSongs.singing(TestSongs.of("N.C."), bar);
    return new Arranger().arrange(song);
  }

  /**
   * A chord of natural harmonics where nothing is held: one finger lies across the strings over
   * fret 12, the thumb plucks the lowest of four (common practice, no source).
   */
  @Test
  void harmonicsAtOnceAreTouchedByOneFingerLaidAcross() {
    Arrangement a = alone("d4+g4+b4+e5(h) . . .");
    assertThat(a.notes()).hasSize(4).allMatch(n -> n.fret() == 12);
    assertThat(a.notes())
        .extracting(n -> n.pick().orElseThrow().letter())
        .containsExactly("p", "i", "m", "a");
    assertThat(a.notes()).extracting(n -> n.fretFinger().orElseThrow()).containsOnly(Finger.RING);
    assertThat(a.holds())
        .singleElement()
        .satisfies(
            h -> {
              assertThat(h.lowString()).isEqualTo(2);
              assertThat(h.highString()).isEqualTo(5);
            });
    assertThat(a.slots().get(0).remarks()).isEmpty();
  }

  @Test
  void harmonicsWithoutAFretInCommonAreNotOneTouch() {
    assertThat(alone("b5@1+b4@2(h) . . .").slots().get(0).remarks())
        .anyMatch(r -> r.contains("out of reach"));
  }
}
