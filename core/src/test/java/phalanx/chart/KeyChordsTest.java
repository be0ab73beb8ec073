package phalanx.chart;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.song.TestSongs;
import phalanx.theory.Chord;
import phalanx.theory.Key;
import phalanx.theory.Mode;
import phalanx.theory.NoteName;

/** The chords on the degrees of keys, as every primer of harmony has them (common practice). */
class KeyChordsTest {

  private static String names(List<Chord> chords) {
    return String.join(" ", chords.stream().map(Chord::ascii).toList());
  }

  private static Key key(String text) {
    return Key.parse(text).orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({
    "C, C Dm Em F G Am Bdim, Cmaj7 Dm7 Em7 Fmaj7 G7 Am7 Bm7b5",
    "G, G Am Bm C D Em F#dim, Gmaj7 Am7 Bm7 Cmaj7 D7 Em7 F#m7b5",
    "Eb, Eb Fm Gm Ab Bb Cm Ddim, Ebmaj7 Fm7 Gm7 Abmaj7 Bb7 Cm7 Dm7b5",
    "Am, Am Bdim C Dm Em F G, Am7 Bm7b5 Cmaj7 Dm7 Em7 Fmaj7 G7",
    "D dorian, Dm Em F G Am Bdim C, Dm7 Em7 Fmaj7 G7 Am7 Bm7b5 Cmaj7",
    "A harmonic minor, Am Bdim Caug Dm E F G#dim, Ammaj7 Bm7b5 Cmaj7#5 Dm7 E7 Fmaj7 G#dim7"
  })
  void everyDegreeHasItsTriadAndItsSeventh(String key, String triads, String sevenths) {
    assertThat(spelled(names(KeyChords.triads(key(key))))).isEqualTo(spelled(triads));
    assertThat(spelled(names(KeyChords.sevenths(key(key))))).isEqualTo(spelled(sevenths));
  }

  /** One spelling of suffixes that may be written in several ways. */
  private static String spelled(String chords) {
    return String.join(
        " ",
        List.of(chords.split(" ")).stream()
            .map(c -> TestSongs.chord(c).notes().toString())
            .toList());
  }

  @Test
  void whatIsBorrowedIsNotTheKeysOwn() {
    assertThat(names(KeyChords.borrowed(key("G")))).isEqualTo("E7 G7 A7 B7 Cm F Eb Bb");
    assertThat(names(KeyChords.borrowed(key("Am")))).isEqualTo("E E7 D A7 G#dim7 Bb A");
    for (Mode mode : Mode.values()) {
      for (String tonic : List.of("C", "F#", "Bb", "E")) {
        Key key = new Key(NoteName.atStartOf(tonic).orElseThrow().note(), mode);
        assertThat(KeyChords.triads(key)).hasSize(7);
        assertThat(KeyChords.sevenths(key)).hasSize(7);
        assertThat(KeyChords.borrowed(key))
            .doesNotContainAnyElementsOf(KeyChords.triads(key))
            .doesNotContainAnyElementsOf(KeyChords.sevenths(key))
            .doesNotHaveDuplicates();
      }
    }
  }

  @Test
  void aChordIsOfferedWithOtherQualitiesAndOverItsOtherNotes() {
    List<Chord> like = KeyChords.like(TestSongs.chord("D"));
    assertThat(names(like)).startsWith("Dm D7 Dm7 Dmaj7 Dsus4").contains("D/F# D/A");
    assertThat(like).doesNotContain(TestSongs.chord("D"));
    assertThat(names(KeyChords.like(TestSongs.chord("Am7/G")))).contains("Am7/C Am7/E");
  }
}
