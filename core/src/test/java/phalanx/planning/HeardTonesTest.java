package phalanx.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import phalanx.arrangement.Arrangement;
import phalanx.arrangement.Note;
import phalanx.arrangement.Slot;
import phalanx.fretting.Cost;
import phalanx.fretting.RatedShape;
import phalanx.fretting.ShapeSearch;
import phalanx.instrument.Tuning;
import phalanx.picking.AlternatingThumb;
import phalanx.picking.Force;
import phalanx.picking.HeardTones;
import phalanx.picking.PatternHeard;
import phalanx.picking.PatternReader;
import phalanx.picking.ThumbRoute;
import phalanx.song.Song;
import phalanx.song.TestSongs;

/** What is expected to be struck of a shape is what is struck in the end. */
class HeardTonesTest {

  /** The planner's sum is that of the terms which the player is shown. */
  @ParameterizedTest
  @ValueSource(strings = {"C", "Am7", "Dsus4", "G7", "F#m7b5", "Bb", "C/G", "E7#9", "A5"})
  void costsWhatItsTermsSay(String chord) {
    Song song = TestSongs.of(chord).withPattern(AlternatingThumb.FINGERS_BETWEEN);
    PatternHeard pattern = new Arranger().arrange(song).slots().get(0).heard();
    HeardTones heard = new HeardTones(pattern);
    List<RatedShape> all =
        ShapeSearch.find(Arranger.query(song, TestSongs.chord(chord))).candidates(300, 1);
    assertThat(all).hasSizeGreaterThan(20);
    for (RatedShape rated : all) {
      double sum = heard.terms(rated.shape()).stream().mapToDouble(Cost::value).sum();
      assertThat(heard.cost(rated.shape())).isCloseTo(sum, within(1e-9));
      assertThat(heard.over(rated.shape()).strings()).isBetween(1, (1 << Tuning.STRINGS) - 1);
    }
  }

  private static List<String> unheard(Song song, String frets) {
    Arrangement a = new Arranger().arrange(song);
    PatternHeard pattern = a.slots().get(0).heard();
    String chord = a.slots().get(0).played().harmony().label();
    return ShapeSearch.find(Arranger.query(song, TestSongs.chord(chord)))
        .candidates(1000, 1)
        .stream()
        .filter(r -> r.shape().fretText().equals(frets))
        .findFirst()
        .map(r -> new HeardTones(pattern).terms(r.shape()).stream().map(Cost::name).toList())
        .orElseThrow();
  }

  /** Thumb on the beats, one finger on ② between them. */
  private static Song pinched(String chord) {
    String rows =
        "name: own\nmetre: 4/4\nupper | . o | . o | . o | . o |\nthumb | o . | o . | o . | o . |\n";
    return TestSongs.of(chord).withPattern(PatternReader.read(rows).patterns().get(0));
  }

  /** A brush wants the strings between its bass and its end (common practice, no source). */
  @ParameterizedTest
  @CsvSource({
    "Em, 022000, false",
    "Em, 0xx000, true",
    "D, xx0232, false",
    "C, x3201x, true",
    "C, x32010, false"
  })
  void aBrushMissesStringsThatDoNotSound(String chord, String frets, boolean missed) {
    String rows = "name: own\nmetre: 4/4\nbrush | . | 5-1n | . | 5-1n |\nthumb | o | . | o | . |\n";
    Song song = TestSongs.of(chord).withPattern(PatternReader.read(rows).patterns().get(0));
    assertThat(unheard(song, frets).contains("strings of the pattern that do not sound"))
        .isEqualTo(missed);
  }

  /** The finger at home on ② strikes the third of D on ① once (common practice, no source). */
  @Test
  void aStrokeGoesAsideForTheThird() {
    Song song = pinched("D");
    assertThat(unheard(song, "xx0232"))
        .contains("a stroke goes to another string for a tone of the chord’s name")
        .doesNotContain("nobody strikes the third");
  }

  /** Under a tune the other strings are the tune's. */
  @Test
  void noStrokeIsCountedOnUnderATune() {
    Song song = TestSongs.singing(pinched("D"), "d4 . a3 .");
    assertThat(unheard(song, "xx0232")).contains("nobody strikes the third");
  }

  /** Without a tune the strings that are expected are those that the arrangement plucks. */
  @ParameterizedTest
  @EnumSource(
      value = ThumbRoute.class,
      names = {"ALTERNATING", "STEADY", "PEDAL"})
  void expectsTheStringsThatAreStruck(ThumbRoute thumb) {
    for (String chord : List.of("C", "G", "Am", "D7", "F", "Em")) {
      Song song =
          TestSongs.of(chord).withThumb(thumb).withPattern(AlternatingThumb.FINGERS_BETWEEN);
      Arrangement a = new Arranger().arrange(song);
      Slot slot = a.slots().get(0);
      Set<Integer> struck = new TreeSet<>();
      a.notes().stream().map(Note::string).forEach(struck::add);
      int bits = new HeardTones(slot.heard()).over(slot.held()).strings();
      Set<Integer> expected = new TreeSet<>();
      for (int s = 0; s < Tuning.STRINGS; s++) {
        if ((bits >> s & 1) > 0) {
          expected.add(s);
        }
      }
      // A stroke may go to another string so that the chord is told from others.
      assertThat(struck).as(chord + " " + slot.held()).containsAll(expected);
    }
  }

  /**
   * While the tune holds a note the top stroke of the figure comes back, softly, for a third that
   * no other stroke has; the tune stays what was written (common practice, no source).
   */
  @Test
  void aTopStrokeComesBackForTheThirdUnderAHeldNote() {
    Song song = TestSongs.of("G | D").withPattern(AlternatingThumb.PINCH_AND_BETWEEN);
    Arrangement a = new Arranger().arrange(TestSongs.singing(song, "b3 . g .", "e4 e d ."));
    List<Note> third =
        a.notesFrom(20160, 2 * 20160).stream().filter(n -> n.midi() % 12 == 6).toList();
    assertThat(third).hasSize(1);
    assertThat(third.get(0).part()).isEqualTo(Note.Part.INNER);
    assertThat(third.get(0).manner().force()).isEqualTo(Force.SOFT);
    assertThat(third.get(0).tick()).isGreaterThanOrEqualTo(20160 + 3 * 5040);
    assertThat(a.notes().stream().filter(n -> n.part() == Note.Part.TUNE).map(Note::midi))
        .containsExactly(59, 55, 64, 64, 62);
  }
}
