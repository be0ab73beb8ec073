package phalanx.theory;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class ChordReaderTest {

  static Chord chord(String symbol) {
    assertThat(ChordReader.read(symbol)).as(symbol).isInstanceOf(ChordReading.Read.class);
    return ((ChordReading.Read) ChordReader.read(symbol)).chord();
  }

  /** Every row of the reference table; its source stands in its first line. */
  static Stream<String> spellings() throws IOException {
    try (BufferedReader in =
        new BufferedReader(
            new InputStreamReader(
                ChordReaderTest.class.getResourceAsStream("chord-spelling.csv"),
                StandardCharsets.UTF_8))) {
      return in.lines().skip(2).toList().stream();
    }
  }

  @ParameterizedTest
  @MethodSource("spellings")
  void spellsChordsAsTheReferenceTableDoes(String row) {
    String[] cells = row.split(",");
    Chord chord = chord(cells[0]);
    assertThat(chord.intervals().stream().map(Interval::toString))
        .containsExactly(cells[1].split(" "));
    assertThat(chord.notes().stream().map(NoteName::ascii)).containsExactly(cells[2].split(" "));
  }

  /** Spellings of the same chord that players write (common practice, no source). */
  @ParameterizedTest
  @CsvSource({
    "Cmin,Cm",
    "C-,Cm",
    "CM7,Cmaj7",
    "CΔ,Cmaj7",
    "Cø,Cm7b5",
    "Cø7,Cm7b5",
    "C°7,Cdim7",
    "C+,Caug",
    "C69,C6/9",
    "Csus,Csus4",
    "C-7,Cm7",
    "Cm(maj7),CmMaj7",
    "C7(b9),C7b9",
    "C+7,C7#5",
    "C7+,C7#5",
    "C7+9,C7#9",
    "C2,Csus2",
    "Cadd2,Cadd9",
    "C♯m/G♯,C#m/G#",
    "Bb7,Bb7",
    "C/C,C",
    "C7alt,C7alt"
  })
  void readsCommonSpellings(String typed, String canonical) {
    assertThat(chord(typed).ascii()).isEqualTo(canonical);
  }

  @ParameterizedTest
  @MethodSource("spellings")
  void readsItsOwnCanonicalFormBackToTheSameChord(String row) {
    Chord chord = chord(row.split(",")[0]);
    assertThat(chord(chord.ascii())).isEqualTo(chord);
    assertThat(chord(chord.toString())).isEqualTo(chord);
  }

  @ParameterizedTest
  @CsvSource({"H,0", "Qx,0", "Cfoo,1", "C7b,3", "C/,2", "Cadd,4", "Cm7/H,4", "C7b4,3", "'',0"})
  void namesThePlaceWhereReadingStopped(String typed, int column) {
    assertThat(ChordReader.read(typed))
        .isInstanceOfSatisfying(
            ChordReading.Unreadable.class,
            no -> {
              assertThat(no.column()).isEqualTo(column);
              assertThat(no.expected()).isNotBlank();
            });
  }

  @Test
  void leavesTheSeventhOfAFlatSevenChordItsOwnLetter() {
    assertThat(chord("Db7").notes().get(3).ascii()).isEqualTo("Cb");
  }

  @ParameterizedTest
  @ValueSource(strings = {"C13", "Am7", "G", "Bm7b5", "E7#9"})
  void aSlashBassChangesOnlyTheBass(String symbol) {
    Chord plain = chord(symbol);
    Chord over = chord(symbol + "/F#");
    assertThat(over.notes()).isEqualTo(plain.notes());
    assertThat(over.bass().ascii()).isEqualTo("F#");
  }

  @Test
  void theFifthMayBeLeftOutUnlessItIsAltered() {
    List<ChordTone> plain = chord("C7").tones();
    List<ChordTone> altered = chord("C7b5").tones();
    assertThat(plain.get(2).essential()).isFalse();
    assertThat(altered.get(2).essential()).isTrue();
  }
}
