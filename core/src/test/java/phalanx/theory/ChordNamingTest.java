package phalanx.theory;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ChordNamingTest {

  private static List<String> names(String midi) {
    List<Integer> notes = Stream.of(midi.split(" ")).map(Integer::valueOf).toList();
    return ChordNaming.names(notes).stream().map(n -> n.chord().ascii()).toList();
  }

  /** Names every player gives these shapes (common practice, no source). */
  @ParameterizedTest
  @CsvSource({
    "48 52 55 60 64,C",
    "45 52 57 60 64,Am",
    "50 57 62 66,D",
    "42 50 57 62 66,D/F#",
    "40 47 52 55 62 64,Em7",
    "43 47 50 55 59 65,G7",
    "47 51 57 59 66,B7",
    "45 52 55 61 64,A7",
    "45 52 59 62,Asus4add9",
    "48 55 62 65,Csus4add9",
    "40 47 52 57 59 66,Esus4add9",
    "45 52 54 59,A6sus2",
    "45 52 55 59,A7sus2",
    "50 57 62 67,Dsus4",
    "45 52 55 62,A7sus4"
  })
  void givesTheUsualNameFirst(String midi, String name) {
    assertThat(names(midi)).first().isEqualTo(name);
  }

  @Test
  void givesOneShapeItsSeveralNames() {
    // C E G A: a sixth chord is the minor seventh a third below.
    assertThat(names("48 55 57 64")).contains("C6", "Am7/C");
    // D over an E bass works as a suspended ninth (common practice, no source).
    assertThat(names("40 50 57 62 66")).contains("D/E");
  }

  @Test
  void saysWhichTonesAreMissing() {
    ChordName name =
        ChordNaming.names(List.of(43, 53, 59)).stream()
            .filter(n -> n.chord().ascii().equals("G7"))
            .findFirst()
            .orElseThrow();
    assertThat(name.missing()).extracting(Interval::toString).containsExactly("5P");
    assertThat(name.rootless()).isFalse();
  }

  @Test
  void everyQualityItKnowsCanBeReadAndIsNamedByItself() {
    for (String quality : ChordNaming.qualities()) {
      Chord chord = ChordReaderTest.chord("C" + quality);
      List<Integer> midi = chord.intervals().stream().map(i -> 48 + i.semitones()).toList();
      assertThat(ChordNaming.names(midi))
          .as(quality)
          .anyMatch(n -> n.chord().equals(chord) && n.missing().isEmpty());
    }
  }
}
