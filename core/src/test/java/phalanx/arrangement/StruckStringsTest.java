package phalanx.arrangement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.fretting.RatedShape;
import phalanx.fretting.Shape;
import phalanx.fretting.ShapeSearch;
import phalanx.instrument.Guitar;
import phalanx.instrument.Tuning;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.PatternReader;
import phalanx.picking.PickingStyle;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** A pattern asks for the strings its fingers are at home on. */
class StruckStringsTest {

  private static final Guitar LOW_D =
      Guitar.STEEL.withTuning(Tuning.parse("D A D G B E").orElseThrow());

  private static PickingStyle rows(String rows) {
    PatternReader.Result read = PatternReader.read("name: x\nmetre: 4/4\n" + rows);
    assertThat(read.problems()).isEmpty();
    return read.patterns().get(0);
  }

  private static Set<Integer> struck(Song song) {
    return Arranger.struck(new Arranger().arrange(song), 0);
  }

  @Test
  void theFingersHomesAreTheStringsOfTheirRoles() {
    Song song = TestSongs.of("C");
    assertThat(struck(song.withPattern(rows("upper | . m | . . | . . | . . |\n"))))
        .containsExactly(4);
    assertThat(struck(song.withPattern(rows("thumb | p . | p . | p . | p . |\n")))).isEmpty();
  }

  /** A single chord is held as the shape that costs least with 0.3 for every silent string. */
  @ParameterizedTest
  @ValueSource(strings = {"A7sus4", "C", "F#m", "Bb", "Gmaj7", "D9"})
  void aChordIsHeldSoThatThePatternIsHeard(String chord) {
    Song song = TestSongs.of(chord).withGuitar(LOW_D).withPattern(AlternatingThumb.FINGERS_BETWEEN);
    Arrangement a = new Arranger().arrange(song);
    Set<Integer> strings = Arranger.struck(a, 0);
    assertThat(strings).isNotEmpty();
    List<RatedShape> all =
        ShapeSearch.find(Arranger.query(song, TestSongs.chord(chord))).candidates(60, 3);
    double least =
        all.stream()
            .mapToDouble(r -> r.cost() + 0.3 * silent(r.shape(), strings))
            .min()
            .orElseThrow();
    assertThat(a.plan().cost()).isCloseTo(least, within(1e-9));
  }

  private static long silent(Shape shape, Set<Integer> strings) {
    return strings.stream().filter(s -> !shape.sounds(s)).count();
  }
}
