package phalanx.theory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PitchTest {

  /** ISO 16:1975 sets A4 to 440 Hz; the others follow from twelve equal semitones. */
  @ParameterizedTest
  @CsvSource({
    "A4,69,440.000",
    "E2,40,82.407",
    "A2,45,110.000",
    "D3,50,146.832",
    "G3,55,195.998",
    "B3,59,246.942",
    "E4,64,329.628",
    "C4,60,261.626"
  })
  void hasTheFrequencyOfEqualTemperament(String name, int midi, double hertz) {
    Pitch pitch = Pitch.parse(name).orElseThrow();
    assertThat(pitch.midi()).isEqualTo(midi);
    assertThat(pitch.frequency()).isCloseTo(hertz, within(0.001));
  }

  @Property
  void anOctaveDoublesTheFrequency(@ForAll @IntRange(min = 0, max = 115) int midi) {
    assertThat(Pitch.frequency(midi + 12, 440) / Pitch.frequency(midi, 440))
        .isCloseTo(2, within(1e-12));
  }

  @ParameterizedTest
  @CsvSource({"60,B#,B♯3", "59,Cb,C♭4", "61,Db,D♭4", "61,C#,C♯4", "71,B,B4"})
  void takesItsOctaveFromItsLetter(int midi, String name, String text) {
    Pitch pitch = Pitch.of(midi, NoteName.parse(name).orElseThrow());
    assertThat(pitch).hasToString(text);
    assertThat(pitch.midi()).isEqualTo(midi);
  }

  @ParameterizedTest
  @CsvSource({"60,D", "61,E"})
  void refusesANameOfAnotherKey(int midi, String name) {
    NoteName note = NoteName.parse(name).orElseThrow();
    assertThatThrownBy(() -> Pitch.of(midi, note)).isInstanceOf(IllegalArgumentException.class);
  }

  @Property
  void anIntervalReadsBackFromItsName(
      @ForAll @IntRange(min = 1, max = 15) int number,
      @ForAll @IntRange(min = -1, max = 1) int alteration) {
    Interval interval = Interval.of(number, alteration);
    assertThat(Interval.parse(interval.toString())).isEqualTo(interval);
  }
}
