package phalanx.engraving;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import phalanx.arrangement.Arrangement;
import phalanx.engraving.SheetOptions.Kind;
import phalanx.engraving.SheetOptions.Show;
import phalanx.engraving.font.Sign;
import phalanx.planning.Arranger;
import phalanx.song.BarLyrics;
import phalanx.song.Lyrics;
import phalanx.song.OwnSongs;
import phalanx.song.Song;
import phalanx.song.TestSongs;
import phalanx.theory.Key;

/** What a player finds on a page (common practice of printed guitar music, no source). */
class EngraverTest {

  private static final SheetOptions NOTATION = SheetOptions.USUAL.with(Show.TABLATURE, false);

  private static List<Mark> marks(Song song, SheetOptions options) {
    Arrangement arrangement = new Arranger().arrange(song);
    return Engraver.engrave(arrangement, options).pages().stream()
        .flatMap(p -> p.marks().stream())
        .toList();
  }

  private static long signs(List<Mark> marks, Sign sign) {
    return marks.stream().filter(m -> m instanceof Mark.Glyph g && g.sign() == sign).count();
  }

  private static Stream<String> texts(List<Mark> marks, Role role) {
    return marks.stream()
        .filter(m -> m.role() == role && m instanceof Mark.Text)
        .map(m -> ((Mark.Text) m).text());
  }

  @Test
  void aSystemBeginsWithClefAndKeyAndTheFirstWithItsMetre() {
    Song song = TestSongs.of("| G | C |").withKey(Key.parse("E"));
    List<Mark> marks = marks(song, NOTATION);
    assertThat(signs(marks, Sign.TREBLE_CLEF)).isEqualTo(1);
    assertThat(
            marks.stream()
                .filter(
                    m ->
                        m.role() == Role.CLEF
                            && m instanceof Mark.Glyph g
                            && g.sign() == Sign.SHARP))
        .as("E major has four sharps")
        .hasSize(4);
    assertThat(signs(marks, Sign.time(4))).isEqualTo(2);
    assertThat(texts(marks, Role.CHORD)).containsExactly("G", "C");
  }

  /** A metre that changes inside a system stands there, once, before the first of its notes. */
  @Test
  void anotherMetreStandsWhereItBegins() {
    List<Mark> marks = marks(TestSongs.of("| G | 3/4 C | G |"), NOTATION);
    assertThat(signs(marks, Sign.TREBLE_CLEF)).isEqualTo(1);
    assertThat(signs(marks, Sign.time(3))).isEqualTo(1);
    assertThat(signs(marks, Sign.time(4))).isEqualTo(3);
    double three =
        marks.stream()
            .filter(m -> m instanceof Mark.Glyph g && g.sign() == Sign.time(3))
            .mapToDouble(m -> m.box().right())
            .findFirst()
            .orElseThrow();
    double chord =
        marks.stream()
            .filter(m -> m instanceof Mark.Text t && t.text().equals("C"))
            .mapToDouble(m -> m.box().left())
            .findFirst()
            .orElseThrow();
    assertThat(three).isLessThan(chord);
  }

  /** Notation alone has to say which string; beside a tablature that would be said twice. */
  @Test
  void notationAloneNamesTheStringOfWhatIsPlayedHighUp() {
    Song song = TestSongs.singing(TestSongs.of("| C |"), "2:5 . 3:5(v) 3:7(b1)");
    List<Mark> alone = marks(song, NOTATION);
    assertThat(texts(alone, Role.SIGN)).contains("②", "③", "b full");
    assertThat(signs(alone, Sign.VIBRATO)).isEqualTo(4);
    List<Mark> both = marks(song, SheetOptions.USUAL);
    assertThat(texts(both, Role.SIGN)).doesNotContain("②", "③", "b full").contains("full");
    Song low = TestSongs.singing(TestSongs.of("| C |"), "1:3 . 2:1 .");
    assertThat(texts(marks(low, NOTATION), Role.SIGN)).doesNotContain("①", "②");
  }

  @Test
  void wordsStandUnderTheirBarOnEverySheetThatHasThem() {
    Song song = TestSongs.of("| G | C |");
    Song sung = song.withWords(Lyrics.NONE.with(2, BarLyrics.of("hold on")));
    for (Kind kind : List.of(Kind.TAB, Kind.CHART)) {
      SheetOptions options = SheetOptions.USUAL.of(kind);
      assertThat(texts(marks(sung, options), Role.WORDS)).containsExactly("hold on");
      assertThat(texts(marks(sung, options.with(Show.WORDS, false)), Role.WORDS)).isEmpty();
    }
  }

  /** The page to learn by is one page, whatever the song. */
  @Test
  void thePageToLearnByIsOne() {
    OwnSongs.all()
        .values()
        .forEach(
            song ->
                assertThat(
                        Engraver.engrave(
                                new Arranger().arrange(song), SheetOptions.USUAL.of(Kind.LEARN))
                            .pages())
                    .hasSize(1));
  }

  private static final Song ORNAMENTED =
      TestSongs.singing(TestSongs.of("| C | C |"), "e4 g {a b}g e", "{d}^e . g .");

  private static List<Mark> small(List<Mark> marks, Sign sign) {
    double full =
        marks.stream()
            .filter(m -> m instanceof Mark.Glyph g && g.sign() == Sign.TREBLE_CLEF)
            .mapToDouble(m -> ((Mark.Glyph) m).space())
            .findFirst()
            .orElseThrow();
    return marks.stream()
        .filter(m -> m instanceof Mark.Glyph g && g.sign() == sign && g.space() < 0.9 * full)
        .toList();
  }

  /**
   * Short notes are small heads before their note, one alone with a flag, and take no time from the
   * note before them on paper (common practice, no source).
   */
  @Test
  void shortNotesAreSmallAndHaveNoTimeOfTheirOwn() {
    List<Mark> marks = marks(ORNAMENTED, SheetOptions.USUAL);
    List<Mark> heads = small(marks, Sign.HEAD_BLACK);
    assertThat(heads).hasSize(3);
    assertThat(small(marks, Sign.FLAG_8_UP)).hasSize(1);
    assertThat(signs(marks, Sign.FLAG_32_UP)).isZero();
    assertThat(marks.stream().filter(m -> m.role() == Role.DOT)).isEmpty();
    double line =
        marks.stream()
            .filter(m -> m.role() == Role.BARLINE && m.box().left() > heads.get(0).box().left())
            .mapToDouble(m -> m.box().left())
            .min()
            .orElseThrow();
    assertThat(heads.get(1).box().right()).isLessThan(line);
    assertThat(heads.get(2).box().left())
        .as("the one before the first note of the second bar stands in that bar")
        .isGreaterThan(line);
  }

  @Test
  void theTablatureHasTheirFrets() {
    List<Mark> figures =
        marks(ORNAMENTED, SheetOptions.USUAL.with(Show.NOTATION, false)).stream()
            .filter(m -> m.role() == Role.FIGURE)
            .toList();
    double most = figures.stream().mapToDouble(m -> ((Mark.Text) m).size()).max().orElseThrow();
    assertThat(figures.stream().filter(m -> ((Mark.Text) m).size() < 0.9 * most)).hasSize(3);
  }
}
