package phalanx.desktop.chart;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import phalanx.formats.chordpro.ChordProReader;
import phalanx.song.Bar;
import phalanx.song.Song;
import phalanx.theory.NoteNaming;

/** The chart in words, as assistive technology reads it. */
class ChartWordsTest {

  private static final Song SONG =
      ChordProReader.read(
              "{start_of_grid: label=\"Verse\"}\n|: G | D/F# . Bm . :| C . . . |\n{end_of_grid}\n")
          .song();

  private static String words(int place, NoteNaming naming, int selected) {
    Bar bar = SONG.chart().bars().get(place);
    return ChartWords.of(SONG, bar, naming, selected);
  }

  @Test
  void aBarIsSaidWithItsSectionItsChordsAndItsRepeats() {
    assertThat(words(0, NoteNaming.ENGLISH, 1))
        .isEqualTo("bar 1, Verse, a repeat begins, G on beat 1");
    assertThat(words(1, NoteNaming.ENGLISH, 1))
        .isEqualTo("bar 2, Verse, D/F♯ on beat 1, Bm on beat 3, played 2 times to here");
  }

  @Test
  void notesAreCalledAsThePlayerCallsThemAndASelectionIsCounted() {
    assertThat(words(1, NoteNaming.GERMAN, 3)).contains("3 bars selected", "Hm on beat 3");
  }
}
