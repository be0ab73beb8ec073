package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.fretting.Cost;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Reach;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeSearch;
import phalanx.fretting.Stop;
import phalanx.instrument.Finger;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.PatternHeard;
import phalanx.picking.PatternReader;
import phalanx.picking.PickingStyle;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** A pattern asks for its strings, a second bass for the thumb and the third of the chord. */
class PatternHeardTest {

  private static final Guitar LOW_D =
      Guitar.STEEL.withTuning(Tuning.parse("D A D G B E").orElseThrow());

  private static PickingStyle rows(String rows) {
    PatternReader.Result read = PatternReader.read("name: x\nmetre: 4/4\n" + rows);
    assertThat(read.problems()).isEmpty();
    return read.patterns().get(0);
  }

  private static Set<Integer> struck(Song song) {
    return new Arranger().arrange(song).slots().get(0).heard().homes();
  }

  private static Shape shape(String frets, String fingers) {
    List<Stop> stops = new ArrayList<>();
    for (int s = 0; s < frets.length(); s++) {
      char fret = frets.charAt(s);
      Stop pressed =
          fret > '0' && fret <= '9'
              ? new Stop.Pressed(fret - '0', Finger.values()[fingers.charAt(s) - '0'])
              : new Stop.Open();
      stops.add(fret == 'x' ? new Stop.Silent() : pressed);
    }
    return new Shape(stops);
  }

  /**
   * Ode to Joy, third bar (Ludwig van Beethoven, 1824; from memory): the tune lifts a finger off
   * xx0232, and the thumb goes on between ④ and the open ⑤, as players do (common practice, no
   * source).
   */
  @Test
  void theThumbGoesOnOverAnOpenStringWhileTheTuneMovesAFinger() {
    Song song = TestSongs.of("G | G | D | G").withPattern(AlternatingThumb.FINGERS_BETWEEN);
    Arrangement a =
        new Arranger()
            .arrange(TestSongs.singing(song, "b3 b c4 d", "d4 c b3 a", "g3 g a b", "b3 . a ."));
    Slot d = a.slots().get(2);
    assertThat(d.held().fretText()).isEqualTo("xx0232");
    assertThat(a.notesFrom(d.fromTick(), d.toTick()))
        .filteredOn(n -> n.part() == Note.Part.BASS)
        .extracting(Note::string)
        .containsExactly(2, 1, 2, 1);
  }

  /** The thin shape has neither third nor second bass; players hold the full one. */
  @Test
  void theThirdAndASecondBassAreWorthSomething() {
    Song song = TestSongs.of("C").withPattern(AlternatingThumb.FINGERS_BETWEEN);
    PatternHeard heard = new Arranger().arrange(song).slots().get(0).heard();
    assertThat(heard.terms(shape("x32013", ".32.14"))).isEmpty();
    // Open ⑥ is the third of C, and the thumb may have it; over G no open string is.
    assertThat(heard.terms(shape("x3x0x3", ".1...2")))
        .extracting(Cost::name)
        .containsExactly("strings of the pattern that do not sound");
    PatternHeard overG = new Arranger().arrange(TestSongs.of("G")).slots().get(0).heard();
    assertThat(overG.terms(shape("3x0033", "1...23")))
        .extracting(Cost::name)
        .contains("nobody strikes the third");
    PatternHeard overEFlat = new Arranger().arrange(TestSongs.of("Eb")).slots().get(0).heard();
    assertThat(overEFlat.terms(shape("xx134x", "..124.")))
        .extracting(Cost::name)
        .contains("no second bass string for the thumb");
  }

  @Test
  void theFingersHomesAreTheStringsOfTheirRoles() {
    Song song = TestSongs.of("C");
    assertThat(struck(song.withPattern(rows("upper | . m | . . | . . | . . |\n"))))
        .containsExactly(4);
    assertThat(struck(song.withPattern(rows("thumb | p . | p . | p . | p . |\n")))).isEmpty();
  }

  /** A single chord is held as the shape that costs least with what is not heard over it. */
  @ParameterizedTest
  @ValueSource(strings = {"A7sus4", "C", "F#m", "Bb", "Gmaj7", "D9"})
  void aChordIsHeldSoThatThePatternIsHeard(String chord) {
    Song song = TestSongs.of(chord).withGuitar(LOW_D).withPattern(AlternatingThumb.FINGERS_BETWEEN);
    Arrangement a = new Arranger().arrange(song);
    PatternHeard heard = a.slots().get(0).heard();
    assertThat(heard.homes()).isNotEmpty();
    Reach reach = a.plan().problem().changes().reach();
    List<RatedShape> all =
        ShapeSearch.find(Arranger.query(song, TestSongs.chord(chord))).candidates(60, 3);
    double least =
        all.stream()
            .mapToDouble(r -> StruckShape.of(r.shape(), heard, reach).cost(r.cost()))
            .min()
            .orElseThrow();
    assertThat(a.plan().cost()).isCloseTo(least, within(1e-9));
  }
}
