package phalanx.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.theory.NoteNaming;

class FretboardTest {

  /**
   * The makers' rule: each fret takes 1/17.817 of the length that remains (published fret tables).
   */
  @ParameterizedTest
  @ValueSource(doubles = {630, 645, 648, 650, 660})
  void frets_lieWhereTheMakersRulePutsThem(double scale) {
    double remaining = scale;
    for (int fret = 1; fret <= 20; fret++) {
      remaining -= remaining / 17.817;
      assertThat(Fretboard.fretDistance(scale, fret)).isCloseTo(scale - remaining, within(0.01));
    }
  }

  @Property
  void theTwelfthFretAboveAnyFretHalvesTheString(@ForAll @IntRange(min = 0, max = 12) int fret) {
    double rest = 650 - Fretboard.fretDistance(650, fret);
    double octave = 650 - Fretboard.fretDistance(650, fret + 12);
    assertThat(octave).isCloseTo(rest / 2, within(1e-9));
  }

  @Test
  void aFingertipStaysTenMillimetresBehindItsFretOrAThirdOfANarrowGap() {
    Fretboard board = new Fretboard(Guitar.NYLON);
    assertThat(board.fretX(1) - board.fingertipX(1)).isCloseTo(10, within(1e-9));
    double gap = board.fretX(15) - board.fretX(14);
    assertThat(board.fretX(15) - board.fingertipX(15)).isCloseTo(0.35 * gap, within(1e-9));
  }

  @Test
  void theCapoCountsAsTheNut() {
    Fretboard open = new Fretboard(Guitar.STEEL);
    Fretboard capo = new Fretboard(Guitar.STEEL.withCapo(2));
    assertThat(capo.fretX(0)).isEqualTo(open.fretX(2));
    assertThat(capo.fretX(3)).isEqualTo(open.fretX(5));
    assertThat(Guitar.STEEL.withCapo(2).midi(0, 3)).isEqualTo(Guitar.STEEL.midi(0, 5));
  }

  @Test
  void stringsSpreadFromNutToBridge() {
    Fretboard board = new Fretboard(Guitar.NYLON);
    assertThat(board.stringY(5, 0) - board.stringY(0, 0)).isCloseTo(43, within(1e-9));
    assertThat(board.stringY(5, 650) - board.stringY(0, 650)).isCloseTo(58, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({
    "E A D G B E,40 45 50 55 59 64",
    "D A D G A D,38 45 50 55 57 62",
    "D2 G2 D3 G3 B3 E4,38 43 50 55 59 64",
    "DADGAD,38 45 50 55 57 62",
    "dadgbe,38 45 50 55 59 64",
    "DADF#AD,38 45 50 54 57 62",
    "EbAbDbGbBbEb,39 44 49 54 58 63",
    "D2A2D3G3A3D4,38 45 50 55 57 62",
    "D-G-D-G-B-D,38 43 50 55 59 62"
  })
  void readsATuningNearTheStandardOne(String text, String midi) {
    assertThat(Tuning.parse(text).orElseThrow().midi()).containsExactly(numbers(midi));
  }

  private static int[] numbers(String text) {
    return Stream.of(text.split(" ")).mapToInt(Integer::parseInt).toArray();
  }

  /** German names: H is B, B is B flat. */
  @ParameterizedTest
  @CsvSource({
    "EADGHE,40 45 50 55 59 64",
    "E A D G H E,40 45 50 55 59 64",
    "DADFisAD,38 45 50 54 57 62",
    "EsAsDesGesBEs,39 44 49 54 58 63"
  })
  void readsATuningAsItIsCalled(String text, String midi) {
    assertThat(Tuning.parse(text, NoteNaming.GERMAN).orElseThrow().midi())
        .containsExactly(numbers(midi));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "E A D G B",
        "E A D G B H",
        "",
        "E A D G B E E",
        "DADGA",
        ",",
        " - , ; ",
        ",D A D G A D",
        "DADGADD",
        "DADGAX",
        "open"
      })
  void takesNothingElseForATuning(String text) {
    assertThat(Tuning.parse(text)).isEmpty();
  }

  @Test
  void refusesACapoOffTheNeck() {
    assertThatThrownBy(() -> Guitar.STEEL.withCapo(12))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
