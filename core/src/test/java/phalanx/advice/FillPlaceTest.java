package phalanx.advice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import phalanx.embellishment.Ending;
import phalanx.embellishment.Fill;
import phalanx.planning.Arranger;
import phalanx.song.SlotRef;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** Where a fill lies and where it leads; what is wanted is common practice without a source. */
class FillPlaceTest {

  private static final Arranger ARRANGER = new Arranger();

  private static Fill fill(String major, String bluesy) {
    return new Fill("x", "", 2, Map.of(Fill.Colour.MAJOR, major, Fill.Colour.BLUESY, bluesy));
  }

  private static final List<Fill> FILLS =
      List.of(
          fill("5 3 2 1", "5 b3 2 1"),
          fill("[1 2 3] 5", "[1 2 b3] 5"),
          fill("1 2 ^3 1", "1 2 ^b3 1"),
          fill("3+5 . 2+4 .", "b3+5 . 2+4 ."),
          fill("5, 6, 7, 1", "5, 6, b7, 1"));

  private static List<FillTry> tried(String from, String to, Ending ending) {
    Song song = TestSongs.of("| " + from + " | " + to + " |").withTempo(90);
    FillFitting fitting = new FillFitting(ARRANGER, song, new SlotRef(1, 0), TestSongs.chord(from));
    List<FillTry> all = new ArrayList<>();
    for (Fill fill : FILLS) {
      for (Fill.Colour colour : Fill.colours(TestSongs.chord(from))) {
        all.add(fitting.of(fill, colour, ending));
      }
    }
    return all;
  }

  /** In an open-position song a fill that fits is never twelve frets up. */
  @ParameterizedTest
  @CsvSource({"C, F", "G, C", "Am, F", "D7, G", "E7, A", "Em, D", "A, E", "Dm, G7"})
  void aFillThatFitsLiesInThePlaceOfTheHand(String from, String to) {
    for (Ending ending : List.of(Ending.PLAIN, Ending.SLIDE)) {
      List<FillTry> fits = tried(from, to, ending).stream().filter(FillTry::fits).toList();
      assertThat(fits).isNotEmpty();
      for (FillTry one : fits) {
        double mean =
            one.fitted().orElseThrow().notes().stream().mapToInt(n -> n.fret()).average().orElse(0);
        assertThat(mean).as("%s over %s", one.fill().lines(), from).isLessThan(9);
      }
    }
  }

  /** It says how it meets the next chord, and that is never further than a step. */
  @ParameterizedTest
  @CsvSource({"C, F", "G, Em", "Am, F", "D7, G"})
  void itEndsOnAToneOfTheNextChordOrAStepAway(String from, String to) {
    for (FillTry one : tried(from, to, Ending.PLAIN)) {
      FillTry.Landing landing = one.landing().orElseThrow();
      assertThat(landing.chord()).isEqualTo(TestSongs.chord(to));
      assertThat(landing.leadsThere()).isTrue();
      assertThat(landing.words()).endsWith(TestSongs.chord(to).toString());
    }
  }

  @Test
  void minorChordsHaveOneColour() {
    assertThat(Fill.colours(TestSongs.chord("Am7"))).containsExactly(Fill.Colour.BLUESY);
    assertThat(Fill.colours(TestSongs.chord("A7"))).hasSize(2);
  }

  /** A flat seventh in the major colour turns a major chord into another. */
  @Test
  void theMajorColourHasNoFlatSeventhOverAMajorChord() {
    Fill seventh = fill("1' b7 5 .", "1' b7 5 .");
    assertThat(seventh.clash(Fill.Colour.MAJOR, TestSongs.chord("G"))).isPresent();
    assertThat(seventh.clash(Fill.Colour.MAJOR, TestSongs.chord("G7"))).isEmpty();
    assertThat(seventh.clash(Fill.Colour.BLUESY, TestSongs.chord("G"))).isEmpty();
  }
}
