package phalanx.theory;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.song.TestSongs;

class NoteNamingTest {

  /** German and solfège names of notes (common practice, no source). */
  @ParameterizedTest
  @CsvSource({
    "Bb,B,Si♭",
    "B,H,Si",
    "F#m7,F♯m7,Fa♯m7",
    "Ebmaj7,E♭maj7,Mi♭maj7",
    "G/B,G/H,Sol/Si",
    "Am7b5,Am7♭5,Lam7♭5"
  })
  void namesChordsAsPlayersOfEachTraditionDo(String english, String german, String solfege) {
    Chord chord = TestSongs.chord(english);
    assertThat(NoteNaming.GERMAN.name(chord)).isEqualTo(german);
    assertThat(NoteNaming.SOLFEGE.name(chord)).isEqualTo(solfege);
  }

  @ParameterizedTest
  @CsvSource({
    "GERMAN,H7,B7",
    "GERMAN,B,Bb",
    "GERMAN,Bb,Bb",
    "GERMAN,Fism,F#m",
    "GERMAN,Es,Eb",
    "GERMAN,Asmaj7,Abmaj7",
    "GERMAN,Esus4,Esus4",
    "GERMAN,Asus2,Asus2",
    "SOLFEGE,Dom7,Cm7",
    "SOLFEGE,Rém,Dm",
    "SOLFEGE,Sol/Si,G/B",
    "SOLFEGE,Lasus4,Asus4",
    "SOLFEGE,Em7,Em7"
  })
  void readsWhatIsTypedInEachTradition(NoteNaming naming, String typed, String meant) {
    ChordReading reading = ChordReader.read(typed, naming);
    assertThat(reading).isInstanceOf(ChordReading.Read.class);
    assertThat(((ChordReading.Read) reading).chord().ascii()).isEqualTo(meant);
  }

  @Property
  void everyNameIsReadBack(
      @ForAll NoteNaming naming,
      @ForAll Letter letter,
      @ForAll @IntRange(min = -1, max = 1) int by) {
    NoteName note = new NoteName(letter, by);
    assertThat(naming.parse(naming.name(note))).contains(note);
  }

  @Property
  void anIntervalAndItsInversionMakeAnOctave(
      @ForAll Letter from, @ForAll Letter to, @ForAll @IntRange(min = -1, max = 1) int by) {
    NoteName a = new NoteName(from, 0);
    NoteName b = new NoteName(to, by);
    Interval up = Interval.between(a, b);
    assertThat(a.plus(up)).isEqualTo(b);
    assertThat(b.plus(up.inverted())).isEqualTo(a);
  }

  @Property
  void aSimplerSpellingSoundsTheSame(
      @ForAll Letter letter, @ForAll @IntRange(min = -3, max = 3) int by) {
    NoteName note = new NoteName(letter, by);
    assertThat(note.simplified().chroma()).isEqualTo(note.chroma());
    assertThat(Math.abs(note.simplified().alteration())).isLessThanOrEqualTo(1);
  }

  /**
   * Nobody writes four sharps: such a tone has the name of its sound (common practice, no source).
   */
  @Test
  void spellsByTheSoundWhatTakesMoreThanThreeAccidentals() {
    NoteName root = NoteName.parse("F###").orElseThrow();

    assertThat(root.plus(Interval.of(9, 0)).ascii()).isEqualTo("G###");
    assertThat(root.plus(Interval.of(9, 1)).ascii()).isEqualTo("B");
    assertThat(NoteName.parse("Cbb").orElseThrow().plus(Interval.of(7, -2)).ascii()).isEqualTo("G");
  }
}
