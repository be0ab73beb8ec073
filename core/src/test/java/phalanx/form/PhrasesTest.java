package phalanx.form;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import phalanx.song.ChartEdits;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Key;

/** Where phrases begin; common practice without a source where none is named. */
class PhrasesTest {

  private static List<Integer> lengths(Song song) {
    return Phrases.of(song).spans().stream().map(s -> s.bars().size()).toList();
  }

  /**
   * Ode to Joy (Ludwig van Beethoven, 1824; from memory): four phrases of four bars, each ends on a
   * long note.
   */
  @Test
  void odeToJoyHasFourPhrasesOfFourBars() {
    Song song =
        TestSongs.singing(
            TestSongs.of("D | D | D | A | D | D | A7 | D | A | A | A | A | D | D | A7 | D")
                .withKey(Key.parse("D")),
            "f#4 f# g a",
            "a4 g f# e",
            "d4 d e f#",
            "[f#4 .] [. e] e .",
            "f#4 f# g a",
            "a4 g f# e",
            "d4 d e f#",
            "[e4 .] [. d] d .",
            "e4 e f# d",
            "e4 [f# g] f# d",
            "e4 [f# g] f# e",
            "d4 e a3 .",
            "f#4 f# g a",
            "a4 g f# e",
            "d4 d e f#",
            "[e4 .] [. d] d .");
    assertThat(lengths(song)).containsExactly(4, 4, 4, 4);
  }

  /** A tune that rests after two bars, and after six: its breath counts more than the count. */
  @Test
  void aRestOfTheTuneEndsAPhrase() {
    Song song =
        TestSongs.singing(
            TestSongs.of("G | C | Am | D | Em | C | D | G"),
            "g4 a b c5",
            "d5 . - -",
            "b4 a g f#",
            "g4 a b g",
            "a4 b c5 a",
            "b4 . - -",
            "d5 c b a",
            "g4 . . .");
    assertThat(lengths(song)).containsExactly(2, 4, 2);
  }

  /** Without a tune four bars are a phrase, and sections are not crossed. */
  @Test
  void fourBarsAreUsual() {
    assertThat(lengths(TestSongs.of("G | C | G | D | G | C | D | G"))).containsExactly(4, 4);
    assertThat(lengths(TestSongs.of("G | C | G | D", "Em | C"))).containsExactly(4, 2);
  }

  /** Twelve bars of blues are three fours. */
  @Test
  void twelveBarsAreThreeFours() {
    Song blues =
        TestSongs.of("A7 | D7 | A7 | A7 | D7 | D7 | A7 | A7 | E7 | D7 | A7 | E7")
            .withKey(Key.parse("A"));
    assertThat(lengths(blues)).containsExactly(4, 4, 4);
  }

  /** What the player says holds: a phrase begins there, and none where it goes on. */
  @Test
  void thePlayerMovesABeginning() {
    Song song = TestSongs.of("G | C | G | D | G | C | D | G");
    List<Integer> ids = song.chart().bars().stream().map(b -> b.id()).toList();
    Song moved = said(said(song, ids.get(4), false), ids.get(2), true);
    assertThat(Phrases.of(moved).begins(ids.get(4))).isFalse();
    assertThat(Phrases.of(moved).begins(ids.get(2))).isTrue();
    assertThat(lengths(moved).stream().mapToInt(n -> n).sum()).isEqualTo(8);
  }

  private static Song said(Song song, int bar, boolean begins) {
    return song.editChart(
        c -> ChartEdits.replace(c, c.bar(bar).orElseThrow().beginningPhrase(Optional.of(begins))));
  }
}
