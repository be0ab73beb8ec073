package phalanx.chart;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Interval;
import phalanx.theory.Key;
import phalanx.theory.NoteNaming;

class CompletionTest {

  private static final Song SONG = TestSongs.of("G | D/F# | Em9").withKey(Key.parse("G"));

  private static List<String> offers(String typed) {
    return Completion.of(SONG, typed, NoteNaming.ENGLISH, Interval.UNISON, 20);
  }

  @Test
  void theSongsOwnChordsComeFirstThenTheKeysThenTheUsualQualities() {
    assertThat(offers("E")).startsWith("Em9", "Em", "Em7").contains("Esus4", "E7");
    assertThat(offers("D")).startsWith("D/F♯", "D7");
    assertThat(offers("F#")).startsWith("F♯dim", "F♯m7♭5");
  }

  @Test
  void whatIsTypedAlreadyIsNotOffered() {
    assertThat(offers("Em9")).isEmpty();
    assertThat(offers("G")).doesNotContain("G");
    assertThat(offers("X")).isEmpty();
  }

  @Test
  void offersAreNamedAsThePlayerDoesAndLieAboveTheCapo() {
    Song h = TestSongs.of("B7").withKey(Key.parse("E"));
    assertThat(Completion.of(h, "H", NoteNaming.GERMAN, Interval.UNISON, 3)).startsWith("H7");
    assertThat(Completion.of(SONG, "E/", NoteNaming.ENGLISH, Interval.of(2, 0), 3))
        .containsExactly("E/G♯");
    assertThat(Completion.of(SONG, "So", NoteNaming.SOLFEGE, Interval.UNISON, 3)).startsWith("Sol");
  }

  @Test
  void noMoreThanAskedAreOffered() {
    assertThat(Completion.of(SONG, "G", NoteNaming.ENGLISH, Interval.UNISON, 2)).hasSize(2);
  }
}
