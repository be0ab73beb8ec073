package phalanx.desktop.melody;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import phalanx.melody.BarTune;
import phalanx.melody.TuneReader;
import phalanx.theory.Meter;
import phalanx.theory.NoteNaming;
import phalanx.theory.Pitch;

/** The tune in words, as assistive technology reads it. */
class StaffWordsTest {

  private static String words(String typed, NoteNaming naming) {
    BarTune tune = TuneReader.read(typed, Meter.FOUR_FOUR, Pitch.parse("G4").orElseThrow()).tune();
    return StaffWords.of(3, tune, Meter.FOUR_FOUR, naming);
  }

  @Test
  void notesAreSaidWithTheirBeatsAndHowTheyAreMade() {
    assertThat(words("g4 [a ^b] 2:3 -", NoteNaming.ENGLISH))
        .isEqualTo(
            "tune of bar 3: G4 on beat 1, A4 on beat 2, B4 on beat 2.50, hammer-on,"
                + " string 2 fret 3 on beat 3");
    assertThat(words("b4+d", NoteNaming.GERMAN)).isEqualTo("tune of bar 3: H4 + D5 on beat 1");
  }

  @Test
  void silenceAndWhatGoesOnAreSaidToo() {
    assertThat(words("- - - -", NoteNaming.ENGLISH)).isEqualTo("tune of bar 3: nothing");
    assertThat(words(". . b -", NoteNaming.ENGLISH))
        .isEqualTo("tune of bar 3: the note before goes on, B4 on beat 3");
  }
}
